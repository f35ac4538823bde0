import { array, object } from 'yup'
import { list, noteField, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** What a driver works controls with. */
export const LIMBS = ['leftHand', 'rightHand', 'leftFoot', 'rightFoot'] as const
export type Limb = (typeof LIMBS)[number]

export const controlShape = object({
  id: requiredId(),
  name: requiredName(),
  /** Those that reach it, the one that is used by choice first. */
  limbs: array().of(wordField(LIMBS).required()).min(1).max(LIMBS.length).required(),
  note: noteField(),
})

/** Something that a driver holds, turns or treads on: a wheel, a lever, a pedal. */
export type Control = Told<typeof controlShape>

export const MOST_AT_ONCE = 8

export const manoeuvreShape = object({
  id: requiredId(),
  name: requiredName(),
  /** What is worked at one moment of it. */
  at: list(object({ control: requiredId() }), MOST_AT_ONCE).required(),
  note: noteField(),
})

/** A moment of driving, with all that is worked in it. */
export type Manoeuvre = Told<typeof manoeuvreShape>

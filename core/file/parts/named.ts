import { array, boolean, object } from 'yup'
import { requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** A named point on a body; its place comes from readings. */
export const pointShape = object({
  id: requiredId(),
  name: requiredName(),
  body: requiredId(),
  /** A stud, bolt or hole of the chassis that setups are registered by. */
  datum: boolean(),
})
export type NamedPoint = Told<typeof pointShape>

export const AXIS_LIES = ['lengthwise', 'across'] as const

/** A named axis of a body; its fall and plan come from readings. */
export const axisShape = object({
  id: requiredId(),
  name: requiredName(),
  body: requiredId(),
  /** `across`: it lies across the vehicle and is told by rise and sweep; lengthwise, by fall and plan, when absent. */
  lies: wordField(AXIS_LIES),
  /** Points that lie on it; two with station and offset give its plan, with heights its fall too. */
  through: array().of(requiredId()).max(20),
})
export type NamedAxis = Told<typeof axisShape>

/** A pair of frame holes, left and right, whose middle lies on the chassis centreline. */
export const centrePairShape = object({
  id: requiredId(),
  name: requiredName(),
  left: requiredId(),
  right: requiredId(),
})
export type CentrePair = Told<typeof centrePairShape>

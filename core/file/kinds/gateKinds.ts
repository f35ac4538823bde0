import { array, object, string } from 'yup'
import { dayField, list, nameField, noteField, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** Gates of a build in their order: none is passed before those that stand before it. */
export const GATES = ['position', 'checks', 'tacked', 'bolted', 'welded', 'torqued', 'road'] as const
export type Gate = (typeof GATES)[number]

/** Things that a gate may rest on. */
export const MOST_MARKS = 12_000

const gateShape = object({
  id: requiredId(),
  name: requiredName(),
  gate: wordField(GATES).required(),
  passedAt: dayField().required(),
  who: nameField(),
  note: noteField(),
  /** What it rested on when it was passed: part of the build, thing and a mark of how it was, such as `readings/r-12/1k2j9x`. */
  under: array().of(string().max(160).required()).max(MOST_MARKS).required(),
  /** What was temporary then, each with why it was passed all the same. */
  over: list(object({ temporary: requiredId(), reason: noteField().required() }), 200),
})

/** A gate that was passed. */
export type GateEntry = Told<typeof gateShape>

export interface GateTypes extends OnlyTold {
  readonly lists: { readonly gates?: readonly GateEntry[] }
}

/** Gates that were passed. */
export const KINDS_OF_GATES = {
  ...ONLY_TOLD,
  lists: { gates: { shape: gateShape, most: GATES.length, names: () => [] } },
} as const satisfies SubjectKinds<GateTypes>

import { array, boolean, type ObjectSchema, type StringSchema } from 'yup'
import { LENGTH_UNITS } from '../../base/units/unitSettings'
import {
  idField,
  type maybe,
  nameField,
  noteField,
  rawText,
  requiredId,
  timeField,
  wordField,
} from '../parts/fields'
import type { Told } from '../parts/told'
import { anyWords, type WordOf, type Words } from './readingRow'

/** Repeats of one reading at the most; more say nothing new. */
export const MAX_REPEATS = 200

/** What every reading keeps, whatever was read. */
export const base = {
  id: requiredId(),
  /** When it was taken, ISO 8601. */
  takenAt: timeField(),
  takenBy: nameField(),
  note: noteField(),
  /** From cardboard, a catalogue or an unloaded frame; all that rests on it is marked until the real reading comes. */
  provisional: boolean(),
  /** Doubts about this reading that were looked into and found groundless, by their kind. */
  accepted: array().of(rawText().required()).max(20),
}

/** A reading taken with a tool in a setup: the raw text of each repeat, never changed by the program. */
export const measured = {
  ...base,
  setup: requiredId(),
  tool: idField(),
  /** The lift-in it was taken in; the first when absent. */
  trial: idField(),
  /** The reading of another setup this one was carried over from, and why that is allowed. */
  copiedFrom: idField(),
  copyReason: nameField().when('copiedFrom', {
    is: (from: unknown) => from !== undefined,
    then: (reason) => reason.min(3).required(),
  }),
  /** Raw text, first to last repeat. */
  values: array().of(rawText().required()).min(1).max(MAX_REPEATS).required(),
}
export type MeasuredBase = NonNullable<Told<ReturnType<typeof maybe<typeof measured>>>>

/** Unit of bare figures, fixed when the reading was taken; the build's unit when absent. */
export const lengthUnit = wordField(LENGTH_UNITS)

/** The fields of a kind that hold one of a few words. */
export const wordFields = <W extends Readonly<Record<string, Words>>>({ words }: { readonly words: W }) =>
  Object.fromEntries(
    Object.entries<Words>(words).map(([field, of]) => [field, wordField(anyWords(field, of))]),
  ) as { readonly [F in keyof W]: StringSchema<WordOf<F, W[F]> | undefined> }

/** Readings by their kind, as their shapes let them in. */
export type ReadingsIn<S extends Readonly<Record<string, ObjectSchema<object>>>> = {
  readonly [K in keyof S]: Told<S[K]>
}

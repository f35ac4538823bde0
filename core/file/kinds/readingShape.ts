import { array, boolean, type StringSchema } from 'yup'
import { LENGTH_UNITS } from '../../base/units/unitSettings'
import { idField, nameField, noteField, rawText, requiredId, timeField, wordField } from '../parts/fields'
import { anyWords, type Words } from './readingRow'

/** Repeats of one reading at the most; more say nothing new. */
export const MAX_REPEATS = 200

/** Fields of every reading. */
export const base = {
  id: requiredId(),
  takenAt: timeField(),
  takenBy: nameField(),
  note: noteField(),
  provisional: boolean(),
  accepted: array().of(rawText().required()).max(20),
}

/** Fields of every reading that was taken with a tool. */
export const measured = {
  ...base,
  setup: requiredId(),
  tool: idField(),
  trial: idField(),
  copiedFrom: idField(),
  copyReason: nameField().when('copiedFrom', {
    is: (from: unknown) => from !== undefined,
    then: (reason) => reason.min(3).required(),
  }),
  values: array().of(rawText().required()).min(1).max(MAX_REPEATS).required(),
}

/** The unit of a reading of a length. */
export const lengthUnit = wordField(LENGTH_UNITS)

/** The kind of a reading, which its shape was picked by. */
export const kindOf = <K extends string>(kind: K) => wordField([kind]).required()

/** The fields of a kind that hold one of a few words. */
export const wordFields = <F extends PropertyKey>({
  words,
}: {
  readonly words: Readonly<Record<F, Words>>
}) =>
  Object.fromEntries(
    Object.entries<Words>(words).map(([field, of]) => [field, wordField(anyWords(field, of))]),
  ) as Readonly<Record<F, StringSchema>>

import { object } from 'yup'
import { nameField, noteField, requiredId, timeField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { anyReadingSchema } from './reading'

/** Something that was done to a reading after it was taken, with the reading before and after. */
export const readingChangeShape = object({
  id: requiredId(),
  /** ISO 8601. */
  at: timeField().required(),
  by: nameField(),
  what: wordField(['repeated', 'repeat-removed', 'corrected', 'removed']).required(),
  reading: requiredId(),
  before: anyReadingSchema,
  after: anyReadingSchema,
  /** The reason, for a correction in the words of the mistake. */
  why: noteField(),
})
export type ReadingChange = Told<typeof readingChangeShape>

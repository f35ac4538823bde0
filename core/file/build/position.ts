import { object } from 'yup'
import { amounts, maybe, noteField, requiredId, requiredName, timeField } from '../parts/fields'
import type { Told } from '../parts/told'

/** A named candidate setting of the levers; a lever not named stands at 0, as measured. */
export const positionShape = object({
  id: requiredId(),
  name: requiredName(),
  settings: amounts('settings').required(),
  /** Why it was chosen. */
  reason: noteField(),
  /** Mounts, plates or shafts were made to it on a day, as the levers stood then. */
  made: maybe({ at: timeField().required(), settings: amounts('settings').required() }),
})
export type Position = Told<typeof positionShape>

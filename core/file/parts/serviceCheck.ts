import { object } from 'yup'
import { direction, figure, requiredId, requiredName } from './fields'
import type { Told } from './told'

/** Something that has to come out without anything else coming off: a filter, plugs, the sump, the gearbox alone. */
export const serviceShape = object({
  id: requiredId(),
  name: requiredName(),
  /** The part that comes out. */
  body: requiredId(),
  /** Which way, chassis frame (forward, left, up), any length. */
  toward: direction(),
  /** How far it has to come. */
  wayMm: figure(0.1, 10_000).required(),
})
export type ServiceCheck = Told<typeof serviceShape>

import type { BodyId } from './body'
import type { Id } from './id'

/** Something that has to come out without anything else coming off: a filter, plugs, the sump, the gearbox alone. */
export interface ServiceCheck {
  readonly id: Id
  readonly name: string
  /** The part that comes out. */
  readonly body: BodyId
  /** Which way, chassis frame (forward, left, up), any length. */
  readonly toward: readonly [number, number, number]
  /** How far it has to come. */
  readonly wayMm: number
}

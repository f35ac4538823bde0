import type { Outline } from '../../file/parts/outline'
import type { Id } from '../../file/parts/id'

/** What a part on the shelf is: it decides what taking it changes in a build. */
export const SHELF_SORTS = ['engine', 'gearbox', 'transfer-case', 'axle', 'item'] as const
export type ShelfSort = (typeof SHELF_SORTS)[number]

/** A part that is not in any build: its sizes alone, in mm. */
export interface ShelfPart {
  readonly id: Id
  readonly name: string
  readonly sort: ShelfSort
  /** Along, across and up; of an axle the track is its size across, of a gearbox its length the one along. */
  readonly sizeMm: readonly [number, number, number]
  /** Of an engine or a gearbox: how much of its height lies above the crankshaft. */
  readonly aboveAxisMm?: number
  /** About the middle of its box: stations rearward, offsets to the left, heights. */
  readonly outlines?: readonly Outline[]
  readonly note?: string
}

import type { BodyId } from './body'
import type { Id } from './id'

/** Station, offset to the left and height of a centre of gravity, in mm. */
export type MassSpot = readonly [number, number, number]

/** A thing that is put in, taken out or moved. */
export interface MassEntry {
  readonly id: Id
  readonly name: string
  readonly done: 'in' | 'out' | 'moved'
  readonly kg?: number
  /** Where it is, or was before it was moved. */
  readonly at?: MassSpot
  readonly to?: MassSpot
  /** The body it goes along with when levers move it; `at` is as measured. */
  readonly body?: BodyId
  /** It hangs on the hoist with the unit. */
  readonly hangs?: boolean
}

/** A hook above a unit on the hoist. */
export interface HookSpot {
  readonly stationMm: number
  readonly heightMm: number
}

/** A balance that was found by trial: where the next lift starts. */
export interface BalanceNote {
  readonly id: Id
  readonly date?: string
  readonly note: string
}

/** What the scales say and what changes. */
export interface WeightSheet {
  /** Front left, front right, rear left, rear right. */
  readonly cornersKg?: readonly [number, number, number, number]
  readonly frontStationMm?: number
  readonly rearStationMm?: number
  readonly trackFrontMm?: number
  readonly trackRearMm?: number
  /** Height of the whole vehicle's centre of gravity. */
  readonly cgHeightMm?: number
  readonly masses: readonly MassEntry[]
  readonly hook?: HookSpot
  /** How it has to hang to go in, tail down. */
  readonly hangDeg?: number
  readonly balances?: readonly BalanceNote[]
}

import type { BodyId } from './body'
import type { Id } from './id'

/** Where a centre of gravity is, as far as it is known. */
export interface MassSpot {
  readonly stationMm?: number
  readonly leftMm?: number
  readonly upMm?: number
}

/** The four wheels, each with its scale. */
export const CORNERS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const
export type Corner = (typeof CORNERS)[number]

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
  readonly stationMm?: number
  readonly heightMm?: number
}

/** A balance that was found by trial: where the next lift starts. */
export interface BalanceNote {
  readonly id: Id
  readonly date?: string
  readonly note: string
}

/** What the scales say and what changes. */
export interface WeightSheet {
  readonly cornersKg?: Readonly<Partial<Record<Corner, number>>>
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

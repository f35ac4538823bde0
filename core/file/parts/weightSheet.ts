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
  /** It is part of the unit and still to be hung on it. */
  readonly later?: boolean
}

/** A hook above a unit on the hoist. */
export interface HookSpot {
  readonly stationMm?: number
  readonly heightMm?: number
}

/** A leg of a sling, as far as it is told. */
export interface LegSpot {
  readonly stationMm?: number
  readonly heightMm?: number
  readonly lengthMm?: number
}

/** A second weighing with the rear raised, as far as it is told. */
export interface TiltSheet {
  readonly frontKgRaised?: number
  readonly raisedMm?: number
  readonly radiusFrontMm?: number
  readonly radiusRearMm?: number
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
  /** Two legs to one ring, in the unit's own level frame. */
  readonly legs?: readonly LegSpot[]
  /** Stiffness of the mounts, upward. */
  readonly mountsNPerMm?: Readonly<Partial<Record<'frontLeft' | 'frontRight' | 'tail', number>>>
  /** Multiplies the torque on the mounts: a clutch that is let go. */
  readonly shock?: number
  readonly tilt?: TiltSheet
  readonly balances?: readonly BalanceNote[]
}

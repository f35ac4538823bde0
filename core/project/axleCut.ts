import type { Id } from './id'

/** A stretch from and to, in mm. */
export type CutStretch = readonly [number, number]

/** What is measured of one side of an axle that is cut. */
export interface AxleCutSide {
  readonly innerMm: number
  /** Where it is of full round section, from its splined end. */
  readonly innerPlain: CutStretch
  readonly outerMm: number
  /** The same of the outer piece, from its flange. */
  readonly outerPlain: CutStretch
  readonly splineShaft: CutStretch
  /** Of the gear, from the stop outward. */
  readonly splineGear: CutStretch
  readonly leastSplineMm: number
  readonly leastBiteMm: number
  /** Where the joint is to lie, from the inner end; in the middle of where it may when absent. */
  readonly atMm?: number
}

/** Schools of a live axle of another length: a new shaft from a machinist, or the old pieces in a sleeve or lapped. */
export const CUT_SCHOOLS = ['new-shaft', 'sleeve', 'lap'] as const

/** A live axle that is made to another width. */
export interface AxleCut {
  readonly id: Id
  readonly name: string
  readonly school: (typeof CUT_SCHOOLS)[number]
  /** From hub face to hub face. */
  readonly widthMm: number
  /** Of the differential's middle from the vehicle's, to the left. */
  readonly offsetLeftMm: number
  /** From the hub's face inward to the shaft's seat, and from the differential's middle outward to its stop. */
  readonly hubMm: number
  readonly stopMm: number
  readonly endPlayMm?: number
  readonly gapMm?: number
  readonly sleeveMm?: number
  readonly overlapMm?: number
  /** Of the shaft and of the sleeve's bore, where they were measured. */
  readonly shaftMm?: number
  readonly sleeveBoreMm?: number
  readonly left?: AxleCutSide
  readonly right?: AxleCutSide
}

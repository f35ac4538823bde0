import type { Id } from './id'

/** Figures of one side of an axle that is made to another width, each there once it was measured; all in mm. */
export const CUT_SIDE_FIGURES = [
  'innerMm',
  'innerPlainFromMm',
  'innerPlainToMm',
  'outerMm',
  'outerPlainFromMm',
  'outerPlainToMm',
  'shaftSplineFromMm',
  'shaftSplineToMm',
  'gearSplineFromMm',
  'gearSplineToMm',
  'leastSplineMm',
  'leastBiteMm',
] as const
export type CutSideFigure = (typeof CUT_SIDE_FIGURES)[number]

/**
 * One side: its inner piece from its splined end and its outer one from its flange, where each is of full round section, the spline of the shaft from
 * its inner end and of the gear from its stop outward, and what of bite and spline is wanted at least.
 */
export type AxleCutSide = { readonly [K in CutSideFigure]?: number } & {
  /** Where the joint is to lie, from the inner end; in the middle of where it may when absent. */
  readonly atMm?: number
}

/** Schools of a live axle of another width: a new shaft from a machinist, or the old pieces in a sleeve or lapped. */
export const CUT_SCHOOLS = ['new-shaft', 'sleeve', 'lap'] as const
export type CutSchool = (typeof CUT_SCHOOLS)[number]

/** A live axle that is made to another width; lengths in mm, each there once it was measured. */
export interface AxleCut {
  readonly id: Id
  readonly name: string
  readonly school: CutSchool
  /** From hub face to hub face. */
  readonly widthMm?: number
  /** Of the differential's middle from the vehicle's, to the left; in the middle when absent. */
  readonly offsetLeftMm?: number
  /** From the hub's face inward to the shaft's seat, and from the differential's middle outward to its stop. */
  readonly hubMm?: number
  readonly stopMm?: number
  readonly endPlayMm?: number
  readonly gapMm?: number
  readonly sleeveMm?: number
  readonly overlapMm?: number
  /** Of the shaft and of the sleeve's bore. */
  readonly shaftMm?: number
  readonly sleeveBoreMm?: number
  readonly left?: AxleCutSide
  readonly right?: AxleCutSide
}

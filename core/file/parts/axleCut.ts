import { object } from 'yup'
import { figure, maybe, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

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

const length = () => figure(0, 10_000)

/**
 * One side: its inner piece from its splined end and its outer one from its flange, where each is of full round section, the spline of the shaft from
 * its inner end and of the gear from its stop outward, and what of bite and spline is wanted at least.
 */
const side = maybe({
  ...(Object.fromEntries(CUT_SIDE_FIGURES.map((key) => [key, length()])) as Record<
    CutSideFigure,
    ReturnType<typeof length>
  >),
  /** Where the joint is to lie, from the inner end; in the middle of where it may when absent. */
  atMm: length(),
  /** Of the shaft that came for it, or as it was joined. */
  cameMm: length(),
})
export type AxleCutSide = NonNullable<Told<typeof side>>

/** Schools of a live axle of another width: a new shaft from a machinist, or the old pieces in a sleeve or lapped. */
export const CUT_SCHOOLS = ['new-shaft', 'sleeve', 'lap'] as const
export type CutSchool = (typeof CUT_SCHOOLS)[number]

/** A live axle that is made to another width; lengths in mm, each there once it was measured. */
export const axleCutShape = object({
  id: requiredId(),
  name: requiredName(),
  school: wordField(CUT_SCHOOLS).required(),
  /** From hub face to hub face. */
  widthMm: length(),
  /** Of the differential's middle from the vehicle's, to the left; in the middle when absent. */
  offsetLeftMm: figure(-5000, 5000),
  /** From the hub's face inward to the shaft's seat, and from the differential's middle outward to its stop. */
  hubMm: length(),
  stopMm: length(),
  endPlayMm: length(),
  gapMm: length(),
  sleeveMm: length(),
  overlapMm: length(),
  /** Of the shaft and of the sleeve's bore. */
  shaftMm: length(),
  sleeveBoreMm: length(),
  left: side,
  right: side,
})
export type AxleCut = Told<typeof axleCutShape>

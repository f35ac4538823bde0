import { CoreError } from '../../base/errors'

/** Two donor pieces held side by side at ride height, and how far they overlap with the inner joint at either stop, in mm. */
export interface PatternRead {
  /** Outer joint centre to the cut end, and inner joint centre to the cut end. */
  readonly outerPieceMm: number
  readonly innerPieceMm: number
  /** Pushed in to its inner stop: the pieces are slid apart, so they overlap the least. */
  readonly overlapBottomedMm: number
  /** At its outer stop: they overlap the most. */
  readonly overlapPulledMm: number
  /** How much longer than the middle the shaft is wished. */
  readonly offsetMm?: number
  /** Overlap it takes to clamp them. */
  readonly clampMm?: number
}

/** What the pattern says. */
export interface Pattern {
  readonly bottomedMm: number
  readonly pulledMm: number
  readonly middleMm: number
  readonly strokeMm: number
  /** To order, joint centre to joint centre. */
  readonly shaftMm: number
  /** Where the cut end is to lie when they are clamped: overlap, between the two scribe marks. */
  readonly overlapMm: number
  readonly toBottomMm: number
  readonly toPulledMm: number
  readonly canClamp: boolean
  /** Most that may be cut off a piece that is too long to be slid together. */
  readonly cutOffMm: number
}

/** Overlap it takes to clamp two pieces safely. */
export const USUAL_CLAMP_MM = 60

/**
 * A halfshaft's length from two donor pieces. The pattern is for the machinist alone, never a part.
 *
 * @throws CoreError `out-of-range` for marks that are swapped, pieces that do not meet, or an offset past a stop of the joint
 * @see docs/methods/halfshafts.md
 */
export function pattern(read: PatternRead): Pattern {
  const { outerPieceMm, innerPieceMm, overlapBottomedMm, overlapPulledMm } = read
  const { offsetMm = 0, clampMm = USUAL_CLAMP_MM } = read
  if (!(overlapBottomedMm < overlapPulledMm))
    throw new CoreError(
      'out-of-range',
      'marks',
      'bottomed, the pieces overlap less than pulled out: the marks are swapped',
    )
  if (!(overlapBottomedMm >= 0))
    throw new CoreError('out-of-range', 'pieces', 'the pieces do not meet with the joint bottomed')
  if (overlapPulledMm > Math.min(outerPieceMm, innerPieceMm))
    throw new CoreError('out-of-range', 'pieces', 'the overlap is longer than a piece')
  const sum = outerPieceMm + innerPieceMm
  const [bottomedMm, pulledMm] = [sum - overlapBottomedMm, sum - overlapPulledMm]
  const middleMm = (bottomedMm + pulledMm) / 2
  const shaftMm = middleMm + offsetMm
  if (shaftMm > bottomedMm || shaftMm < pulledMm)
    throw new CoreError('out-of-range', 'offset', 'the offset puts the joint past its stop')
  const overlapMm = sum - shaftMm
  return {
    bottomedMm,
    pulledMm,
    middleMm,
    strokeMm: bottomedMm - pulledMm,
    shaftMm,
    overlapMm,
    toBottomMm: bottomedMm - shaftMm,
    toPulledMm: shaftMm - pulledMm,
    canClamp: overlapMm >= clampMm,
    cutOffMm: Math.max(0, overlapMm - clampMm),
  }
}

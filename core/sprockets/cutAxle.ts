import { CoreError } from '../base/errors'

/** A stretch from and to, in mm. */
export type AxleStretch = readonly [number, number]

/** A piece of a shaft: its length, and the stretch of full round section that may be cut and sleeved, from its own end. */
export interface AxlePiece {
  readonly lengthMm: number
  readonly plain: AxleStretch
}

/** How two pieces are joined: butted in a sleeve, or one slid into the other; where, or in the middle of where it may be. */
export type AxleJoin =
  | { readonly kind: 'butt'; readonly gapMm: number; readonly sleeveMm: number; readonly atMm?: number }
  | { readonly kind: 'lap'; readonly overlapMm: number; readonly atMm?: number }

/** One side of an axle that is cut: its inner piece from its splined end, its outer one from its flange. */
export interface AxleSide {
  readonly inner: AxlePiece
  readonly outer: AxlePiece
  readonly join: AxleJoin
  /** Spline of the shaft from its inner end, and of the gear from the stop outward. */
  readonly spline: { readonly shaft: AxleStretch; readonly gear: AxleStretch; readonly leastMm: number }
  readonly leastBiteMm: number
}

/** What an axle's width asks of one side, in mm. */
export interface AxleRoom {
  readonly widthMm: number
  /** Of the differential's middle from the vehicle's, to the left: a left offset makes the left shaft shorter. */
  readonly offsetLeftMm: number
  /** From the hub's face inward to the shaft's seat, and from the differential's middle outward to its stop. */
  readonly hubMm: number
  readonly stopMm: number
  readonly endPlayMm?: number
}

/** Length that a side needs, in mm. @throws CoreError `out-of-range` where none is left */
export function neededLength(side: 'left' | 'right', room: AxleRoom): number {
  const { widthMm, offsetLeftMm, hubMm, stopMm, endPlayMm = 0 } = room
  const needMm = widthMm / 2 + (side === 'left' ? -1 : 1) * offsetLeftMm - hubMm - stopMm - endPlayMm
  if (!(needMm > 0))
    throw new CoreError('out-of-range', side, 'no shaft is left between hub and differential')
  return needMm
}

/** How a side is cut. */
export interface CutSide {
  readonly needMm: number
  readonly keep: AxleStretch
  readonly cut: AxleStretch
  /** Length of each piece inside the sleeve, or of the overlap. */
  readonly bite: AxleStretch
  /** Where the joint lies from the inner end, and between which places it may. */
  readonly atMm: number
  readonly range: AxleStretch
  readonly engagedMm: number
  readonly holds: boolean
}

/**
 * Cutting one side of a live axle to a length: what is kept and cut off of each piece, the bite of each in the sleeve, the spline that is left.
 *
 * A welded shaft that carries torque is the business of a qualified welder and of local rules.
 *
 * @throws CoreError `out-of-range` for figures that cannot be; `degenerate` where the pieces leave no place for the joint
 * @see docs/methods/chains.md
 */
export function cutSide(
  { inner, outer, join, spline, leastBiteMm }: AxleSide,
  needMm: number,
  endPlayMm = 0,
): CutSide {
  if (!(needMm > 0)) throw new CoreError('out-of-range', 'need', 'a shaft has a length')
  for (const [name, { lengthMm, plain }] of [
    ['inner', inner],
    ['outer', outer],
  ] as const)
    if (!(plain[0] >= 0 && plain[0] < plain[1] && plain[1] <= lengthMm))
      throw new CoreError(
        'out-of-range',
        name,
        'its plain stretch runs backwards, or is longer than the piece',
      )
  const { range, keepInner, keepOuter, bite } =
    join.kind === 'butt' ? butted(join, inner, outer, needMm) : lapped(join, inner, outer, needMm)
  if (range[0] > range[1] + 1e-9)
    throw new CoreError('degenerate', 'join', 'the pieces leave no place for the joint')
  const atMm = join.atMm ?? (range[0] + range[1]) / 2
  if (atMm < range[0] - 1e-9 || atMm > range[1] + 1e-9)
    throw new CoreError(
      'degenerate',
      'join',
      `the joint must lie from ${range[0].toFixed(1)} to ${range[1].toFixed(1)} mm`,
    )
  const keep = [keepInner(atMm), keepOuter(atMm)] as const
  // End play lets the shaft go outward in its gear.
  const from = Math.max(spline.shaft[0] + endPlayMm, spline.gear[0])
  const to = Math.min(spline.shaft[1] + endPlayMm, spline.gear[1])
  const engagedMm = Math.max(0, to - from)
  return {
    needMm,
    keep,
    cut: [inner.lengthMm - keep[0], outer.lengthMm - keep[1]],
    bite: [bite, bite],
    atMm,
    range,
    engagedMm,
    holds: bite >= leastBiteMm && engagedMm >= spline.leastMm,
  }
}

function butted(
  { gapMm, sleeveMm }: Extract<AxleJoin, { kind: 'butt' }>,
  inner: AxlePiece,
  outer: AxlePiece,
  needMm: number,
) {
  if (!(gapMm >= 0 && sleeveMm > gapMm))
    throw new CoreError('out-of-range', 'sleeve', 'a sleeve is longer than the gap in it')
  return {
    range: [
      Math.max(inner.plain[0] + sleeveMm / 2, needMm - outer.plain[1] - gapMm / 2),
      Math.min(inner.plain[1] + gapMm / 2, needMm - outer.plain[0] - sleeveMm / 2),
    ] as const,
    keepInner: (at: number) => at - gapMm / 2,
    keepOuter: (at: number) => needMm - at - gapMm / 2,
    bite: (sleeveMm - gapMm) / 2,
  }
}

function lapped(
  { overlapMm }: Extract<AxleJoin, { kind: 'lap' }>,
  inner: AxlePiece,
  outer: AxlePiece,
  needMm: number,
) {
  if (!(overlapMm > 0))
    throw new CoreError('out-of-range', 'overlap', 'pieces that do not overlap do not hold')
  return {
    range: [
      Math.max(inner.plain[0], needMm - outer.plain[1]),
      Math.min(inner.plain[1] - overlapMm, needMm - outer.plain[0] - overlapMm),
    ] as const,
    keepInner: (at: number) => at + overlapMm,
    keepOuter: (at: number) => needMm - at,
    bite: overlapMm,
  }
}

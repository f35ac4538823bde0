import { workedOnce } from '../../base/columns/kernel'
import { CoreError, requireFinite } from '../../base/errors'
import { MEMBER_BLANK } from './memberKernels'

/** A level part of a crossmember, seen from the front: y runs to the left, z up. */
export interface LevelPart {
  readonly leftY: number
  readonly rightY: number
  /** Of the face that it lies against. */
  readonly faceZ: number
  /** It hangs below that face, or lies on top of it. */
  readonly side: 'under' | 'over'
}

/** Between two rails and under a gearbox: two ends and a pad, each level, sloping parts between them. */
export interface MemberShape {
  readonly left: LevelPart
  readonly pad: LevelPart
  readonly right: LevelPart
}

/** What a crossmember is made of, and how it comes round its corners. */
export type MemberStock =
  /** Flat bar bent in a press. */
  | {
      readonly kind: 'flat'
      readonly thicknessMm: number
      readonly insideRadiusMm: number
      readonly kFactor: number
    }
  /** Round tube bent over a mandrel: its middle keeps its length. */
  | { readonly kind: 'tube'; readonly outerMm: number; readonly midlineRadiusMm: number }
  /** Square tube notched and folded about a line so far below the outside of the face left whole, and welded. */
  | { readonly kind: 'notched'; readonly heightMm: number; readonly hingeMm: number }

/** A corner of the blank, from its left end. */
export interface MemberCorner {
  /** Positive turns up going right. */
  readonly turnDeg: number
  /** Its middle: of a bend, or the hinge of a fold. */
  readonly atMm: number
}

/** How a crossmember is cut. */
export interface MemberBlank {
  readonly blankMm: number
  readonly corners: readonly MemberCorner[]
  readonly leastStraightMm: number
  /** Of the mid-line at the left end, the pad, the right end. */
  readonly midlineZ: readonly [number, number, number]
  /** The lowest of its undersides. */
  readonly lowestZ: number
}

export const stockHeight = (stock: MemberStock): number =>
  stock.kind === 'flat' ? stock.thicknessMm : stock.kind === 'tube' ? stock.outerMm : stock.heightMm

/**
 * How a stock comes round a corner: what it begins early by half the corner's tangent, and the metal in it by its angle.
 *
 * @throws CoreError `out-of-range` for sizes that cannot be
 */
export function cornerOf(stock: MemberStock): readonly [early: number, metal: number] {
  const refuse = (what: string, why: string): never => {
    throw new CoreError('out-of-range', what, why)
  }
  if (!(stockHeight(stock) > 0)) refuse('stock', 'its height is above 0')
  switch (stock.kind) {
    case 'flat': {
      const { thicknessMm, insideRadiusMm, kFactor } = stock
      if (!(insideRadiusMm >= 0)) refuse('radius', 'is 0 or more')
      if (!(kFactor > 0 && kFactor <= 0.5)) refuse('K', 'lies above 0 and to 0.5')
      return [insideRadiusMm + thicknessMm / 2, insideRadiusMm + kFactor * thicknessMm]
    }
    case 'tube':
      if (!(stock.midlineRadiusMm >= stock.outerMm / 2)) refuse('radius', 'is less than half the tube')
      return [stock.midlineRadiusMm, stock.midlineRadiusMm]
    case 'notched': {
      const beside = stock.heightMm / 2 - stock.hingeMm
      if (!(stock.hingeMm >= 0 && beside > 0)) refuse('hinge', 'lies in the face left whole')
      return [-beside, 0]
    }
  }
}

/**
 * The straight stock of a crossmember from the faces that it meets.
 *
 * @throws CoreError `out-of-range` for parts out of their order, stock that cannot be, or corners without room between them
 */
export function memberBlank({ left, pad, right }: MemberShape, stock: MemberStock): MemberBlank {
  const [early, metal] = cornerOf(stock)
  const height = stockHeight(stock)
  const parts = [left, pad, right]
  const places = parts.flatMap(({ leftY, rightY }) => [leftY, rightY])
  for (const one of [...places, ...parts.map(({ faceZ }) => faceZ)]) requireFinite(one, 'pad')
  if (places.some((y, i) => i > 0 && !(y < (places[i - 1] ?? NaN))))
    throw new CoreError('out-of-range', 'pads', 'do not follow each other from left to right')
  const middle = ({ faceZ, side }: LevelPart) => faceZ + (side === 'under' ? -height : height) / 2
  const midlineZ = [middle(left), middle(pad), middle(right)] as const
  const [blankMm = NaN, first = NaN, second = NaN, third = NaN, fourth = NaN, ...rest] = workedOnce(
    MEMBER_BLANK,
    [left.rightY - pad.leftY, pad.leftY - right.leftY, midlineZ[1] - midlineZ[0], midlineZ[1] - midlineZ[2]],
    [left.leftY - left.rightY, 0, 0, pad.leftY - pad.rightY, 0, right.leftY - right.rightY, early, metal],
  )
  const [turnLeft = NaN, turnRight = NaN, leastStraightMm = NaN] = rest
  if (!(leastStraightMm >= 0))
    throw new CoreError(
      'out-of-range',
      'bends',
      `${leastStraightMm.toFixed(1)} mm would stay straight between two`,
    )
  return {
    blankMm,
    corners: [
      { turnDeg: turnLeft, atMm: first },
      { turnDeg: -turnLeft, atMm: second },
      { turnDeg: turnRight, atMm: third },
      { turnDeg: -turnRight, atMm: fourth },
    ],
    leastStraightMm,
    midlineZ,
    lowestZ: Math.min(...midlineZ) - height / 2,
  }
}

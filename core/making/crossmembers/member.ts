import { CoreError, requireFinite } from '../../base/errors'
import { degrees } from '../../base/units/angle'
import { layOut, type LaidOut } from '../bends/layOut'
import { bendTake } from '../bends/bend'
import { notchFold, type Hinge } from '../folds/notchFold'

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
  /** Square tube notched, folded on the face left whole, and welded. */
  | { readonly kind: 'notched'; readonly heightMm: number; readonly wallMm: number }

/** A corner of the mid-line, from the left. */
export interface MemberCorner {
  /** Positive turns up going right. */
  readonly turnDeg: number
}

export interface MemberLine {
  /** Corner to corner along the mid-line, from the left: five parts. */
  readonly legsMm: readonly number[]
  /** Of each part going right. */
  readonly slopesDeg: readonly number[]
  readonly corners: readonly MemberCorner[]
  /** Of the mid-line at the left end, the pad, the right end. */
  readonly midlineZ: readonly [number, number, number]
  /** The lowest of its undersides. */
  readonly lowestZ: number
}

/** How it is cut, from the left end. */
export interface MemberBlank {
  readonly blankMm: number
  /** Of bent stock. */
  readonly bends: LaidOut | null
  /** Of notched stock. */
  readonly hinges: readonly Hinge[] | null
}

export const stockHeight = (stock: MemberStock): number =>
  stock.kind === 'flat' ? stock.thicknessMm : stock.kind === 'tube' ? stock.outerMm : stock.heightMm

/**
 * The mid-line of a crossmember from the faces that it meets.
 *
 * @throws CoreError `out-of-range` for parts out of their order or a stock without height
 */
export function memberLine({ left, pad, right }: MemberShape, stock: MemberStock): MemberLine {
  const height = stockHeight(stock)
  if (!(height > 0)) throw new CoreError('out-of-range', 'stock', 'its height is above 0')
  const parts = [left, pad, right]
  const places = parts.flatMap(({ leftY, rightY }) => [leftY, rightY])
  for (const { leftY, rightY, faceZ } of parts)
    for (const one of [leftY, rightY, faceZ]) requireFinite(one, 'pad')
  if (places.some((y, i) => i > 0 && !(y < (places[i - 1] ?? NaN))))
    throw new CoreError('out-of-range', 'pads', 'do not follow each other from left to right')
  const middle = ({ faceZ, side }: LevelPart) => faceZ + (side === 'under' ? -height : height) / 2
  const heights = parts.flatMap((part) => [middle(part), middle(part)])
  const steps = places.slice(1).map((y, i) => {
    const [across, up] = [(places[i] ?? NaN) - y, (heights[i + 1] ?? NaN) - (heights[i] ?? NaN)]
    return { legMm: Math.hypot(across, up), slopeDeg: degrees(Math.atan2(up, across)) }
  })
  const slopesDeg = steps.map(({ slopeDeg }) => slopeDeg)
  return {
    legsMm: steps.map(({ legMm }) => legMm),
    slopesDeg,
    corners: slopesDeg.slice(1).map((slope, i) => ({ turnDeg: slope - (slopesDeg[i] ?? NaN) })),
    midlineZ: [middle(left), middle(pad), middle(right)],
    lowestZ: Math.min(...parts.map(middle)) - height / 2,
  }
}

/**
 * The straight stock of a crossmember.
 *
 * @throws CoreError `out-of-range` for stock that cannot be, or corners without room between them
 */
export function memberBlank({ legsMm, corners }: MemberLine, stock: MemberStock): MemberBlank {
  if (stock.kind === 'notched') return notched(legsMm, corners, stock)
  const metal =
    stock.kind === 'flat'
      ? stock
      : {
          thicknessMm: stock.outerMm,
          insideRadiusMm: stock.midlineRadiusMm - stock.outerMm / 2,
          kFactor: 0.5,
        }
  if (!(metal.insideRadiusMm >= 0))
    throw new CoreError('out-of-range', 'radius', 'is less than half the tube')
  const takes = corners.map(({ turnDeg }) => bendTake(Math.abs(turnDeg), metal))
  const bends = layOut(legsMm, takes)
  return { blankMm: bends.blankMm, bends, hinges: null }
}

/** A corner that does not turn has no notch. */
const STRAIGHT_DEG = 1e-9

function notched(
  legsMm: readonly number[],
  corners: readonly MemberCorner[],
  { heightMm, wallMm }: Extract<MemberStock, { kind: 'notched' }>,
): MemberBlank {
  const legs = [legsMm[0] ?? NaN]
  const folds: { angleDeg: number; how: 'close' }[] = []
  corners.forEach(({ turnDeg }, i) => {
    const next = legsMm[i + 1] ?? NaN
    if (Math.abs(turnDeg) > STRAIGHT_DEG) {
      folds.push({ angleDeg: turnDeg, how: 'close' })
      legs.push(next)
    } else legs.push((legs.pop() ?? NaN) + next)
  })
  const tube = { heightMm, wallMm, folds, legsMm: legs, hingeLine: 'outer', legsAre: 'centreline' } as const
  const { blankMm, hinges } = notchFold(tube)
  return { blankMm, bends: null, hinges }
}

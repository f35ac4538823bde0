import type { Place2 } from '../base/outline/polygon'
import type { Vec3 } from '../base/linalg/vec3'
import { MEMBER_KINDS, type MemberWay } from '../file/kinds/memberKinds'
import { highMm, oldBarOf } from '../making/crossmembers/memberWay'
import type { MemberEvaluation } from '../model/memberSubject'
import type { WayFound } from '../model/memberWork'
import type { Seats } from '../model/memberColumns'
import { thickened } from './thickened'

/** A part of what hangs between the rails, as it is drawn. */
export interface MemberShape {
  readonly part: 'rail' | 'gearbox' | 'bush' | 'bar' | 'fill' | 'ledge' | 'ghost'
  readonly points: readonly Place2[]
}

/** Sizes of what is only hinted at, in mm. */
export const RAIL = { high: 90, wide: 70, thick: 7 }
const BOX = { wide: 190, narrow: 150, high: 130 }
const BUSH_MM = 70

/** What hangs where, in mm: x from the left rail, z up. */
export interface MemberLayout {
  readonly shapes: readonly MemberShape[]
  readonly path: readonly Place2[]
  /** Of the bar's height. */
  readonly half: number
  readonly span: number
  readonly along: number
  readonly lowest: Place2
  readonly groundMm: number | null
  readonly top: number
}

/** A way to make a crossmember from behind, with what it hangs on; its figures must be known. */
export function memberLayout(
  { member }: MemberEvaluation,
  found: WayFound,
  seats: Seats<Vec3>,
): MemberLayout {
  const figures = found.figures.known ? found.figures.value : {}
  const { fromLeftMm: along = NaN, fromRightMm = NaN, groundMm = null, fillMm = 0 } = figures
  const { kind } = found.way
  const heightMm = highMm(found.way)
  const span = along + fromRightMm
  // Half of each part, about its seat.
  const half = { end: member.endMm / 2, pad: member.padMm / 2, high: heightMm / 2 }
  const seat = seats.pad[2] - member.bushMm
  const side = member.side === 'under' ? (-1 as const) : (1 as const)
  const [left, right] = [seats.left[2], seats.right[2]]
  const { isCornered, hasSpacers } = MEMBER_KINDS[kind]
  const path = pathOf(found.way, { side, left, right, seat, along, span, half })
  // Its level parts, told at their outer ends, where nothing else is written.
  const levels = [path.at(-1), path[0], ...(isCornered ? [path[2]] : [])] as Place2[]
  const [x, z] = levels.reduce((low, one) => (one[1] < low[1] ? one : low))
  const lowest: Place2 = [x, z - half.high]
  const top = seats.pad[2] + BOX.high
  return {
    shapes: [
      { part: 'rail', points: rail(0, left, side, 1) },
      { part: 'rail', points: rail(span, right, side, -1) },
      { part: 'gearbox', points: gearbox(along, seats.pad[2]) },
      { part: 'bush', points: block(along, BUSH_MM, seat, seats.pad[2]) },
      ...(hasSpacers && fillMm > 0
        ? [{ part: 'fill' as const, points: block(along, BUSH_MM, seat - fillMm, seat) }]
        : []),
      ...(kind === 'ledges'
        ? [
            { part: 'ledge' as const, points: ledge(0, seat - heightMm, half.end) },
            { part: 'ledge' as const, points: ledge(span, seat - heightMm, half.end) },
          ]
        : []),
      { part: 'bar', points: thickened(path, heightMm) },
    ],
    path,
    half: half.high,
    span,
    along,
    lowest,
    groundMm,
    top,
  }
}

interface Level {
  /** -1 under the rails, 1 on top of them. */
  readonly side: 1 | -1
  readonly left: number
  readonly right: number
  readonly seat: number
  readonly along: number
  readonly span: number
  readonly half: { readonly end: number; readonly pad: number; readonly high: number }
}

/** Corners of a bar's mid-line from its left end. */
function pathOf(way: MemberWay, { side, left, right, seat, along, span, half }: Level): Place2[] {
  const [atLeft, atRight, atPad] = [left + side * half.high, right + side * half.high, seat - half.high]
  const old = oldBarOf(way)
  switch (way.kind) {
    case 'old': {
      if (!old.known) return []
      const { leftMm, rightMm, upMm } = old.value
      const ends: [Place2, Place2] = [
        [along - leftMm - half.end, atPad - upMm],
        [along + rightMm + half.end, atPad - upMm],
      ]
      return upMm === 0 ? ends : [ends[0], [along - half.pad, atPad], [along + half.pad, atPad], ends[1]]
    }
    case 'coped':
      // With its middle on the places told.
      return [
        [0, left],
        [span, right],
      ]
    case 'ledges':
      return [
        [-half.end, atPad],
        [span + half.end, atPad],
      ]
    case 'straight':
      return [
        [-half.end, atLeft],
        [span + half.end, atRight],
      ]
    case 'bent':
    case 'folded':
    case 'tube':
      return [
        [-half.end, atLeft],
        [half.end, atLeft],
        [along - half.pad, atPad],
        [along + half.pad, atPad],
        [span - half.end, atRight],
        [span + half.end, atRight],
      ]
  }
}

const block = (x: number, wide: number, low: number, high: number): Place2[] => [
  [x - wide / 2, low],
  [x + wide / 2, low],
  [x + wide / 2, high],
  [x - wide / 2, high],
]

const gearbox = (x: number, low: number): Place2[] => [
  [x - BOX.wide / 2, low],
  [x - BOX.narrow / 2, low + BOX.high],
  [x + BOX.narrow / 2, low + BOX.high],
  [x + BOX.wide / 2, low],
]

/** A rail as a channel with its web outside; the bar lies against its flange. */
function rail(x: number, face: number, side: number, inward: number): Place2[] {
  const { high, wide, thick } = RAIL
  const out = x - (inward * wide) / 2
  const into = x + (inward * wide) / 2
  // Away from the bar, which lies below the face or above it.
  const up = (z: number) => face - side * z
  return [
    [into, up(0)],
    [out, up(0)],
    [out, up(high)],
    [into, up(high)],
    [into, up(high - thick)],
    [out + inward * thick, up(high - thick)],
    [out + inward * thick, up(thick)],
    [into, up(thick)],
  ]
}

const ledge = (x: number, top: number, half: number): Place2[] => [
  [x - half, top],
  [x + half, top],
  [x + half, top - 6],
  [x - half, top - 6],
]

import type { Place2 } from '../base/outline/polygon'
import { radians } from '../base/units/angle'
import { add, dot, norm, scale, sub, type Vec3 } from '../base/linalg/vec3'
import { cutFrom } from '../making/copes/copeCut'
import { jointOf, type CopedTubeEvaluation, type TubeFound } from '../model/copedTubeSubject'
import type { CopedTube } from '../file/kinds/copedTubeKinds'

/** A tube from the side, its match line up, with what it lies on; px, y down. */
export interface CopedTubeScene {
  readonly width: number
  readonly height: number
  /** Tubes that it lies on. */
  readonly mains: readonly (readonly Place2[])[]
  /** The half of it that is seen; the half behind. */
  readonly front: readonly Place2[]
  readonly behind: readonly Place2[]
  /** From tip to tip at the match line. */
  readonly match: readonly [Place2, Place2]
}

const EDGE_PX = 20
const MOST_HIGH = 300
const ROUND = 60
/** A main tube is drawn so many of its diameters to each side. */
const REACH = 1.6
/** One that is looked at along its axis is a circle. */
const END_ON = 0.2

/** The picture of a tube, or null while it is not known. */
export function copedTubeScene({ tube, found }: CopedTubeEvaluation, width: number): CopedTubeScene | null {
  if (!found.known || found.value.figures.matchMm === undefined) return null
  const seen = frameOf(found.value)
  if (!seen) return null
  const mains = found.value.ends.flatMap(({ at, main }, k) => {
    const outer = tube.ends[k]?.main?.outerMm
    return main && outer !== undefined ? [mainShape(main, at, outer, seen)] : []
  })
  const edge = (from: number, to: number, side: 0 | 1) => edgeOf(tube, found.value, side, from, to)
  const front = [...edge(0, 180, 0), ...edge(180, 0, 1)]
  const behind = [...edge(360, 180, 0), ...edge(180, 360, 1)]
  const all = [...mains.flat(), ...front, ...behind]
  const range = (k: 0 | 1) =>
    [Math.min(...all.map((one) => one[k])), Math.max(...all.map((one) => one[k]))] as const
  const [[left, right], [low, high]] = [range(0), range(1)]
  const pxPerMm = Math.min((width - 2 * EDGE_PX) / (right - left), MOST_HIGH / (high - low))
  const inset = (width - pxPerMm * (right - left)) / 2
  const px = ([x, y]: Place2): Place2 => [inset + (x - left) * pxPerMm, EDGE_PX + (high - y) * pxPerMm]
  const ends = (side: 0 | 1) => px(edge(0, 0, side)[0] ?? [NaN, NaN])
  return {
    width,
    height: 2 * EDGE_PX + pxPerMm * (high - low),
    mains: mains.map((one) => one.map(px)),
    front: front.map(px),
    behind: behind.map(px),
    match: [ends(0), ends(1)],
  }
}

/** From the first end along the tube, and across it to the match line. */
interface Frame {
  readonly from: Vec3
  readonly along: Vec3
  readonly up: Vec3
}

function frameOf({ ends: [first, second] }: TubeFound): Frame | null {
  if (!first || !second) return null
  const way = sub(second.at, first.at)
  const along = scale(way, 1 / norm(way))
  const main = first.main ?? second.main
  const toward: Vec3 = main ? sub(main[1], main[0]) : [0, 0, 1]
  const across = sub(toward, scale(along, dot(toward, along)))
  return { from: first.at, along, up: scale(across, 1 / norm(across)) }
}

/** A cylinder is as wide as it is thick from wherever it is seen. */
function mainShape(
  [a, b]: readonly [Vec3, Vec3],
  end: Vec3,
  outerMm: number,
  { from, along, up }: Frame,
): Place2[] {
  const way = sub(b, a)
  const axis = scale(way, 1 / norm(way))
  const reach: Place2 = [dot(axis, along), dot(axis, up)]
  const flat = Math.hypot(...reach)
  const middle = add(a, scale(axis, dot(sub(end, a), axis)))
  const at: Place2 = [dot(sub(middle, from), along), dot(sub(middle, from), up)]
  if (flat < END_ON) return circle(at, outerMm / 2)
  const [x, y] = [reach[0] / flat, reach[1] / flat]
  const [long, half] = [outerMm * REACH * flat, outerMm / 2]
  const corner = (s: number, t: number): Place2 => [
    at[0] + s * long * x - t * half * y,
    at[1] + s * long * y + t * half * x,
  ]
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]
}

const circle = ([x, y]: Place2, radius: number): Place2[] =>
  Array.from({ length: ROUND }, (_, k) => {
    const angle = (2 * Math.PI * k) / ROUND
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })

/** The edge of an end between two turns from the match line, right-handed about the tube from its first end. */
function edgeOf(
  tube: CopedTube,
  { ends, figures }: TubeFound,
  side: 0 | 1,
  from: number,
  to: number,
): Place2[] {
  const end = ends[side]
  const joint = end && jointOf(tube, side, end)
  const long = norm(sub(ends[1]?.at ?? [NaN, NaN, NaN], ends[0]?.at ?? [NaN, NaN, NaN]))
  return Array.from({ length: ROUND + 1 }, (_, i): Place2 => {
    const turn = from + ((to - from) * i) / ROUND
    const phi = side === 0 ? turn : (figures.twistDeg ?? 0) - turn
    const cut = joint ? cutFrom(joint, radians(phi)) : 0
    const inward = (end?.figures.footMm ?? 0) + cut
    return [side === 0 ? inward : long - inward, (tube.outerMm / 2) * Math.cos(radians(turn))]
  })
}

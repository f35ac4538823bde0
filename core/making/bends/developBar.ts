import { sum } from '../../base/numbers'
import { CoreError, requireFinite } from '../../base/errors'
import { radians } from '../../base/units/angle'
import { bendTake, type BendTake, type BentMetal } from './bend'

/** A bend of a bar, by the change of direction: positive turns up going along the bar. */
export interface BarBend {
  readonly angleDeg: number
  readonly insideRadiusMm: number
  readonly kFactor: number
}

/** A flat bar as it is to be once it is bent. */
export interface BentBar {
  readonly thicknessMm: number
  readonly bends: readonly BarBend[]
  /** One more than there are bends. */
  readonly legsMm: readonly number[]
  /** Legs run from corner to corner of the mid-line, or of the outsides of each bend. */
  readonly legsAre: 'midline' | 'outside'
  /** What has to stay straight between bends, and at the ends. */
  readonly leastStraightMm?: number
  readonly leastRadiusMm?: number
}

/** A bend on the blank, from its beginning. */
export interface PlacedBend extends BendTake {
  /** Where it begins, its middle, where it ends. */
  readonly atMm: readonly [number, number, number]
  /** Its middle, from the other end of the blank. */
  readonly fromOtherEndMm: number
  readonly includedDeg: number
  readonly turns: 'up' | 'down'
}

export interface DevelopedBar {
  readonly blankMm: number
  /** Straight parts, one more than bends. */
  readonly straightsMm: readonly number[]
  readonly midlineLegsMm: readonly number[]
  readonly bends: readonly PlacedBend[]
  /** Corners of the mid-line in the side view, from (0, 0), the first leg along x. */
  readonly path: readonly (readonly [x: number, z: number])[]
  readonly endDirectionDeg: number
}

/** A sharper change of direction is no bend of a bar: its outside corner runs away. */
const MOST_DEG = 170
/** A bend whose neutral line lies beyond the middle is none of a flat. */
const MOST_K = 0.5

/**
 * The flat blank of a bent bar: straight parts between the tangents, and metal in the bends by their neutral line.
 *
 * @throws CoreError `wrong-length` when legs and bends do not fit, `out-of-range` for a bend that cannot be or too little left straight
 */
export function developBar(bar: BentBar): DevelopedBar {
  const { bends, legsMm } = bar
  if (legsMm.length !== bends.length + 1)
    throw new CoreError(
      'wrong-length',
      'legs',
      `${bends.length} bends have ${bends.length + 1} legs between them`,
    )
  const takes = bends.map((bend, i) => checkedTake(bar, bend, i))
  const midlineLegsMm = legsMm.map((leg, i) => leg - cornersBeyond(bar, i))
  const straightsMm = midlineLegsMm.map((leg, i) => leg - setback(takes[i - 1]) - setback(takes[i]))
  const least = Math.max(0, bar.leastStraightMm ?? 0)
  straightsMm.forEach((straight, i) => {
    if (!(straight >= least))
      throw new CoreError('out-of-range', `legs[${i}]`, `${straight.toFixed(1)} mm would stay straight there`)
  })
  const blankMm = sum(straightsMm) + sum(takes.map(({ allowanceMm }) => allowanceMm))
  let along = 0
  const placed = takes.map((take, i): PlacedBend => {
    const from = along + (straightsMm[i] ?? 0)
    along = from + take.allowanceMm
    const middle = from + take.allowanceMm / 2
    const { angleDeg } = bends[i] as BarBend
    return {
      ...take,
      atMm: [from, middle, along],
      fromOtherEndMm: blankMm - middle,
      includedDeg: 180 - Math.abs(angleDeg),
      turns: angleDeg > 0 ? 'up' : 'down',
    }
  })
  return { blankMm, straightsMm, midlineLegsMm, bends: placed, ...pathOf(midlineLegsMm, bends) }
}

function checkedTake(bar: BentBar, { angleDeg, insideRadiusMm, kFactor }: BarBend, i: number): BendTake {
  const size = Math.abs(angleDeg)
  const refuse = (what: string, why: string) => {
    throw new CoreError('out-of-range', `bends[${i}].${what}`, why)
  }
  requireFinite(angleDeg, `bends[${i}].angle`)
  if (!(size > 0 && size <= MOST_DEG))
    refuse('angle', `is a change of direction above 0 and to ${MOST_DEG}°; is it the included angle?`)
  if (!(bar.thicknessMm > 0)) refuse('thickness', 'must be above 0')
  if (!(insideRadiusMm >= Math.max(0, bar.leastRadiusMm ?? 0))) refuse('radius', 'is below the least')
  if (!(kFactor > 0 && kFactor <= MOST_K)) refuse('K', `lies above 0 and to ${MOST_K}`)
  const metal: BentMetal = { thicknessMm: bar.thicknessMm, insideRadiusMm, kFactor }
  return bendTake(size, metal)
}

/** How much further out than the mid-line's corners those of the outsides lie, at the ends of a leg. */
function cornersBeyond({ bends, legsAre, thicknessMm }: BentBar, leg: number): number {
  if (legsAre === 'midline') return 0
  const beyond = (bend: BarBend | undefined) =>
    bend ? (thicknessMm / 2) * Math.tan(radians(Math.abs(bend.angleDeg)) / 2) : 0
  return beyond(bends[leg - 1]) + beyond(bends[leg])
}

/** Corners of a line of legs that turns at each bend. */
export function pathOf(
  legsMm: readonly number[],
  turns: readonly { readonly angleDeg: number }[],
): Pick<DevelopedBar, 'path' | 'endDirectionDeg'> {
  const path: [number, number][] = [[0, 0]]
  let directionDeg = 0
  legsMm.forEach((leg, i) => {
    const [x, z] = path[i] as [number, number]
    const direction = radians(directionDeg)
    path.push([x + leg * Math.cos(direction), z + leg * Math.sin(direction)])
    directionDeg += turns[i]?.angleDeg ?? 0
  })
  return { path, endDirectionDeg: directionDeg }
}

const setback = (take: BendTake | undefined): number => take?.setbackMm ?? 0

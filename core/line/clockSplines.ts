import { trainMaps, type TrainJoint } from './joints/jointMap'
import { degrees } from '../base/units/angle'
import { uniformity, type Uniformity } from './uniformity'

/** How far one shaft's rear yoke is to be set over on its spline. */
export interface SplineTurn {
  /** Counted from 0 along the power flow. */
  readonly shaft: number
  /** Whole teeth from where it stands, positive right-handed about the rearward axis. */
  readonly turns: number
  readonly teeth: number
  readonly stepDeg: number
}

/** The best clocking of all splines of a line together. */
export interface Clocking {
  readonly shafts: readonly SplineTurn[]
  readonly before: Uniformity
  readonly after: Uniformity
  /** How many sets of turns are as good. */
  readonly ties: number
}

/** More settings than this, of several splines together, are not looked through. */
const MOST_SETTINGS = 200_000
/** Settings no further apart than this, in degrees, are as good as each other. */
const TIE_DEG = 1e-9

/**
 * The whole-tooth turns of all splines together that even the line out best; of equals the one with the least turning.
 *
 * Yokes are the same after half a turn, so an even count of teeth is looked through over half a turn, an odd one over a whole.
 *
 * @param phases - as they are, one a shaft, in radians about the flow direction
 * @param teeth - of each shaft's spline, undefined for a shaft without
 * @returns null without a spline, or with more settings than can be looked through
 * @see docs/methods/line.md
 */
export function clockSplines(
  train: readonly TrainJoint[],
  phases: readonly number[],
  teeth: readonly (number | undefined)[],
): Clocking | null {
  const splines = teeth.flatMap((count, shaft) => (count ? [{ shaft, count, turns: turnsOf(count) }] : []))
  const settings = splines.reduce((product, { turns }) => product * turns.length, 1)
  if (splines.length === 0 || settings > MOST_SETTINGS) return null
  const lineAt = (turns: readonly number[]): Uniformity => {
    const turned = [...phases]
    splines.forEach(({ shaft, count }, i) => {
      turned[shaft] = (turned[shaft] ?? 0) + ((turns[i] ?? 0) * 2 * Math.PI) / count
    })
    const map = trainMaps(train, turned).upTo.at(-1)
    return uniformity(map ?? [1, 0, 0, 1])
  }
  const before = lineAt(splines.map(() => 0))
  let best = { turns: splines.map(() => 0), after: before, deg: degrees(before.equivalentAngle) }
  let ties = 1
  for (const turns of combinations(splines.map((spline) => spline.turns))) {
    if (turns.every((turn) => turn === 0)) continue
    const after = lineAt(turns)
    const deg = degrees(after.equivalentAngle)
    if (deg > best.deg + TIE_DEG) continue
    const isAsGood = deg > best.deg - TIE_DEG
    ties = isAsGood ? ties + 1 : 1
    if (!isAsGood || sizeOf(turns) < sizeOf(best.turns)) best = { turns, after, deg }
  }
  return {
    shafts: splines.map(({ shaft, count }, i) => ({
      shaft,
      turns: best.turns[i] ?? 0,
      teeth: count,
      stepDeg: 360 / count,
    })),
    before,
    after: best.after,
    ties,
  }
}

const sizeOf = (turns: readonly number[]): number => turns.reduce((sum, turn) => sum + Math.abs(turn), 0)

/** Every turn of a spline that makes a difference, the smallest first. */
function turnsOf(teeth: number): number[] {
  const most = teeth % 2 === 0 ? Math.floor(teeth / 4) : Math.floor(teeth / 2)
  const turns = [0]
  for (let i = 1; i <= most; i++) turns.push(i, -i)
  return turns
}

function* combinations(lists: readonly (readonly number[])[]): Generator<number[]> {
  const [first, ...rest] = lists
  if (!first) {
    yield []
    return
  }
  for (const one of first) for (const others of combinations(rest)) yield [one, ...others]
}

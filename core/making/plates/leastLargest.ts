import { summit } from '../../base/summit'
import { turned, type Pair, type Pose } from './pose'
import { smallestCover, type Cover } from './smallestCover'

/** The pose whose largest error beyond its play is least. */
export interface LeastLargest {
  readonly pose: Pose
  /** Not above nought: all holes lie within their play. */
  readonly beyondMm: number
}

const STEPS = 72
const LOOKED_AT = 3

/** Over all turns: for each the best shift is a least circle, and near its best turn that has one lowest place. */
export function leastLargest(pairs: readonly Pair[]): LeastLargest {
  const at = (turn: number): Cover =>
    smallestCover(
      pairs.map(({ at: hole, boss, playMm }) => {
        const [x, y] = turned(hole, turn)
        return { at: [boss[0] - x, boss[1] - y], playMm }
      }),
    )
  const step = (2 * Math.PI) / STEPS
  const samples = Array.from({ length: STEPS }, (_, i) => ({ turn: i * step, beyond: at(i * step).beyondMm }))
  const lows = samples.filter(
    ({ beyond }, i) =>
      beyond <= (samples[(i + 1) % STEPS]?.beyond ?? NaN) &&
      beyond <= (samples[(i + STEPS - 1) % STEPS]?.beyond ?? NaN),
  )
  lows.sort((a, b) => a.beyond - b.beyond)
  const found = lows.slice(0, LOOKED_AT).map(({ turn }) => {
    const best = summit((one) => -at(one).beyondMm, turn - step, turn + step)
    const { at: shift, beyondMm } = at(best)
    return { pose: { turn: best, shift }, beyondMm }
  })
  return found.reduce((least, one) => (one.beyondMm < least.beyondMm ? one : least))
}

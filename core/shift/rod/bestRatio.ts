import { summit } from '../../base/summit'
import { aligned, type Aligned } from './aligned'
import type { Arms } from './bestRod'
import type { ShiftGate } from './gates'

/** So many ratios are tried before the best of them is narrowed. */
const LOOKS = 2000

/** Lever's arm by gearbox's arm that errs least. */
export interface BestRatio {
  readonly ratio: number
  readonly error: number
}

/**
 * The lever's arm, by that of the gearbox, with the least error over all gates; the gearbox's arm, the pivots and how the arms stand are kept, the rod is set
 * anew.
 *
 * @param by - what of the errors is to be least
 * @returns null where no ratio of the range reaches all gates
 * @throws CoreError as `aligned`
 */
export function bestRatio(
  arms: Arms,
  gates: readonly ShiftGate[],
  [low, high]: readonly [number, number],
  by: (errors: Aligned['errorsDeg']) => number | null,
): BestRatio | null {
  const errorAt = (ratio: number): number => {
    const lever = { ...arms.lever, armMm: ratio * arms.box.armMm }
    return by(aligned({ ...arms, lever }, gates).errorsDeg) ?? Infinity
  }
  const step = (high - low) / LOOKS
  let best = { ratio: low, error: errorAt(low) }
  for (let k = 1; k <= LOOKS; k++) {
    const ratio = low + step * k
    const error = errorAt(ratio)
    if (error < best.error) best = { ratio, error }
  }
  if (best.error === Infinity) return null
  const ratio = summit(
    (at) => -errorAt(at),
    Math.max(low, best.ratio - step),
    Math.min(high, best.ratio + step),
  )
  return { ratio, error: errorAt(ratio) }
}

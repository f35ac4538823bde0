import type { LineNumbers } from '../line/lineNumbers'
import { peakAcceleration } from '../line/uniformity'
import type { Check } from './check'

/**
 * The checked quantity of a placed line, in the quantity's unit.
 *
 * @param speedRpm - shaft speed, for the quantities that have one
 * @returns NaN for quantities that do not come from the line's geometry
 */
export function checkValue(
  { quantity, subject }: Pick<Check, 'quantity' | 'subject'>,
  { anglesDeg, whole, criticalSpeedsRpm }: LineNumbers,
  speedRpm: number | null,
): number {
  const index = subject.of === 'line' ? 0 : subject.index
  switch (quantity) {
    case 'joint-angle':
    case 'flex-disc-angle':
      return anglesDeg[index] ?? NaN
    case 'pair-difference':
      return Math.abs((anglesDeg[index + 1] ?? NaN) - (anglesDeg[index] ?? NaN))
    case 'torsional-acceleration':
      return speedRpm === null ? NaN : peakAcceleration(whole, speedRpm)
    case 'critical-speed-ratio':
      return speedRpm === null ? NaN : speedRpm / (criticalSpeedsRpm[index] ?? Infinity)
    default:
      return NaN
  }
}

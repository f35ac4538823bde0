import { CoreError } from '../../base/errors'

/** Coarse pitches by diameter. */
const PITCHES: Readonly<Record<number, number>> = { 6: 1, 8: 1.25, 10: 1.5, 12: 1.75, 14: 2, 16: 2 }

/** A bolt's thread. */
export interface Thread {
  readonly diameterMm: number
  readonly pitchMm: number
}

/**
 * The coarse thread of a diameter, or another of its pitch.
 *
 * @throws CoreError `unknown` for a diameter without a pitch
 */
export function threadOf(diameterMm: number, pitchMm = PITCHES[diameterMm]): Thread {
  if (!(diameterMm > 0) || pitchMm === undefined || !(pitchMm > 0))
    throw new CoreError('unknown', 'diameter', `no coarse pitch is known for ${diameterMm} mm`)
  return { diameterMm, pitchMm }
}

/** Lengths that bolts are sold in. */
export const STOCK_LENGTHS_MM: readonly number[] = [
  12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80, 90, 100, 110, 120, 130, 140, 150,
]

/**
 * The next length that is sold.
 *
 * @throws CoreError `out-of-range` when none is long enough
 */
export function stockLength(neededMm: number, stockMm = STOCK_LENGTHS_MM): number {
  const length = [...stockMm].sort((a, b) => a - b).find((one) => one >= neededMm - 1e-9)
  if (length === undefined)
    throw new CoreError('out-of-range', 'length', `no bolt of ${neededMm.toFixed(1)} mm or more is sold`)
  return length
}

/** Tightening of a bolt to a share of its proof load. */
export interface Tightening {
  readonly stressAreaMm2: number
  readonly preloadN: number
  readonly torqueNm: number
}

/** Share of the proof load that a bolt is tightened to. */
const PRELOAD_SHARE = 0.75

/**
 * Preload and torque of a bolt: stress area of a metric thread, and the torque factor of dry, oiled or pasted threads.
 *
 * @param friction - torque by preload and diameter: 0.20 dry, 0.15 oiled, 0.12 paste
 */
export function tightening({ diameterMm, pitchMm }: Thread, proofMPa: number, friction: number): Tightening {
  const stressAreaMm2 = (Math.PI / 4) * (diameterMm - 0.9382 * pitchMm) ** 2
  const preloadN = PRELOAD_SHARE * proofMPa * stressAreaMm2
  return { stressAreaMm2, preloadN, torqueNm: (friction * preloadN * diameterMm) / 1000 }
}

import { sum } from '../../base/numbers'
import { CoreError } from '../../base/errors'
import type { BendTake } from './bend'

/** Bends on straight stock, from its beginning. */
export interface LaidOut {
  readonly blankMm: number
  /** Straight parts, one more than bends. */
  readonly straightsMm: readonly number[]
  /** Of each bend: where it begins, its middle, where it ends, and what it takes. */
  readonly bends: readonly (BendTake & { readonly atMm: readonly [number, number, number] })[]
}

/**
 * Straight parts between the tangents, and the metal of the bends.
 *
 * @param midlineLegsMm - from corner to corner of the mid-line, one more than bends
 * @throws CoreError `out-of-range` where less than the least stays straight
 */
export function layOut(
  midlineLegsMm: readonly number[],
  takes: readonly BendTake[],
  leastStraightMm = 0,
): LaidOut {
  const setback = (i: number) => takes[i]?.setbackMm ?? 0
  const straightsMm = midlineLegsMm.map((leg, i) => leg - setback(i - 1) - setback(i))
  straightsMm.forEach((straight, i) => {
    if (!(straight >= leastStraightMm))
      throw new CoreError('out-of-range', `legs[${i}]`, `${straight.toFixed(1)} mm would stay straight there`)
  })
  let along = 0
  const bends = takes.map((take, i) => {
    const from = along + (straightsMm[i] ?? 0)
    along = from + take.allowanceMm
    return { ...take, atMm: [from, from + take.allowanceMm / 2, along] as const }
  })
  return { blankMm: sum(straightsMm) + sum(takes.map(({ allowanceMm }) => allowanceMm)), straightsMm, bends }
}

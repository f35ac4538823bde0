import { CoreError, requireFinite } from '../../base/errors'
import type { PartSpread } from '../../file/parts/mating'
import { SpreadCurve } from './spreadCurve'

/** One thickness in a stack of sizes, in mm. */
export interface StackSize {
  /** +1 where it opens what is asked for, −1 where it takes from it. */
  readonly sign: 1 | -1
  readonly nominalMm: number
  readonly plusMm: number
  readonly minusMm: number
  readonly spread: PartSpread
}

/** From where to where the result may lie, in mm; null where it is open. */
export interface StackWindow {
  readonly minMm: number | null
  readonly maxMm: number | null
}

/** What a stack of sizes comes to, in mm. */
export interface StackResult {
  /** As drawn. */
  readonly nominal: number
  /** Middle of what may come: unequal tolerances move it off the nominal size. */
  readonly mid: number
  /** Every part at its worst. */
  readonly worst: readonly [number, number]
  /** By the root of the sum of squares. */
  readonly rss: readonly [number, number]
  readonly sd: number
  /** 0.135 %, 50 % and 99.865 % of what will come. */
  readonly quantiles: readonly [number, number, number]
  /** Share that comes out below and above the window. */
  readonly below: number
  readonly above: number
  /** Share of each part in the variance. */
  readonly shares: readonly number[]
}

/** Tolerance over standard deviation, by how the sizes are spread. */
const REACH = { normal: 3, uniform: Math.sqrt(3), triangular: Math.sqrt(6) } as const
const TAIL = 0.00135

/**
 * A signed stack of sizes with their tolerances: worst case, root sum of squares, and the spread of the sum itself.
 *
 * A part that counts negative swaps its plus and its minus.
 *
 * @throws CoreError `out-of-range` for a tolerance that is negative or larger than its part, or a window the wrong way round, `not-finite`
 * @see docs/methods/mating.md
 * @example stackUp([{ sign: 1, nominalMm: 3, plusMm: 0.1, minusMm: 0.1, spread: 'normal' }]).worst // [2.9, 3.1]
 */
export function stackUp(sizes: readonly StackSize[], window: StackWindow = OPEN): StackResult {
  sizes.forEach(requireSize)
  const { minMm, maxMm } = window
  if (minMm !== null && maxMm !== null && minMm > maxMm)
    throw new CoreError('out-of-range', 'limits', 'the smaller one is above the larger one')
  const sum = (of: (size: StackSize) => number) => sizes.reduce((total, size) => total + of(size), 0)
  const nominal = sum(({ sign, nominalMm }) => sign * nominalMm)
  const mid = sum(({ sign, nominalMm, plusMm, minusMm }) => sign * (nominalMm + (plusMm - minusMm) / 2))
  const reach = Math.sqrt(sum((size) => half(size) * half(size)))
  const variance = sum(varianceOf)
  const curve = spreadOfSum(sizes)
  return {
    nominal,
    mid,
    worst: [
      sum(({ sign, nominalMm, plusMm, minusMm }) => (sign > 0 ? nominalMm - minusMm : -nominalMm - plusMm)),
      sum(({ sign, nominalMm, plusMm, minusMm }) => (sign > 0 ? nominalMm + plusMm : -nominalMm + minusMm)),
    ],
    rss: [mid - reach, mid + reach],
    sd: Math.sqrt(variance),
    quantiles: [mid + curve.quantile(TAIL), mid + curve.quantile(0.5), mid + curve.quantile(1 - TAIL)],
    below: minMm === null ? 0 : curve.below(minMm - mid),
    // The spread is symmetric about its middle: what lies above is what lies below in the mirror.
    above: maxMm === null ? 0 : curve.below(mid - maxMm),
    shares: sizes.map((size) => (variance > 0 ? varianceOf(size) / variance : 0)),
  }
}

const OPEN: StackWindow = { minMm: null, maxMm: null }
const half = ({ plusMm, minusMm }: StackSize): number => (plusMm + minusMm) / 2
const varianceOf = (size: StackSize): number => (half(size) / REACH[size.spread]) ** 2

function requireSize(size: StackSize, index: number): void {
  const { nominalMm, plusMm, minusMm } = size
  for (const figure of [nominalMm, plusMm, minusMm]) requireFinite(figure, `part ${index + 1}`)
  if (plusMm < 0 || minusMm < 0)
    throw new CoreError('out-of-range', `part ${index + 1}`, 'a tolerance must not be negative')
  // A size of nought is a step that may stand either way.
  if (nominalMm !== 0 && Math.max(plusMm, minusMm) > Math.abs(nominalMm))
    throw new CoreError('out-of-range', `part ${index + 1}`, 'a tolerance must not be larger than its part')
}

/** The sum about its middle: all normal parts are one, a triangle is two uniform parts of half its width. */
function spreadOfSum(sizes: readonly StackSize[]): SpreadCurve {
  const normal = Math.sqrt(
    sizes.reduce((total, size) => total + (size.spread === 'normal' ? varianceOf(size) : 0), 0),
  )
  const uniform = sizes.flatMap((size) => {
    if (size.spread === 'uniform') return [half(size)]
    return size.spread === 'triangular' ? [half(size) / 2, half(size) / 2] : []
  })
  return new SpreadCurve(normal, uniform)
}

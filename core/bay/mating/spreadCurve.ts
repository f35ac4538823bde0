/** Steps on each side of the middle; the curve is smooth, so that this many keep six digits. */
const STEPS = 8192
/** Standard deviations beyond which a normal spread is nought for all purposes. */
const NORMAL_REACH = 7

/**
 * How a sum of independent errors about nought is spread: one normal error and any number of uniform ones, as the share that lies
 * below each place of a grid.
 *
 * A uniform error averages that share over its width, which is the difference of its running integral at both ends: exact
 * convolution, one part after the other.
 *
 * @see docs/methods/mating.md
 */
export class SpreadCurve {
  private readonly step: number
  private share: Float64Array

  /**
   * @param deviation - of the normal error, in mm
   * @param halfWidths - of the uniform errors, in mm
   */
  constructor(deviation: number, halfWidths: readonly number[]) {
    const reach = halfWidths.reduce((sum, width) => sum + width, NORMAL_REACH * deviation)
    // Where nothing errs any grid will do; the middle step tells below from above.
    this.step = (reach > 0 ? reach * (1 + 2 / STEPS) : 1) / STEPS
    const at = (index: number) => (index - STEPS) * this.step
    const widths = [...halfWidths].filter((width) => width > 0).sort((a, b) => b - a)
    // The widest uniform error begins where there is no normal one, so that no jump has to be averaged.
    const first = deviation > 0 ? 0 : (widths.shift() ?? 0)
    const begin = (x: number) =>
      deviation > 0 ? normalBelow(x / deviation) : first > 0 ? ramp(x, first) : x < 0 ? 0 : x > 0 ? 1 : 0.5
    this.share = Float64Array.from({ length: 2 * STEPS + 1 }, (_, index) => begin(at(index)))
    for (const width of widths) this.average(width)
    this.isSure = reach === 0
  }

  private readonly isSure: boolean

  /** Share of the sums that lie below a place, in mm from the middle. */
  below(x: number): number {
    if (this.isSure) return x > ROUNDING ? 1 : 0
    const place = x / this.step + STEPS
    if (place <= 0) return 0
    if (place >= 2 * STEPS) return 1
    const index = Math.floor(place)
    const before = this.share[index] as number
    return before + (place - index) * ((this.share[index + 1] as number) - before)
  }

  /** Place below which a share of the sums lies, in mm from the middle. */
  quantile(share: number): number {
    if (this.isSure) return 0
    let [low, high] = [0, 2 * STEPS]
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if ((this.share[middle] as number) < share) low = middle
      else high = middle
    }
    const [before, behind] = [this.share[low] as number, this.share[high] as number]
    const part = behind > before ? (share - before) / (behind - before) : 0
    return (low + part - STEPS) * this.step
  }

  /** Averages the shares over the width of a uniform error. */
  private average(halfWidth: number): void {
    const { share, step } = this
    const sums = new Float64Array(share.length)
    for (let index = 1; index < share.length; index++)
      sums[index] =
        (sums[index - 1] as number) + ((share[index - 1] as number) + (share[index] as number)) / 2
    const last = share.length - 1
    const width = halfWidth / step
    /** Integral of the share up to a place, in steps; beyond the grid it is 0 on one side and 1 on the other. */
    const integral = (place: number): number => {
      if (place <= 0) return 0
      if (place >= last) return (sums[last] as number) + place - last
      const index = Math.floor(place)
      const part = place - index
      const before = share[index] as number
      return (sums[index] as number) + part * (before + (part / 2) * ((share[index + 1] as number) - before))
    }
    this.share = share.map((_, index) => (integral(index + width) - integral(index - width)) / (2 * width))
  }
}

/** Sums of decimal sizes meet their limit within this, in mm. */
const ROUNDING = 1e-9

const ramp = (x: number, halfWidth: number): number =>
  Math.min(1, Math.max(0, (x + halfWidth) / (2 * halfWidth)))

/** Share of a normal spread below a place in standard deviations, within 1.5e-7 (Abramowitz and Stegun 7.1.26). */
function normalBelow(x: number): number {
  const size = Math.abs(x) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * size)
  const series =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const tail = (series * Math.exp(-size * size)) / 2
  return x < 0 ? tail : 1 - tail
}

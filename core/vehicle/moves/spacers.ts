/** Spacers of one thickness at hand, in mm; as many as wanted where no count is given. */
export interface SpacerStock {
  readonly thickness: number
  readonly count?: number
}

/** Stacks that come equally near to a height. */
export interface SpacerStacks {
  /** How many of each thickness, in the order of the stock. */
  readonly stacks: readonly (readonly number[])[]
  readonly pieces: number
  /** How far they are from the height, in mm. */
  readonly off: number
}

/** More spacers than this under one mount are a stack nobody trusts. */
const MOST = 4
/** Spacers and shims are cut to a tenth. */
const CLOSE = 0.05
/** Sums of thicknesses carry rounding; two closer than this, in mm, are one. */
const SAME = 1e-9

/**
 * The stacks of fewest pieces within a tolerance of a height, and of those the nearest to it.
 *
 * @param height - in mm
 * @param tolerance - in mm
 * @param most - pieces in one stack at the most
 * @returns null when no stack comes within the tolerance
 */
export function bestStacks(
  height: number,
  stock: readonly SpacerStock[],
  tolerance = CLOSE,
  most = MOST,
): SpacerStacks | null {
  for (let pieces = 1; pieces <= most; pieces++) {
    const near = nearest(stacksOf(stock, pieces), height)
    if (near && near.off <= tolerance + SAME) return near
  }
  return null
}

/** Of all stacks there are, those nearest to a height; of those the ones of fewest pieces. */
export function nearestStacks(
  height: number,
  stock: readonly SpacerStock[],
  most = MOST,
): SpacerStacks | null {
  const all = Array.from({ length: most }, (_, i) => nearest(stacksOf(stock, i + 1), height))
  return all.reduce((best, one) => (one && (!best || one.off < best.off - SAME) ? one : best), null)
}

/** Heights that stacks of the stock make, each with the fewest pieces it takes. */
export function stackHeights(stock: readonly SpacerStock[], most = MOST): ReadonlyMap<number, number> {
  const heights = new Map<number, number>()
  for (let pieces = 1; pieces <= most; pieces++)
    for (const { sum } of stacksOf(stock, pieces)) {
      const height = Math.round(sum * 1e6) / 1e6
      if (!heights.has(height)) heights.set(height, pieces)
    }
  return heights
}

interface Stack {
  readonly counts: readonly number[]
  readonly sum: number
}

function nearest(stacks: readonly Stack[], height: number): SpacerStacks | null {
  const offs = stacks.map(({ sum }) => Math.abs(sum - height))
  const off = Math.min(...offs)
  const best = stacks.filter((_, i) => (offs[i] ?? Infinity) <= off + SAME)
  const pieces = best[0]?.counts.reduce((sum, count) => sum + count, 0)
  return pieces === undefined ? null : { stacks: best.map(({ counts }) => counts), pieces, off }
}

/** All stacks of exactly so many pieces. */
function stacksOf(stock: readonly SpacerStock[], pieces: number): Stack[] {
  const [first, ...rest] = stock
  if (!first) return pieces === 0 ? [{ counts: [], sum: 0 }] : []
  const most = Math.min(pieces, first.count ?? pieces)
  return Array.from({ length: most + 1 }, (_, count) =>
    stacksOf(rest, pieces - count).map(({ counts, sum }) => ({
      counts: [count, ...counts],
      sum: sum + count * first.thickness,
    })),
  ).flat()
}

/**
 * Fewest spacers from stock that add up to a height.
 *
 * @param height - in mm
 * @param stock - thicknesses at hand, each as often as wanted, in mm
 * @returns thicknesses, thickest first, or null when four do not make it
 * @example spacerStack(9, [3, 5, 6, 10]) // [6, 3]
 */
export function spacerStack(height: number, stock: readonly number[]): number[] | null {
  if (Math.abs(height) <= CLOSE) return null
  const sizes = [...new Set(stock)].filter((size) => size > 0).sort((a, b) => b - a)
  const [counts] =
    bestStacks(
      height,
      sizes.map((thickness) => ({ thickness })),
    )?.stacks.toReversed() ?? []
  return counts ? counts.flatMap((count, i) => Array<number>(count).fill(sizes[i] ?? NaN)) : null
}

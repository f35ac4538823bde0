/** More spacers than this under one mount are a stack nobody trusts. */
const MOST = 4
/** Spacers and shims are cut to a tenth. */
const CLOSE = 0.05

/**
 * Fewest spacers from stock that add up to a height.
 *
 * @param height - in mm
 * @param stock - thicknesses at hand, each as often as wanted, in mm
 * @returns thicknesses, thickest first, or null when four do not make it
 * @example spacerStack(9, [3, 5, 6, 10]) // [6, 3]
 */
export function spacerStack(height: number, stock: readonly number[]): number[] | null {
  const sizes = [...new Set(stock)].filter((size) => size > 0).sort((a, b) => b - a)
  for (let count = 1; count <= MOST; count++) {
    const stack = stackOf(height, sizes, count)
    if (stack) return stack
  }
  return null
}

function stackOf(height: number, sizes: readonly number[], count: number): number[] | null {
  if (count === 0) return Math.abs(height) <= CLOSE ? [] : null
  for (const [index, size] of sizes.entries()) {
    if (size > height + CLOSE) continue
    const rest = stackOf(height - size, sizes.slice(index), count - 1)
    if (rest) return [size, ...rest]
  }
  return null
}

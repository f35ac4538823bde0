/** A stream of chance that depends on its seed alone. */
export interface Random {
  /** Evenly between 0 (included) and 1 (excluded). */
  readonly uniform: () => number
  /** Normal with mean 0 and standard deviation 1. */
  readonly normal: () => number
}

/** Draws thrown away first, so that near seeds part company. */
const WARM_UP = 12

/**
 * A seeded generator: small fast counter of 128 bits.
 *
 * @param seed - a whole number; its lower 32 bits count
 * @see docs/methods/uncertainty.md (sfc32, Doty-Humphrey; normal deviates by the polar method, Marsaglia and Bray 1964)
 */
export function seededRandom(seed: number): Random {
  let [a, b, c, counter] = [seed | 0, 0x9e3779b9 | 0, 0x243f6a88 | 0, 1]
  const uniform = (): number => {
    const sum = (((a + b) | 0) + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (((c << 21) | (c >>> 11)) + sum) | 0
    return (sum >>> 0) / 4294967296
  }
  for (let i = 0; i < WARM_UP; i++) uniform()
  let spare: number | null = null
  const normal = (): number => {
    if (spare !== null) {
      const kept = spare
      spare = null
      return kept
    }
    for (;;) {
      const x = 2 * uniform() - 1
      const y = 2 * uniform() - 1
      const square = x * x + y * y
      if (square >= 1 || square === 0) continue
      const stretch = Math.sqrt((-2 * Math.log(square)) / square)
      spare = y * stretch
      return x * stretch
    }
  }
  return { uniform, normal }
}

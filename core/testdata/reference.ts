/** Absolute and relative tolerance of one key in a file of reference cases. */
export interface Tolerance {
  readonly abs?: number
  readonly rel?: number
}

/**
 * Compares computed figures with a reference case, key by key: |got − expected| ≤ abs + rel·|expected|.
 *
 * @returns one line for each figure that is off; empty when all agree
 */
export function disagreements(
  got: Readonly<Record<string, unknown>>,
  expected: Readonly<Record<string, unknown>>,
  tolerance: Readonly<Record<string, Tolerance | undefined>>,
): string[] {
  return Object.keys(got).flatMap((key) => differing(key, got[key], expected[key], tolerance[key] ?? { abs: 0 }))
}

function differing(key: string, got: unknown, expected: unknown, tolerance: Tolerance): string[] {
  if (typeof expected === 'number' && typeof got === 'number') {
    const allowed = (tolerance.abs ?? 0) + (tolerance.rel ?? 0) * Math.abs(expected)
    return Math.abs(got - expected) <= allowed ? [] : [`${key}: got ${got}, expected ${expected}`]
  }
  if (Array.isArray(expected) && Array.isArray(got) && expected.length === got.length) {
    return expected.flatMap((one, index) => differing(`${key}[${index}]`, got[index], one, tolerance))
  }
  if (isRecord(expected) && isRecord(got)) {
    return Object.keys(expected).flatMap((inner) => differing(`${key}.${inner}`, got[inner], expected[inner], tolerance))
  }
  return Object.is(got, expected) ? [] : [`${key}: got ${String(got)}, expected ${String(expected)}`]
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

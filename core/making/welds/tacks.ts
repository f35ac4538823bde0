/** How a seam is tacked: how many, how long each, and where, in the order in which they are made. */
export interface TackPlan {
  readonly lengthMm: number
  /** From one end of the seam, in the order of making. */
  readonly atMm: readonly number[]
}

/** In thicknesses of the thinner part. */
const TACK_LONG = 3.5
const TACK_APART = 27.5

/**
 * Tacks of a seam: both ends first, then always the middle of the longest stretch that has none.
 *
 * @param lengthMm - of the seam
 * @param thicknessMm - of the thinner part
 */
export function tackPlan(lengthMm: number, thicknessMm: number): TackPlan {
  const tackMm = Math.min(TACK_LONG * thicknessMm, lengthMm / 2)
  const stretches = Math.max(1, Math.ceil((lengthMm - tackMm) / (TACK_APART * thicknessMm)))
  const step = (lengthMm - tackMm) / stretches
  return { lengthMm: tackMm, atMm: inOrder(stretches).map((k) => tackMm / 2 + k * step) }
}

/** Places 0 to `last`: ends first, then middles, the longest stretch before the others. */
function inOrder(last: number): number[] {
  const order = [0, last]
  const stretches: (readonly [number, number])[] = [[0, last]]
  for (let next = stretches.shift(); next; next = stretches.shift()) {
    const [from, to] = next
    if (to - from < 2) continue
    const middle = Math.round((from + to) / 2)
    order.push(middle)
    stretches.push([from, middle], [middle, to])
    stretches.sort(([a, b], [c, d]) => d - c - (b - a))
  }
  return order
}

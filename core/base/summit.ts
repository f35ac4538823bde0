/** So often it is narrowed by golden section: to the last digits of a place. */
const NARROWINGS = 80

/** The highest place of a function with one summit between two places, or at one of them (golden section; Kiefer 1953). */
export function summit(of: (at: number) => number, low: number, high: number): number {
  const share = (Math.sqrt(5) - 1) / 2
  let [left, right] = [high - share * (high - low), low + share * (high - low)]
  let [atLeft, atRight] = [of(left), of(right)]
  const ends = [low, high] as const
  for (let k = 0; k < NARROWINGS; k++) {
    if (atLeft >= atRight) {
      high = right
      ;[right, atRight] = [left, atLeft]
      left = high - share * (high - low)
      atLeft = of(left)
    } else {
      low = left
      ;[left, atLeft] = [right, atRight]
      right = low + share * (high - low)
      atRight = of(right)
    }
  }
  const middle = (low + high) / 2
  return [middle, ...ends].reduce((best, at) => (of(at) > of(best) ? at : best))
}

/**
 * Places moved as little as need be so that each stands at least so far below the one before, in their own order.
 *
 * @param places - wanted, in px
 * @param least - distance between two, in px
 * @param bottom - none may stand below it
 */
export function apart(places: readonly number[], least: number, bottom: number): number[] {
  const order = places.map((_, i) => i).sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0))
  const moved = [...places]
  let from = -Infinity
  for (const i of order) {
    from = Math.max(moved[i] ?? 0, from + least)
    moved[i] = from
  }
  let below = bottom
  for (const i of order.toReversed()) {
    moved[i] = Math.min(moved[i] ?? 0, below)
    below = (moved[i] ?? 0) - least
  }
  return moved
}

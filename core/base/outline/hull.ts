import type { Place2, Polygon } from './polygon'

/** The smallest convex outline round places, anticlockwise (monotone chains; Andrew 1979). */
export function hull(places: readonly Place2[]): Polygon {
  const sorted = places.toSorted((a, b) => a[0] - b[0] || a[1] - b[1])
  const half = (all: readonly Place2[]): Place2[] => {
    const chain: Place2[] = []
    for (const place of all) {
      while (chain.length > 1 && turnAt(chain.at(-2) as Place2, chain.at(-1) as Place2, place) <= 0)
        chain.pop()
      chain.push(place)
    }
    return chain.slice(0, -1)
  }
  return [...half(sorted), ...half(sorted.toReversed())]
}

/** Twice the area of the three, positive where they turn against the clock. */
export const turnAt = ([ax, ay]: Place2, [bx, by]: Place2, [cx, cy]: Place2): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)

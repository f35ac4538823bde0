import type { Place2 } from '../../base/outline/polygon'
import { between, squaresOf, type HoleDistances, type Span } from './holeDistances'

/**
 * Arrangements with a group of holes turned over the line of the two that alone hold it to the others, or with one hole turned over the line of two that
 * it was taped to, where its own distances then nearly fit.
 */
export function* flipped(taped: HoleDistances, places: readonly Place2[]): Generator<Place2[]> {
  const { count, spans } = taped
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++) {
      const groups = cutOff(taped, a, b)
      // All of it turned over is the same pattern seen from behind.
      if (groups.length > 1) for (const part of groups) yield turnedOver(places, part, a, b)
    }
  if (count < 4) return
  const squares = squaresOf(taped, places)
  for (let hole = 0; hole < count; hole++) {
    const own = spans.filter(({ from, to }) => from === hole || to === hole)
    const taken = own.map(({ from, to }) => (from === hole ? to : from))
    for (const a of taken)
      for (const b of taken) {
        if (b <= a) continue
        const turned = alone(own, hole, turnedOver(places, [hole], a, b))
        const left = squaresOf({ count, spans: own }, turned)
        if (left < WORTH_TIMES * squares + own.length * WORTH_MM ** 2) yield turned
      }
  }
}

/** A hole whose own distances are off by more than this is not tried with all the others free. */
const WORTH_TIMES = 10
const WORTH_MM = 5
const STEPS_ALONE = 6

/** One hole moved to where its own distances fit best, the others as they stand (Gauss and Newton). */
function alone(own: readonly Span[], hole: number, places: Place2[]): Place2[] {
  for (let step = 0; step < STEPS_ALONE; step++) {
    let [xx, xy, yy, rx, ry] = [1e-9, 0, 1e-9, 0, 0]
    for (const { from, to, mm } of own) {
      const [dx, dy, length] = between(places, from === hole ? to : from, hole)
      const [x, y, residual] = [dx / length, dy / length, mm - length]
      ;[xx, xy, yy, rx, ry] = [xx + x * x, xy + x * y, yy + y * y, rx + x * residual, ry + y * residual]
    }
    const size = xx * yy - xy * xy
    const [x, y] = places[hole] as Place2
    places[hole] = [x + (yy * rx - xy * ry) / size, y + (xx * ry - xy * rx) / size]
  }
  return places
}

const others = (count: number, a: number, b: number): number[] =>
  Array.from({ length: count }, (_, hole) => hole).filter((hole) => hole !== a && hole !== b)

/** Groups of holes that hang together by distances without these two. */
function cutOff({ count, spans }: HoleDistances, a: number, b: number): number[][] {
  const left = new Set(others(count, a, b))
  const groups: number[][] = []
  for (const first of left) {
    const group = [first]
    left.delete(first)
    for (const hole of group)
      for (const { from, to } of spans) {
        const next = from === hole ? to : to === hole ? from : -1
        if (left.delete(next)) group.push(next)
      }
    groups.push(group)
  }
  return groups
}

function turnedOver(places: readonly Place2[], part: readonly number[], a: number, b: number): Place2[] {
  const [dx, dy, length] = between(places, a, b)
  const [nx, ny] = [-dy / length, dx / length]
  const [ax, ay] = places[a] as Place2
  return places.map(([x, y], hole) => {
    if (!part.includes(hole)) return [x, y]
    const off = 2 * ((x - ax) * nx + (y - ay) * ny)
    return [x - off * nx, y - off * ny]
  })
}

import { EigenvalueDecomposition, Matrix } from 'ml-matrix'
import { sum } from '../../base/numbers'
import type { Place2 } from '../../base/outline/polygon'
import type { HoleDistances } from './holeDistances'

/** Arrangements to begin from: by classical scaling of all distances, and hole by hole on either side of the line of two that stand. */
export function* starts(taped: HoleDistances): Generator<Place2[]> {
  const known = distancesOf(taped)
  yield scaled(known)
  // Four ways to choose sides in turn; flips find the others.
  for (const pattern of [0b0000, 0b0101, 0b0011, 0b0110]) yield holeByHole(taped, known, pattern)
}

/** Between each two holes; the shortest way over others where it was not taped (Floyd and Warshall). */
function distancesOf({ count, spans }: HoleDistances): number[][] {
  const all = Array.from({ length: count }, (_, i) =>
    Array.from({ length: count }, (_other, k) => (i === k ? 0 : Infinity)),
  )
  for (const { from, to, mm } of spans) {
    ;(all[from] as number[])[to] = mm
    ;(all[to] as number[])[from] = mm
  }
  for (let over = 0; over < count; over++)
    for (const row of all)
      for (let k = 0; k < count; k++)
        row[k] = Math.min(row[k] as number, (row[over] as number) + ((all[over] as number[])[k] as number))
  return all
}

/** Classical scaling (Torgerson 1952): the two largest ways of the centred squares. */
function scaled(known: readonly number[][]): Place2[] {
  const count = known.length
  const squares = known.map((row) => row.map((one) => Math.min(one, 1e6) ** 2))
  const means = squares.map((row) => sum(row) / count)
  const whole = sum(means) / count
  const centred = squares.map((row, i) =>
    row.map((one, k) => -(one - (means[i] as number) - (means[k] as number) + whole) / 2),
  )
  const parts = new EigenvalueDecomposition(new Matrix(centred), { assumeSymmetric: true })
  const order = parts.realEigenvalues.map((_, i) => i)
  order.sort((a, b) => (parts.realEigenvalues[b] as number) - (parts.realEigenvalues[a] as number))
  const along = (hole: number, way: number | undefined) =>
    way === undefined
      ? 0
      : parts.eigenvectorMatrix.get(hole, way) * Math.sqrt(Math.max(0, parts.realEigenvalues[way] as number))
  return known.map((_, hole): Place2 => [along(hole, order[0]), along(hole, order[1])])
}

/** Each next hole from the two that stand and hold it best, on the side that the pattern says. */
function holeByHole({ count, spans }: HoleDistances, known: readonly number[][], pattern: number): Place2[] {
  const places: Place2[] = Array.from({ length: count }, (_, hole) =>
    hole === 1 ? [known[0]?.[1] ?? 1, 0] : [0, 0],
  )
  const stands = [0, 1]
  const taped = (a: number, b: number) =>
    spans.some(({ from, to }) => (from === a && to === b) || (from === b && to === a))
  while (stands.length < count) {
    const waiting = Array.from({ length: count }, (_, hole) => hole).filter((hole) => !stands.includes(hole))
    const held = (hole: number) => stands.filter((other) => taped(hole, other))
    const next = waiting.reduce((most, hole) => (held(hole).length > held(most).length ? hole : most))
    const [a = 0, b = 1] = [...held(next), ...stands].filter((one, i, all) => all.indexOf(one) === i)
    const side = (pattern >> (stands.length % 4)) & 1 ? -1 : 1
    places[next] = crossing(
      places[a] as Place2,
      places[b] as Place2,
      known[next]?.[a] ?? 1,
      (known[next]?.[b] ?? 1) * side,
    )
    stands.push(next)
  }
  return places
}

/** Where two circles meet, on the side by the sign of the second; nearest where they do not. */
function crossing([ax, ay]: Place2, [bx, by]: Place2, fromA: number, fromBSigned: number): Place2 {
  const apart = Math.max(Math.hypot(bx - ax, by - ay), 1e-9)
  const along = (apart * apart + fromA * fromA - fromBSigned * fromBSigned) / (2 * apart)
  const aside = Math.sign(fromBSigned) * Math.sqrt(Math.max(fromA * fromA - along * along, (fromA / 10) ** 2))
  const [ux, uy] = [(bx - ax) / apart, (by - ay) / apart]
  return [ax + along * ux - aside * uy, ay + along * uy + aside * ux]
}

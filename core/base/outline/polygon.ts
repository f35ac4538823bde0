import { CoreError, requireFinite } from '../errors'

/** A place in a drawn view, in mm: to the right and up in it. */
export type Place2 = readonly [number, number]
/** Corners of a closed outline in one view, either way round; the last is joined to the first. */
export type Polygon = readonly Place2[]

/**
 * Refuses what is no outline.
 *
 * @param name - of the thing, for the reason
 * @throws CoreError `degenerate` for fewer than three corners, no area, or sides that cross; `not-finite`
 */
export function requireSimple(polygon: Polygon, name: string): void {
  for (const [x, y] of polygon) {
    requireFinite(x, name)
    requireFinite(y, name)
  }
  if (polygon.length < 3) throw new CoreError('degenerate', name, 'three corners or more are needed')
  const sides = sidesOf(polygon)
  sides.forEach(([a, b], i) => {
    for (let j = i + 1; j < sides.length; j++) {
      const [c, d] = sides[j] as Side
      const isNext = j === i + 1 || (i === 0 && j === sides.length - 1)
      if (isNext ? doublesBack([a, b], [c, d], j === i + 1) : doSidesMeet(a, b, c, d))
        throw new CoreError('degenerate', name, 'its sides cross each other')
    }
  })
  if (!(Math.abs(areaOf(polygon)) > 0)) throw new CoreError('degenerate', name, 'it has no area')
}

/** True for an outline that gaps can be told from. */
export function isSimple(polygon: Polygon): boolean {
  try {
    requireSimple(polygon, 'an outline')
    return true
  } catch (error) {
    if (error instanceof CoreError) return false
    throw error
  }
}

export type Side = readonly [Place2, Place2]

/** Sides of an outline, in its order. */
export const sidesOf = (polygon: Polygon): Side[] =>
  polygon.map((corner, index) => [corner, polygon[(index + 1) % polygon.length] as Place2] as const)

/** Area in mm², positive when the corners go round against the clock. */
export const areaOf = (polygon: Polygon): number =>
  sidesOf(polygon).reduce((sum, [[ax, ay], [bx, by]]) => sum + (ax * by - ay * bx) / 2, 0)

/** Two sides that share a corner, the second lying back on the first. */
function doublesBack([a, b]: Side, [c, d]: Side, isSecondNext: boolean): boolean {
  const [corner, from, to] = isSecondNext ? [b, a, d] : [a, b, c]
  const [ux, uy] = [from[0] - corner[0], from[1] - corner[1]]
  const [vx, vy] = [to[0] - corner[0], to[1] - corner[1]]
  return ux * vy - uy * vx === 0 && ux * vx + uy * vy > 0
}

/** True when two sides have a place in common. */
export function doSidesMeet(a: Place2, b: Place2, c: Place2, d: Place2): boolean {
  const [abc, abd, cda, cdb] = [sideOf(a, b, c), sideOf(a, b, d), sideOf(c, d, a), sideOf(c, d, b)]
  if (abc * abd < 0 && cda * cdb < 0) return true
  return (
    (abc === 0 && isWithin(a, b, c)) ||
    (abd === 0 && isWithin(a, b, d)) ||
    (cda === 0 && isWithin(c, d, a)) ||
    (cdb === 0 && isWithin(c, d, b))
  )
}

const sideOf = (a: Place2, b: Place2, p: Place2): number =>
  (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])

const isWithin = (a: Place2, b: Place2, p: Place2): boolean =>
  Math.min(a[0], b[0]) <= p[0] &&
  p[0] <= Math.max(a[0], b[0]) &&
  Math.min(a[1], b[1]) <= p[1] &&
  p[1] <= Math.max(a[1], b[1])

/** A drawn line, such as a bonnet, is taken as this thick, in mm. */
const LINE_MM = 1

/** A piece of a drawn line as a closed outline. */
export function stripOf([ax, ay]: Place2, [bx, by]: Place2): Polygon {
  const length = Math.hypot(bx - ax, by - ay) || 1
  const [nx, ny] = [((ay - by) / length) * (LINE_MM / 2), ((bx - ax) / length) * (LINE_MM / 2)]
  return [
    [ax - nx, ay - ny],
    [bx - nx, by - ny],
    [bx + nx, by + ny],
    [ax + nx, ay + ny],
  ]
}

/** True for a place within an outline: a ray to the right crosses it an odd number of times. */
export const surrounds = (outline: Polygon, [x, y]: Place2): boolean =>
  sidesOf(outline).filter(
    ([[x1, y1], [x2, y2]]) => y1 > y !== y2 > y && x < x1 + ((y - y1) * (x2 - x1)) / (y2 - y1),
  ).length %
    2 ===
  1

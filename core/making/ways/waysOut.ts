import { add, cross, dot, norm, scale, unit, type Vec3 } from '../../base/linalg/vec3'

export interface Face {
  readonly id: string
  readonly normal: Vec3
}

/** In which directions a part can begin to move. */
export interface WaysOut {
  /** None, one line of them, a plane or a sector of it, or a cone with room inside. */
  readonly kind: 'point' | 'line' | 'flat' | 'solid'
  /** The way furthest from every face; null where several are as good. */
  readonly bestWay: Vec3 | null
  /** Sine of its angle to the nearest face: 0 when it can only slide, 1 when nothing touches; null when there is none. */
  readonly margin: number | null
  /** Faces that it slides along. */
  readonly slidesAlong: readonly string[]
}

const NEAR = 1e-9

/**
 * Ways with `n·d ≥ 0` for every face, among those that pins leave.
 *
 * @param dimensions - of a part in a plane the third figure of every direction is nought
 * @param alongPins - the directions that pins leave; null without pins
 */
export function waysOut(
  dimensions: 2 | 3,
  faces: readonly Face[],
  alongPins: readonly Vec3[] | null,
): WaysOut {
  const marginOf = (way: Vec3) =>
    faces.length === 0 ? 1 : Math.min(...faces.map(({ normal }) => dot(normal, way)))
  const told = (kind: WaysOut['kind'], ways: readonly Vec3[]): WaysOut => {
    const margin = ways[0] ? Math.max(...ways.map(marginOf)) : null
    const best = ways.filter((way) => marginOf(way) >= (margin ?? NaN) - NEAR)
    const bestWay = best.length === 1 && isOneBest(kind, margin ?? 0) ? (best[0] as Vec3) : null
    const slidesAlong = bestWay ? faces.filter(({ normal }) => Math.abs(dot(normal, bestWay)) <= NEAR) : []
    return {
      kind,
      bestWay,
      margin: margin === null ? null : asMargin(margin),
      slidesAlong: slidesAlong.map(({ id }) => id).sort(),
    }
  }
  const isOpen = (way: Vec3) => marginOf(way) >= -NEAR
  if (alongPins) {
    const open = alongPins.filter(isOpen)
    return open.length > 0 ? told('line', open) : told('point', [])
  }
  const best = furthest(dimensions, faces)
  if (best && marginOf(best) > NEAR) return told('solid', [best])
  if (faces.length === 0) return { kind: 'solid', bestWay: null, margin: 1, slidesAlong: [] }
  const edges = edgesOf(dimensions, faces).filter(isOpen)
  return told(spanned(edges), edges)
}

/** Where a part can only slide, it slides as well any way of a plane. */
const isOneBest = (kind: WaysOut['kind'], margin: number): boolean => kind === 'line' || margin > NEAR
const asMargin = (margin: number): number => (Math.abs(margin) <= NEAR ? 0 : margin)

/** The way whose least `n·d` is largest: it hangs on one, two or three faces. */
function furthest(dimensions: 2 | 3, faces: readonly Face[]): Vec3 | null {
  const normals = faces.map(({ normal }) => normal)
  let [best, most] = [null as Vec3 | null, -Infinity]
  const tried = (way: Vec3) => {
    if (!(norm(way) > NEAR)) return
    const one = unit(way)
    const margin = Math.min(...normals.map((normal) => dot(normal, one)))
    if (margin > most) [best, most] = [one, margin]
  }
  normals.forEach((a, i) => {
    tried(a)
    normals.slice(i + 1).forEach((b, k) => {
      tried(add(a, b))
      if (dimensions === 2) return
      for (const c of normals.slice(i + k + 2)) {
        // As far from three as it can be: square to the plane through their tips.
        const square = cross(add(b, scale(a, -1)), add(c, scale(a, -1)))
        tried(square)
        tried(scale(square, -1))
      }
    })
  })
  return best
}

/** Directions that the edges of the open ways lie among, both ways each. */
function edgesOf(dimensions: 2 | 3, faces: readonly Face[]): Vec3[] {
  const normals = faces.map(({ normal }) => normal)
  const lines: Vec3[] =
    dimensions === 2
      ? normals.map(([x, y]): Vec3 => [-y, x, 0])
      : normals.flatMap((a, i) => [...normals.slice(i + 1).map((b) => cross(a, b)), ...inPlaneOf(a)])
  const ways: Vec3[] = []
  for (const line of lines.filter((one) => norm(one) > NEAR).map(unit))
    for (const way of [line, scale(line, -1)])
      if (!ways.some((other) => norm(add(other, scale(way, -1))) < 1e-7)) ways.push(way)
  return ways
}

/** Four ways along a face, for faces that are all alike have no edges. */
function inPlaneOf(normal: Vec3): Vec3[] {
  const [x, y, z] = normal.map(Math.abs) as [number, number, number]
  const aside: Vec3 = x <= y && x <= z ? [1, 0, 0] : y <= z ? [0, 1, 0] : [0, 0, 1]
  const one = cross(normal, aside)
  return [one, cross(normal, one)]
}

/** How many dimensions directions span. */
function spanned(ways: readonly Vec3[]): WaysOut['kind'] {
  const [first] = ways
  if (!first) return 'point'
  const second = ways.find((way) => norm(cross(first, way)) > 1e-7)
  if (!second) return 'line'
  const square = cross(first, second)
  return ways.some((way) => Math.abs(dot(square, way)) > 1e-7) ? 'solid' : 'flat'
}

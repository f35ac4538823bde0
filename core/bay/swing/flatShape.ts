import type { Polygon } from '../../base/outline/polygon'

/** Corners of a closed outline as plain numbers. */
export interface Corners {
  readonly xs: Float64Array
  readonly ys: Float64Array
  /** A line whose last corner is not joined to the first. */
  readonly isOpen?: boolean
}

/** An outline as plain numbers, for loops that look at it very often. */
export class FlatShape implements Corners {
  readonly xs: Float64Array
  readonly ys: Float64Array
  private readonly left: number
  private readonly right: number
  private readonly bottom: number
  private readonly top: number

  /**
   * @param isOpen - a line that does not close, such as a floor: only its sides are in the way
   */
  constructor(
    polygon: Polygon,
    readonly isOpen = false,
  ) {
    this.xs = Float64Array.from(polygon, ([x]) => x)
    this.ys = Float64Array.from(polygon, ([, y]) => y)
    this.left = Math.min(...this.xs)
    this.right = Math.max(...this.xs)
    this.bottom = Math.min(...this.ys)
    this.top = Math.max(...this.ys)
  }

  /**
   * True when every side of a body stays off this one's sides by its own distance and more, and neither holds the other.
   *
   * @param gives - for each side of the body, from its corner to the next
   */
  isClearOf(body: Corners, gives: Float64Array): boolean {
    const { xs, ys, left, right, bottom, top } = this
    const first = this.isOpen ? 1 : 0
    for (let i = 0; i < body.xs.length; i++) {
      const next = i + 1 === body.xs.length ? 0 : i + 1
      const ax = body.xs[i] as number
      const ay = body.ys[i] as number
      const bx = body.xs[next] as number
      const by = body.ys[next] as number
      const give = gives[i] as number
      if ((ax > right + give && bx > right + give) || (ax < left - give && bx < left - give)) continue
      if ((ay > top + give && by > top + give) || (ay < bottom - give && by < bottom - give)) continue
      const give2 = give * give
      for (let k = first, j = first === 1 ? 0 : xs.length - 1; k < xs.length; j = k++)
        if (
          sides2(ax, ay, bx, by, xs[j] as number, ys[j] as number, xs[k] as number, ys[k] as number) <= give2
        )
          return false
    }
    return !doHold(this, body)
  }

  /** Distance to a body in mm; 0 where they touch or one holds the other. */
  distance(body: Corners): number {
    if (doHold(this, body)) return 0
    const { xs, ys } = this
    const first = this.isOpen ? 1 : 0
    let least = Infinity
    for (let i = 0, h = body.xs.length - 1; i < body.xs.length; h = i++) {
      const ax = body.xs[h] as number
      const ay = body.ys[h] as number
      const bx = body.xs[i] as number
      const by = body.ys[i] as number
      for (let k = first, j = first === 1 ? 0 : xs.length - 1; k < xs.length; j = k++) {
        const square = sides2(
          ax,
          ay,
          bx,
          by,
          xs[j] as number,
          ys[j] as number,
          xs[k] as number,
          ys[k] as number,
        )
        if (square < least) least = square
      }
    }
    return Math.sqrt(least)
  }

  /** True when a place is so far off that it is not within so much of this. */
  isFarFrom(x: number, y: number, mm: number): boolean {
    return x < this.left - mm || x > this.right + mm || y < this.bottom - mm || y > this.top + mm
  }
}

/** True when a place is nearer to an outline than so much; when the figure is below nought: deeper in it than that. */
export function isNearer(shape: Corners, x: number, y: number, mm: number): boolean {
  const inside = isInside(shape, x, y)
  if (mm >= 0) return inside || toEdge2(shape, x, y) < mm * mm
  return inside && toEdge2(shape, x, y) > mm * mm
}

const doHold = (a: Corners, b: Corners): boolean =>
  isInside(a, b.xs[0] as number, b.ys[0] as number) || isInside(b, a.xs[0] as number, a.ys[0] as number)

/** True inside an outline, by the crossings of a ray (even and odd). */
function isInside({ xs, ys, isOpen }: Corners, x: number, y: number): boolean {
  if (isOpen) return false
  let inside = false
  for (let i = 0, j = xs.length - 1; i < xs.length; j = i++) {
    const yi = ys[i] as number
    const yj = ys[j] as number
    if (yi > y === yj > y) continue
    const xi = xs[i] as number
    if (x < xi + (((xs[j] as number) - xi) * (y - yi)) / (yj - yi)) inside = !inside
  }
  return inside
}

/** Squared distance from a place to the edge of an outline. */
function toEdge2({ xs, ys, isOpen }: Corners, x: number, y: number): number {
  let least = Infinity
  for (let i = isOpen ? 1 : 0, j = isOpen ? 0 : xs.length - 1; i < xs.length; j = i++) {
    const square = toSide2(x, y, xs[j] as number, ys[j] as number, xs[i] as number, ys[i] as number)
    if (square < least) least = square
  }
  return least
}

/** Squared distance from a place to a side. */
function toSide2(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const ux = bx - ax
  const uy = by - ay
  const length2 = ux * ux + uy * uy
  const along = length2 > 0 ? ((px - ax) * ux + (py - ay) * uy) / length2 : 0
  const t = along < 0 ? 0 : along > 1 ? 1 : along
  const dx = px - ax - t * ux
  const dy = py - ay - t * uy
  return dx * dx + dy * dy
}

/** Squared distance of two sides; 0 where they cross. */
function sides2(
  ax: number,
  ay: number,
  bx: number,
  by: number,
  cx: number,
  cy: number,
  dx: number,
  dy: number,
): number {
  const abc = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
  const abd = (bx - ax) * (dy - ay) - (by - ay) * (dx - ax)
  const cda = (dx - cx) * (ay - cy) - (dy - cy) * (ax - cx)
  const cdb = (dx - cx) * (by - cy) - (dy - cy) * (bx - cx)
  if (abc * abd < 0 && cda * cdb < 0) return 0
  return Math.min(
    toSide2(ax, ay, cx, cy, dx, dy),
    toSide2(bx, by, cx, cy, dx, dy),
    toSide2(cx, cy, ax, ay, bx, by),
    toSide2(dx, dy, ax, ay, bx, by),
  )
}

import type { Place2 } from '../base/outline/polygon'

/** A line of straight parts as a bar of some thickness, mitred at its corners. */
export function thickened(path: readonly Place2[], thick: number): Place2[] {
  const side = (sense: 1 | -1) => path.map((_, i) => offset(path, i, (sense * thick) / 2))
  return [...side(1), ...side(-1).reverse()]
}

/** A corner, as far to the left of the line as its parts are moved. */
function offset(path: readonly Place2[], i: number, by: number): Place2 {
  const [x, y] = path[i] as Place2
  const before = normal(path[i - 1], path[i])
  const after = normal(path[i], path[i + 1])
  const [one, other] = [before ?? after ?? [0, 1], after ?? before ?? [0, 1]]
  const [nx, ny] = [one[0] + other[0], one[1] + other[1]]
  // The mitre is longer than the offset as the corner is sharper.
  const long = (2 * by) / (nx * nx + ny * ny)
  return [x + nx * long, y + ny * long]
}

function normal(from: Place2 | undefined, to: Place2 | undefined): Place2 | null {
  if (!from || !to) return null
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const length = Math.hypot(dx, dy)
  return length > 0 ? [-dy / length, dx / length] : null
}

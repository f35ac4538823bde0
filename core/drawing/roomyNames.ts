import type { Shape, ViewPoint } from './shape'

/** A name in the middle of its shape, in px. */
export interface RoomyName {
  readonly name: string
  readonly x: number
  readonly y: number
}

/** Width of a letter and height of a line of names, in px, with a little air. */
const LETTER = 6.8
const HIGH = 17

/** Names of the shapes that are large enough for theirs, none on another; each name once. */
export function roomyNames(shapes: readonly Shape[], toPx: (at: ViewPoint) => ViewPoint): RoomyName[] {
  const named = new Map<string, RoomyName>()
  for (const shape of shapes) {
    if (shape.form !== 'polygon' || shape.name === undefined || named.has(shape.name)) continue
    const corners = shape.points.map(toPx)
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
    if (right - left < shape.name.length * LETTER || bottom - top < HIGH) continue
    const one = { name: shape.name, x: (left + right) / 2, y: (top + bottom) / 2 }
    if ([...named.values()].every((other) => isClear(one, other))) named.set(shape.name, one)
  }
  return [...named.values()]
}

const isClear = (a: RoomyName, b: RoomyName): boolean =>
  Math.abs(a.y - b.y) >= HIGH - 2 || Math.abs(a.x - b.x) >= ((a.name.length + b.name.length) / 2) * LETTER

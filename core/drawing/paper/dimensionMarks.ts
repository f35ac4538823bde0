import type { Place2 } from '../../base/outline/polygon'
import { ROW_MM, TEXT_MM, textWidth, type LaidDimension } from './dimensionRows'
import { path, text, type PaperLook, type PaperMark } from './paperMarks'
import type { Dimension } from './sheetDrawing'

const ARROW_MM = 2.2
const OVER_MM = 1.2

const lineLook = ({ isMain }: Dimension): PaperLook => (isMain === true ? 'main' : 'dimension')

/** A head at an end of a line; it points along the way from there, outward where the line is too short. */
function arrow([x, y]: Place2, [ux, uy]: Place2): PaperMark {
  const [bx, by] = [x + ux * ARROW_MM, y + uy * ARROW_MM]
  const side = ARROW_MM / 4
  return path(
    [
      [x, y],
      [bx - uy * side, by + ux * side],
      [bx + uy * side, by - ux * side],
    ],
    'arrow',
    true,
  )
}

/** Heads at both ends of a line. */
function heads(from: Place2, to: Place2): PaperMark[] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const long = Math.hypot(dx, dy)
  if (long < 1e-9) return []
  const way = long > 3 * ARROW_MM ? 1 : -1
  const unit: Place2 = [(way * dx) / long, (way * dy) / long]
  return [arrow(from, unit), arrow(to, [-unit[0], -unit[1]])]
}

/** A size along the paper, below the thing. */
export function alongMarks(
  one: LaidDimension,
  x0: number,
  top: number,
  at: (place: Place2) => Place2,
): PaperMark[] {
  const { dimension, row } = one
  const y = top + ROW_MM * row + TEXT_MM + 1
  const ends = [at(dimension.from), at(dimension.to)].map(([x, high]): readonly [Place2, Place2] => [
    [x, high + OVER_MM],
    [x, y + OVER_MM],
  ])
  const [from, to]: [Place2, Place2] = [
    [x0 + one.from, y],
    [x0 + one.to, y],
  ]
  return [
    ...ends.map((end) => path(end, 'thin')),
    path([from, to], lineLook(dimension)),
    ...heads(from, to),
    text([x0 + one.textAt, y - 0.8], dimension.text, dimension.isMain),
  ]
}

/** A size up the paper, beside the thing. */
export function uprightMarks(
  one: LaidDimension,
  y0: number,
  left: number,
  at: (place: Place2) => Place2,
): PaperMark[] {
  const { dimension, row } = one
  const x = left + ROW_MM * row + TEXT_MM + 1
  const ends = [at(dimension.from), at(dimension.to)].map(([from, y]): readonly [Place2, Place2] => [
    [from + OVER_MM, y],
    [x + OVER_MM, y],
  ])
  const [from, to]: [Place2, Place2] = [
    [x, y0 + one.from],
    [x, y0 + one.to],
  ]
  return [
    ...ends.map((end) => path(end, 'thin')),
    path([from, to], lineLook(dimension)),
    ...heads(from, to),
    text([x - 0.8, y0 + one.textAt + textWidth(dimension.text)], dimension.text, dimension.isMain, true),
  ]
}

/** A size straight from one place to the other. */
export function straightMarks(dimension: Dimension, at: (place: Place2) => Place2): PaperMark[] {
  const [from, to] = [at(dimension.from), at(dimension.to)]
  const middle: Place2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  return [
    path([from, to], lineLook(dimension)),
    ...heads(from, to),
    text([middle[0] - textWidth(dimension.text) / 2, middle[1] - 1], dimension.text, dimension.isMain),
  ]
}

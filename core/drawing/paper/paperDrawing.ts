import type { Place2 } from '../../base/outline/polygon'
import { dimensionRows, ROW_MM, TEXT_MM, textWidth, type LaidDimension } from './dimensionRows'
import type { Dimension, SheetDrawing, SheetMark, Stroke } from './sheetDrawing'

/** A mark on paper, in mm from its top left corner, y down. */
export type PaperMark =
  | {
      readonly form: 'path'
      readonly points: readonly Place2[]
      readonly isClosed: boolean
      readonly look: PaperLook
    }
  | { readonly form: 'circle'; readonly at: Place2; readonly radius: number; readonly look: PaperLook }
  | {
      readonly form: 'text'
      readonly at: Place2
      readonly text: string
      readonly isStrong: boolean
      readonly isUpright: boolean
    }
export type PaperLook = Stroke | 'dimension' | 'main' | 'thin' | 'arrow'

/** A drawing as it lies on paper. */
export interface PaperDrawing {
  /** So many mm of the thing are one of the paper. */
  readonly scale: number
  readonly size: Place2
  readonly marks: readonly PaperMark[]
}

/** Scales that a shop knows: mm of the thing for one of paper. */
const SCALES = [0.5, 1, 2, 2.5, 4, 5, 8, 10, 12.5, 15, 20, 25, 30, 40, 50, 75, 100]
const MARGIN_MM = 3
const GAP_MM = 3
const ARROW_MM = 2.2
const OVER_MM = 1.2

/**
 * A drawing on paper at the largest scale that a shop knows and that fits, with lines for its sizes: a line of a size is as long on paper as the
 * size is in that scale.
 *
 * @param room - width and height there is, in mm
 */
export function paperDrawing(drawing: SheetDrawing, room: Place2): PaperDrawing {
  const last = SCALES.at(-1) ?? 100
  for (const scale of SCALES) {
    const laid = laidAt(drawing, scale)
    if ((laid.size[0] <= room[0] && laid.size[1] <= room[1]) || scale === last) return laid
  }
  throw new Error('no scale')
}

function laidAt(drawing: SheetDrawing, scale: number): PaperDrawing {
  const [[left, low], [right, high]] = bounds(drawing)
  const [width, height] = [(right - left) / scale, (high - low) / scale]
  const along = (axis: Dimension['along']) => drawing.dimensions.filter((one) => one.along === axis)
  const below = dimensionRows(along('x'), ({ from, to }) => [
    (from[0] - left) / scale,
    (to[0] - left) / scale,
  ])
  const beside = dimensionRows(along('y'), ({ from, to }) => [
    (high - from[1]) / scale,
    (high - to[1]) / scale,
  ])
  const rows = (laid: readonly LaidDimension[]) => laid.reduce((most, { row }) => Math.max(most, row + 1), 0)
  const sticksOut = Math.max(
    0,
    ...below.map((one) => one.textAt + textWidth(one.dimension.text) - width),
    ...drawing.labels.map((one) => (one.at[0] - left) / scale + textWidth(one.text) - width),
  )
  const sticksLeft = Math.max(0, ...below.map(({ textAt }) => -textAt))
  const sticksDown = Math.max(0, ...beside.map((one) => one.textAt + textWidth(one.dimension.text) - height))
  const sticksUp = Math.max(0, ...beside.map(({ textAt }) => -textAt))
  const [x0, y0] = [MARGIN_MM + sticksLeft, MARGIN_MM + sticksUp]
  const at = ([x, y]: Place2): Place2 => [x0 + (x - left) / scale, y0 + (high - y) / scale]
  const bottom = y0 + height + (rows(below) > 0 ? GAP_MM + ROW_MM * rows(below) : 0)
  const size: Place2 = [
    x0 +
      Math.max(width + (rows(beside) > 0 ? GAP_MM + ROW_MM * rows(beside) : 0), width + sticksOut) +
      MARGIN_MM,
    Math.max(bottom, y0 + height + sticksDown) + MARGIN_MM,
  ]
  return {
    scale,
    size,
    marks: [
      ...drawing.marks.map((mark) => onPaper(mark, at, scale)),
      ...below.flatMap((one) => alongMarks(one, x0, y0 + height + GAP_MM, at)),
      ...beside.flatMap((one) => uprightMarks(one, y0, x0 + width + GAP_MM, at)),
      ...along('straight').flatMap((one) => straightMarks(one, at)),
      ...drawing.labels.map((one): PaperMark => text(at(one.at), one.text)),
    ],
  }
}

function bounds({ marks, dimensions }: SheetDrawing): readonly [Place2, Place2] {
  const places = [
    ...marks.flatMap((mark): Place2[] => {
      if (mark.form === 'outline') return [...mark.points]
      if (mark.form === 'line') return [mark.from, mark.to]
      const { at, radius } = mark
      return [
        [at[0] - radius, at[1] - radius],
        [at[0] + radius, at[1] + radius],
      ]
    }),
    ...dimensions.flatMap(({ from, to }) => [from, to]),
  ]
  const least = (k: 0 | 1) => Math.min(...places.map((place) => place[k]))
  const most = (k: 0 | 1) => Math.max(...places.map((place) => place[k]))
  return [
    [least(0), least(1)],
    [most(0), most(1)],
  ]
}

function onPaper(mark: SheetMark, at: (place: Place2) => Place2, scale: number): PaperMark {
  const look = mark.stroke
  if (mark.form === 'circle') return { form: 'circle', at: at(mark.at), radius: mark.radius / scale, look }
  const points = mark.form === 'outline' ? mark.points : [mark.from, mark.to]
  return { form: 'path', points: points.map(at), isClosed: mark.form === 'outline', look }
}

const path = (points: readonly Place2[], look: PaperLook, isClosed = false): PaperMark => ({
  form: 'path',
  points,
  isClosed,
  look,
})
const text = (at: Place2, words: string, isStrong = false, isUpright = false): PaperMark => ({
  form: 'text',
  at,
  text: words,
  isStrong,
  isUpright,
})
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

function alongMarks(one: LaidDimension, x0: number, top: number, at: (place: Place2) => Place2): PaperMark[] {
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

function uprightMarks(
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

function straightMarks(dimension: Dimension, at: (place: Place2) => Place2): PaperMark[] {
  const [from, to] = [at(dimension.from), at(dimension.to)]
  const middle: Place2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  return [
    path([from, to], lineLook(dimension)),
    ...heads(from, to),
    text([middle[0] - textWidth(dimension.text) / 2, middle[1] - 1], dimension.text, dimension.isMain),
  ]
}

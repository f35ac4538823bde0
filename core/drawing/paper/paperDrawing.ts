import type { Place2 } from '../../base/outline/polygon'
import { alongMarks, straightMarks, uprightMarks } from './dimensionMarks'
import { dimensionRows, ROW_MM, textWidth, type LaidDimension } from './dimensionRows'
import { text, type PaperMark } from './paperMarks'
import type { Dimension, SheetDrawing, SheetMark } from './sheetDrawing'

/** A drawing as it lies on paper. */
export interface PaperDrawing {
  /** So many mm of the thing are one of the paper. */
  readonly scale: number
  readonly size: Place2
  readonly marks: readonly PaperMark[]
}

/** Scales that a shop knows: mm of the thing for one of paper. */
const SCALES = [0.5, 1, 2, 2.5, 4, 5, 8, 10, 12.5, 15, 20, 25, 30, 40, 50, 75]
const SMALLEST = 100
const MARGIN_MM = 3
const GAP_MM = 3

/**
 * A drawing on paper at the largest scale that a shop knows and that fits, with lines for its sizes: a line of a size is as long on paper as the
 * size is in that scale.
 *
 * @param room - width and height there is, in mm
 */
export function paperDrawing(drawing: SheetDrawing, room: Place2): PaperDrawing {
  const fits = (scale: number) => laidAt(drawing, scale).size.every((mm, k) => mm <= (room[k] ?? 0))
  return laidAt(drawing, SCALES.find(fits) ?? SMALLEST)
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

import type { Place2 } from '../../base/outline/polygon'
import { fixed } from '../../base/units/format'
import type { Bulkhead, Cable } from '../../file/parts/cable'
import type { Template, TemplateMark } from './template'

const CROSS_MM = 6
const TEXT_MM = 4
const EDGE_MM = 24
/** Of a hole whose size nobody told only its middle is marked. */
const POINT_MM = 1

const crossAt = ([x, y]: Place2, size: number): TemplateMark[] => [
  { layer: 'scribe', form: 'line', from: [x - size, y], to: [x + size, y] },
  { layer: 'scribe', form: 'line', from: [x, y - size], to: [x, y + size] },
]

/**
 * The holes of the cables that pass a bulkhead, with the mark that they are measured from.
 *
 * @param side - 1 where its left is drawn to the right
 */
export function bulkheadTemplate(bulkhead: Bulkhead, cables: readonly Cable[], side: 1 | -1): Template {
  const holes = cables.flatMap(({ name, hole }) =>
    hole?.bulkhead === bulkhead.id
      ? [{ name, leftMm: hole.leftMm, upMm: hole.upMm, radius: (hole.holeMm ?? POINT_MM) / 2 }]
      : [],
  )
  const xs = [0, ...holes.map(({ leftMm }) => side * leftMm)]
  const ys = [0, ...holes.map(({ upMm }) => upMm)]
  const wide = Math.max(0, ...holes.map(({ radius }) => radius)) + EDGE_MM
  const [left, low] = [Math.min(...xs) - wide, Math.min(...ys) - wide]
  const at = (leftMm: number, upMm: number): Place2 => [side * leftMm - left, upMm - low]
  const size: Place2 = [Math.max(...xs) + wide - left, Math.max(...ys) + wide - low]
  const marks = holes.flatMap(({ name, leftMm, upMm, radius }): TemplateMark[] => {
    const middle = at(leftMm, upMm)
    return [
      { layer: 'drill', form: 'circle', at: middle, radius },
      ...crossAt(middle, CROSS_MM),
      {
        layer: 'scribe',
        form: 'text',
        at: [middle[0] - wide + 4, middle[1] + radius + 4],
        text: `${name} ${fixed(2 * radius, 1)}`,
        size: TEXT_MM,
      },
    ]
  })
  const mark: TemplateMark[] = [
    ...crossAt(at(0, 0), 2 * CROSS_MM),
    { layer: 'scribe', form: 'circle', at: at(0, 0), radius: 2 },
    { layer: 'scribe', form: 'text', at: [at(0, 0)[0] + 3, at(0, 0)[1] + 3], text: 'mark', size: TEXT_MM },
  ]
  const [right, top] = size
  const edge: Place2[] = [
    [0, 0],
    [right, 0],
    [right, top],
    [0, top],
  ]
  return {
    name: `${bulkhead.name}, holes`,
    size,
    marks: [{ layer: 'cut', form: 'outline', points: edge }, ...marks, ...mark],
  }
}

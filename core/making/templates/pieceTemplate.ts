import { radians } from '../../base/units/angle'
import type { Place2 } from '../../base/outline/polygon'
import { fixed } from '../../base/units/format'
import type { Piece } from '../../file/kinds/pieceKinds'
import type { Template, TemplateMark } from './template'

const CROSS_MM = 4
const TEXT_MM = 4
const ROOM_MM = 8

/** A small part from above: a guide with its hole, a gusset, a saw block. Its thickness is what a print in three dimensions stands up by. */
export function pieceTemplate(piece: Piece): Template {
  const { name, longMm = NaN, wideMm = NaN, highMm = NaN } = piece
  const outline: TemplateMark = { layer: 'cut', form: 'outline', points: outlineOf(piece) }
  const marks = piece.kind === 'guide' ? hole(piece) : []
  const size: Place2 = [longMm, wideMm + ROOM_MM]
  return { name, size, marks: [outline, ...marks], thickMm: highMm }
}

function outlineOf(piece: Piece): Place2[] {
  const { kind, longMm = NaN, wideMm = NaN, noseMm = 0, snipMm = 0, angleDeg = 0 } = piece
  switch (kind) {
    case 'guide':
      return [
        [0, 0],
        [longMm, 0],
        [longMm, wideMm],
        [0, wideMm],
      ]
    case 'gusset':
      return distinct([
        [snipMm, 0],
        [longMm, 0],
        [longMm, noseMm],
        [noseMm, wideMm],
        [0, wideMm],
        [0, snipMm],
      ])
    case 'saw':
      return distinct([
        [0, 0],
        [longMm, 0],
        [longMm - wideMm * Math.tan(radians(angleDeg)), wideMm],
        [0, wideMm],
      ])
  }
}

/** A corner that is not cut off is one corner. */
const distinct = (points: readonly Place2[]): Place2[] =>
  points.filter(([x, y], i) => {
    const [px, py] = points.at(i - 1) as Place2
    return x !== px || y !== py
  })

function hole({ longMm = NaN, holeMm = NaN, inMm = NaN }: Piece): TemplateMark[] {
  const [x, y] = [longMm / 2, inMm]
  return [
    { layer: 'drill', form: 'circle', at: [x, y], radius: holeMm / 2 },
    { layer: 'scribe', form: 'line', from: [x - CROSS_MM, y], to: [x + CROSS_MM, y] },
    { layer: 'scribe', form: 'line', from: [x, y - CROSS_MM], to: [x, y + CROSS_MM] },
    {
      layer: 'scribe',
      form: 'text',
      at: [x + holeMm / 2 + 2, y + 2],
      text: String(Number(fixed(holeMm, 2))),
      size: TEXT_MM,
    },
  ]
}

import type { Place2 } from '../../base/outline/polygon'
import { fixed } from '../../base/units/format'
import type { Plate } from '../../file/kinds/plateKinds'
import type { FacePlaces } from '../plates/facePlaces'
import { plateOutline } from '../plates/plateOutline'
import type { Template, TemplateMark } from './template'

const CROSS_MM = 4
const TEXT_MM = 4

/**
 * A plate with its holes. One that is smaller than the plate is thick is drilled in its middle: a hot cut makes it no
 * round hole.
 *
 * @param isMirrored - the same part for the other side of the vehicle
 */
export function plateTemplate(
  plate: Plate,
  face: Pick<FacePlaces, 'places' | 'traced'>,
  isMirrored = false,
): Template {
  const side = isMirrored ? -1 : 1
  const outline = plateOutline(plate, face).map(([x, y]): Place2 => [side * x, y])
  const least = (k: 0 | 1) => Math.min(...outline.map((corner) => corner[k]))
  const most = (k: 0 | 1) => Math.max(...outline.map((corner) => corner[k]))
  const [left, low] = [least(0), least(1)]
  const at = ([x, y]: Place2): Place2 => [x - left, y - low]
  const marks = plate.holes.flatMap((hole) => {
    const [x, y] = face.places.get(hole.id) ?? [NaN, NaN]
    return holeMarks(hole, at([side * x, y]), hole.holeMm < plate.thicknessMm)
  })
  const name = isMirrored ? `${plate.name}, mirrored` : plate.name
  const cut: TemplateMark = { layer: 'cut', form: 'outline', points: outline.map(at) }
  const size: Place2 = [most(0) - left, most(1) - low]
  return { name, size, marks: [cut, ...marks], thickMm: plate.thicknessMm }
}

function holeMarks(
  { id, holeMm }: Plate['holes'][number],
  at: Place2,
  isMarkedOnly: boolean,
): TemplateMark[] {
  const [x, y] = at
  const cross = (layer: 'drill' | 'scribe'): TemplateMark[] => [
    { layer, form: 'line', from: [x - CROSS_MM, y], to: [x + CROSS_MM, y] },
    { layer, form: 'line', from: [x, y - CROSS_MM], to: [x, y + CROSS_MM] },
  ]
  const size = String(Number(fixed(holeMm, 2)))
  return [
    { layer: isMarkedOnly ? 'scribe' : 'drill', form: 'circle', at, radius: holeMm / 2 },
    ...cross(isMarkedOnly ? 'drill' : 'scribe'),
    {
      layer: 'scribe',
      form: 'text',
      at: [x + holeMm / 2 + 2, y + 2],
      text: `${id} ${size}`,
      size: TEXT_MM,
    },
  ]
}

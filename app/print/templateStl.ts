import { extrudeLinear } from '@jscad/modeling/src/operations/extrusions'
import { polygon } from '@jscad/modeling/src/primitives'
import { serialize } from '@jscad/stl-serializer'
import type { Place2 } from '~~/core/base/outline/polygon'
import type { Template, TemplateMark } from '~~/core/making/templates/template'

/** A chord leaves its hole by no more than this. */
const OFF_MM = 0.004

/** A flat part as a solid: what is cut round it stands up by its thickness, what is cut or drilled in it goes through. In millimetres, binary. */
export async function templateStl({ marks }: Template, thickMm: number): Promise<Uint8Array> {
  const [outline, ...cuts] = marks.flatMap(loopOf)
  if (!outline) throw new Error('nothing is cut round it')
  const points = [turning(outline, 1), ...cuts.map((cut) => turning(cut, -1))]
  const solid = extrudeLinear({ height: thickMm }, polygon({ points }))
  return new Uint8Array(await new Blob(serialize({ binary: true }, solid)).arrayBuffer())
}

function loopOf(mark: TemplateMark): Place2[][] {
  if (mark.layer !== 'cut' && mark.layer !== 'drill') return []
  if (mark.form === 'outline') return [[...mark.points]]
  return mark.form === 'circle' ? [round(mark.at, mark.radius)] : []
}

function round([x, y]: Place2, radius: number): Place2[] {
  const count = Math.max(24, Math.ceil(Math.PI / Math.acos(1 - OFF_MM / radius)))
  return Array.from({ length: count }, (_, k) => {
    const angle = (2 * Math.PI * k) / count
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}

/** A loop that runs anticlockwise, or clockwise. */
function turning(loop: readonly Place2[], sense: 1 | -1): [number, number][] {
  const area = loop.reduce((sum, [x, y], i) => {
    const [px, py] = loop.at(i - 1) as Place2
    return sum + (px * y - x * py)
  }, 0)
  const points = loop.map(([x, y]): [number, number] => [x, y])
  return sense * area > 0 ? points : points.reverse()
}

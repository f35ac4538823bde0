import type { Column } from '../../base/columns/graph'
import { unknown, type Known } from '../../base/known'
import type { Reading } from '../../file/build/reading'
import type { CableStringReading } from '../../file/kinds/cableKinds'
import type { Cable } from '../../file/parts/cable'
import type { ReadingContext } from '../figures/context'
import { measuredFigure } from '../figures/figure'
import { lastReading } from '../targets/chosen'
import { lengthParser } from './pointReading'

/** A string along the way of a cable as it reads, in mm, as an input of the build. */
export function stringAlong(
  context: ReadingContext,
  { id, name }: Pick<Cable, 'id' | 'name'>,
): Known<Column> {
  const label = `${name}, string along its way`
  const placed = lastReading(
    context.build,
    (reading: Reading): reading is CableStringReading =>
      reading.kind === 'cable-string' && reading.cable === id,
  )
  if (!placed) return unknown(`${label}: not read`)
  const { reading, path } = placed
  return measuredFigure(context, placed, {
    field: 'value',
    label,
    unit: 'mm',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: lengthParser(context.build, reading.unit),
    direction: {
      word: 'as read',
      positive: 'as read',
      fallback: 'as read',
      question: label,
      path: `${path}.values`,
    },
  })
}

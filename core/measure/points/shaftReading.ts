import type { Build } from '../../file/build/build'
import type { ShaftLevelReading } from '../../file/kinds/lineKinds'
import { parseAngle } from '../../base/units/parseAngle'
import type { PlacedReading } from '../targets/chosen'
import type { FigureSpec } from '../figures/figure'

/** What a level laid along a shaft shows, positive when the shaft's rear end is low. */
export function shaftReadingSpec(
  build: Build,
  { reading, path }: PlacedReading<ShaftLevelReading>,
): FigureSpec {
  const line = build.lines.find((one) => one.id === reading.line)
  const number = line && line.shafts.length > 1 ? ` ${reading.shaft + 1}` : ''
  const label = `${line?.name ?? 'shaft'}${number}, own angle`
  return {
    field: 'value',
    label,
    unit: 'deg',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: parseAngle,
    direction: {
      word: reading.low,
      positive: 'rear',
      fallback: null,
      question: `${label}: which end is lower?`,
      path: `${path}.low`,
    },
  }
}

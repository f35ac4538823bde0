import type { Build } from '../project/build'
import type { Reading } from '../project/reading'
import { isRepeatable, repeatFigures } from '../readings/scatter'
import { unitOfReading } from '../readings/usualTool'
import { formatAngle, formatLength } from '../units/format'

/** What the repeats of a reading say together: "mean 86.43°, apart 0.10°"; empty for a single one. */
export function repeatText(build: Build, reading: Reading): string {
  if (!isRepeatable(reading) || reading.values.length < 2) return ''
  const figures = repeatFigures(build, reading)
  if (figures.length < 2) return ''
  const show = (value: number) =>
    unitOfReading(reading) === 'mm' ? formatLength(value, build.units) : formatAngle(value, build.units, 2)
  const mean = figures.reduce((sum, figure) => sum + figure, 0) / figures.length
  return `mean ${show(mean)}, apart ${show(Math.max(...figures) - Math.min(...figures))}`
}

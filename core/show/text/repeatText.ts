import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { isRepeatable, repeatFigures } from '../../measure/figures/scatter'
import { unitOfReading } from '../../measure/figures/usualTool'
import { formatAngle, formatLength } from '../../base/units/format'

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

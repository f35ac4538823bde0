import type { Build } from '../project/build'
import type { Id } from '../project/id'
import type { MeasuredReading, Reading } from '../project/reading'
import { parseAngle } from '../units/parseAngle'
import { parseLength } from '../units/parseLength'

/** Scatter of a tool's repeats. */
export interface Scatter {
  /** Standard deviation of one repeat, in degrees or mm. */
  readonly deviation: number
  /** How many differences it rests on. */
  readonly freedom: number
}

/** True for readings whose `values` are repeats of one figure. */
export const isRepeatable = (
  reading: Reading,
): reading is Exclude<MeasuredReading, { kind: 'setup-point' }> =>
  'values' in reading && reading.kind !== 'setup-point'

/** The repeats of a reading in degrees or mm; those that cannot be understood are left out. */
export function repeatFigures(build: Build, reading: MeasuredReading): number[] {
  const parse = (text: string) =>
    'unit' in reading || reading.kind.startsWith('point')
      ? parseLength(text, ('unit' in reading ? reading.unit : undefined) ?? build.units.length)
      : parseAngle(text)
  return reading.values.flatMap((text) => {
    const parsed = parse(text)
    return parsed.ok ? [parsed.value] : []
  })
}

/**
 * Scatter of each tool, pooled over all its repeated readings: √(Σ(x − mean)²/Σ(n − 1)).
 *
 * Pooling makes two or three repeats say something: alone, three equal figures would claim no scatter at all.
 *
 * @returns by tool id, readings without a tool under ''; a tool that never repeated anything is absent
 * @see docs/methods/uncertainty.md (pooled variance)
 */
export function toolScatter(build: Build): ReadonlyMap<Id, Scatter> {
  const sums = new Map<Id, { squares: number; freedom: number }>()
  for (const reading of build.readings) {
    if (!isRepeatable(reading) || reading.values.length < 2) continue
    const figures = repeatFigures(build, reading)
    if (figures.length < 2) continue
    const mean = figures.reduce((sum, figure) => sum + figure, 0) / figures.length
    const sum = sums.get(reading.tool ?? '') ?? { squares: 0, freedom: 0 }
    sum.squares += figures.reduce((total, figure) => total + (figure - mean) ** 2, 0)
    sum.freedom += figures.length - 1
    sums.set(reading.tool ?? '', sum)
  }
  return new Map(
    [...sums].map(([tool, { squares, freedom }]) => [
      tool,
      { deviation: Math.sqrt(squares / freedom), freedom },
    ]),
  )
}

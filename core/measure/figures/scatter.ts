import type { Build } from '../../file/build/build'
import type { MeasuredReading, Reading } from '../../file/build/reading'
import { READING_KINDS } from '../../file/build/readingKinds'
import type { Tool } from '../../file/parts/tool'
import { parseAngle } from '../../base/units/parseAngle'
import { parseLength } from '../../base/units/parseLength'
import { farRepeat } from './farRepeat'
import { studentFactor } from './studentFactor'
import { unitOfReading, usualFigures, usualTool, type FigureUnit } from './usualTool'

/** Squares of differences, and how many differences they rest on. */
export interface Squares {
  readonly sum: number
  readonly freedom: number
}

/** Scatter of the hand that holds a tool. */
export interface HandScatter {
  /** Standard deviation of one repeat, in degrees or mm, as it was learnt, entered or is usual. */
  readonly deviation: number
  /** Degrees of freedom it is worth: those of what is usual count with the repeats'; Infinity when it is taken as known. */
  readonly worth: number
  /** Differences between repeats it was learnt from; 0 when it is what was entered or what is usual. */
  readonly freedom: number
}

/** True for readings whose `values` are repeats of one figure. */
export const isRepeatable = (
  reading: Reading,
): reading is Exclude<MeasuredReading, { kind: 'setup-point' }> =>
  READING_KINDS[reading.kind].told === 'repeats'

/** The repeats of a reading in degrees or mm; those that cannot be understood are left out. */
export function repeatFigures(build: Build, reading: MeasuredReading): number[] {
  const parse = (text: string) =>
    unitOfReading(reading) === 'mm'
      ? parseLength(text, ('unit' in reading ? reading.unit : undefined) ?? build.units.length)
      : parseAngle(text)
  return reading.values.flatMap((text) => {
    const parsed = parse(text)
    return parsed.ok ? [parsed.value] : []
  })
}

/** Whether every figure of a reading can be understood; what cannot is as good as not read. */
export const isReadable = (build: Build, reading: Reading): boolean =>
  !('values' in reading) || repeatFigures(build, reading).length === reading.values.length

/** Key under which repeats of one tool and one unit are put together: mm and degrees never meet. */
const poolKey = (tool: string | undefined, unit: FigureUnit): string =>
  `${unit}/${tool ?? usualTool(unit).id}`

/** Squares of one list of repeats about their mean. */
function squaresOf(figures: readonly number[]): Squares {
  const mean = figures.reduce((sum, figure) => sum + figure, 0) / figures.length
  return {
    sum: figures.reduce((total, figure) => total + (figure - mean) ** 2, 0),
    freedom: figures.length - 1,
  }
}

/**
 * Differences between repeats, pooled by tool and unit over all its readings: Σ(x − mean)² with Σ(n − 1).
 *
 * Pooling makes two or three repeats say something: alone, three equal figures would claim no scatter at all. A reading
 * one of whose repeats stands far off the others says nothing about the hand and is left out.
 *
 * @see docs/methods/uncertainty.md (pooled variance)
 */
export function pooledSquares(build: Build): ReadonlyMap<string, Squares> {
  const sums = new Map<string, Squares>()
  for (const reading of build.readings) {
    if (!isRepeatable(reading) || reading.values.length < 2) continue
    const figures = repeatFigures(build, reading)
    const unit = unitOfReading(reading)
    if (figures.length < 2 || farRepeat(figures, unit) !== null) continue
    const key = poolKey(reading.tool, unit)
    const [before, ours] = [sums.get(key) ?? { sum: 0, freedom: 0 }, squaresOf(figures)]
    sums.set(key, { sum: before.sum + ours.sum, freedom: before.freedom + ours.freedom })
  }
  return sums
}

/** With fewer differences than this, what is usual still has a say. */
const ENOUGH = 3

/**
 * Standard deviation of one repeat from what is usual and from the repeats there are.
 *
 * Nothing repeated: what is usual. From three differences on the repeats alone; in between the two are weighed, or one
 * lucky pair of equal figures would claim a hand that never shakes.
 *
 * @param usual - standard deviation expected beforehand, in the unit of the repeats
 * @returns in the same unit, with the degrees of freedom it is worth
 */
export function blendedScatter(usual: number, { sum, freedom }: Squares): HandScatter {
  if (freedom === 0) return { deviation: usual, worth: Infinity, freedom }
  const weight = Math.max(0, ENOUGH - freedom)
  const variance = (weight * usual ** 2 + sum) / (weight + freedom)
  return { deviation: Math.sqrt(variance), worth: (weight + freedom) ** 2 / freedom, freedom }
}

/**
 * Standard deviation of one repeat, widened for how little it was learnt from, so that two standard deviations of the whole
 * input still cover 95 %.
 *
 * What the tool itself may be off by is known, so only the scatter's share of the variance is short of freedom: the whole is
 * worth ν·(u² / (s²/n))² with u² = a²/3 + s²/n, and is widened by Student's factor for that.
 *
 * @param halfWidth - of the tool's uniform error, in the unit of the scatter
 * @returns in the same unit
 * @see docs/methods/uncertainty.md (Welch and Satterthwaite 1946, effective degrees of freedom)
 */
export function widenedScatter({ deviation, worth }: HandScatter, halfWidth: number, count: number): number {
  const [tool, hand] = [halfWidth ** 2 / 3, deviation ** 2 / Math.max(1, count)]
  if (worth === Infinity || hand === 0) return deviation
  const whole = tool + hand
  const factor = studentFactor(worth * (whole / hand) ** 2)
  return Math.sqrt(Math.max(1, count) * (whole * factor ** 2 - tool))
}

/** A display of whole steps hides a scatter below this share of its step. */
const STEP_DEVIATION = 1 / Math.sqrt(12)

/**
 * Scatter of the hand for the readings of one tool.
 *
 * @param tool - null for readings that name none
 * @see docs/methods/uncertainty.md
 */
export function handScatter(
  pooled: ReadonlyMap<string, Squares>,
  tool: Tool | null,
  unit: FigureUnit,
): HandScatter {
  const usual = tool?.handScatter ?? usualFigures((tool ?? usualTool(unit)).kind, unit).handScatter
  const squares = pooled.get(poolKey(tool?.id, unit)) ?? { sum: 0, freedom: 0 }
  const least = (tool?.resolution ?? 0) * STEP_DEVIATION
  // A hand that was said not to shake is taken at its word as long as nothing was repeated.
  const found = blendedScatter(usual, squares)
  return squares.freedom === 0 ? found : { ...found, deviation: Math.max(least, found.deviation) }
}

/** Scatter of a reading's own repeats, for one whose repeats do not belong together. */
export function ownScatter(build: Build, reading: MeasuredReading): HandScatter | null {
  if (!isRepeatable(reading) || reading.values.length < 2) return null
  const figures = repeatFigures(build, reading)
  if (farRepeat(figures, unitOfReading(reading)) === null) return null
  const { sum, freedom } = squaresOf(figures)
  return { deviation: Math.sqrt(sum / freedom), worth: Infinity, freedom }
}

/** Scatter of the hand that holds a tool of a build's drawer, in degrees for a level and mm for the rest. */
export const toolScatter = (build: Build, tool: Tool): HandScatter =>
  handScatter(pooledSquares(build), tool, tool.kind === 'level' ? 'deg' : 'mm')

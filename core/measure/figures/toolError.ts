import type { Build } from '../../file/build/build'
import type { MeasuredReading } from '../../file/build/reading'
import type { DisplayEnd, FlipTest, Tool } from '../../file/parts/tool'
import { parseAngle } from '../../base/units/parseAngle'
import { unitOfReading, usualFigures, usualTool, type FigureUnit } from './usualTool'

/** What a flip test tells, or what is missing for it. */
export type FlipResult =
  | { readonly ok: true; readonly zeroErrorDeg: number; readonly surfaceDeg: number }
  | { readonly ok: false; readonly message: string }

/**
 * Zero error of a level that was read on one spot twice, the second time turned end for end.
 *
 * With h₁ and h₂ the slopes shown, counted positive when the display's right-hand end is the higher one, the surface
 * cancels in their mean: zero = (h₁ + h₂)/2; the surface itself is (h₁ − h₂)/2.
 *
 * @returns the zero error in degrees, positive when the right-hand end reads too high; or what is missing
 * @see docs/methods/tools.md (reversal method of levelling)
 */
export function flipTestResult(
  test: Pick<FlipTest, 'first' | 'firstHigh' | 'second' | 'secondHigh'>,
): FlipResult {
  const first = rightHigh(test.first, test.firstHigh, 'first')
  if (typeof first === 'string') return { ok: false, message: first }
  const second = rightHigh(test.second, test.secondHigh, 'second')
  if (typeof second === 'string') return { ok: false, message: second }
  return { ok: true, zeroErrorDeg: (first + second) / 2, surfaceDeg: (first - second) / 2 }
}

function rightHigh(text: string, high: DisplayEnd | undefined, which: string): number | string {
  const parsed = parseAngle(text)
  if (!parsed.ok) return `${which} reading: ${parsed.message}`
  if (parsed.value > 45) return `${which} reading: lay the level down, so that it shows a small angle`
  if (parsed.value === 0) return 0
  if (high === undefined) return `${which} reading: which end is higher, as you look at the display?`
  return high === 'right' ? parsed.value : -parsed.value
}

/** The flip test in force for a reading taken at a time: the last one before it, else the first after it. */
export function flipTestFor(tool: Tool, takenAt: string | undefined): FlipTest | null {
  const good = (tool.flipTests ?? []).filter((test) => flipTestResult(test).ok)
  if (takenAt === undefined) return good.at(-1) ?? null
  return good.filter((test) => test.at <= takenAt).at(-1) ?? good[0] ?? null
}

/** An error that all readings of one tool share. */
export interface SharedError {
  readonly tool: Tool
  /** 1 where a zero that reads too high makes this reading too small, −1 where too large. */
  readonly sign: 1 | -1
  /** Half-width of what is not known of it, uniform, in degrees. */
  readonly halfWidth: number
  /** Standard deviation of what a flip test leaves of it, in degrees; 0 without one. */
  readonly deviation: number
}

/** How far off a tool may be, and what is known to be off. */
export interface ToolError {
  /** To be added to the signed slope, positive when rear or left is low, in degrees; 0 for a length. */
  readonly correctionDeg: number
  /** Half-width of the reading's own error, uniform, in degrees or mm. */
  readonly halfWidth: number
  /** The level's zero error, where the reading says which way its display looked. */
  readonly shared: SharedError | null
  /** The level whose zero error the half-width is, where the reading does not say which way its display looked. */
  readonly sideless: Tool | null
  /** Said with every figure that rests on the reading. */
  readonly assumptions: readonly string[]
}

/** A zero error below this, in degrees, is not worth a word. */
const SMALL_ZERO_DEG = 0.005

/**
 * What a reading's tool adds to its error.
 *
 * A level's accuracy is that of its zero: one draw for all its readings, with the sign of the side its display looked to.
 * Where that was not said, the sign is not known, and the one error may count both ways (`zeroSides`). A flip-tested level
 * is corrected by its zero error, which leaves its resolution.
 *
 * @param scatter - of the hand that holds the tool, in degrees: a flip test is two readings of it
 * @see docs/methods/tools.md
 */
export function toolError(build: Build, reading: MeasuredReading, scatter = 0): ToolError {
  const unit = unitOfReading(reading)
  const named = build.tools.find((one) => one.id === reading.tool)
  const tool = named ?? usualTool(unit)
  const { stated, assumptions } = statedAccuracy(tool, unit, named !== undefined)
  const plain: ToolError = { correctionDeg: 0, halfWidth: stated, shared: null, sideless: null, assumptions }
  if (tool.kind !== 'level' || !isLevelReading(reading)) return plain
  // A level zeroed on the chassis the same way round carries its zero error in its zero.
  if ('zero' in reading && reading.zero === 'chassis') return plain
  const sign = reading.display === undefined ? null : signOf(reading.display)
  // Readings that name no tool may be of several levels: each counts its zero for itself.
  const sideless = named ? tool : null
  const test = flipTestFor(tool, reading.takenAt)
  const result = test ? flipTestResult(test) : null
  if (!result?.ok) {
    if (sign === null) return { ...plain, sideless, assumptions: [...assumptions, ...unsaid(sideless)] }
    return { ...plain, halfWidth: 0, shared: { tool, sign, halfWidth: stated, deviation: 0 } }
  }
  const halfWidth = Math.min(stated, tool.resolution ?? stated / 2)
  const zero = result.zeroErrorDeg
  if (sign !== null) {
    // Two readings make a flip test, and the zero error is half their sum.
    const shared: SharedError = { tool, sign, halfWidth, deviation: scatter / Math.SQRT2 }
    return { ...plain, correctionDeg: sign * zero, halfWidth: 0, shared }
  }
  if (Math.abs(zero) < SMALL_ZERO_DEG) return { ...plain, halfWidth, sideless }
  const leftIn = `${tool.name}: its zero error of ${Math.abs(zero).toFixed(2)}° is left in where the display's side was not said`
  const left = halfWidth + Math.abs(zero)
  return { ...plain, halfWidth: left, sideless, assumptions: [...assumptions, leftIn] }
}

/** Said of readings that do not say which way the display of their level looked. */
const unsaid = (level: Tool | null): string[] =>
  level
    ? [
        `${level.name}: which way its display looked was not always said, so its zero error may count both ways`,
      ]
    : []

/** Accuracy as entered, else half a step of the display, else what is usual, which is said. */
function statedAccuracy(
  tool: Tool,
  unit: FigureUnit,
  isNamed: boolean,
): { readonly stated: number; readonly assumptions: readonly string[] } {
  if (tool.accuracy !== undefined) return { stated: tool.accuracy, assumptions: [] }
  if (tool.resolution !== undefined) return { stated: tool.resolution / 2, assumptions: [] }
  const { accuracy } = usualFigures(tool.kind, unit)
  const size = `±${accuracy}${unit === 'deg' ? '°' : ' mm'}`
  return {
    stated: accuracy,
    assumptions: [
      isNamed
        ? `${tool.name}: its accuracy is not entered, taken as usual, ${size}`
        : `readings without a tool: taken with ${tool.name}, ${size}`,
    ],
  }
}

/**
 * Sign of a zero error in a slope.
 *
 * Looking at a display that faces left, the right-hand end is the rear one: it reads too high, so rear-low reads too
 * small. Facing rear, the right-hand end is the vehicle's right: too high there, so left-low reads too large.
 */
const signOf = (display: 'left' | 'right' | 'front' | 'rear'): 1 | -1 =>
  display === 'left' || display === 'front' ? 1 : -1

const isLevelReading = (
  reading: MeasuredReading,
): reading is Extract<MeasuredReading, { display?: unknown }> => unitOfReading(reading) === 'deg'

import type { Build } from '../project/build'
import type { MeasuredReading } from '../project/reading'
import type { DisplayEnd, FlipTest, Tool } from '../project/tool'
import { parseAngle } from '../units/parseAngle'

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

/** How far off a tool may be, and what is known to be off. */
export interface ToolError {
  /** To be added to the signed slope, positive when rear or left is low, in degrees; 0 for a length. */
  readonly correctionDeg: number
  /** Half-width of what is left, uniform, in degrees or mm. */
  readonly halfWidth: number
  /** Said with every figure that rests on the reading. */
  readonly assumption: string | null
}

/** A zero error below this, in degrees, is not worth a word. */
const SMALL_ZERO_DEG = 0.005

/**
 * What a reading's tool adds to its error.
 *
 * A flip-tested level is corrected by its zero error, which leaves its resolution; when the reading does not say which
 * way the display looked, the zero error is left in and counted as uncertainty.
 *
 * @see docs/methods/tools.md
 */
export function toolError(build: Build, reading: MeasuredReading): ToolError {
  const tool = build.tools.find((one) => one.id === reading.tool)
  const stated = tool?.accuracy ?? (tool?.resolution ?? 0) / 2
  const plain: ToolError = { correctionDeg: 0, halfWidth: stated, assumption: null }
  if (!tool || tool.kind !== 'level' || !isLevelReading(reading)) return plain
  // A level zeroed on the chassis the same way round carries its zero error in its zero.
  if ('zero' in reading && reading.zero === 'chassis') return plain
  const test = flipTestFor(tool, reading.takenAt)
  const result = test ? flipTestResult(test) : null
  if (!result?.ok) return plain
  const halfWidth = Math.min(stated, tool.resolution ?? stated / 2)
  const zero = result.zeroErrorDeg
  if (Math.abs(zero) < SMALL_ZERO_DEG) return { ...plain, halfWidth }
  if (reading.display === undefined) {
    return {
      correctionDeg: 0,
      halfWidth: halfWidth + Math.abs(zero),
      assumption: `${tool.name}: its zero error of ${Math.abs(zero).toFixed(2)}° is left in where the display's side was not said`,
    }
  }
  return { correctionDeg: correction(reading.display, zero), halfWidth, assumption: null }
}

/**
 * Correction of a signed slope for a zero error.
 *
 * Looking at a display that faces left, the right-hand end is the rear one: it reads too high, so rear-low reads too
 * small. Facing rear, the right-hand end is the vehicle's right: too high there, so left-low reads too large.
 */
function correction(display: 'left' | 'right' | 'front' | 'rear', zero: number): number {
  return display === 'left' || display === 'front' ? zero : -zero
}

const isLevelReading = (
  reading: MeasuredReading,
): reading is Extract<MeasuredReading, { display?: unknown }> =>
  reading.kind === 'chassis-fall' ||
  reading.kind === 'chassis-roll' ||
  reading.kind === 'axis-level' ||
  reading.kind === 'axis-face' ||
  reading.kind === 'shaft-level'

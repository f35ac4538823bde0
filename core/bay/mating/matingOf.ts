import { CoreError } from '../../base/errors'
import { known, unknown, type Known, type Missing } from '../../base/known'
import type { Verdict } from '../../file/build/limit'
import type { DialRound, Stack, StackPart } from '../../file/parts/mating'
import { parseDial } from './dialText'
import {
  bestDowel,
  boreRunOut,
  faceRunOut,
  type BoreRunOut,
  type DialReading,
  type DowelChoice,
  type FaceRunOut,
} from './runOut'
import { stackUp, type StackResult, type StackSize } from './stackUp'

/** What a chain of a build comes to, and how it stands in its window. */
export interface StackAnswer extends StackResult {
  /**
   * holds: even with every part at its worst; tight: in 99.73 of 100 cases; out: in fewer. Null without a window.
   */
  readonly verdict: Verdict | null
}

/** A dial round of a build. */
export interface RoundAnswer {
  readonly bore: BoreRunOut | null
  readonly face: FaceRunOut | null
  /** Total reading of the sine, in mm. */
  readonly totalMm: number
  readonly verdict: Verdict | null
  /** Null for a face, and for a bore without offset dowels on the shelf. */
  readonly dowel: DowelChoice | null
}

/** Share of cases within the window that is called tight; fewer are out. */
const NEARLY_ALL = 0.9973
/** Decimal sizes that meet their limit in the last digit keep it, in mm. */
const ROUNDING = 1e-9

/** What a chain comes to; unknown with every part that has no size yet. */
export function stackAnswer(stack: Stack): Known<StackAnswer> {
  if (stack.parts.length === 0) return unknown(`${stack.name}: no part is entered yet`)
  const missing: Missing[] = stack.parts
    .filter(({ nominalMm }) => nominalMm === undefined)
    .map(({ name }) => ({ what: `${stack.name}: the size of “${name}”`, path: '' }))
  missing.push(...overlarge(stack))
  if (missing.length > 0) return { known: false, missing }
  const assumed = stack.parts
    .filter(({ plusMm, minusMm }) => plusMm === undefined && minusMm === undefined)
    .map(({ name }) => `${stack.name}: “${name}” is taken as exact`)
  const result = stackUp(stack.parts.map(sizeOf), {
    minMm: stack.minMm ?? null,
    maxMm: stack.maxMm ?? null,
  })
  return known({ ...result, verdict: verdictOf(stack, result) }, assumed)
}

/** Parts that their own tolerance would eat up. */
const overlarge = ({ name: stack, parts }: Stack): Missing[] =>
  parts.flatMap(({ name, nominalMm, plusMm = 0, minusMm = 0 }) =>
    nominalMm !== undefined && nominalMm !== 0 && Math.max(plusMm, minusMm) > Math.abs(nominalMm)
      ? [{ what: `${stack}: a tolerance of “${name}” that is smaller than the part itself`, path: '' }]
      : [],
  )

const sizeOf = ({ counts, nominalMm, plusMm, minusMm, spread }: StackPart): StackSize => ({
  sign: counts === 'adds' ? 1 : -1,
  nominalMm: nominalMm ?? NaN,
  plusMm: plusMm ?? 0,
  minusMm: minusMm ?? 0,
  spread: spread ?? 'normal',
})

function verdictOf({ minMm, maxMm }: Stack, { worst, below, above }: StackResult): Verdict | null {
  if (minMm === undefined && maxMm === undefined) return null
  const isIn = (mm: number) =>
    (minMm === undefined || mm >= minMm - ROUNDING) && (maxMm === undefined || mm <= maxMm + ROUNDING)
  if (worst.every(isIn)) return 'holds'
  return 1 - below - above >= NEARLY_ALL ? 'tight' : 'out'
}

/** A dial round of a build; unknown with what cannot be read or is still to be read. */
export function roundAnswer(round: DialRound): Known<RoundAnswer> {
  const read = round.spots.filter(({ text }) => text.trim() !== '')
  const readings: DialReading[] = []
  const missing: Missing[] = []
  for (const { clockDeg, text } of read) {
    const parsed = parseDial(text, round.unit)
    if (parsed.ok) readings.push({ clockDeg, mm: parsed.value })
    else missing.push({ what: `${round.name}, at ${clockText(clockDeg)}: ${parsed.message}`, path: '' })
  }
  if (round.of === 'face' && round.radiusMm === undefined)
    missing.push({ what: `${round.name}: the radius at which the plunger goes round`, path: '' })
  if (missing.length > 0) return { known: false, missing }
  try {
    const isUsual = round.countsBackwards !== true
    const bore = round.of === 'bore' ? boreRunOut(readings, isUsual) : null
    const face = round.of === 'face' ? faceRunOut(readings, round.radiusMm ?? NaN, isUsual) : null
    const totalMm = 2 * ((bore ?? face)?.fit.amplitude ?? NaN)
    const most = round.totalMaxMm
    return known({
      bore,
      face,
      totalMm,
      verdict: most === undefined ? null : totalMm <= most + ROUNDING ? 'holds' : 'out',
      dowel: bore && round.dowelsMm ? bestDowel(bore, round.dowelsMm) : null,
    })
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return unknown(`${round.name}: three places well round the clock, ${readings.length} are read`)
  }
}

/** A place on the clock face: 90° is "3 o’clock", 205° is "about 7 o’clock (205°)". */
export function clockText(clockDeg: number): string {
  const turn = ((clockDeg % 360) + 360) % 360
  const half = Math.round(turn / 15)
  const hour = Math.floor(half / 2) % 12 || 12
  const words = half % 2 === 0 ? `${hour} o’clock` : `half past ${hour}`
  return Math.abs(turn - 15 * half) > 0.5 ? `about ${words} (${Math.round(turn)}°)` : words
}

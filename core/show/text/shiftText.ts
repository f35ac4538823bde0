import { fixed, formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Build } from '../../file/build/build'
import { ARM_LIES, OPPOSITE, quarterOf } from '../../file/parts/armWays'
import type { ShiftArm } from '../../file/parts/shiftLinkage'
import type { ShiftAdvice } from '../../model/shiftAdvice'
import type { ShiftEvaluation } from '../../model/shiftFound'
import type { UnlikeGate } from '../../model/unlikeGates'
import type { Verdict } from '../../file/build/limit'

/** A gate in words. */
export interface ShiftRow {
  readonly id: string
  readonly name: string
  /** Of a gate of one end alone: whose. */
  readonly only: string
  readonly lever: string
  readonly box: string
  readonly error: string
  /** Its place in the published result; null for one that is not worked out. */
  readonly place: string | null
  /** The most that it errs as the engine rocks on its mounts. */
  readonly rocked: string
  readonly left: string
  readonly transmission: string
  readonly verdict: Verdict
}

const NONE = '–'
const ONLY = { lever: 'lever alone', box: 'gearbox alone' } as const
/** A turn that is shown as none has no way. */
const NO_TURN_DEG = 0.05

/**
 * Every gate of a linkage, in its order.
 *
 * @param index - of the linkage in the build
 */
export const shiftRows = (
  { shift, found, checks }: ShiftEvaluation,
  index: number,
  units: UnitSettings,
): ShiftRow[] =>
  shift.gates.map((gate) => {
    const gates = found.known ? found.value.gates : []
    const k = gates.findIndex(({ id }) => id === gate.id)
    const there = gates[k]
    const { errorDeg, rockedDeg, leftDeg, transmissionDeg, missesMm } = there?.figures ?? {}
    const angle = (deg: number | undefined) => (deg === undefined ? NONE : formatAngle(deg, units, 1))
    const own = checks.filter(({ id }) => id.startsWith(`shift/${shift.id}/${gate.id}/`))
    const misses = missesMm !== undefined && missesMm > 0
    return {
      id: gate.id,
      name: gate.name,
      only: gate.only === undefined ? '' : ONLY[gate.only],
      lever: leanText(shift.lever, there?.leverDeg, units),
      box: leanText(shift.box, there?.boxDeg, units),
      error: misses
        ? `cannot reach by ${formatLength(missesMm, units)}`
        : errorDeg === undefined
          ? NONE
          : turnText(shift.box, errorDeg, units),
      place: errorDeg === undefined ? null : `shifts[${index}].gates[${k}]`,
      rocked: angle(rockedDeg),
      left: angle(leftDeg),
      transmission: transmissionDeg === undefined ? NONE : formatAngle(transmissionDeg, units, 0),
      verdict: worst(own.map(({ verdict }) => verdict)),
    }
  })

const ORDER: readonly Verdict[] = ['out', 'unknown', 'tight', 'holds']
const worst = (verdicts: readonly Verdict[]): Verdict =>
  ORDER.find((one) => verdicts.includes(one)) ?? 'unknown'

/** How an arm stands, off the way that it points: "24.0° back". */
function leanText(arm: ShiftArm, deg: number | undefined, units: UnitSettings): string {
  const quarter = quarterOf(arm.lies, arm.points)
  if (deg === undefined || quarter === null) return NONE
  // Angles go on past a whole turn: the way that it points is the nearest quarter.
  const off = deg - 90 * quarter
  return turnText(arm, off - 360 * Math.round(off / 360), units)
}

/** A turn of an arm by the way that its end goes: "1.3° back". */
function turnText({ lies, points }: ShiftArm, deg: number, units: UnitSettings): string {
  const [from, toward] = ARM_LIES[lies]
  const ways = [from, toward, OPPOSITE[from], OPPOSITE[toward]]
  const way = ways[((quarterOf(lies, points) ?? 0) + (deg > 0 ? 1 : 3)) % 4] ?? from
  const size = formatAngle(Math.abs(deg), units, 1)
  return Math.abs(deg) < NO_TURN_DEG ? size : `${size} ${way}`
}

/** How a linkage does, in one sentence. */
export function shiftSentence({ shift, found }: ShiftEvaluation, units: UnitSettings): string {
  if (!found.known) return `${shift.name} is not known yet.`
  const { gates, captureDeg, lostDeg } = found.value
  const isSet = shift.setIn !== undefined || (shift.rodMm !== undefined && shift.cable === undefined)
  if (!isSet)
    return shift.cable === undefined
      ? 'No rod yet: the best one is told below.'
      : 'Its cable is set nowhere yet: say in which gate.'
  const missed = gates.find(({ figures: { missesMm = 0 } }) => missesMm > 0)
  if (missed)
    return `Cannot reach ${missed.name}: the ${shift.cable === undefined ? 'rod' : 'cable'} misses it by ${formatLength(missed.figures.missesMm ?? NaN, units)}.`
  const least = gates.reduce((a, b) => ((b.figures.leftDeg ?? NaN) < (a.figures.leftDeg ?? NaN) ? b : a))
  const { errorDeg = NaN, leftDeg = NaN } = least.figures
  const lost = lostDeg > 0 ? `, ${fixed(lostDeg, 1)}° of play in it` : ''
  const detent = `a detent draws in ${fixed(captureDeg, 1)}°${lost}`
  const off = `${formatAngle(Math.abs(errorDeg), units, 1)} off`
  return leftDeg >= 0
    ? `Every gate is caught: worst is ${least.name}, ${off}; ${detent}.`
    : `${least.name} is not caught: ${off}; ${detent}.`
}

/** Positions of one end alone: what becomes of each. */
export const unlikeTexts = (
  { shift }: ShiftEvaluation,
  gates: readonly UnlikeGate[],
  units: UnitSettings,
): string[] =>
  gates.map(({ name, only, leverDeg }) => {
    if (only === 'lever') return `${name}: the lever has it, the gearbox does nothing there; it stays unused.`
    if (leverDeg === null) return `${name}: the gearbox has it, the lever has no mark for it.`
    return `${name}: the gearbox has it; the lever wants a new mark where it stands ${leanText(shift.lever, leverDeg, units)}.`
  })

/** What would make it better, one sentence each. */
export function adviceTexts(
  { found }: ShiftEvaluation,
  { rod, set, holes, slot }: ShiftAdvice,
  units: UnitSettings,
): {
  readonly rod: string
  readonly set: string | null
  readonly holes: readonly string[]
  readonly slot: string | null
} {
  const angle = (deg: number) => formatAngle(deg, units, 1)
  const now = found.known
    ? Math.max(...found.value.gates.map(({ figures }) => Math.abs(figures.errorDeg ?? NaN)))
    : NaN
  const rodMm = found.known ? found.value.rodMm : null
  const stands =
    rodMm === null || Number.isNaN(now) ? '' : `; the one of ${formatLength(rodMm, units)} errs ${angle(now)}`
  return {
    rod: rod
      ? `A rod of ${formatLength(rod.rodMm, units)} from pin to pin errs least: ${angle(rod.maxErrorDeg)}${stands}.`
      : 'No rod between these holes reaches every gate: take other holes, or clock an arm otherwise.',
    set:
      set &&
      `Set on the vehicle, it errs least when it is set in ${set.name}: ${angle(set.maxErrorDeg)} at worst.`,
    holes: holes.map(
      ({ leverArmMm, boxArmMm, rodMm, maxErrorDeg }) =>
        `lever ${formatLength(leverArmMm, units)}, gearbox ${formatLength(boxArmMm, units)}, rod ${formatLength(rodMm, units)}: ${angle(maxErrorDeg)}`,
    ),
    slot: slot && slotText(slot, units),
  }
}

/** What the knob does: its throw, what it comes near, the opening that the lever wants; empty where nobody told it. */
export function knobTexts({ found }: ShiftEvaluation, { units, points }: Build): KnobText[] {
  const knob = found.known ? found.value.knob : null
  if (!knob) return []
  const { throwMm, openingMm } = knob.figures
  const length = (mm: number) => formatLength(mm, units)
  return [
    ...(throwMm === undefined
      ? []
      : [{ name: 'throwMm', title: 'The knob goes, first gate to last', value: length(throwMm) }]),
    ...(openingMm === undefined
      ? []
      : [{ name: 'openingMm', title: 'Opening that the lever wants', value: length(openingMm) }]),
    ...knob.near.map(({ point, gapMm, wantedMm }, k) => ({
      name: `near[${k}].gapMm`,
      title: `Hand to ${points.find(({ id }) => id === point)?.name ?? point}, of ${length(wantedMm)} wanted`,
      value: length(gapMm),
    })),
  ]
}

/** A figure of a knob: its name in the published result behind `knob.`, its title, its size. */
export interface KnobText {
  readonly name: string
  readonly title: string
  readonly value: string
}

const FILED_MM = 0.05

function slotText(
  { first, last, fileFirstMm, fileLastMm, overMm }: NonNullable<ShiftAdvice['slot']>,
  units: UnitSettings,
): string {
  const ends = [
    ...(fileFirstMm > FILED_MM ? [`${formatLength(fileFirstMm, units)} beyond ${first}`] : []),
    ...(fileLastMm > FILED_MM ? [`${formatLength(fileLastMm, units)} beyond ${last}`] : []),
  ]
  const asked = `${formatLength(overMm, units)} beyond both end detents and the play`
  return ends.length === 0
    ? `The slot is long enough for ${asked}.`
    : `For ${asked}, file the slot ${ends.join(' and ')}.`
}

import { CHECK_STATES, type CheckState } from '../../check/check'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { fallWords, planWords } from '../../base/frame/words'
import type { Known } from '../../base/known'
import type { LengthMark } from '../../file/parts/lengthMarks'
import type { LengthFigure } from '../../line/shaftLengths'
import type { LineFigures, ShaftFigures } from '../../line/lineFigures'
import { turning } from '../../line/turning'
import { peakAcceleration, smallAngleAcceleration } from '../../line/uniformity'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Line } from '../../file/parts/lineSpec'
import { degrees, radians } from '../../base/units/angle'
import { fixed, formatAngle, formatBothUnits, grouped } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { FigureSpread, Sureness } from '../../answers/uncertainty/monteCarlo'
import { lineFigureId } from '../../model/lineSubject'
import { intervalText } from './checkText'

/** One figure with its name, and what to make of it. */
export interface Fact {
  readonly name: string
  readonly value: string
  /** "± 0.14°"; absent while it is not known. */
  readonly plusMinus?: string
  readonly remark?: string
  /** Its place in the line's result, `ride.joints[0].angleDeg`, by which one can ask where it comes from. */
  readonly figure?: string
}

/** How sure a figure of a line is, by its name in the published result; null while it is not known. */
export type LineSpread = (state: CheckState, name: string) => FigureSpread | null

/** How sure one line's figures are. */
export const lineSpread =
  (sureness: Sureness | null, lineId: Id): LineSpread =>
  (state, name) =>
    sureness?.figures[lineFigureId(lineId, { state, at: null }, name)] ?? null

export interface FactGroup {
  readonly about: 'angles' | 'evenness' | 'inertia' | 'shaft'
  readonly title: string
  readonly facts: readonly Fact[]
}

/** What a place on a shaft's end is called at the bench. */
const MARK_NAMES: Readonly<Record<LengthMark, string>> = {
  'joint-centre': 'joint centre',
  'flange-face': 'flange face',
  'shaft-end': 'end of the output shaft',
  'seal-face': 'seal face',
  'bolt-face': 'bolt face of the yoke',
}

/** All figures of a line, grouped for reading; empty while the line is not known. */
export function lineFacts(
  build: Build,
  found: LineEvaluation,
  sureness: Sureness | null = null,
): FactGroup[] {
  const { line } = found
  const ride = turning(line, found.ride)
  if (!ride.known) return []
  const [drive, coast] = [found.drive, found.coast].map((figures) => figures && turning(line, figures))
  const { units } = build
  const sure = lineSpread(sureness, line.id)
  const even = drive?.known ? drive : ride
  return [
    {
      about: 'angles',
      title: 'Joint angles',
      facts: angleFacts(ride.value, known(drive), known(coast), units, sure),
    },
    {
      about: 'evenness',
      title: drive?.known ? 'Evenness under drive' : 'Evenness',
      facts: evennessFacts(even.value, found.speed, units, drive?.known ? 'drive' : 'ride', sure),
    },
    ...inertiaGroup(line, found.speed, { ride: ride.value, drive: known(drive), coast: known(coast) }, sure),
    ...ride.value.shafts().map((shaft, index) => ({
      about: 'shaft' as const,
      title: line.shafts.length > 1 ? `Shaft ${index + 1}` : 'Shaft',
      facts: [
        ...shaftFacts(
          shaft,
          units,
          (name) => sure('ride', `shafts[${index}].${name}`),
          `ride.shafts[${index}].`,
        ),
        ...lengthFacts(
          shaft,
          build,
          (name) => sure('ride', `shafts[${index}].${name}`),
          `ride.shafts[${index}].`,
        ),
      ],
    })),
  ]
}

/** The ± as text, or an interval where the figure may as well be nought; nothing for an exact or unknown one. */
export function spreadText(spread: FigureSpread | null, show: (value: number) => string): string | undefined {
  if (!spread || (spread.plusMinus === 0 && !spread.interval)) return undefined
  return spread.interval ? intervalText(spread.interval, show) : `± ${show(spread.plusMinus)}`
}

type Spread = (name: string) => FigureSpread | null

const known = (figures: Known<LineFigures> | null | undefined): LineFigures | null =>
  figures?.known ? figures.value : null

/**
 * How hard each shaft is swung, exactly: driven from the front cruising and pulling, from behind on overrun. Beside a joint
 * of constant velocity it is not swung at all.
 */
function inertiaGroup(
  line: Line,
  speed: LineEvaluation['speed'],
  states: Readonly<Record<CheckState, LineFigures | null>>,
  sure: LineSpread,
): FactGroup[] {
  if (!speed.known) return []
  const rpm = speed.value.speedRpm
  const many = line.shafts.length > 1
  const facts = line.shafts.flatMap((_, index) =>
    CHECK_STATES.flatMap((state): Fact[] => {
      const figures = states[state]
      const swung = state === 'coast' ? figures?.fromBehind()[index] : figures?.members[index]
      if (!swung) return []
      const name = `${many ? `shaft ${index + 1}, ` : ''}${INERTIA_NAMES[state]}`
      const spread = state === 'coast' ? null : sure(state, `shafts[${index}].peakAccelerationRadS2`)
      return [
        {
          name,
          value: `${grouped(peakAcceleration(swung, rpm))} rad/s²`,
          plusMinus: spreadText(spread, grouped),
          ...(state !== 'coast' && { figure: `${state}.shafts[${index}].peakAccelerationRadS2` }),
        },
      ]
    }),
  )
  return [{ about: 'inertia', title: `Shaft swung, at ${grouped(rpm)} rev/min`, facts }]
}

const INERTIA_NAMES: Readonly<Record<CheckState, string>> = {
  ride: 'inertial, cruising',
  drive: 'inertial, on drive',
  coast: 'inertial, on overrun',
}

function angleFacts(
  ride: LineFigures,
  drive: LineFigures | null,
  coast: LineFigures | null,
  units: UnitSettings,
  sure: LineSpread,
): Fact[] {
  return ride.anglesDeg.map((angle, index) => ({
    name: `joint ${index + 1}`,
    value: formatAngle(angle, units, 2),
    plusMinus: spreadText(sure('ride', `joints[${index}].angleDeg`), (size) => formatAngle(size, units, 2)),
    figure: `ride.joints[${index}].angleDeg`,
    remark: drive
      ? `under drive ${formatAngle(drive.anglesDeg[index] ?? 0, units, 2)}${coast ? `, on overrun ${formatAngle(coast.anglesDeg[index] ?? 0, units, 2)}` : ''}`
      : undefined,
  }))
}

function evennessFacts(
  { whole, smallEquivalentDeg }: LineFigures,
  speed: LineEvaluation['speed'],
  units: UnitSettings,
  state: CheckState,
  sureIn: LineSpread,
): Fact[] {
  const sure: Spread = (name) => sureIn(state, name)
  const degreesText = (decimals: number) => (size: number) => formatAngle(size, units, decimals)
  const acceleration = (size: number) => grouped(size)
  const facts: Fact[] = [
    {
      name: 'equivalent angle of one joint',
      value: formatAngle(degrees(whole.equivalentAngle), units, 2),
      plusMinus: spreadText(sure('equivalentAngleDeg'), degreesText(2)),
      figure: `${state}.equivalentAngleDeg`,
      remark: `by the small-angle rule ${formatAngle(smallEquivalentDeg(), units, 2)}`,
    },
    {
      name: 'driven axis runs ahead and behind by',
      value: formatAngle(degrees(whole.errorPeakToPeak), units, 3),
      plusMinus: spreadText(sure('errorPeakToPeakDeg'), degreesText(3)),
      figure: `${state}.errorPeakToPeakDeg`,
      remark: 'peak to peak, twice a turn',
    },
    {
      name: 'speed ratio',
      value: `${fixed(whole.ratioMin, 4)} to ${fixed(whole.ratioMax, 4)}`,
      plusMinus: spreadText(sure('ratioMax'), (size) => fixed(size, 4)),
      figure: `${state}.ratioMax`,
    },
  ]
  if (!speed.known) return facts
  const rpm = speed.value.speedRpm
  const small = smallAngleAcceleration(radians(smallEquivalentDeg()), rpm)
  return [
    ...facts,
    {
      name: `torsional, at ${grouped(rpm)} rev/min`,
      value: `${grouped(peakAcceleration(whole, rpm))} rad/s²`,
      plusMinus: spreadText(sure('outputPeakAccelerationRadS2'), acceleration),
      figure: `${state}.outputPeakAccelerationRadS2`,
      remark: `by the small-angle rule ${grouped(small)}; speed from ${speed.value.basis}`,
    },
  ]
}

function shaftFacts(shaft: ShaftFigures, units: UnitSettings, sure: Spread, at: string): Fact[] {
  const lie = `${fallWords(degrees(shaft.place.fall), 'tail', units, 2).replace('tail', 'rear')}, ${planWords(degrees(shaft.place.plan), units, 2)}`
  const facts: Fact[] = [
    {
      name: 'lies',
      value: lie,
      plusMinus: spreadText(sure('fallDeg'), (size) => formatAngle(size, units, 2)),
      figure: `${at}fallDeg`,
    },
  ]
  if (shaft.criticalSpeedRpm !== null)
    facts.push({
      name: 'critical speed',
      value: `${grouped(shaft.criticalSpeedRpm)} rev/min`,
      plusMinus: spreadText(sure('criticalSpeedRpm'), grouped),
      figure: `${at}criticalSpeedRpm`,
    })
  if (shaft.bearingOffLine !== null)
    facts.push({ name: 'bearing off its line by', value: `${fixed(shaft.bearingOffLine, 1)} mm` })
  if (shaft.bestPhase) facts.push(phaseFact(shaft, units))
  return facts
}

/** Clocking that takes away less than this share of the error is not worth a spline. */
const WORTH = 0.1

function phaseFact({ bestPhase, phaseDeg }: ShaftFigures, units: UnitSettings): Fact {
  if (!bestPhase) return { name: 'best phase', value: 'any' }
  const before = degrees(bestPhase.before.errorPeakToPeak)
  const after = degrees(bestPhase.after.errorPeakToPeak)
  const gain = before > 0 ? (before - after) / before : 0
  const show = (error: number) => formatAngle(error, units, 3)
  const turn = phaseWords(bestPhase.phaseDeg, units)
  const tooth =
    bestPhase.tooth && bestPhase.tooth.steps !== 0
      ? `, nearest ${Math.abs(bestPhase.tooth.steps)} ${Math.abs(bestPhase.tooth.steps) === 1 ? 'tooth' : 'teeth'}`
      : ''
  const remark =
    gain < WORTH
      ? `clocking gains almost nothing here: error ${show(before)} to ${show(after)}; now ${phaseWords(phaseDeg, units)}`
      : `error ${show(before)} now, ${show(after)} then${tooth}`
  return { name: 'best phase of the yokes', value: turn, remark }
}

const phaseWords = (phaseDeg: number, units: UnitSettings): string =>
  Math.abs(phaseDeg) < 0.05
    ? 'in phase'
    : `rear yoke ${formatAngle(Math.abs(phaseDeg), units)} ${phaseDeg > 0 ? 'anticlockwise' : 'clockwise'} from behind`

/** A difference below this, in mm, is not worth a second figure on the order. */
const SEEN_ON_TAPE = 0.5

/** Lengths of a shaft in every convention its ends allow, in both units. */
export function lengthFacts(
  { lengths }: ShaftFigures,
  build: Build,
  sure: Spread = () => null,
  at = '',
): Fact[] {
  return lengths.all.map((length, i) => ({
    name: lengthName(length),
    value: formatBothUnits(length.length, build.units.inchFraction),
    plusMinus: spreadText(sure(`lengths[${i}].vehicleMm`), (size) => `${fixed(size, 1)} mm`),
    ...(at && { figure: `${at}lengths[${i}].vehicleMm` }),
    remark:
      Math.abs(length.onBench - length.length) > SEEN_ON_TAPE
        ? `straightened on the bench ${formatBothUnits(length.onBench, build.units.inchFraction)}`
        : undefined,
  }))
}

export function lengthName({ from, to }: LengthFigure): string {
  const seats = (mark: LengthMark, other: LengthMark) =>
    mark === 'joint-centre' && other !== 'joint-centre' ? 'cap seats' : MARK_NAMES[mark]
  return `${seats(from, to)} to ${seats(to, from)}`
}

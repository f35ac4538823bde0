import { axisDirection, riseSweep } from '../frame/axis'
import { toStation } from '../frame/station'
import type { Known, Missing } from '../known'
import { lengthBetween, type LengthFigure } from '../line/shaftLengths'
import type { LineFigures, ShaftFigures } from '../line/lineFigures'
import { inertialRule } from '../line/inertialRule'
import { turning } from '../line/turning'
import { peakAcceleration, smallAngleAcceleration, type Uniformity } from '../line/uniformity'
import { QUANTITY_UNITS, type Verdict, type Window } from '../project/limit'
import type { Build, NamedAxis } from '../project/build'
import type { JointKind, Line, School } from '../project/lineSpec'
import { clockSplines } from '../line/clockSplines'
import { forcesOf } from '../line/forcesOf'
import type { BearingLoad, JointLoad } from '../line/lineForces'
import { phasesOf } from '../line/phases'
import { findMistakes } from '../mistakes/findMistakes'
import { DEFAULT_SEED, runMonteCarlo } from '../uncertainty/monteCarlo'
import { sampleModel } from '../uncertainty/sampleModel'
import { sureEvaluation } from '../uncertainty/sureness'
import { checkLabel, checkSentence, marginText } from '../text/checkText'
import { stateSentence } from '../text/stateSentence'
import { asRadians, degrees, radians } from '../units/angle'
import { uncertaintyJson, type UncertaintyJson } from './uncertaintyJson'
import { chosenSettings, evaluateBuild, type Evaluation, type LineEvaluation } from '../model/evaluateBuild'
import { isSameState, type Check, type CheckState } from '../check/check'
import { placeJson, type PlaceJson } from './placeJson'
import { registrationsJson, type RegistrationJson } from './registrationsJson'

/** The result of checking a build, as the command line and the server give it; every figure's key ends in its unit. */
export interface ResultJson extends PlaceJson {
  readonly format: 'lurvan-result'
  readonly version: 1
  readonly build: { readonly id: string; readonly name: string }
  readonly position: {
    readonly id: string
    readonly name: string
    readonly settings: Readonly<Record<string, number>>
  }
  readonly verdict: Verdict
  readonly sentence: string
  readonly axes: readonly AxisJson[]
  readonly points: readonly PointJson[]
  readonly lines: readonly LineJson[]
  readonly checks: readonly CheckJson[]
  /** How sure the figures are; null when it was not asked for. */
  readonly uncertainty: UncertaintyJson | null
  readonly missing: readonly Missing[]
  readonly assumptions: readonly string[]
  /** What is probably wrong with the readings, likeliest culprit first. */
  readonly mistakes: readonly {
    readonly kind: string
    readonly readings: readonly string[]
    readonly sentence: string
  }[]
  /** One for each setup that was measured from its own line: how its datum points fit, or why they do not. */
  readonly registrations: readonly RegistrationJson[]
}

/** An axis in the chassis frame at this position; nulls when it is not known. */
export interface AxisJson {
  readonly id: string
  readonly fallDeg: number | null
  readonly planDeg: number | null
  /** Of an axis that lies across the vehicle, which has no fall and plan. */
  readonly riseDeg: number | null
  readonly sweepDeg: number | null
  readonly missing: readonly Missing[]
}

export interface PointJson {
  readonly id: string
  readonly stationMm: number | null
  readonly offsetLeftMm: number | null
  readonly heightMm: number | null
  readonly missing: readonly Missing[]
}

export interface LineJson {
  readonly id: string
  readonly name: string
  readonly school: School
  readonly known: boolean
  readonly missing: readonly Missing[]
  readonly shaftSpeedRpm: number | null
  readonly shaftSpeedBasis: string | null
  readonly ride: LineStateJson | null
  /** Axle wound up as expected under drive; only for the low-set pinion school. */
  readonly drive: LineStateJson | null
  /** Nose pressed down on overrun; null unless the line is judged there. */
  readonly coast: LineStateJson | null
  /** The same in each of the build's other places of the wheels, in their order. */
  readonly travel: readonly {
    readonly id: string
    readonly name: string
    readonly missing: readonly Missing[]
    readonly ride: LineStateJson | null
    readonly drive: LineStateJson | null
    readonly coast: LineStateJson | null
  }[]
  /** Highest torque in the driving axis by the drivetrain; null while it is not entered. */
  readonly peakTorqueNm: number | null
  readonly peakTorqueBasis: string | null
  /** No more than the tyres hold, where they are told; with its shock last. */
  readonly limitedTorqueNm: number | null
  readonly limitedBy: 'engine' | 'grip' | null
  readonly designTorqueNm: number | null
  /** Turns of the splines, in whole teeth, that even the line out best at ride height; null without a spline. */
  readonly clocking: {
    readonly shafts: readonly { readonly shaft: number; readonly turns: number; readonly stepDeg: number }[]
    readonly equivalentAngleBeforeDeg: number
    readonly equivalentAngleAfterDeg: number
  } | null
}

export interface LineStateJson {
  readonly joints: readonly JointJson[]
  readonly shafts: readonly ShaftJson[]
  readonly errorPeakToPeakDeg: number
  readonly ratioMin: number
  readonly ratioMax: number
  readonly equivalentAngleDeg: number
  readonly equivalentAngleSmallDeg: number
  readonly outputPeakAccelerationRadS2: number | null
  readonly torsionalSmallRadS2: number | null
  readonly inertialDriveRadS2: number | null
  readonly inertialCoastRadS2: number | null
}

export interface JointJson {
  readonly id: string
  readonly kind: JointKind
  readonly angleDeg: number
  readonly stationMm: number
  readonly offsetLeftMm: number
  readonly heightMm: number
  /** Greatest couples over a turn at the design torque; null without a torque. */
  readonly couples: {
    readonly torqueNm: number
    readonly drivingNm: number
    readonly drivenNm: number
  } | null
}

/** Force of a centre bearing on its shaft over a turn at the design torque. */
export interface BearingJson {
  readonly maxN: number
  readonly minN: number
  readonly upwardSwingN: number
  readonly leftSwingN: number
  readonly meanN: number
}

export interface ShaftJson {
  readonly fallDeg: number
  readonly planDeg: number
  readonly phaseDeg: number
  readonly centreToCentreMm: number
  readonly flangeToFlangeMm: number | null
  readonly shaftEndToCapSeatsMm: number | null
  readonly sealToCapSeatsMm: number | null
  readonly setInMm: number | null
  /** Every convention the end hardware allows, on the vehicle and straightened on the bench. */
  readonly lengths: readonly {
    readonly from: string
    readonly to: string
    readonly vehicleMm: number
    readonly benchMm: number
  }[]
  readonly ratioMin: number
  readonly ratioMax: number
  /** Exactly, driven from the front. */
  readonly peakAccelerationRadS2: number | null
  /** Exactly, driven from behind as on overrun. */
  readonly peakAccelerationCoastRadS2: number | null
  readonly criticalSpeedRpm: number | null
  readonly bearingOffLineMm: number | null
  readonly bearing: BearingJson | null
  readonly bestPhase: {
    readonly phaseDeg: number
    readonly errorBeforeDeg: number
    readonly errorAfterDeg: number
    readonly equivalentAngleBeforeDeg: number
    readonly equivalentAngleAfterDeg: number
    readonly toothSteps: number | null
    readonly toothPhaseDeg: number | null
    readonly toothErrorDeg: number | null
  } | null
}

export interface CheckJson {
  readonly id: string
  readonly line: string | null
  readonly quantity: string
  readonly state: string
  /** Id of the place of the wheels; null at ride height. */
  readonly at: string | null
  readonly label: string
  readonly verdict: Verdict
  readonly value: number | null
  readonly unit: string
  readonly window: Window
  readonly margin: number | null
  readonly plusMinus: number | null
  /** 95 % of the likely truths where the value may as well be nought, else null. */
  readonly interval: readonly [number, number] | null
  readonly probability: number | null
  readonly marginText: string
  readonly sentence: string
  readonly basis: string
  readonly missing: readonly Missing[]
}

const UNITS: Readonly<Record<Check['quantity'], string>> = { ...QUANTITY_UNITS, 'centring-pilot': '1' }

/**
 * The full result of a build at one of its positions.
 *
 * @param positionId - the chosen position when absent
 * @param samples - samples for the uncertainty; 0 leaves it out; what is published has at least `LEAST_SAMPLES`
 * @see docs/format.md
 */
export function resultJson(build: Build, positionId: string = build.chosen, samples = 0): ResultJson {
  const position = build.positions.find((one) => one.id === positionId)
  const settings = position?.settings ?? chosenSettings(build)
  const plain = evaluateBuild(build, settings)
  const sureness =
    samples > 0 ? runMonteCarlo(sampleModel(build, settings), { samples, seed: DEFAULT_SEED }) : null
  const evaluation = sureness ? sureEvaluation(plain, sureness) : plain
  return {
    format: 'lurvan-result',
    version: 1,
    build: { id: build.id, name: build.name },
    position: { id: position?.id ?? build.chosen, name: position?.name ?? '', settings },
    verdict: evaluation.verdict,
    sentence: stateSentence(build, evaluation),
    axes: build.axes.map((axis) => axisJson(axis, evaluation)),
    points: build.points.map((point) => pointJson(point.id, evaluation)),
    lines: evaluation.lines.map((line) => lineJson(build, line)),
    checks: evaluation.checks.map((check) => checkJson(check, build)),
    ...placeJson(build, evaluation),
    uncertainty: sureness && uncertaintyJson(build, evaluation, sureness),
    missing: evaluation.missing,
    assumptions: evaluation.assumptions,
    mistakes: findMistakes(build).map(({ kind, readingIds, sentence }) => ({
      kind,
      readings: readingIds,
      sentence,
    })),
    registrations: registrationsJson(build),
  }
}

function axisJson({ id, lies }: NamedAxis, { placed }: Evaluation): AxisJson {
  const place = placed.axes.get(id)
  const none = { fallDeg: null, planDeg: null, riseDeg: null, sweepDeg: null }
  if (!place?.known) return { id, ...none, missing: place?.missing ?? [] }
  if (lies === 'across') {
    const { rise, sweep } = riseSweep(axisDirection(place.value))
    return { id, ...none, riseDeg: degrees(rise), sweepDeg: degrees(sweep), missing: [] }
  }
  const { fall, plan } = place.value
  return { id, ...none, fallDeg: degrees(fall), planDeg: degrees(plan), missing: [] }
}

function pointJson(id: string, { placed }: Evaluation): PointJson {
  const place = placed.points.get(id)
  if (!place?.known)
    return { id, stationMm: null, offsetLeftMm: null, heightMm: null, missing: place?.missing ?? [] }
  const { station, offsetLeft, height } = toStation(place.value)
  return { id, stationMm: station, offsetLeftMm: offsetLeft, heightMm: height, missing: [] }
}

function lineJson(build: Build, found: LineEvaluation): LineJson {
  const { line, speed, torque, drive, coast, states } = found
  const designNm = torque.known ? torque.value.designNm : null
  const speedRpm = speed.known ? speed.value.speedRpm : null
  const ride = turning(line, found.ride)
  const state = (figures: Known<LineFigures> | null) => {
    const turned = figures && turning(line, figures)
    return turned?.known ? lineStateJson(line, turned.value, speedRpm, designNm) : null
  }
  return {
    id: line.id,
    name: line.name,
    school: line.school,
    known: ride.known,
    missing: ride.known ? [] : ride.missing,
    shaftSpeedRpm: speedRpm,
    shaftSpeedBasis: speed.known ? speed.value.basis : null,
    ride: state(ride),
    drive: state(drive),
    coast: state(coast),
    travel: build.states.map(({ id, name }) => {
      const here = (torqueState: CheckState) => {
        const there = states.find((one) => isSameState(one, { state: torqueState, at: { id, name } }))
        return there?.figures ?? null
      }
      const cruising = here('ride')
      return {
        id,
        name,
        missing: cruising?.known === false ? cruising.missing : [],
        ride: state(cruising),
        drive: state(here('drive')),
        coast: state(here('coast')),
      }
    }),
    peakTorqueNm: torque.known ? torque.value.grossNm : null,
    peakTorqueBasis: torque.known ? torque.value.basis : null,
    limitedTorqueNm: torque.known ? torque.value.limitedNm : null,
    limitedBy: torque.known ? torque.value.limitedBy : null,
    designTorqueNm: designNm,
    clocking: ride.known ? clockingJson(line, ride.value) : null,
  }
}

function clockingJson(line: Line, { chain }: LineFigures): LineJson['clocking'] {
  const found = clockSplines(
    chain,
    phasesOf(line),
    line.shafts.map(({ splineTeeth }) => splineTeeth),
  )
  return (
    found && {
      shafts: found.shafts.map(({ shaft, turns, stepDeg }) => ({ shaft, turns, stepDeg })),
      equivalentAngleBeforeDeg: degrees(found.before.equivalentAngle),
      equivalentAngleAfterDeg: degrees(found.after.equivalentAngle),
    }
  )
}

function lineStateJson(
  line: Line,
  figures: LineFigures,
  speedRpm: number | null,
  designNm: number | null,
): LineStateJson {
  const forces = designNm === null ? null : forcesOf(line, figures, designNm)
  const at = <T>(of: (rpm: number) => T): T | null => (speedRpm === null ? null : of(speedRpm))
  const { whole, angles } = figures
  return {
    joints: line.joints.map((joint, index) => {
      const { station, offsetLeft, height } = toStation(figures.geometry.centres[index] ?? [0, 0, 0])
      return {
        id: joint.id,
        kind: joint.kind,
        angleDeg: figures.anglesDeg[index] ?? 0,
        stationMm: station,
        offsetLeftMm: offsetLeft,
        heightMm: height,
        couples: couplesJson(forces?.joints[index]),
      }
    }),
    shafts: figures.shafts.map((shaft, index) => ({
      ...shaftJson(shaft, figures.fromBehind[index], speedRpm),
      bearing: bearingJson(forces?.bearings.find((bearing) => bearing.shaft === index)),
    })),
    errorPeakToPeakDeg: degrees(whole.errorPeakToPeak),
    ratioMin: whole.ratioMin,
    ratioMax: whole.ratioMax,
    equivalentAngleDeg: degrees(whole.equivalentAngle),
    equivalentAngleSmallDeg: figures.smallEquivalentDeg,
    outputPeakAccelerationRadS2: at((rpm) => peakAcceleration(whole, rpm)),
    torsionalSmallRadS2: at((rpm) => smallAngleAcceleration(radians(figures.smallEquivalentDeg), rpm)),
    inertialDriveRadS2: at((rpm) => inertialRule(line, 0, angles[0] ?? asRadians(0), rpm)),
    inertialCoastRadS2: at((rpm) =>
      inertialRule(line, line.joints.length - 1, angles.at(-1) ?? asRadians(0), rpm),
    ),
  }
}

const couplesJson = (load: JointLoad | undefined): JointJson['couples'] =>
  load ? { torqueNm: load.meanTorque, drivingNm: load.onDriving, drivenNm: load.onDriven } : null

function bearingJson(load: BearingLoad | undefined): BearingJson | null {
  if (!load) return null
  const { maxN, minN, upwardSwingN, leftSwingN, meanN } = load
  return { maxN, minN, upwardSwingN, leftSwingN, meanN }
}

function shaftJson(
  shaft: ShaftFigures,
  fromBehind: Uniformity | undefined,
  speedRpm: number | null,
): Omit<ShaftJson, 'bearing'> {
  const { lengths, bestPhase } = shaft
  const seats = (from: 'shaft-end' | 'seal-face') =>
    lengthBetween(lengths, from, 'joint-centre') ?? lengthBetween(lengths, 'joint-centre', from)
  return {
    fallDeg: degrees(shaft.place.fall),
    planDeg: degrees(shaft.place.plan),
    phaseDeg: shaft.phaseDeg,
    centreToCentreMm: lengthBetween(lengths, 'joint-centre', 'joint-centre') ?? 0,
    flangeToFlangeMm: lengthBetween(lengths, 'flange-face', 'flange-face'),
    shaftEndToCapSeatsMm: seats('shaft-end'),
    sealToCapSeatsMm: seats('seal-face'),
    setInMm: lengths.setIn,
    lengths: lengths.all.map(lengthJson),
    ratioMin: shaft.uniformity.ratioMin,
    ratioMax: shaft.uniformity.ratioMax,
    peakAccelerationRadS2: speedRpm === null ? null : peakAcceleration(shaft.uniformity, speedRpm),
    peakAccelerationCoastRadS2:
      speedRpm === null || !fromBehind ? null : peakAcceleration(fromBehind, speedRpm),
    criticalSpeedRpm: shaft.criticalSpeedRpm,
    bearingOffLineMm: shaft.bearingOffLine,
    bestPhase: bestPhase && {
      phaseDeg: bestPhase.phaseDeg,
      errorBeforeDeg: degrees(bestPhase.before.errorPeakToPeak),
      errorAfterDeg: degrees(bestPhase.after.errorPeakToPeak),
      equivalentAngleBeforeDeg: degrees(bestPhase.before.equivalentAngle),
      equivalentAngleAfterDeg: degrees(bestPhase.after.equivalentAngle),
      toothSteps: bestPhase.tooth?.steps ?? null,
      toothPhaseDeg: bestPhase.tooth?.phaseDeg ?? null,
      toothErrorDeg: bestPhase.tooth ? degrees(bestPhase.tooth.after.errorPeakToPeak) : null,
    },
  }
}

const lengthJson = ({ from, to, length, onBench }: LengthFigure) => ({
  from,
  to,
  vehicleMm: length,
  benchMm: onBench,
})

function checkJson(check: Check, build: Build): CheckJson {
  const many = build.lines.length > 1
  return {
    id: check.id,
    line: check.lineId,
    quantity: check.quantity,
    state: check.state,
    at: check.at?.id ?? null,
    label: checkLabel(check, many),
    verdict: check.verdict,
    value: check.value,
    unit: UNITS[check.quantity],
    window: check.window,
    margin: check.margin,
    plusMinus: check.plusMinus,
    interval: check.interval,
    probability: check.probability,
    marginText: marginText(check, build.units),
    sentence: checkSentence(check, build.units, many),
    basis: check.basis,
    missing: check.missing,
  }
}

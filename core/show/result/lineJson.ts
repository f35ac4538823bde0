import { isSameState, type CheckState } from '../../check/check'
import { toStation } from '../../base/frame/station'
import type { Known, Missing } from '../../base/known'
import { clockSplines } from '../../line/clockSplines'
import { forcesOf } from '../../line/forcesOf'
import { inertialRule } from '../../line/inertialRule'
import type { BearingLoad, JointLoad } from '../../line/lineForces'
import type { LineFigures, ShaftFigures } from '../../line/lineFigures'
import { phasesOf } from '../../line/phases'
import { lengthBetween, type LengthFigure } from '../../line/shaftLengths'
import { wheelPlaces } from '../../file/build/wheelPlaces'
import { turning } from '../../line/turning'
import { peakAcceleration, smallAngleAcceleration, type Uniformity } from '../../line/uniformity'
import type { LineEvaluation } from '../../model/lineEvaluation'
import type { Build } from '../../file/build/build'
import type { JointKind, Line, School } from '../../file/parts/lineSpec'
import { asRadians, degrees, radians } from '../../base/units/angle'

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
  /** Load of its cross as a share of what it bears; null without one, or while either is not told. */
  readonly crossShare: number | null
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
  /** Of the shaft against the seat of its centre bearing; null without one, or where its axis was not read. */
  readonly bearingMisalignmentDeg: number | null
  readonly bearing: BearingJson | null
  /** Way left before what slips bottoms, engaged spline over its diameter, way left of a joint that plunges; null without. */
  readonly slipLeftMm: number | null
  readonly splineEngaged: number | null
  readonly plungeLeftMm: number | null
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

/** One line of a result, in every state it is judged in. */
export function lineJson(build: Build, found: LineEvaluation): LineJson {
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
    travel: wheelPlaces(build).map(({ id, name }) => {
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

function clockingJson(line: Line, { train: chain }: LineFigures): LineJson['clocking'] {
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
        crossShare: figures.crossShares[index] ?? null,
      }
    }),
    shafts: figures.shafts().map((shaft, index) => ({
      ...shaftJson(shaft, figures.fromBehind()[index], speedRpm),
      bearing: bearingJson(forces?.bearings.find((bearing) => bearing.shaft === index)),
    })),
    errorPeakToPeakDeg: degrees(whole.errorPeakToPeak),
    ratioMin: whole.ratioMin,
    ratioMax: whole.ratioMax,
    equivalentAngleDeg: degrees(whole.equivalentAngle),
    equivalentAngleSmallDeg: figures.smallEquivalentDeg(),
    outputPeakAccelerationRadS2: at((rpm) => peakAcceleration(whole, rpm)),
    torsionalSmallRadS2: at((rpm) => smallAngleAcceleration(radians(figures.smallEquivalentDeg()), rpm)),
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
    slipLeftMm: shaft.slipLeftMm,
    splineEngaged: shaft.splineEngaged,
    plungeLeftMm: shaft.plungeLeftMm,
    bearingOffLineMm: shaft.bearingOffLine,
    bearingMisalignmentDeg: shaft.bearingMisalignmentDeg,
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

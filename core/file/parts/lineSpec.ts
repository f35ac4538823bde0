import { array, boolean, object } from 'yup'
import { byWord } from './byWord'
import {
  figure,
  idField,
  kindOf,
  list,
  maybe,
  nameField,
  noteField,
  requiredId,
  requiredName,
  wordField,
} from './fields'
import { JOINT_KINDS } from './joints'
import type { Id } from './id'
import type { Told } from './told'

/** Layout schools; a line is judged by the one chosen for it. */
export const SCHOOLS = ['parallel', 'intersecting', 'straight', 'pointed', 'two-piece', 'low-pinion'] as const
export type School = (typeof SCHOOLS)[number]

export { JOINT_KINDS, type JointKind } from './joints'

/** What the named point of a joint is; the joint's centre follows from the end hardware. */
export const POINT_MEANINGS = ['centre', 'flange-face', 'shaft-end', 'seal-face'] as const
export type PointMeaning = (typeof POINT_MEANINGS)[number]

const joint = object({
  id: requiredId(),
  name: nameField(),
  kind: wordField(JOINT_KINDS).required(),
  /** Absent where the centre bearing of the shaft in front sets it. */
  point: idField(),
  /** Only the first and the last joint may be told by anything but their centre. */
  pointIs: wordField(POINT_MEANINGS),
  /** Largest working angle the part's maker allows, in degrees. */
  limitDeg: figure(0, 90),
  /** A flexible disc needs a pilot that keeps it centred. */
  centringPilot: boolean(),
  /** Its cross, of the list of sizes. */
  cross: idField(),
})
export type Joint = Told<typeof joint>

const length = () => figure(0, 100_000)
const endOf = <K extends string>(kind: K) => ({ kind: kindOf(kind) })

/** Hardware at the end of a shaft, by its kind. */
const ENDS = {
  /** Cap seats bolted straight into the mating yoke: the joint centre is the seat centre. */
  yoke: object({
    ...endOf('yoke'),
    /** The face that the caps are bolted to lies so far beyond the joint centre, on the mating axis. */
    boltFaceToJointMm: figure(-500, 500),
  }),
  /** A flange; its face lies `faceToJointMm` beyond the joint centre, on the mating axis. */
  flange: object({ ...endOf('flange'), faceToJointMm: length() }),
  /** A yoke that slides on the splines of an output shaft. */
  'slip-yoke': object({
    ...endOf('slip-yoke'),
    /** Bottom of the yoke's bore to the joint centre. */
    boreBottomToJointMm: length(),
    /** Gap left at ride height between the shaft's end and the bottom of the bore. */
    setInMm: length(),
    /** How far the output shaft stands out of the seal face. */
    sealToShaftEndMm: length(),
    /** How much spline is engaged at ride height, and its diameter. */
    engagedMm: length(),
    splineDiameterMm: figure(1, 500),
    /** Length of the bright band that the old yoke's travel has worn. */
    witnessMm: length(),
  }),
} as const
export type ShaftEnd = Told<(typeof ENDS)[keyof typeof ENDS]>
export type SlipYokeEnd = Told<(typeof ENDS)['slip-yoke']>

/** What a tube is. */
export const TUBE_FIELDS = {
  outerMm: figure(1, 1000).required(),
  wallMm: figure(0.1, 500).required(),
  material: wordField(['steel', 'aluminium']).required(),
  /** Of its grade, in tension; that of plain tube when absent. */
  yieldMPa: figure(1, 5000),
}
const tube = maybe(TUBE_FIELDS).test(
  'hollow',
  'the wall is thicker than half the tube',
  (value) => !value || value.wallMm * 2 <= value.outerMm,
)
export type Tube = NonNullable<Told<typeof tube>>

/** A bearing that carries a shaft between its joints. */
const bearing = maybe({
  /** Its middle. */
  point: requiredId(),
  /** From it to the joint behind, along the shaft; that joint's centre is set by it where the joint has no point of its own. */
  overhangMm: figure(-5000, 5000),
  /** Axis of its seat; it looks straight along the vehicle when absent. */
  axis: idField(),
  /** Largest force and misalignment its maker allows. */
  limitN: figure(0, 1e6),
  limitDeg: figure(0, 90),
})
export type CentreBearing = NonNullable<Told<typeof bearing>>

/** A spline inside a shaft, by which it grows longer and shorter. */
const slip = maybe({
  /** Joint to joint when it is pushed home. */
  closedMm: length(),
  /** How much spline is engaged then. */
  engagedMm: length(),
  diameterMm: figure(1, 500),
})
export type SlipSpline = NonNullable<Told<typeof slip>>

/** A joint at the end of a shaft that plunges. */
const plunge = maybe({
  /** Joint to joint when it stands in the middle of its range. */
  middleMm: length(),
  /** Either way from the middle. */
  reachMm: figure(0, 1000),
  /** How far out of the middle it is wished to stand at ride height. */
  offsetMm: figure(-500, 500),
})
export type Plunge = NonNullable<Told<typeof plunge>>

/** Something heavy at either end of a tube, inboard of its joints. */
const endMasses = maybe({ kg: figure(0, 500).required(), inboardMm: length().required() })
export type EndMasses = NonNullable<Told<typeof endMasses>>

const shaft = object({
  id: idField(),
  name: nameField(),
  /** Rear yoke against front yoke, right-handed about the rearward axis; 0 is in phase. */
  phaseDeg: figure(-360, 360),
  /** Teeth of the spline by which the phase can be changed. */
  splineTeeth: figure(2, 200).integer(),
  tube,
  /** Widest tube there is room for. */
  mostOuterMm: figure(1, 1000),
  bearing,
  slip,
  plunge,
  endMasses,
  /** Hardware at the end nearer the driving axis. */
  drivingEnd: byWord('kind', ENDS),
  /** Hardware at the end nearer the driven axis. */
  drivenEnd: byWord('kind', ENDS),
})
export type Shaft = Told<typeof shaft>

/** The yoke by which a shaft slides on an output shaft, at whichever end. */
export const slipYokeOf = (
  shaft: Pick<Shaft, 'drivingEnd' | 'drivenEnd'> | undefined,
): SlipYokeEnd | undefined => [shaft?.drivingEnd, shaft?.drivenEnd].find((end) => end?.kind === 'slip-yoke')

const speedBy = <K extends string>(basis: K) => ({ basis: kindOf(basis) })

/** Where the highest shaft speed comes from, by its basis. */
const SPEEDS = {
  drivetrain: object(speedBy('drivetrain')),
  stated: object({ ...speedBy('stated'), rpm: figure(1, 100_000).required() }),
  engine: object({
    ...speedBy('engine'),
    redlineRpm: figure(1, 100_000).required(),
    topGearRatio: figure(0.05, 50).required(),
    transferRatio: figure(0.05, 50),
  }),
  road: object({
    ...speedBy('road'),
    speedKmh: figure(1, 1000).required(),
    tyreDiameterMm: figure(100, 5000).required(),
    axleRatio: figure(0.1, 50).required(),
  }),
} as const
export type SpeedSource = Told<(typeof SPEEDS)[keyof typeof SPEEDS]>

export const FLOWS = ['rearward', 'forward', 'left', 'right'] as const
export type Flow = (typeof FLOWS)[number]

/** One line of shafts, joints in the order of the power flow. */
export const lineShape = object({
  id: requiredId(),
  name: requiredName(),
  school: wordField(SCHOOLS).required(),
  /** Why this school, in the builder's words. */
  schoolReason: noteField(),
  /** Axis that drives the first joint. */
  driving: requiredId(),
  /** Axis driven by the last joint. */
  driven: requiredId(),
  /** Direction of the power flow in the vehicle; rearward when absent. */
  flow: wordField(FLOWS),
  joints: list(joint, 12).min(1).required(),
  /** One between each two joints. */
  shafts: array().of(shaft).max(11).required(),
  speed: byWord('basis', SPEEDS),
  /** How far the pinion nose rises under drive; the line is then judged cruising, pulling and overrunning. */
  expectedRiseDeg: figure(-15, 15),
  /** How far the nose is pressed down on overrun; a third of the rise when absent. */
  expectedDropDeg: figure(-15, 15),
})
export type Line = Told<typeof lineShape>

/**
 * 1 where the power flows the way axes are told, rearward and to the left; -1 against it.
 */
export const flowSense = ({ flow }: Pick<Line, 'flow'>): 1 | -1 =>
  flow === 'forward' || flow === 'right' ? -1 : 1

/** True for a joint that has no point of its own and stands so far behind the bearing of the shaft in front. */
export const isSetByBearing = ({ joints, shafts }: Pick<Line, 'joints' | 'shafts'>, joint: number): boolean =>
  joint > 0 &&
  joint < joints.length - 1 &&
  joints[joint]?.point === undefined &&
  shafts[joint - 1]?.bearing?.overhangMm !== undefined

/** The point a joint is told by: its own, or that of the bearing that sets it. */
export const pointOfJoint = (
  { joints, shafts }: Pick<Line, 'joints' | 'shafts'>,
  joint: number,
): Id | undefined => joints[joint]?.point ?? shafts[joint - 1]?.bearing?.point

/** The points that the joints of a line are told by, along the power flow. */
export const linePoints = (line: Pick<Line, 'joints' | 'shafts'>): Id[] =>
  line.joints.flatMap((_, joint) => pointOfJoint(line, joint) ?? [])

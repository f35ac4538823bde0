import type { JointKind } from './joints'
import type { Id } from './id'

/** Layout schools; a line is judged by the one chosen for it. */
export const SCHOOLS = ['parallel', 'intersecting', 'straight', 'pointed', 'two-piece', 'low-pinion'] as const
export type School = (typeof SCHOOLS)[number]

export { JOINT_KINDS, type JointKind } from './joints'

/** What the named point of a joint is; the joint's centre follows from the end hardware. */
export const POINT_MEANINGS = ['centre', 'flange-face', 'shaft-end', 'seal-face'] as const
export type PointMeaning = (typeof POINT_MEANINGS)[number]

export interface Joint {
  readonly id: Id
  readonly name?: string
  readonly kind: JointKind
  /** Absent where the centre bearing of the shaft in front sets it. */
  readonly point?: Id
  /** Only the first and the last joint may be told by anything but their centre. */
  readonly pointIs?: PointMeaning
  /** Largest working angle the part's maker allows, in degrees. */
  readonly limitDeg?: number
  /** A flexible disc needs a pilot that keeps it centred. */
  readonly centringPilot?: boolean
  /** Its cross, of the list of sizes. */
  readonly cross?: Id
}

/** Cap seats bolted straight into the mating yoke: the joint centre is the seat centre. */
export interface YokeEnd {
  readonly kind: 'yoke'
}

/** A flange; its face lies `faceToJointMm` beyond the joint centre, on the mating axis. */
export interface FlangeEnd {
  readonly kind: 'flange'
  readonly faceToJointMm?: number
}

/** A yoke that slides on the splines of an output shaft. */
export interface SlipYokeEnd {
  readonly kind: 'slip-yoke'
  /** Bottom of the yoke's bore to the joint centre. */
  readonly boreBottomToJointMm?: number
  /** Gap left at ride height between the shaft's end and the bottom of the bore. */
  readonly setInMm?: number
  /** How far the output shaft stands out of the seal face. */
  readonly sealToShaftEndMm?: number
  /** How much spline is engaged at ride height, and its diameter. */
  readonly engagedMm?: number
  readonly splineDiameterMm?: number
  /** Length of the bright band that the old yoke's travel has worn. */
  readonly witnessMm?: number
}

export type ShaftEnd = YokeEnd | FlangeEnd | SlipYokeEnd

export interface Tube {
  readonly outerMm: number
  readonly wallMm: number
  readonly material: 'steel' | 'aluminium'
  /** Of its grade, in tension; that of plain tube when absent. */
  readonly yieldMPa?: number
}

/** A bearing that carries a shaft between its joints. */
export interface CentreBearing {
  /** Its middle. */
  readonly point: Id
  /** From it to the joint behind, along the shaft; that joint's centre is set by it where the joint has no point of its own. */
  readonly overhangMm?: number
  /** Axis of its seat; it looks straight along the vehicle when absent. */
  readonly axis?: Id
  /** Largest force and misalignment its maker allows. */
  readonly limitN?: number
  readonly limitDeg?: number
}

/** A spline inside a shaft, by which it grows longer and shorter. */
export interface SlipSpline {
  /** Joint to joint when it is pushed home. */
  readonly closedMm?: number
  /** How much spline is engaged then. */
  readonly engagedMm?: number
  readonly diameterMm?: number
}

/** A joint at the end of a shaft that plunges. */
export interface Plunge {
  /** Joint to joint when it stands in the middle of its range. */
  readonly middleMm?: number
  /** Either way from the middle. */
  readonly reachMm?: number
  /** How far out of the middle it is wished to stand at ride height. */
  readonly offsetMm?: number
}

/** Something heavy at either end of a tube, inboard of its joints. */
export interface EndMasses {
  readonly kg: number
  readonly inboardMm: number
}

export interface Shaft {
  readonly id?: Id
  readonly name?: string
  /** Rear yoke against front yoke, right-handed about the rearward axis; 0 is in phase. */
  readonly phaseDeg?: number
  /** Teeth of the spline by which the phase can be changed. */
  readonly splineTeeth?: number
  readonly tube?: Tube
  /** Widest tube there is room for. */
  readonly mostOuterMm?: number
  readonly bearing?: CentreBearing
  readonly slip?: SlipSpline
  readonly plunge?: Plunge
  readonly endMasses?: EndMasses
  /** Hardware at the end nearer the driving axis. */
  readonly drivingEnd?: ShaftEnd
  /** Hardware at the end nearer the driven axis. */
  readonly drivenEnd?: ShaftEnd
}

/** Where the highest shaft speed comes from. */
export type SpeedSource =
  | { readonly basis: 'drivetrain' }
  | { readonly basis: 'stated'; readonly rpm: number }
  | {
      readonly basis: 'engine'
      readonly redlineRpm: number
      readonly topGearRatio: number
      readonly transferRatio?: number
    }
  | {
      readonly basis: 'road'
      readonly speedKmh: number
      readonly tyreDiameterMm: number
      readonly axleRatio: number
    }

export const FLOWS = ['rearward', 'forward', 'left', 'right'] as const
export type Flow = (typeof FLOWS)[number]

/**
 * 1 where the power flows the way axes are told, rearward and to the left; -1 against it.
 */
export const flowSense = ({ flow }: Pick<Line, 'flow'>): 1 | -1 =>
  flow === 'forward' || flow === 'right' ? -1 : 1

/** One line of shafts, joints in the order of the power flow. */
export interface Line {
  readonly id: Id
  readonly name: string
  readonly school: School
  /** Why this school, in the builder's words. */
  readonly schoolReason?: string
  /** Axis that drives the first joint. */
  readonly driving: Id
  /** Axis driven by the last joint. */
  readonly driven: Id
  /** Direction of the power flow in the vehicle; rearward when absent. */
  readonly flow?: Flow
  readonly joints: readonly Joint[]
  /** One between each two joints. */
  readonly shafts: readonly Shaft[]
  readonly speed?: SpeedSource
  /** How far the pinion nose rises under drive; the line is then judged cruising, pulling and overrunning. */
  readonly expectedRiseDeg?: number
  /** How far the nose is pressed down on overrun; a third of the rise when absent. */
  readonly expectedDropDeg?: number
}

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

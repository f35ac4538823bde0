import type { LengthUnit } from '../units/unitSettings'
import type { Id } from './id'

/** What every reading keeps, whatever was read. */
interface ReadingBase {
  readonly id: Id
  /** When it was taken, ISO 8601. */
  readonly takenAt?: string
  readonly takenBy?: string
  readonly note?: string
  /** From cardboard, a catalogue or an unloaded frame; all that rests on it is marked until the real reading comes. */
  readonly provisional?: boolean
  /** Doubts about this reading that were looked into and found groundless, by their kind. */
  readonly accepted?: readonly string[]
}

/** A reading taken with a tool in a setup: the raw text of each repeat, never changed by the program. */
interface MeasuredBase extends ReadingBase {
  readonly setup: Id
  readonly tool?: Id
  /** The lift-in it was taken in; the first when absent. */
  readonly trial?: Id
  /** The reading of another setup this one was carried over from, and why that is allowed. */
  readonly copiedFrom?: Id
  readonly copyReason?: string
  /** Raw text, first to last repeat. */
  readonly values: readonly string[]
}

interface LengthBase extends MeasuredBase {
  /** Unit of bare figures, fixed when the reading was taken; the build's unit when absent. */
  readonly unit?: LengthUnit
}

/** What the level was compared with: the earth, or the chassis surface it was zeroed on. */
export type LevelZero = 'gravity' | 'chassis'

/** A reading of a level; `display` says which way its display looked, for taking out its zero error. */
interface LevelBase extends MeasuredBase {
  readonly display?: 'left' | 'right' | 'front' | 'rear'
}

/** Level laid fore-and-aft on the chassis datum surface. */
export interface ChassisFallReading extends LevelBase {
  readonly kind: 'chassis-fall'
  readonly low?: 'front' | 'rear'
}

/** Level laid across the chassis. */
export interface ChassisRollReading extends LevelBase {
  readonly kind: 'chassis-roll'
  readonly low?: 'left' | 'right'
}

/** An end of an axis: of one that lies across the vehicle left or right, of any other front or rear. */
export type AxisEnd = 'front' | 'rear' | 'left' | 'right'

/** Level laid along an axis. */
export interface AxisLevelReading extends LevelBase {
  readonly kind: 'axis-level'
  readonly axis: Id
  readonly low?: AxisEnd
  readonly zero?: LevelZero
}

/** Level held upright on a face square to an axis. */
export interface AxisFaceReading extends LevelBase {
  readonly kind: 'axis-face'
  readonly axis: Id
  /** Where the top of the face leans: the end of the axis that is low. */
  readonly lean?: AxisEnd
  /** Whether the display shows 90° or 0° on a plumb face. */
  readonly from: 'level' | 'plumb'
  readonly zero?: LevelZero
}

/** How far a point lies rearward (or forward) of the datum, along the chassis. */
export interface PointStationReading extends LengthBase {
  readonly kind: 'point-station'
  readonly point: Id
  readonly way?: 'rearward' | 'forward'
}

/** How far a point lies left or right of the centreline. */
export interface PointOffsetReading extends LengthBase {
  readonly kind: 'point-offset'
  readonly point: Id
  readonly side?: 'left' | 'right'
  /** Square to the chassis, or dropped plumb to the floor together with the centreline. */
  readonly by?: 'square' | 'plumb'
  /** For a plumb drop: height of the point above the centreline points that were dropped, raw text. */
  readonly aboveCentreline?: string
  readonly aboveCentrelineWay?: 'above' | 'below'
}

/** How far a point lies above (or below) the datum plane, square to it. */
export interface PointHeightReading extends LengthBase {
  readonly kind: 'point-height'
  readonly point: Id
  readonly way?: 'above' | 'below'
}

/** Level laid along a shaft of a line, between its joints: a check on the joint points, never a source of geometry. */
export interface ShaftLevelReading extends LevelBase {
  readonly kind: 'shaft-level'
  readonly line: Id
  /** Counted from 0 along the power flow. */
  readonly shaft: number
  readonly low?: 'front' | 'rear'
  readonly zero?: LevelZero
}

/** A point measured in the setup's own frame: floor line, laser plane, wall. Registration brings it to the chassis. */
export interface SetupPointReading extends LengthBase {
  readonly kind: 'setup-point'
  readonly point: Id
  /** `values` holds three texts: along, across, up. */
  readonly alongWay?: 'rearward' | 'forward'
  readonly acrossSide?: 'left' | 'right'
  readonly upWay?: 'above' | 'below'
}

/** A gap between two things, by feeler, tape, clay or stepped wedge. */
export interface GapReading extends LengthBase {
  readonly kind: 'gap'
  readonly gap: Id
  /** `overlap`: the two lie in each other by that much, as a cardboard profile can. */
  readonly way?: 'free' | 'overlap'
}

/** Where on its face a sprocket was read, seen from the vehicle's right. */
export const FACE_PLACES = ['front', 'rear', 'top', 'bottom'] as const
export type FacePlace = (typeof FACE_PLACES)[number]

/** Distance from a laser plane or a straight-edge to a place on a sprocket's face; one line serves all sprockets of a chain. */
export interface SprocketFaceReading extends LengthBase {
  readonly kind: 'sprocket-face'
  readonly sprocket: Id
  readonly place: FacePlace
  /** From the middle of the shaft to the place, raw text; at the pitch circle when absent. */
  readonly radius?: string
  /** Side of the faces that the line stands on: a distance from there counts to the other side. */
  readonly stands?: 'left' | 'right'
}

/** Total movement up and down at the middle of a run of chain, by hand, with all slack in that run. */
export interface ChainSlackReading extends LengthBase {
  readonly kind: 'chain-slack'
  readonly chain: Id
  /** The run, by the sprocket it starts from in the order of the file; the slack one when absent. */
  readonly span?: number
}

/** A point from a drawing or data sheet. */
export interface GivenPointReading extends ReadingBase {
  readonly kind: 'given-point'
  readonly point: Id
  readonly unit?: LengthUnit
  readonly station: string
  readonly stationWay?: 'rearward' | 'forward'
  readonly offset: string
  readonly side?: 'left' | 'right'
  readonly height: string
  readonly heightWay?: 'above' | 'below'
  /** Tolerance of each figure, half-width. */
  readonly plusMinus?: string
  readonly source?: string
}

/** An axis from a drawing or data sheet, in the chassis frame. */
export interface GivenAxisReading extends ReadingBase {
  readonly kind: 'given-axis'
  readonly axis: Id
  readonly fall: string
  readonly low?: 'front' | 'rear'
  readonly plan?: string
  /** To which side the rear end points. */
  readonly rearPoints?: 'left' | 'right'
  /** Tolerance of each angle, half-width. */
  readonly plusMinus?: string
  readonly source?: string
}

/** An axis that lies across the vehicle, from a drawing or data sheet, in the chassis frame. */
export interface GivenCrossAxisReading extends ReadingBase {
  readonly kind: 'given-cross-axis'
  readonly axis: Id
  readonly rise: string
  /** Which end is higher. */
  readonly high?: 'left' | 'right'
  readonly sweep?: string
  /** Which way the left end points. */
  readonly leftPoints?: 'forward' | 'rearward'
  /** Tolerance of each angle, half-width. */
  readonly plusMinus?: string
  readonly source?: string
}

export type MeasuredReading =
  | ChassisFallReading
  | ChassisRollReading
  | AxisLevelReading
  | AxisFaceReading
  | PointStationReading
  | PointOffsetReading
  | PointHeightReading
  | ShaftLevelReading
  | SetupPointReading
  | GapReading
  | SprocketFaceReading
  | ChainSlackReading

/** One reading as taken; geometry is derived from it and never typed over it. */
export type Reading = MeasuredReading | GivenPointReading | GivenAxisReading | GivenCrossAxisReading

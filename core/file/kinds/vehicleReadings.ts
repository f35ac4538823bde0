import { array, object } from 'yup'
import { rawText, requiredId, wordField } from '../parts/fields'
import type { Id } from '../parts/id'
import type { LengthBase, LevelBase, LevelZero } from './readingBase'
import { ABOVE_BELOW, FRONT_REAR, LEFT_RIGHT, LEVEL, REARWARD_FORWARD, TAPE, ZERO } from './readingRow'
import { kindOf, measured, lengthUnit, wordFields } from './readingShape'
import type { GivenReadings } from './givenReadings'

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

/** A point measured in the setup's own frame: floor line, laser plane, wall. Registration brings it to the chassis. */
export interface SetupPointReading extends LengthBase {
  readonly kind: 'setup-point'
  readonly point: Id
  /** `values` holds three texts: along, across, up. */
  readonly alongWay?: 'rearward' | 'forward'
  readonly acrossSide?: 'left' | 'right'
  readonly upWay?: 'above' | 'below'
}

/** What is read of the chassis, its axes and its points. */
export interface VehicleTypes {
  readonly lists: object
  readonly asked: {
    readonly 'chassis-fall': ChassisFallReading
    readonly 'chassis-roll': ChassisRollReading
    readonly 'axis-level': AxisLevelReading
    readonly 'point-station': PointStationReading
    readonly 'point-offset': PointOffsetReading
    readonly 'point-height': PointHeightReading
  }
  readonly unasked: GivenReadings & {
    readonly 'axis-face': AxisFaceReading
    readonly 'setup-point': SetupPointReading
  }
  readonly targets: {
    readonly chassis: object
    readonly axis: { readonly axis: Id }
    readonly point: { readonly point: Id }
  }
}

const FROM = ['level', 'plumb'] as const
const ROWS = {
  'chassis-fall': {
    ...LEVEL,
    of: 'chassis',
    answers: ['chassis-fall'],
    way: 'low',
    words: { low: FRONT_REAR, display: LEFT_RIGHT },
  },
  'chassis-roll': {
    ...LEVEL,
    of: 'chassis',
    answers: ['chassis-roll'],
    way: 'low',
    words: { low: LEFT_RIGHT, display: FRONT_REAR },
  },
  'axis-level': {
    ...LEVEL,
    of: 'axis',
    answers: ['axis-level'],
    way: 'low',
    words: { low: 'ends', zero: ZERO, display: 'sides' },
  },
  'axis-face': {
    ...LEVEL,
    of: 'axis',
    answers: ['axis-level'],
    way: 'lean',
    words: { lean: 'ends', from: FROM, zero: ZERO, display: 'sides' },
  },
  'point-station': {
    ...TAPE,
    of: 'point',
    answers: ['point-station'],
    way: 'way',
    words: { way: REARWARD_FORWARD },
  },
  'point-offset': {
    ...TAPE,
    of: 'point',
    answers: ['point-offset'],
    way: 'side',
    words: { side: LEFT_RIGHT, by: ['square', 'plumb'], aboveCentrelineWay: ABOVE_BELOW },
    texts: { aboveCentreline: 'above centreline' },
  },
  'point-height': {
    ...TAPE,
    of: 'point',
    answers: ['point-height'],
    way: 'way',
    words: { way: ABOVE_BELOW },
  },
  'setup-point': {
    ...TAPE,
    of: 'point',
    told: 'three',
    answers: [],
    way: null,
    words: { alongWay: REARWARD_FORWARD, acrossSide: LEFT_RIGHT, upWay: ABOVE_BELOW },
  },
} as const

/** Kinds of readings of the chassis, of axes and of points. */
export const VEHICLE_READINGS = ROWS

/** Their shapes in a file. */
export const VEHICLE_SHAPES = {
  'chassis-fall': object({ kind: kindOf('chassis-fall'), ...measured, ...wordFields(ROWS['chassis-fall']) }),
  'chassis-roll': object({ kind: kindOf('chassis-roll'), ...measured, ...wordFields(ROWS['chassis-roll']) }),
  'axis-level': object({
    kind: kindOf('axis-level'),
    ...measured,
    axis: requiredId(),
    ...wordFields(ROWS['axis-level']),
  }),
  'axis-face': object({
    kind: kindOf('axis-face'),
    ...measured,
    axis: requiredId(),
    ...wordFields(ROWS['axis-face']),
    from: wordField(FROM).required(),
  }),
  'point-station': object({
    kind: kindOf('point-station'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-station']),
  }),
  'point-offset': object({
    kind: kindOf('point-offset'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-offset']),
    aboveCentreline: rawText(),
  }),
  'point-height': object({
    kind: kindOf('point-height'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-height']),
  }),
  'setup-point': object({
    kind: kindOf('setup-point'),
    ...measured,
    values: array().of(rawText().required()).length(3).required(),
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['setup-point']),
  }),
} as const

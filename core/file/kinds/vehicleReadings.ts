import { array, object } from 'yup'
import { kindOf, rawText, requiredId, wordField } from '../parts/fields'
import type { Id } from '../parts/id'
import { ABOVE_BELOW, FRONT_REAR, LEFT_RIGHT, LEVEL, REARWARD_FORWARD, TAPE, ZERO } from './readingRow'
import { measured, lengthUnit, wordFields, type ReadingsIn } from './readingShape'
import type { GivenReadings } from './givenReadings'

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
  /** Level laid fore-and-aft on the chassis datum surface. */
  'chassis-fall': object({ kind: kindOf('chassis-fall'), ...measured, ...wordFields(ROWS['chassis-fall']) }),
  /** Level laid across the chassis. */
  'chassis-roll': object({ kind: kindOf('chassis-roll'), ...measured, ...wordFields(ROWS['chassis-roll']) }),
  /** Level laid along an axis. */
  'axis-level': object({
    kind: kindOf('axis-level'),
    ...measured,
    axis: requiredId(),
    ...wordFields(ROWS['axis-level']),
  }),
  /** Level held upright on a face square to an axis; `lean`: where the top of the face leans, the end of the axis that is low; `from`: whether the display shows 90° or 0° on a plumb face. */
  'axis-face': object({
    kind: kindOf('axis-face'),
    ...measured,
    axis: requiredId(),
    ...wordFields(ROWS['axis-face']),
    from: wordField(FROM).required(),
  }),
  /** How far a point lies rearward (or forward) of the datum, along the chassis. */
  'point-station': object({
    kind: kindOf('point-station'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-station']),
  }),
  /** How far a point lies left or right of the centreline; `by`: square to the chassis, or dropped plumb to the floor together with the centreline. */
  'point-offset': object({
    kind: kindOf('point-offset'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-offset']),
    /** For a plumb drop: height of the point above the centreline points that were dropped, raw text. */
    aboveCentreline: rawText(),
  }),
  /** How far a point lies above (or below) the datum plane, square to it. */
  'point-height': object({
    kind: kindOf('point-height'),
    ...measured,
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['point-height']),
  }),
  /** A point measured in the setup's own frame: floor line, laser plane, wall; `values` holds three texts: along, across, up. Registration brings it to the chassis. */
  'setup-point': object({
    kind: kindOf('setup-point'),
    ...measured,
    values: array().of(rawText().required()).length(3).required(),
    unit: lengthUnit,
    point: requiredId(),
    ...wordFields(ROWS['setup-point']),
  }),
} as const

/** What is read of the chassis, its axes and its points. */
export interface VehicleTypes {
  readonly lists: object
  readonly asked: Omit<Readings, Unasked>
  readonly unasked: GivenReadings & Pick<Readings, Unasked>
  readonly targets: {
    readonly chassis: object
    readonly axis: { readonly axis: Id }
    readonly point: { readonly point: Id }
  }
}
type Readings = ReadingsIn<typeof VEHICLE_SHAPES>
/** Other ways to read what a tour asks for. */
type Unasked = 'axis-face' | 'setup-point'
export type ChassisFallReading = Readings['chassis-fall']
export type ChassisRollReading = Readings['chassis-roll']
export type AxisLevelReading = Readings['axis-level']
export type AxisFaceReading = Readings['axis-face']
export type PointStationReading = Readings['point-station']
export type PointOffsetReading = Readings['point-offset']
export type PointHeightReading = Readings['point-height']
export type SetupPointReading = Readings['setup-point']

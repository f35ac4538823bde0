import { object } from 'yup'
import { kindOf, nameField, rawText, requiredId } from '../parts/fields'
import { ABOVE_BELOW, FRONT_REAR, LEFT_RIGHT, REARWARD_FORWARD } from './readingRow'
import { base, lengthUnit, wordFields, type ReadingsIn } from './readingShape'

const ROWS = {
  'given-point': {
    unit: 'mm',
    of: 'point',
    told: 'given',
    answers: ['point-station', 'point-offset', 'point-height'],
    way: null,
    words: { stationWay: REARWARD_FORWARD, side: LEFT_RIGHT, heightWay: ABOVE_BELOW },
    tools: [],
  },
  'given-axis': {
    unit: 'deg',
    of: 'axis',
    told: 'given',
    answers: ['axis-level'],
    way: 'low',
    words: { low: FRONT_REAR, rearPoints: LEFT_RIGHT },
    tools: [],
  },
  'given-cross-axis': {
    unit: 'deg',
    of: 'axis',
    told: 'given',
    answers: ['axis-level'],
    way: 'high',
    words: { high: LEFT_RIGHT, leftPoints: REARWARD_FORWARD },
    tools: [],
  },
} as const

/** Kinds of figures from a drawing or a data sheet. */
export const GIVEN_READINGS = ROWS

/** Their shapes in a file. */
export const GIVEN_SHAPES = {
  /** A point from a drawing or data sheet. */
  'given-point': object({
    kind: kindOf('given-point'),
    ...base,
    unit: lengthUnit,
    point: requiredId(),
    station: rawText().required(),
    offset: rawText().required(),
    height: rawText().required(),
    ...wordFields(ROWS['given-point']),
    /** Tolerance of each figure, half-width. */
    plusMinus: rawText(),
    source: nameField(),
  }),
  /** An axis from a drawing or data sheet, in the chassis frame; `rearPoints`: to which side its rear end does. */
  'given-axis': object({
    kind: kindOf('given-axis'),
    ...base,
    axis: requiredId(),
    fall: rawText().required(),
    plan: rawText(),
    ...wordFields(ROWS['given-axis']),
    /** Tolerance of each figure, half-width. */
    plusMinus: rawText(),
    source: nameField(),
  }),
  /** An axis that lies across the vehicle, from a drawing or data sheet, in the chassis frame; `high`: which end is higher, `leftPoints`: which way its left end does. */
  'given-cross-axis': object({
    kind: kindOf('given-cross-axis'),
    ...base,
    axis: requiredId(),
    rise: rawText().required(),
    sweep: rawText(),
    ...wordFields(ROWS['given-cross-axis']),
    /** Tolerance of each figure, half-width. */
    plusMinus: rawText(),
    source: nameField(),
  }),
} as const

export type GivenReadings = ReadingsIn<typeof GIVEN_SHAPES>
export type GivenPointReading = GivenReadings['given-point']
export type GivenAxisReading = GivenReadings['given-axis']
export type GivenCrossAxisReading = GivenReadings['given-cross-axis']

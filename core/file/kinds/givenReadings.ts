import { object } from 'yup'
import type { LengthUnit } from '../../base/units/unitSettings'
import { nameField, rawText, requiredId } from '../parts/fields'
import type { Id } from '../parts/id'
import type { ReadingBase } from './readingBase'
import { ABOVE_BELOW, FRONT_REAR, LEFT_RIGHT, REARWARD_FORWARD } from './readingRow'
import { base, kindOf, lengthUnit, wordFields } from './readingShape'

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

export interface GivenReadings {
  readonly 'given-point': GivenPointReading
  readonly 'given-axis': GivenAxisReading
  readonly 'given-cross-axis': GivenCrossAxisReading
}

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
  'given-point': object({
    kind: kindOf('given-point'),
    ...base,
    unit: lengthUnit,
    point: requiredId(),
    station: rawText().required(),
    offset: rawText().required(),
    height: rawText().required(),
    ...wordFields(ROWS['given-point']),
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-axis': object({
    kind: kindOf('given-axis'),
    ...base,
    axis: requiredId(),
    fall: rawText().required(),
    plan: rawText(),
    ...wordFields(ROWS['given-axis']),
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-cross-axis': object({
    kind: kindOf('given-cross-axis'),
    ...base,
    axis: requiredId(),
    rise: rawText().required(),
    sweep: rawText(),
    ...wordFields(ROWS['given-cross-axis']),
    plusMinus: rawText(),
    source: nameField(),
  }),
} as const

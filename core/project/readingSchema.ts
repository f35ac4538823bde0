import { array, boolean, object, type AnyObject, type ObjectSchema } from 'yup'
import { LENGTH_UNITS } from '../units/unitSettings'
import { byWord } from './byWord'
import { figure, idField, nameField, noteField, rawText, requiredId, timeField, wordField } from './fields'
import { FACE_PLACES, READING_KINDS, type Reading } from './reading'

const base = {
  id: requiredId(),
  takenAt: timeField(),
  takenBy: nameField(),
  note: noteField(),
  provisional: boolean(),
  accepted: array().of(rawText().required()).max(20),
}
/** Repeats of one reading at the most; more say nothing new. */
export const MAX_REPEATS = 200
const measured = {
  ...base,
  setup: requiredId(),
  tool: idField(),
  trial: idField(),
  copiedFrom: idField(),
  copyReason: nameField().when('copiedFrom', {
    is: (from: unknown) => from !== undefined,
    then: (reason) => reason.min(3).required(),
  }),
  values: array().of(rawText().required()).min(1).max(MAX_REPEATS).required(),
}
const level = { ...measured, display: wordField(['left', 'right', 'front', 'rear']) }
const unit = wordField(LENGTH_UNITS)
const frontRear = wordField(['front', 'rear'])
/** Which end of an axis: of one that lies across, left or right. */
const anyEnd = wordField(['front', 'rear', 'left', 'right'])
const leftRight = wordField(['left', 'right'])
const aboveBelow = wordField(['above', 'below'])
const rearwardForward = wordField(['rearward', 'forward'])
const zero = wordField(['gravity', 'chassis'])
const kind = wordField(READING_KINDS).required()

/** The shape of a reading of each kind. */
export const READING_SHAPES = {
  'chassis-fall': object({ kind, ...level, low: frontRear }),
  'chassis-roll': object({ kind, ...level, low: leftRight }),
  'axis-level': object({ kind, ...level, axis: requiredId(), low: anyEnd, zero }),
  'axis-face': object({
    kind,
    ...level,
    axis: requiredId(),
    lean: anyEnd,
    from: wordField(['level', 'plumb']).required(),
    zero,
  }),
  'point-station': object({ kind, ...measured, unit, point: requiredId(), way: rearwardForward }),
  'point-offset': object({
    kind,
    ...measured,
    unit,
    point: requiredId(),
    side: leftRight,
    by: wordField(['square', 'plumb']),
    aboveCentreline: rawText(),
    aboveCentrelineWay: aboveBelow,
  }),
  'point-height': object({ kind, ...measured, unit, point: requiredId(), way: aboveBelow }),
  'shaft-level': object({
    kind,
    ...level,
    line: requiredId(),
    shaft: figure(0, 50).integer().required(),
    low: frontRear,
    zero,
  }),
  'setup-point': object({
    kind,
    ...measured,
    values: array().of(rawText().required()).length(3).required(),
    unit,
    point: requiredId(),
    alongWay: rearwardForward,
    acrossSide: leftRight,
    upWay: aboveBelow,
  }),
  gap: object({ kind, ...measured, unit, gap: requiredId(), way: wordField(['free', 'overlap']) }),
  'sprocket-face': object({
    kind,
    ...measured,
    unit,
    sprocket: requiredId(),
    place: wordField(FACE_PLACES).required(),
    radius: rawText(),
    stands: leftRight,
  }),
  'chain-slack': object({ kind, ...measured, unit, chain: requiredId(), span: figure(0, 20).integer() }),
  'given-point': object({
    kind,
    ...base,
    unit,
    point: requiredId(),
    station: rawText().required(),
    stationWay: rearwardForward,
    offset: rawText().required(),
    side: leftRight,
    height: rawText().required(),
    heightWay: aboveBelow,
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-axis': object({
    kind,
    ...base,
    axis: requiredId(),
    fall: rawText().required(),
    low: frontRear,
    plan: rawText(),
    rearPoints: leftRight,
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-cross-axis': object({
    kind,
    ...base,
    axis: requiredId(),
    rise: rawText().required(),
    high: leftRight,
    sweep: rawText(),
    leftPoints: rearwardForward,
    plusMinus: rawText(),
    source: nameField(),
  }),
} as const satisfies Record<Reading['kind'], ObjectSchema<AnyObject>>

/** The Yup schema of one reading, chosen by its kind. */
export const readingSchema = byWord('kind', READING_SHAPES, true)

/** The same where there may be none: before a reading was taken, after it was removed. */
export const anyReadingSchema = byWord('kind', READING_SHAPES)

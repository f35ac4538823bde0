import { array, boolean, lazy, mixed, object, type AnyObject, type ObjectSchema } from 'yup'
import { LENGTH_UNITS } from '../units/unitSettings'
import { figure, idField, nameField, noteField, rawText, requiredId, timeField, wordField } from './fields'
import { READING_KINDS, type Reading } from './reading'

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
const leftRight = wordField(['left', 'right'])
const aboveBelow = wordField(['above', 'below'])
const rearwardForward = wordField(['rearward', 'forward'])
const zero = wordField(['gravity', 'chassis'])
const kind = wordField(READING_KINDS).required()

const SHAPES: Record<Reading['kind'], ObjectSchema<AnyObject>> = {
  'chassis-fall': object({ kind, ...level, low: frontRear }),
  'chassis-roll': object({ kind, ...level, low: leftRight }),
  'axis-level': object({ kind, ...level, axis: requiredId(), low: frontRear, zero }),
  'axis-face': object({
    kind,
    ...level,
    axis: requiredId(),
    lean: frontRear,
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
}

const unknownKind = object({ kind, id: requiredId() })

/** The Yup schema of one reading, chosen by its kind; absent passes, for places where a reading may be missing. */
export const readingSchema = lazy((value: unknown) => {
  if (value === undefined) return mixed()
  const kindOf = typeof value === 'object' && value !== null ? (value as { kind?: unknown }).kind : undefined
  return typeof kindOf === 'string' && Object.hasOwn(SHAPES, kindOf)
    ? SHAPES[kindOf as Reading['kind']]
    : unknownKind
})

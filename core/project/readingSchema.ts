import { array, boolean, object, type AnyObject, type ObjectSchema, type StringSchema } from 'yup'
import { LENGTH_UNITS } from '../units/unitSettings'
import { byWord } from './byWord'
import { figure, idField, nameField, noteField, rawText, requiredId, timeField, wordField } from './fields'
import { FACE_PLACES } from './reading'
import {
  READING_KIND_NAMES,
  READING_KINDS,
  wordsOf,
  type ReadingKind,
  type ReadingOf,
  type WordField,
} from './readingKinds'

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
const unit = wordField(LENGTH_UNITS)
const kind = wordField(READING_KIND_NAMES).required()
/** The fields of a kind that hold one of a few words. */
const words = <K extends ReadingKind>(of: K) =>
  Object.fromEntries(
    Object.keys(READING_KINDS[of].words).map((field) => [field, wordField(wordsOf(of, field, null))]),
  ) as Readonly<Record<WordField<ReadingOf<K>>, StringSchema>>

/** The shape of a reading of each kind. */
export const READING_SHAPES = {
  'chassis-fall': object({ kind, ...measured, ...words('chassis-fall') }),
  'chassis-roll': object({ kind, ...measured, ...words('chassis-roll') }),
  'axis-level': object({ kind, ...measured, axis: requiredId(), ...words('axis-level') }),
  'axis-face': object({
    kind,
    ...measured,
    axis: requiredId(),
    ...words('axis-face'),
    from: wordField(wordsOf('axis-face', 'from', null)).required(),
  }),
  'point-station': object({ kind, ...measured, unit, point: requiredId(), ...words('point-station') }),
  'point-offset': object({
    kind,
    ...measured,
    unit,
    point: requiredId(),
    ...words('point-offset'),
    aboveCentreline: rawText(),
  }),
  'point-height': object({ kind, ...measured, unit, point: requiredId(), ...words('point-height') }),
  'shaft-level': object({
    kind,
    ...measured,
    line: requiredId(),
    shaft: figure(0, 50).integer().required(),
    ...words('shaft-level'),
  }),
  'setup-point': object({
    kind,
    ...measured,
    values: array().of(rawText().required()).length(3).required(),
    unit,
    point: requiredId(),
    ...words('setup-point'),
  }),
  gap: object({ kind, ...measured, unit, gap: requiredId(), ...words('gap') }),
  'sprocket-face': object({
    kind,
    ...measured,
    unit,
    sprocket: requiredId(),
    place: wordField(FACE_PLACES).required(),
    radius: rawText(),
    ...words('sprocket-face'),
  }),
  'chain-slack': object({ kind, ...measured, unit, chain: requiredId(), span: figure(0, 20).integer() }),
  'given-point': object({
    kind,
    ...base,
    unit,
    point: requiredId(),
    station: rawText().required(),
    offset: rawText().required(),
    height: rawText().required(),
    ...words('given-point'),
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-axis': object({
    kind,
    ...base,
    axis: requiredId(),
    fall: rawText().required(),
    plan: rawText(),
    ...words('given-axis'),
    plusMinus: rawText(),
    source: nameField(),
  }),
  'given-cross-axis': object({
    kind,
    ...base,
    axis: requiredId(),
    rise: rawText().required(),
    sweep: rawText(),
    ...words('given-cross-axis'),
    plusMinus: rawText(),
    source: nameField(),
  }),
} as const satisfies Record<ReadingKind, ObjectSchema<AnyObject>>

/** The Yup schema of one reading, chosen by its kind. */
export const readingSchema = byWord('kind', READING_SHAPES, true)

/** The same where there may be none: before a reading was taken, after it was removed. */
export const anyReadingSchema = byWord('kind', READING_SHAPES)

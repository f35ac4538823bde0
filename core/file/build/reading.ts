import { KINDS, type Kinds } from '../kinds/kinds'
import type { MeasuredBase } from '../kinds/readingShape'
import type { AskedOf, ReadingsOf } from '../kinds/subjectKinds'
import { byWord } from '../parts/byWord'
import { merged } from '../parts/merged'

type Readings = ReadingsOf<Kinds>

/** One reading as taken; geometry is derived from it and never typed over it. */
export type Reading = Readings[keyof Readings]
/** A reading that was taken with a tool. */
export type MeasuredReading = Extract<Reading, MeasuredBase>

export type ReadingKind = Reading['kind']
export type ReadingOf<K extends ReadingKind> = Readings[K]

/** What is read, and of what: an id alone says nothing, for a point may be called like a line. */
export type Asked = AskedOf<Kinds>
/** What a step of the tour asks for. */
export type TourQuantity = Asked['quantity']

const READING_SHAPES = merged(KINDS, 'shapes')
/** The Yup schema of one reading, chosen by its kind. */
export const readingSchema = byWord('kind', READING_SHAPES, true)
/** The same where there may be none: before a reading was taken, after it was removed. */
export const anyReadingSchema = byWord('kind', READING_SHAPES)

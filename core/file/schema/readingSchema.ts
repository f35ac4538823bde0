import { byWord } from '../parts/byWord'
import { KINDS } from '../kinds/kinds'
import { merged } from '../parts/merged'

/** The shape of a reading of each kind. */
export const READING_SHAPES = merged(KINDS, 'shapes')

/** The Yup schema of one reading, chosen by its kind. */
export const readingSchema = byWord('kind', READING_SHAPES, true)

/** The same where there may be none: before a reading was taken, after it was removed. */
export const anyReadingSchema = byWord('kind', READING_SHAPES)

import { array, boolean, object } from 'yup'
import { idField, nameField, pair, wordField } from './fields'
import type { Told } from './told'

/** The sides an outline is drawn from, as the views of the drawing are. */
export const OUTLINE_VIEWS = ['side', 'top', 'front'] as const

/** Corners of one outline at the most: a tracing has some dozens. */
export const MAX_CORNERS = 200

/**
 * An outline of a body in one view, in mm as it stood in the first trial: station and height from the side, station and offset to the
 * left from above, offset to the left and height from the front.
 */
export const outlineShape = object({
  view: wordField(OUTLINE_VIEWS).required(),
  corners: array().of(pair(-100_000, 100_000).required()).min(2).max(MAX_CORNERS).required(),
  /** A line that does not close: a floor, a bonnet. */
  open: boolean(),
  name: nameField(),
  /** The photograph it was traced over. */
  photo: idField(),
})
export type Outline = Told<typeof outlineShape>

import { array, number, object, string, ValidationError } from 'yup'
import { MAX_CORNERS, outlineShape } from '../../file/parts/outline'
import { figure, list, noteField, requiredId, requiredName, wordField } from '../../file/parts/fields'
import { doorProblems } from '../../file/door/door'
import { refused, type ReadResult } from '../../file/parts/problem'
import { SHELF_SORTS, type ShelfPart } from './shelfPart'

/** Name every part file starts with. */
export const PART_FORMAT = 'lurvan-part'
export const PART_VERSION = 1
/** Longest part file, in characters: three tracings of as many corners as there may be. */
const MAX_PART_CHARACTERS = MAX_CORNERS * 20 * 60

const part = object({
  id: requiredId(),
  name: requiredName(),
  sort: wordField(SHELF_SORTS).required(),
  sizeMm: array().of(figure(1, 100_000).required()).length(3).required(),
  aboveAxisMm: figure(0, 100_000),
  outlines: list(outlineShape, 20),
  note: noteField(),
})

const partFile = object({
  format: string().oneOf([PART_FORMAT]).required(),
  version: number().oneOf([PART_VERSION]).required(),
  part: part.required(),
})

/** The text of a part's file. */
export const partText = (one: ShelfPart): string =>
  `${JSON.stringify({ format: PART_FORMAT, version: PART_VERSION, part: one }, null, 2)}\n`

/** A part from the text of a file of unknown origin, or what is wrong with it and where. */
export function parsePartText(text: string): ReadResult<ShelfPart> {
  if (text.length > MAX_PART_CHARACTERS) return refused('', 'the file is larger than any part')
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return refused('', 'the file is no JSON')
  }
  return parsePart(raw)
}

/** A part from data of unknown origin. */
export function parsePart(raw: unknown): ReadResult<ShelfPart> {
  const problems = doorProblems(raw)
  if (problems.length > 0) return { ok: false, problems }
  try {
    const read = partFile.validateSync(raw, { strict: true, abortEarly: false })
    // The schema has just proved the shape.
    return { ok: true, value: read.part as unknown as ShelfPart }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const single = error.inner.length > 0 ? error.inner : [error]
    return {
      ok: false,
      problems: single.map((one) => ({ path: one.path ?? '', message: one.errors[0] ?? '' })),
    }
  }
}

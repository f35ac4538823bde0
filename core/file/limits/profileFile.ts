import { number, object, string, ValidationError } from 'yup'
import { limitsShape } from '../build/limit'
import type { LimitProfile } from '../build/limit'
import { doorProblems } from '../door/door'
import { refused, type ReadResult } from '../parts/problem'
import { requireRising } from './edit'

/** Name every file of limits starts with. */
export const LIMITS_FORMAT = 'lurvan-limits'
export const LIMITS_VERSION = 1
/** Longest file, in characters: a hundred limits with the longest of reasons. */
const MAX_CHARACTERS = 300_000

const limitsFile = object({
  format: string().oneOf([LIMITS_FORMAT]).required(),
  version: number().oneOf([LIMITS_VERSION]).required(),
  limits: limitsShape.required(),
})

/** The text of a file of limits. */
export const limitsText = (limits: LimitProfile): string =>
  `${JSON.stringify({ format: LIMITS_FORMAT, version: LIMITS_VERSION, limits }, null, 2)}\n`

/** Limits from the text of a file of unknown origin, or what is wrong with it and where. */
export function parseLimitsText(text: string): ReadResult<LimitProfile> {
  if (text.length > MAX_CHARACTERS) return refused('', 'the file is larger than any list of limits')
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return refused('', 'the file is no JSON')
  }
  const problems = doorProblems(raw)
  if (problems.length > 0) return { ok: false, problems }
  try {
    // The schema has just proved the shape.
    const limits = limitsFile.validateSync(raw, { strict: true, abortEarly: false })
      .limits as unknown as LimitProfile
    const wrong = limits.entries.flatMap((entry, i) => {
      const fault = requireRising(entry)
      return fault ? [{ path: `limits.entries[${i}]`, message: fault }] : []
    })
    const twice = limits.entries.flatMap(({ id }, i) =>
      limits.entries.findIndex((one) => one.id === id) < i
        ? [{ path: `limits.entries[${i}].id`, message: `"${id}" is already used` }]
        : [],
    )
    return wrong.length + twice.length > 0
      ? { ok: false, problems: [...wrong, ...twice] }
      : { ok: true, value: limits }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const single = error.inner.length > 0 ? error.inner : [error]
    return {
      ok: false,
      problems: single.map((one) => ({ path: one.path ?? '', message: one.errors[0] ?? '' })),
    }
  }
}

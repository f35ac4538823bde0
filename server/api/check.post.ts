import { createError, defineEventHandler, setResponseHeader } from 'h3'
import { resultJson } from '../../core/check/resultJson'
import { parseBuildText } from '../../core/project/parseBuild'
import { problemText } from '../../core/project/problem'
import { LEAST_SAMPLES } from '../../core/uncertainty/monteCarlo'
import { limitedBody } from '../limitedBody'

/** Largest body that is read, in bytes. */
const MAX_BODY = 5_000_000

/** Checks a posted build file; the same JSON as `lurvan check --json`. */
export default defineEventHandler(async (event) => {
  const body = await limitedBody(event, MAX_BODY)
  if (body === null) {
    throw createError({
      statusCode: 413,
      statusMessage: 'Too large',
      data: { problems: [{ path: '', message: 'the body is larger than 5 MB' }] },
    })
  }
  const parsed = parseBuildText(body)
  if (!parsed.ok) {
    throw createError({
      statusCode: 400,
      statusMessage: 'Not a build',
      message: parsed.problems.map(problemText).join('\n'),
      data: { problems: parsed.problems },
    })
  }
  setResponseHeader(event, 'content-type', 'application/json')
  return resultJson(parsed.value, parsed.value.chosen, LEAST_SAMPLES)
})

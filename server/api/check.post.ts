import { createError, defineEventHandler, getQuery, getRequestHeader, setResponseHeader } from 'h3'
import { Worker } from 'node:worker_threads'
import { gzipSync } from 'node:zlib'
import { number } from 'yup'
import { problemText } from '../../core/file/parts/problem'
import { LEAST_SAMPLES } from '../../core/answers/uncertainty/monteCarlo'
import { checkQueue, type CheckThread } from '../check/checkQueue'
import { limitedBody } from '../limitedBody'

/** Largest body that is read, in bytes. */
const MAX_BODY = 5_000_000
const samplesQuery = number().integer().min(0).max(LEAST_SAMPLES).default(LEAST_SAMPLES)

/** The bundle of server/check/checkWorker.ts lies beside the server's entry. */
const queue = checkQueue((): CheckThread => {
  const worker = new Worker(new URL('./check-worker.mjs', import.meta.url), {
    // A hostile file may ask for much; the server itself must not be the one to run out.
    resourceLimits: { maxOldGenerationSizeMb: 700 },
  })
  return {
    postMessage: (message) => worker.postMessage(message),
    onAnswer: (listener) => void worker.on('message', listener),
    onBroken: (listener) => void worker.on('error', listener).on('exit', listener),
    end: () => void worker.terminate(),
  }
})

/** Checks a posted build file; the same JSON as `lurvan check --json`. */
export default defineEventHandler(async (event) => {
  const samples = samplesQuery.isValidSync(getQuery(event).samples)
    ? samplesQuery.cast(getQuery(event).samples)
    : null
  if (samples === null)
    throw refused(400, [{ path: 'samples', message: `must be a whole number up to ${LEAST_SAMPLES}` }])
  const body = await limitedBody(event, MAX_BODY)
  if (body === null) throw refused(413, [{ path: '', message: 'the body is larger than 5 MB' }])
  const answer = await queue.check(body, samples)
  if (!answer.ok) throw refused(answer.status, answer.problems)
  setResponseHeader(event, 'content-type', 'application/json')
  if (!/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return answer.json
  setResponseHeader(event, 'content-encoding', 'gzip')
  return gzipSync(answer.json)
})

const TITLES = { 400: 'Not a build', 413: 'Too large', 422: 'Cannot be checked', 503: 'Busy' } as const

const refused = (statusCode: keyof typeof TITLES, problems: readonly { path: string; message: string }[]) =>
  createError({
    statusCode,
    statusMessage: TITLES[statusCode],
    message: problems.map(problemText).join('\n'),
    data: { problems },
  })

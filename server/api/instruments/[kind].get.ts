import { createError, createEventStream, defineEventHandler, getQuery, getRouterParam } from 'h3'
import { parseStreamRequest } from '../../../core/measure/instruments/request'
import { simulatedInstrument } from '../../../core/measure/instruments/simulated'
import { problemText } from '../../../core/file/parts/problem'
import { closeSession, isHeld, openSession } from '../../instrumentSessions'

/** Between two values, in ms. */
const INTERVAL = 200
/** A forgotten stream ends by itself, in ms. */
const LONGEST = 30 * 60_000

/** Streams the values of a simulated level or laser as server-sent events. */
export default defineEventHandler(async (event) => {
  const parsed = parseStreamRequest({ ...getQuery(event), kind: getRouterParam(event, 'kind') })
  if (!parsed.ok) {
    throw createError({
      statusCode: 400,
      statusMessage: 'Not a stream',
      message: parsed.problems.map(problemText).join('\n'),
      data: { problems: parsed.problems },
    })
  }
  const { session, spec } = parsed.value
  if (!openSession(session)) {
    throw createError({
      statusCode: 409,
      statusMessage: 'Not free',
      data: { problems: [{ path: 'session', message: 'is open already, or too many tools are streaming' }] },
    })
  }
  const stream = createEventStream(event)
  const read = simulatedInstrument(spec)
  const start = Date.now()
  const timer = setInterval(() => {
    const elapsed = Date.now() - start
    if (elapsed > LONGEST) return void stream.close()
    void stream.push(JSON.stringify(read(elapsed, isHeld(session))))
  }, INTERVAL)
  stream.onClosed(async () => {
    clearInterval(timer)
    closeSession(session)
    await stream.close()
  })
  return stream.send()
})

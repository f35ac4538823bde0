import { createError, defineEventHandler } from 'h3'
import { limitedBody } from '../../limitedBody'
import { setHeld } from '../../instrumentSessions'

const MAX_BODY = 1000

/** Presses or lets go of the hold button of a streaming tool. */
export default defineEventHandler(async (event) => {
  const body = await limitedBody(event, MAX_BODY)
  const asked = parsed(body)
  if (!asked)
    throw createError({
      statusCode: 400,
      data: { problems: [{ path: '', message: 'must be {"session": text, "held": true or false}' }] },
    })
  if (!setHeld(asked.session, asked.held))
    throw createError({
      statusCode: 404,
      data: { problems: [{ path: 'session', message: 'no tool streams under it' }] },
    })
  return { held: asked.held }
})

function parsed(body: string | null): { readonly session: string; readonly held: boolean } | null {
  try {
    const value: unknown = JSON.parse(body ?? '')
    if (typeof value !== 'object' || value === null) return null
    const { session, held } = value as { session?: unknown; held?: unknown }
    return typeof session === 'string' && typeof held === 'boolean' ? { session, held } : null
  } catch {
    return null
  }
}

/** Streams open at once; a workshop needs few, and each costs a timer. */
const MOST_SESSIONS = 20

/** Hold buttons of the open streams, by their session. */
const held = new Map<string, boolean>()

/** Opens a session; false when there are too many or it is open already. */
export function openSession(session: string): boolean {
  if (held.size >= MOST_SESSIONS || held.has(session)) return false
  held.set(session, false)
  return true
}

export const closeSession = (session: string): void => void held.delete(session)
export const isHeld = (session: string): boolean => held.get(session) ?? false

/** Presses or lets go of a hold button; false when there is no such stream. */
export function setHeld(session: string, isDown: boolean): boolean {
  if (!held.has(session)) return false
  held.set(session, isDown)
  return true
}

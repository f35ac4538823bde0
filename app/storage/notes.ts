/**
 * The browser's small store for what is half typed. A browser may forbid it, so that even its name throws: then nothing is
 * kept there, and all else goes on.
 */
const store = (): Storage | null => {
  try {
    return globalThis.localStorage ?? null
  } catch {
    return null
  }
}

/** What was kept under a name, as plain data; null when there is nothing, or it cannot be read. */
export function keptNote(name: string): unknown {
  try {
    return JSON.parse(store()?.getItem(name) ?? 'null')
  } catch {
    return null
  }
}

/** Keeps plain data under a name; null lets go of it. */
export function keepNote(name: string, note: unknown): void {
  try {
    if (note === null) store()?.removeItem(name)
    else store()?.setItem(name, JSON.stringify(note))
  } catch {
    // No room, or not allowed: it is only half typed.
  }
}

/** Names of all that is kept. */
export function noteNames(): string[] {
  try {
    const all = store()
    return Array.from({ length: all?.length ?? 0 }, (_, i) => all?.key(i) ?? '')
  } catch {
    return []
  }
}

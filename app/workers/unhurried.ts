/** How often a worker tells how far it has come, in ms: each time costs the page a message, a repaint and an answer. */
const EVERY_MS = 100
/** Longer than this, in ms, nobody who asks again or wants it to stop is kept waiting. */
const PATIENCE_MS = 12

/** Tells progress at intervals that the page can follow; what comes between them is left out. */
export function unhurried<T>(
  onProgress: (progress: T) => void,
  now = () => performance.now(),
): (progress: T) => void {
  let next = now() + EVERY_MS
  return (progress) => {
    const time = now()
    if (time < next) return
    next = time + EVERY_MS
    onProgress(progress)
  }
}

/** Work that was left because something else was asked, or nobody wants it any more. */
export class Overtaken extends Error {
  constructor() {
    super('overtaken')
    this.name = 'Overtaken'
  }
}

/**
 * Takes care that a worker is at one thing at a time: a new question, or being told to leave it, ends the one before at its next rest.
 * The worker goes on living, for a new one would have to compile all its program again.
 */
export function oneAtATime() {
  let wanted = 0
  return {
    leave: (): void => void wanted++,

    /**
     * Runs a search to its end, telling how far it has come.
     *
     * @throws Overtaken
     */
    finished: async <P, T>(
      search: Generator<P, T>,
      onProgress: (progress: P) => void = () => undefined,
    ): Promise<T> => {
      const run = ++wanted
      const report = unhurried(onProgress)
      let rested = performance.now()
      for (;;) {
        const step = search.next()
        if (step.done) return step.value
        report(step.value)
        if (performance.now() - rested < PATIENCE_MS) continue
        await rest()
        rested = performance.now()
        if (wanted !== run) throw new Overtaken()
      }
    },
  }
}

/** A turn of the event loop, in which messages come in; a timer would be held back by some ms. */
export const rest = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })

/** How often a worker tells how far it has come, in ms: each time costs the page a message, a repaint and an answer. */
const EVERY_MS = 100

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

/** Runs a search to its end, telling how far it has come. */
export function finished<P, T>(search: Generator<P, T>, onProgress: (progress: P) => void): T {
  const report = unhurried(onProgress)
  for (;;) {
    const step = search.next()
    if (step.done) return step.value
    report(step.value)
  }
}

/** Makes a thing of each key once and hands it out again; `circular` answers for one that turns out to rest on itself. */
export type Once = <K, T>(
  keyOf: (key: K) => unknown,
  make: (key: K) => T,
  circular: (key: K) => T,
) => (key: K) => T

/**
 * Memories that notice circles: a setup may be pitched by an axis that was read in a setup pitched by another axis read in
 * the first.
 *
 * What was made inside a circle depends on where one entered it, so it is kept only until the outermost question is
 * answered; the answer itself is kept for that question alone.
 */
export function circleProofMemory(): Once {
  let depth = 0
  let circles = 0
  let passing: (() => void)[] = []
  return (keyOf, make, circular) => {
    type Value = ReturnType<typeof make>
    /** Good wherever they are asked for; those `isPassing` only until the outermost question is answered. */
    const made = new Map<unknown, { value: Value; isPassing: boolean }>()
    /** Answers to outermost questions that lie on a circle: good for that question alone. */
    const answers = new Map<unknown, Value>()
    const open = new Set<unknown>()
    return (asked) => {
      const key = keyOf(asked)
      const answer = depth === 0 ? answers.get(key) : undefined
      if (answer !== undefined) return answer
      const there = made.get(key)
      if (there) {
        if (there.isPassing) circles++
        return there.value
      }
      if (open.has(key)) {
        circles++
        return circular(asked)
      }
      const before = circles
      open.add(key)
      depth++
      try {
        const value = make(asked)
        const isOnCircle = circles > before
        if (isOnCircle && depth === 1) answers.set(key, value)
        else made.set(key, { value, isPassing: isOnCircle })
        if (isOnCircle) passing.push(() => made.delete(key))
        return value
      } finally {
        open.delete(key)
        depth--
        if (depth === 0) {
          passing.forEach((forget) => forget())
          passing = []
        }
      }
    }
  }
}

/** Columns cut from one piece of memory: one by one, asking for it takes as long as filling them. */
const COLUMNS_AT_ONCE = 32

/**
 * Makes the columns of a run, all at nought.
 *
 * @param capacity - rows of each
 */
export function cellsFor(capacity: number): () => Float64Array {
  if (capacity === 1) return () => new Float64Array(1)
  const bytes = capacity * Float64Array.BYTES_PER_ELEMENT
  let piece = new ArrayBuffer(0)
  let left = 0
  return () => {
    if (left === 0) {
      piece = new ArrayBuffer(COLUMNS_AT_ONCE * bytes)
      left = COLUMNS_AT_ONCE
    }
    left--
    return new Float64Array(piece, left * bytes, capacity)
  }
}

/** Two diagonals as they were read. */
export interface Diagonals {
  readonly firstMm: number
  readonly secondMm: number
}

/** How a frame has drawn since before its first tack. */
export interface DrawnAskew {
  /** Which diagonal has grown against the other, by how much. */
  readonly grew: 'first' | 'second'
  readonly byMm: number
  /** The next tack is made at the other corner. */
  readonly stops: boolean
}

/** A starting figure: within this a frame is square by its tape. */
const STOPS_MM = 1

/** What the last pair of diagonals says against the first; null until both were read. */
export function drawnAskew(read: readonly Diagonals[]): DrawnAskew | null {
  const [before, now] = [read[0], read.at(-1)]
  if (!before || !now || read.length < 2) return null
  const more = now.firstMm - now.secondMm - (before.firstMm - before.secondMm)
  return { grew: more >= 0 ? 'first' : 'second', byMm: Math.abs(more), stops: Math.abs(more) > STOPS_MM }
}

/** The chassis centreline against the string that offsets were taken from. */
export interface Centreline {
  /** Offset of the centreline from the string at station 0, positive to the left, in mm. */
  readonly start: number
  /** Offset gained a mm rearward. */
  readonly slope: number
}

/**
 * Straight line by least squares through the middles of frame-hole pairs.
 *
 * @param middles - (station rearward, offset left of the string) of each pair's middle, in mm; at least two stations
 * @see docs/methods/registration.md
 */
export function fitCentreline(middles: readonly (readonly [number, number])[]): Centreline {
  const count = middles.length
  const meanStation = middles.reduce((sum, [station]) => sum + station, 0) / count
  const meanOffset = middles.reduce((sum, [, offset]) => sum + offset, 0) / count
  const products = middles.reduce((sum, [s, o]) => sum + (s - meanStation) * (o - meanOffset), 0)
  const squares = middles.reduce((sum, [s]) => sum + (s - meanStation) ** 2, 0)
  const slope = products / squares
  return { start: meanOffset - slope * meanStation, slope }
}

/** Offset of a point square to the centreline, from its station and its offset from the string, in mm. */
export const offsetFromCentreline = ({ start, slope }: Centreline, station: number, offset: number): number =>
  (offset - start - slope * station) / Math.hypot(1, slope)

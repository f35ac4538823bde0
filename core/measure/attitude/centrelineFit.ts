import { workedOnce, type Cells, type Kernel, type Row } from '../../base/columns/kernel'

/** The chassis centreline against the string that offsets were taken from. */
export interface Centreline {
  /** Offset of the centreline from the string at station 0, positive to the left, in mm. */
  readonly start: number
  /** Offset gained a mm rearward. */
  readonly slope: number
}

/** Straight line by least squares through points given as station, offset, station, offset…, in mm; the parameter counts them. */
export const FIT_CENTRELINE: Kernel = {
  name: 'centreline through the middles of frame-hole pairs',
  page: 'registration',
  outputs: 2,
  run: (count, from, [start, slope], [pairs]) => {
    const columns: readonly Cells[] = from
    for (let i: Row = 0; i < count; i++) {
      let [meanStation, meanOffset, products, squares] = [0, 0, 0, 0]
      for (let k = 0; k < pairs; k++) {
        meanStation += (columns[2 * k] as Cells)[i] / pairs
        meanOffset += (columns[2 * k + 1] as Cells)[i] / pairs
      }
      for (let k = 0; k < pairs; k++) {
        const along = (columns[2 * k] as Cells)[i] - meanStation
        products += along * ((columns[2 * k + 1] as Cells)[i] - meanOffset)
        squares += along * along
      }
      slope[i] = products / squares
      start[i] = meanOffset - slope[i] * meanStation
    }
  },
}

/** Offset square to the centreline, in mm, from the offset from the string, the station, and the centreline. */
export const OFFSET_FROM_CENTRELINE: Kernel = {
  name: 'offset from the centreline',
  page: 'registration',
  outputs: 1,
  run: (count, [read, station, start, slope], [offset]) => {
    for (let i: Row = 0; i < count; i++)
      offset[i] = (read[i] - start[i] - slope[i] * station[i]) / Math.sqrt(1 + slope[i] * slope[i])
  },
}

/**
 * Straight line by least squares through the middles of frame-hole pairs.
 *
 * @param middles - (station rearward, offset left of the string) of each pair's middle, in mm; at least two stations
 * @see docs/methods/registration.md
 */
export function fitCentreline(middles: readonly (readonly [number, number])[]): Centreline {
  const [start = NaN, slope = NaN] = workedOnce(FIT_CENTRELINE, middles.flat(), [middles.length])
  return { start, slope }
}

/** Offset of a point square to the centreline, from its station and its offset from the string, in mm. */
export const offsetFromCentreline = ({ start, slope }: Centreline, station: number, offset: number): number =>
  workedOnce(OFFSET_FROM_CENTRELINE, [offset, station, start, slope])[0] ?? NaN

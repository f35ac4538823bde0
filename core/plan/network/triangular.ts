import { CoreError } from '../../base/errors'
import { requireTime } from './network'

/** A time between two bounds, with the likeliest of all. */
export interface Triangular {
  readonly low: number
  readonly likely: number
  readonly high: number
}

/**
 * Refuses bounds that are none.
 *
 * @throws CoreError `out-of-range` for a likely time outside its bounds or a low one below nought, `not-finite`
 */
export function requireTriangular({ low, likely, high }: Triangular, subject: string): void {
  for (const time of [low, likely, high]) requireTime(time, subject)
  if (!(low <= likely && likely <= high))
    throw new CoreError('out-of-range', subject, 'the likely time lies between the low and the high one')
}

/** The mean of a triangle. */
export const triangularMean = ({ low, likely, high }: Triangular): number => (low + likely + high) / 3

/** The time below which a part of the triangle lies: its distribution turned round. */
export function triangularAt({ low, likely, high }: Triangular, part: number): number {
  const width = high - low
  if (width === 0) return low
  return part * width < likely - low
    ? low + Math.sqrt(part * width * (likely - low))
    : high - Math.sqrt((1 - part) * width * (high - likely))
}

import { CoreError } from '../../base/errors'
import { lcm } from '../../base/numbers'
import type { Place2 } from '../../base/outline/polygon'
import { radians } from '../../base/units/angle'

/** Holes evenly on a circle, told by any one of three distances. */
export interface BoltCircle {
  readonly holes: number
  readonly by:
    | { readonly circleMm: number }
    /** From a hole to its neighbour. */
    | { readonly chordMm: number }
    /** From a hole to the farthest, or to the opposite one. */
    | { readonly acrossMm: number }
}

export interface BoltCircleSizes {
  readonly circleMm: number
  readonly chordMm: number
  readonly acrossMm: number
}

/**
 * All distances of a bolt circle from one of them.
 *
 * @throws CoreError `out-of-range` for less than three holes or a distance not above 0
 */
export function boltCircle({ holes, by }: BoltCircle): BoltCircleSizes {
  if (!(Number.isInteger(holes) && holes >= 3))
    throw new CoreError('out-of-range', 'holes', 'are three at least')
  const chord = Math.sin(Math.PI / holes)
  const across = holes % 2 === 0 ? 1 : Math.cos(Math.PI / (2 * holes))
  const circleMm =
    'circleMm' in by ? by.circleMm : 'chordMm' in by ? by.chordMm / chord : by.acrossMm / across
  if (!(circleMm > 0)) throw new CoreError('out-of-range', 'circle', 'must be above 0')
  return { circleMm, chordMm: circleMm * chord, acrossMm: circleMm * across }
}

/** Middles of its holes about its own, the first at the top and on clockwise: to the right and up. */
export const circlePlaces = (holes: number, circleMm: number): Place2[] =>
  Array.from({ length: holes }, (_, k): Place2 => {
    const angle = (2 * Math.PI * k) / holes
    return [(circleMm / 2) * Math.sin(angle), (circleMm / 2) * Math.cos(angle)]
  })

/** Holes of one size on a circle. */
export interface HoleRing {
  readonly holes: number
  readonly circleMm: number
  readonly holeMm: number
}

/** A second ring drilled beside a first. */
export interface SecondRing {
  /** From a hole of the first to one of the second. */
  readonly turnDeg: number
  /** Least wall between holes of the two; below nought they cut into each other. */
  readonly wallMm: number
}

/** The turn at which two rings leave each other the most: half of the least angle in which both repeat. */
export function secondRing(first: HoleRing, second: HoleRing): SecondRing {
  const turnDeg = 180 / lcm(first.holes, second.holes)
  const [a, b] = [first.circleMm / 2, second.circleMm / 2]
  const centres = Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(radians(turnDeg)))
  return { turnDeg, wallMm: centres - (first.holeMm + second.holeMm) / 2 }
}

/** Metal between the holes and the bore of the hub. */
export const wallToHub = ({ circleMm, holeMm }: HoleRing, hubMm: number): number =>
  (circleMm - holeMm - hubMm) / 2

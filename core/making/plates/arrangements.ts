import type { Place2 } from '../../base/outline/polygon'
import { settledFrom, type FittedHoles } from './fitDistances'
import { flipped } from './flips'
import { between, squaresOf, type HoleDistances } from './holeDistances'

/** An arrangement of other shape that distances settle in too. */
interface Arrangement {
  readonly places: readonly Place2[]
  readonly squares: number
}

/** Holes that moved less than this are the same arrangement. */
const SAME_MM = 0.05

/** Other arrangements that the distances lead to from the best with a part turned over a line. */
export function otherArrangements(taped: HoleDistances, best: FittedHoles): Arrangement[] {
  const others: Arrangement[] = []
  for (const from of flipped(taped, best.places)) {
    const places = settledFrom(taped, from)
    if (isOther(best.places, places)) others.push({ places, squares: squaresOf(taped, places) })
  }
  return others
}

/** Shapes are compared by all distances, so that neither turn nor mirror image counts. */
const isOther = (one: readonly Place2[], other: readonly Place2[]): boolean =>
  one.some((_, a) =>
    one.some((_other, b) => b > a && Math.abs(between(one, a, b)[2] - between(other, a, b)[2]) > SAME_MM),
  )

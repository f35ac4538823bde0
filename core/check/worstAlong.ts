import { byGrade, graded, type Grade } from '../file/limits/grade'
import { roomScale } from '../file/limits/worst'
import type { Window } from '../file/build/limit'
import type { Check } from './check'
import { vertexOf } from './peakAlong'

/** A checked figure along a way through the travel. */
export interface SweptPlan {
  /** Where its rows stand, in mm of travel; rising, nought at ride height. */
  readonly atMm: readonly number[]
  readonly figures: ArrayLike<number>
  readonly window: Window
  readonly quantity: Check['quantity']
  /** Where ride height is, which is looked at by itself; null where it is none of these places. */
  readonly rideMm?: number | null
}

/** Where it stands worst. */
export interface WorstAlong extends Grade {
  readonly atMm: number
  readonly value: number
  readonly isBetween: boolean
}

/** Rows whose room differs by no more are alike. */
const ALIKE = 1e-12
/** So near to ride height a place is ride height. */
const BESIDE_MM = 0.2

/**
 * Where a figure stands worst along a way: the gravest verdict, then the least room; inside the way by the parabola through three rows.
 * A value stands the worse the further it lies to one side, so that only the least and the greatest are graded.
 *
 * @returns null where nothing limits it, or where it is not known anywhere
 */
export function worstAlong({ atMm, figures, window, quantity, rideMm = 0 }: SweptPlan): WorstAlong | null {
  const gradeAt = (i: number) => graded(figures[i] ?? NaN, window, quantity)
  const alike = ALIKE * roomScale(quantity, window)
  const ends = [extremeAt(figures, atMm.length, -1, alike), extremeAt(figures, atMm.length, 1, alike)]
  const [first, other] = ends.sort((a, b) => a - b).map((at) => ({ at, grade: gradeAt(at) }))
  if (!first?.grade || !other?.grade) return null
  // Of equals the first: what is alike all the way is worst nowhere between.
  const isOther = byGrade(other.grade, { ...first.grade, room: first.grade.room - ALIKE }) < 0
  const [at, worst] = isOther ? [other.at, other.grade] : [first.at, first.grade]
  const here = atMm[at] ?? NaN
  const found = { ...worst, atMm: here, value: figures[at] ?? NaN, isBetween: false }
  if (at === 0 || at === atMm.length - 1) return found
  const turns = vertexOf(
    [atMm[at - 1] ?? NaN, here, atMm[at + 1] ?? NaN],
    [gradeAt(at - 1)?.room ?? NaN, worst.room, gradeAt(at + 1)?.room ?? NaN],
  )
  const place = turns ?? here
  return rideMm !== null && Math.abs(place - rideMm) < BESIDE_MM
    ? found
    : { ...found, atMm: place, isBetween: true }
}

/** The row of the greatest figure, or of the least by a sense of -1; of those alike the first, -1 where none is known. */
function extremeAt(figures: ArrayLike<number>, count: number, sense: 1 | -1, alike: number): number {
  let at = -1
  let most = -Infinity
  for (let i = 0; i < count; i++) {
    const figure = sense * (figures[i] ?? NaN)
    if (figure > most + alike || (at < 0 && !Number.isNaN(figure))) [at, most] = [i, figure]
  }
  return at
}

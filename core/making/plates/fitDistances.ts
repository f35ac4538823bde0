import { Matrix, SVD, solve } from 'ml-matrix'
import { sum } from '../../base/numbers'
import type { Place2 } from '../../base/outline/polygon'
import { flipped } from './flips'
import { between, residualsOf, squaresOf, type HoleDistances } from './holeDistances'
import { starts } from './starts'

/** The holes where distances fit best. */
export interface FittedHoles {
  readonly places: readonly Place2[]
  /** Read less fitted, in the order of the distances. */
  readonly residuals: readonly number[]
  readonly redundancies: readonly number[]
  readonly squares: number
}

const MOST_STEPS = 200
/** A slope, in mm, along which nothing is gained. */
const LEVEL = 1e-9
/** A way to move that changes no distance by more than this share is held by none. */
const HELD = 1e-7

/** Sums of squares nearer than this are alike. */
const SAME_SQUARES = 1e-9

/** Of arrangements that fit alike the one is told that takes the least room. */
function roomOf(places: readonly Place2[]): number {
  const mean = (k: 0 | 1) => sum(places.map((place) => place[k])) / places.length
  const [x, y] = [mean(0), mean(1)]
  return sum(places.map((place) => (place[0] - x) ** 2 + (place[1] - y) ** 2))
}

/**
 * The arrangement of least squares: from several starts, and from the best with one hole or a group of them turned over a line.
 *
 * @param near - an arrangement that it is known to lie near: no other is looked for
 * @returns null where the distances leave a hole free to move
 */
export function fitDistances(taped: HoleDistances, near?: readonly Place2[]): FittedHoles | null {
  if (near) return fitted(taped, settledFrom(taped, near))
  let best: Place2[] | null = null
  let least = Infinity
  const tried = (from: readonly Place2[]) => {
    const places = settledFrom(taped, from)
    const squares = squaresOf(taped, places)
    const isAsGood = squares < least * (1 + 1e-7) + SAME_SQUARES
    const isBetter = squares < least * (1 - 1e-7) - SAME_SQUARES
    if (!isBetter && !(isAsGood && best && roomOf(places) < roomOf(best) - SAME_SQUARES)) return
    ;[best, least] = [places, squares]
  }
  for (const from of starts(taped)) tried(from)
  // A better one by a flip may have a better one by another.
  for (let before = Infinity; best && least < before * (1 - 1e-9) && least > 1e-12;) {
    before = least
    for (const from of flipped(taped, best)) tried(from)
  }
  return best && fitted(taped, best)
}

export function settledFrom(taped: HoleDistances, from: readonly Place2[]): Place2[] {
  let places = framed(from)
  let squares = squaresOf(taped, places)
  let damping = 1e-3
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = stepped(taped, places, damping)
    if (!next) break
    const after = squaresOf(taped, next)
    if (after < squares) {
      const gained = squares - after
      ;[places, squares] = [next, after]
      damping = Math.max(damping / 10, 1e-15)
      if (gained <= 1e-15 * (1 + squares) && damping < 1e-9) break
    } else {
      damping *= 10
      if (damping > 1e8) break
    }
  }
  return framed(places)
}

/** One step of Levenberg and Marquardt on all holes but the first and the second's y; null where nothing is left to gain. */
function stepped(taped: HoleDistances, places: readonly Place2[], damping: number): Place2[] | null {
  const slopes = slopesOf(taped, places)
  const turned = slopes.transpose()
  const downhill = turned.mmul(Matrix.columnVector(residualsOf(taped, places)))
  if (downhill.to1DArray().every((one) => Math.abs(one) < LEVEL)) return null
  const normal = turned.mmul(slopes)
  for (let i = 0; i < normal.rows; i++) normal.set(i, i, normal.get(i, i) * (1 + damping) + 1e-12)
  const change = solve(normal, downhill).to1DArray()
  const by = (unknown: number) => change[unknown] ?? 0
  return places.map(([x, y], hole) => {
    if (hole === 0) return [x, y]
    return hole === 1 ? [x + by(0), y] : [x + by(2 * hole - 3), y + by(2 * hole - 2)]
  })
}

/** How the distances grow with each unknown: the second's x, then x and y of each of the others. */
function slopesOf({ count, spans }: HoleDistances, places: readonly Place2[]): Matrix {
  const slopes = Matrix.zeros(spans.length, 2 * count - 3)
  const put = (row: number, hole: number, x: number, y: number) => {
    if (hole === 1) slopes.set(row, 0, slopes.get(row, 0) + x)
    if (hole < 2) return
    slopes.set(row, 2 * hole - 3, x)
    slopes.set(row, 2 * hole - 2, y)
  }
  spans.forEach(({ from, to }, row) => {
    const [dx, dy, length] = between(places, from, to)
    put(row, from, -dx / length, -dy / length)
    put(row, to, dx / length, dy / length)
  })
  return slopes
}

/** Turned so that the first is at (0, 0), the second on +x and the first beside their line above it. */
function framed(places: readonly Place2[]): Place2[] {
  const [[x0, y0], [x1, y1]] = [places[0] as Place2, places[1] as Place2]
  const length = Math.max(Math.hypot(x1 - x0, y1 - y0), 1e-9)
  const [cosine, sine] = [(x1 - x0) / length, (y1 - y0) / length]
  const turned = places.map(([x, y]): Place2 => {
    const [dx, dy] = [x - x0, y - y0]
    return [cosine * dx + sine * dy, cosine * dy - sine * dx]
  })
  const beside = turned.find(([, y], hole) => hole > 1 && Math.abs(y) > 1e-6)
  const side = beside && beside[1] < 0 ? -1 : 1
  return turned.map(([x, y], hole) => (hole === 0 ? [0, 0] : hole === 1 ? [x, 0] : [x, side * y]))
}

function fitted(taped: HoleDistances, places: readonly Place2[]): FittedHoles | null {
  const parts = new SVD(slopesOf(taped, places), { autoTranspose: true })
  const [largest = 0] = parts.diagonal
  const unknowns = 2 * taped.count - 3
  if (parts.diagonal.filter((one) => one > HELD * largest).length < unknowns) return null
  const left = parts.leftSingularVectors
  const residuals = residualsOf(taped, places)
  return {
    places,
    residuals,
    redundancies: residuals.map((_, row) =>
      Math.max(
        0,
        1 -
          sum(
            left
              .getRow(row)
              .slice(0, unknowns)
              .map((one) => one * one),
          ),
      ),
    ),
    squares: squaresOf(taped, places),
  }
}

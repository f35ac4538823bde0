import { standing } from '../limits/verdict'
import type { Window } from '../project/limit'

/** A checked figure along a way through the travel. */
export interface SweptPlan {
  /** Where its rows stand, in mm of travel; rising, nought at ride height. */
  readonly atMm: readonly number[]
  readonly figures: ArrayLike<number>
  readonly window: Window
}

/** Where it stands worst. */
export interface WorstAlong {
  readonly atMm: number
  readonly value: number
  readonly isBetween: boolean
  /** 0 where it holds, 1 tight, 2 out. */
  readonly gravity: number
  readonly room: number
}

const GRAVITY = { holds: 0, tight: 1, out: 2 } as const

/**
 * Where a figure stands worst along a way: the gravest verdict, then the least room; inside the way by the parabola through three rows.
 *
 * @returns null where nothing limits it, or where it is not known anywhere
 */
export function worstAlong({ atMm, figures, window }: SweptPlan): WorstAlong | null {
  const edges = [window.failHigh, window.warnHigh, window.failLow, window.warnLow].flatMap((one) => one ?? [])
  if (edges.length === 0) return null
  const scale = Math.max(1e-3, Math.abs(edges[0] ?? 1))
  let [at, gravity, room] = [-1, -1, Infinity]
  const roomAt = (i: number): number => {
    const value = figures[i] ?? NaN
    return Number.isNaN(value) ? NaN : (standing(value, window).margin ?? Infinity) / scale
  }
  atMm.forEach((_, i) => {
    const value = figures[i] ?? NaN
    if (Number.isNaN(value)) return
    const { verdict, margin } = standing(value, window)
    const here = (margin ?? Infinity) / scale
    const grave = GRAVITY[verdict]
    // Of equals the first: what is alike all the way is worst nowhere between.
    if (grave < gravity || (grave === gravity && here >= room - 1e-12)) return
    ;[at, gravity, room] = [i, grave, here]
  })
  if (at < 0) return null
  const here = atMm[at] ?? NaN
  const worst = { atMm: here, value: figures[at] ?? NaN, gravity, room }
  if (at === 0 || at === atMm.length - 1) return { ...worst, isBetween: false }
  const turns = vertex(
    [atMm[at - 1] ?? NaN, here, atMm[at + 1] ?? NaN],
    [roomAt(at - 1), room, roomAt(at + 1)],
  )
  const found = turns ?? here
  // Close to ride height it is ride height.
  return Math.abs(found) < BESIDE_MM
    ? { ...worst, isBetween: false }
    : { ...worst, atMm: found, isBetween: true }
}

const BESIDE_MM = 0.2

/** Where the parabola through three points, the middle one lowest, is lowest; null where it is none. */
function vertex(x: readonly [number, number, number], y: readonly [number, number, number]): number | null {
  const [a, b] = [(y[1] - y[0]) / (x[1] - x[0]), (y[2] - y[1]) / (x[2] - x[1])]
  const bend = (b - a) / (x[2] - x[0])
  if (!(bend > 0)) return null
  const at = (x[0] + x[1]) / 2 - a / (2 * bend)
  return at > x[0] && at < x[2] ? at : null
}

import type { Quantity, Window } from '../build/limit'
import { standing } from './verdict'
import { roomScale } from './worst'

/** How gravely a value stands, so that values of unlike quantities can be told apart. */
export interface Grade {
  /** 0 where it holds, 1 tight, 2 out. */
  readonly gravity: number
  /** Room to its limit in the scale of its quantity; negative past it. */
  readonly room: number
}

const SEVERITY = { holds: 0, tight: 1, out: 2 } as const

/**
 * The grade of a value in its window.
 *
 * @returns null where nothing limits it, or it is no number
 */
export function graded(value: number, window: Window, quantity: Quantity | 'centring-pilot'): Grade | null {
  const isLimited = Object.values(window).some((edge) => edge !== null)
  if (!isLimited || Number.isNaN(value)) return null
  const { verdict, margin } = standing(value, window)
  return {
    gravity: SEVERITY[verdict],
    room: (margin ?? Infinity) / roomScale(quantity, window),
  }
}

/** Sorts the graver first, of equally grave ones that with less room. */
export const byGrade = (one: Grade, other: Grade): number =>
  other.gravity - one.gravity || one.room - other.room

/** The gravest of a list; null for an empty one. */
export const gravestOf = <T extends Grade>(list: readonly T[]): T | null =>
  list.reduce<T | null>((worst, one) => (worst === null || byGrade(one, worst) < 0 ? one : worst), null)

import type { Quantity, Verdict, Window } from '../build/limit'
import { factsOf } from '../build/quantities'
import { byGravity } from './verdict'

/** What is known of a checked value. */
interface Judged {
  readonly quantity: Quantity | 'centring-pilot'
  /** Null when unknown. */
  readonly value: number | null
  /** Room to its limit in its unit, negative past it; null where nothing limits it. */
  readonly margin: number | null
  readonly window: Window
  readonly verdict: Verdict
}

/** A limit near nought is measured by this, in its own unit. */
const LEAST_SCALE = 1e-3

/**
 * By what the room of a quantity is measured, in its unit, so that degrees, rad/s² and millimetres can be told apart: its limit; for
 * gaps what is usual, for what has to come out past an obstacle needs a long way and has no more room for that.
 */
export function roomScale(quantity: Judged['quantity'], window: Window): number {
  const usual = quantity === 'centring-pilot' ? undefined : factsOf(quantity).usualRoom
  if (usual !== undefined) return usual
  const edge = window.failHigh ?? window.warnHigh ?? window.failLow ?? window.warnLow
  return edge === null ? 1 : Math.max(LEAST_SCALE, Math.abs(edge))
}

/** Room of a check by its scale; nothing is known of what has no value, and what has no limit has room for anything. */
function roomOf({ quantity, value, margin, window }: Judged): number {
  if (margin === null) return value === null ? -Infinity : Infinity
  return margin / roomScale(quantity, window)
}

/** Sorts the gravest verdict first, then what has least room, whatever its quantity: the one order of checks. */
export function byWorst(one: Judged, other: Judged): number {
  const gravity = byGravity(one.verdict, other.verdict)
  if (gravity !== 0) return gravity
  const [room, otherRoom] = [roomOf(one), roomOf(other)]
  return room === otherRoom ? 0 : room - otherRoom
}

/** The worst of some checks, of equals the first; null for none. */
export const worstOf = <T extends Judged>(checks: readonly T[]): T | null =>
  checks.reduce<T | null>((worst, one) => (worst === null || byWorst(one, worst) < 0 ? one : worst), null)

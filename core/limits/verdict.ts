import type { LimitEntry, Verdict, Window } from './limit'

/** Nothing limited. */
export const OPEN_WINDOW: Window = { failLow: null, warnLow: null, warnHigh: null, failHigh: null }

/** Where a value stands in its window. */
export interface Standing {
  readonly verdict: Exclude<Verdict, 'unknown'>
  /** Room to the nearest limit; negative: how far past the limit that was crossed first. Null when nothing is limited. */
  readonly margin: number | null
  /** The limit that decides, or null. */
  readonly edge: keyof Window | null
}

/**
 * The verdict on a value: out past a failing value, tight past a warning one, else it holds.
 *
 * @example standing(1.2, { failLow: null, warnLow: null, warnHigh: 1, failHigh: 2 }).verdict // 'tight'
 */
export function standing(value: number, window: Window): Standing {
  const room = (edge: keyof Window): number | null => {
    const limit = window[edge]
    if (limit === null) return null
    return edge === 'failLow' || edge === 'warnLow' ? value - limit : limit - value
  }
  const least = (edges: readonly (keyof Window)[]): { edge: keyof Window; margin: number } | null =>
    edges.reduce<{ edge: keyof Window; margin: number } | null>((best, edge) => {
      const margin = room(edge)
      return margin !== null && (best === null || margin < best.margin) ? { edge, margin } : best
    }, null)

  const fail = least(['failLow', 'failHigh'])
  if (fail && fail.margin < 0) return { verdict: 'out', ...fail }
  const warn = least(['warnLow', 'warnHigh'])
  if (warn && warn.margin < 0) return { verdict: 'tight', ...warn }
  const nearest = least(['warnLow', 'warnHigh', 'failLow', 'failHigh'])
  return { verdict: 'holds', margin: nearest?.margin ?? null, edge: nearest?.edge ?? null }
}

/** Several limits of one value as one window: on each side the strictest, a warning never looser than the failing value. */
export function combinedWindow(
  limits: readonly Partial<Pick<LimitEntry, 'failBelow' | 'warnBelow' | 'warnAbove' | 'failAbove'>>[],
): Window {
  const highest = (values: (number | undefined)[]) => pick(values, Math.max)
  const lowest = (values: (number | undefined)[]) => pick(values, Math.min)
  const failLow = highest(limits.map((limit) => limit.failBelow))
  const failHigh = lowest(limits.map((limit) => limit.failAbove))
  const warnLow = highest(limits.map((limit) => limit.warnBelow))
  const warnHigh = lowest(limits.map((limit) => limit.warnAbove))
  return {
    failLow,
    warnLow: warnLow !== null && failLow !== null && warnLow < failLow ? failLow : warnLow,
    warnHigh: warnHigh !== null && failHigh !== null && warnHigh > failHigh ? failHigh : warnHigh,
    failHigh,
  }
}

function pick(values: (number | undefined)[], choose: (...numbers: number[]) => number): number | null {
  const given = values.filter((value) => value !== undefined)
  return given.length > 0 ? choose(...given) : null
}

const GRAVITY: Readonly<Record<Verdict, number>> = { holds: 0, tight: 1, unknown: 2, out: 3 }

/** The gravest of several verdicts: out, then unknown, then tight; nothing to judge is unknown. */
export function gravest(verdicts: readonly Verdict[]): Verdict {
  return (
    verdicts.reduce<Verdict | null>(
      (worst, one) => (worst === null || GRAVITY[one] > GRAVITY[worst] ? one : worst),
      null,
    ) ?? 'unknown'
  )
}

/** Sorts graver verdicts first. */
export const byGravity = (a: Verdict, b: Verdict): number => GRAVITY[b] - GRAVITY[a]

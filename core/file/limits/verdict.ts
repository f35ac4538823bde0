import { requireFinite } from '../../base/errors'
import type { LimitEntry, Verdict, Window } from '../build/limit'

/** Nothing limited. */
export const OPEN_WINDOW: Window = { failLow: null, warnLow: null, warnHigh: null, failHigh: null }

/** Where a value stands in its window. */
export interface Standing {
  readonly verdict: Exclude<Verdict, 'unknown'>
  /**
   * Room to the failing limit where there is one, else to the warning; negative: how far past it. Null when nothing is
   * limited.
   */
  readonly margin: number | null
  /** The limit that decides, or null. */
  readonly edge: Edge | null
}

/** A side of a window's limits. */
export type Edge = keyof Window

const FAIL: readonly Edge[] = ['failLow', 'failHigh']
const WARN: readonly Edge[] = ['warnLow', 'warnHigh']

/**
 * The verdict on a value: out past a failing value, tight past a warning one, else it holds.
 *
 * @param value - in the unit of the window
 * @throws CoreError `not-finite` for NaN, which would pass every comparison
 * @example standing(1.2, { failLow: null, warnLow: null, warnHigh: 1, failHigh: 2 }).verdict // 'tight'
 */
export function standing(value: number, window: Window): Standing {
  if (Number.isNaN(value)) requireFinite(value, 'value')
  const fail = nearest(value, window, FAIL)
  if (fail && fail.margin < 0) return { verdict: 'out', ...fail }
  const warn = nearest(value, window, WARN)
  if (warn && warn.margin < 0) {
    // Past a warning the room that is left is that on the same side.
    const behind = nearest(value, window, [warn.edge === 'warnLow' ? 'failLow' : 'failHigh'])
    return { verdict: 'tight', edge: warn.edge, margin: behind?.margin ?? warn.margin }
  }
  const margin = fail ?? warn
  return { verdict: 'holds', margin: margin?.margin ?? null, edge: margin?.edge ?? null }
}

function nearest(
  value: number,
  window: Window,
  edges: readonly Edge[],
): { readonly edge: Edge; readonly margin: number } | null {
  let best: { readonly edge: Edge; readonly margin: number } | null = null
  for (const edge of edges) {
    const limit = window[edge]
    if (limit === null) continue
    const margin = edge === 'failLow' || edge === 'warnLow' ? value - limit : limit - value
    if (best === null || margin < best.margin) best = { edge, margin }
  }
  return best
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

const SEVERITY: Readonly<Record<Verdict, number>> = { holds: 0, tight: 1, unknown: 2, out: 3 }

/** The gravest of several verdicts: out, then unknown, then tight; nothing to judge is unknown. */
export function gravest(verdicts: readonly Verdict[]): Verdict {
  return (
    verdicts.reduce<Verdict | null>(
      (worst, one) => (worst === null || SEVERITY[one] > SEVERITY[worst] ? one : worst),
      null,
    ) ?? 'unknown'
  )
}

/** Sorts graver verdicts first. */
export const byGravity = (a: Verdict, b: Verdict): number => SEVERITY[b] - SEVERITY[a]

import TinyQueue from 'tinyqueue'
import type { LeverStep } from '../placement/leverGrid'

/** A setting of several levers by the numbers of their steps, cheapest step first, and its whole effort. */
export interface RankedSetting {
  readonly steps: readonly number[]
  readonly effort: number
}

/**
 * All settings of a grid by rising effort, each once: so the first that will do is proved to be the cheapest there is.
 *
 * Best first over the grid of sorted steps: behind a setting come those with one lever a step dearer, counting on from the
 * lever that was moved last, so that no setting is reached twice.
 *
 * @param levers - the steps of each lever, by rising effort
 */
export function* byEffort(levers: readonly (readonly LeverStep[])[]): Generator<RankedSetting, void> {
  if (levers.some((steps) => steps.length === 0)) return
  const effortOf = (steps: readonly number[]) =>
    steps.reduce((sum, step, lever) => sum + (levers[lever]?.[step]?.effort ?? 0), 0)
  const first = levers.map(() => 0)
  const open = new TinyQueue<RankedSetting & { readonly from: number }>(
    [{ steps: first, effort: effortOf(first), from: 0 }],
    (a, b) => a.effort - b.effort,
  )
  for (let next = open.pop(); next; next = open.pop()) {
    yield next
    for (let lever = next.from; lever < levers.length; lever++) {
      const step = (next.steps[lever] ?? 0) + 1
      if (step >= (levers[lever]?.length ?? 0)) continue
      const steps = next.steps.with(lever, step)
      open.push({ steps, effort: effortOf(steps), from: lever })
    }
  }
}

import cases from '../../testdata/chance-schedule.json'
import { without } from '../../testdata/without'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { chanceBy, chanceOfFinish, finishAt, type ChanceTask } from './chanceOfFinish'

describe('chances of a finish against independent cases', () => {
  const work = ({ tasks, by = [], rework }: any) => {
    const asked = tasks.map(({ id, after, lead, order_after: orderAfter, ...time }: any): ChanceTask => ({
      ...{ id, after, lead, orderAfter, time },
      ...(rework?.id === id && { rework: { chance: rework.chance, time: rework } }),
    }))
    const found = chanceOfFinish(asked)
    return {
      likely_finish: found.likelyFinish,
      mean: found.mean,
      sd: found.deviation,
      p50: finishAt(found, 0.5),
      p80: finishAt(found, 0.8),
      p90: finishAt(found, 0.9),
      by: by.map((time: number) => ({ time, chance: chanceBy(found, time) })),
      merge_late: found.mergeLate,
      critical_share: Object.fromEntries(
        asked.map(({ id }: any, at: number) => [id, found.criticalShares[at]]),
      ),
    }
  }
  /** Chances under names of their own, so that the tolerance of a chance is that of each. */
  const chances = ({ by, critical_share: shares, ...told }: any) => ({
    ...told,
    ...Object.fromEntries((by ?? []).map(({ time, chance }: any) => [`by ${time}`, chance])),
    ...Object.fromEntries(Object.entries(shares ?? {}).map(([id, share]) => [`share of ${id}`, share])),
  })
  it.each(casesOf(cases))('%s', (_id, one) => {
    const { tol = cases.tolerance, expect: want, ...rest } = one
    const told: any = without(want, 'example_se')
    const flat = told.error ? told : chances(told)
    const keys = Object.fromEntries(
      Object.keys(flat).map((key) => [
        key,
        tol.keys[key] ?? (/^(by|share) /.test(key) ? tol.keys.chance : undefined),
      ]),
    )
    // Each case says how far a run of 20 000 draws may lie off.
    expectCase({ ...cases, tolerance: { ...tol, keys } } as any, { ...rest, expect: flat }, (input) =>
      chances(work(input)),
    )
  })
})

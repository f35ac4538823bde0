import cases from '../../testdata/one-pair-of-hands.json'
import { without } from '../../testdata/without'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { handsPlan } from './handsPlan'

describe('a plan for the hands that there are against independent cases', () => {
  const work = ({ hours, hands, helper_days: helperDays, tasks }: any) => {
    const asked = tasks.map(({ lead_days: leadDays, order_after: orderAfter, ...task }: any) => ({
      ...task,
      ...{ leadDays, orderAfter },
    }))
    const found = handsPlan(asked, { hours, hands, helperDays })
    expect(found.isProven).toBe(true)
    const bound = Math.max(found.path, found.work)
    return {
      finish_h: found.finish,
      finish_day: found.finishDay,
      finish_clock_h: found.finishHour,
      bound_h: bound,
      path_h: found.path,
      work_h: found.work,
      gap_h: found.finish - bound,
    }
  }
  it.each(casesOf(cases))('%s', (_id, one) =>
    expectCase(cases, { ...one, expect: without(one.expect, 'example_start_h') }, work),
  )
})

import fc from 'fast-check'
import { bought, MONDAY, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import type { TaskEntry } from '../../file/kinds/taskKinds'
import { hurryText } from '../../show/text/hurryText'
import { moneyOf } from '../money/money'
import { tasksOf } from '../tasks/buildTasks'
import { hurriesOf } from './hurries'

const days = (likely: number) => ({ low: likely, likely, high: likely })
const hurry = { leadDays: days(4), cost: 60 }
const told = (shaft: Partial<TaskEntry>, ...others: TaskEntry[]) =>
  workBuild([
    bought('shaft', 10, { cost: 410, ...shaft }),
    ownTask('fit', 3, { after: ['shaft'] }),
    ...others,
  ])
const asked = (build: ReturnType<typeof told>) => {
  const { removals = [], crew } = build
  return hurriesOf({ tasks: tasksOf(build, 0), removals, crew, today: MONDAY })
}
const spoken = (build: ReturnType<typeof told>) => asked(build).map((one) => hurryText(one, MONDAY, 'crowns'))

describe('hurrying what is bought', () => {
  it('says how much sooner it drives and what that costs', () => {
    // Ten days later taken in and fitted in 3.25 h: day 11. Four days later: day 5.
    expect(spoken(told({ hurry }))).toEqual([
      'Task shaft can be hurried for 60 crowns: it would drive on Sat 5 December, 6 days sooner.',
    ])
    expect(planOf(told({ hurry })).finishDay).toBe(11)
    const paid = told({ hurry: { ...hurry, isPaid: true } })
    expect(planOf(paid).finishDay).toBe(5)
    expect(spoken(paid)).toEqual([
      'Task shaft is hurried for 60 crowns; without that it would drive on Fri 11 December, 6 days later.',
    ])
  })

  it('says when it brings nothing', () => {
    const other = bought('bush', 20)
    const fit = ownTask('bush-in', 4, { after: ['bush'] })
    expect(spoken(told({ hurry }, other, fit))).toEqual([
      'Task shaft can be hurried for 60 crowns, but it would drive no sooner: something else decides.',
    ])
    expect(spoken(told({ hurry: { ...hurry, isPaid: true } }, other, fit))).toEqual([
      'Task shaft is hurried for 60 crowns, and it would drive no later without that.',
    ])
  })

  it('is silent where a way or the cost is not told, and of what is ordered or here', () => {
    for (const shaft of [
      {},
      { hurry: { cost: 60 } },
      { hurry: { leadDays: days(4) } },
      { hurry, leadDays: undefined },
      { hurry, orderedAt: MONDAY },
      { hurry, doneAt: MONDAY },
    ] as Partial<TaskEntry>[])
      expect(asked(told(shaft))).toEqual([])
    expect(asked({ ...told({ hurry }), crew: undefined })).toEqual([])
  })

  it('is money only once it is paid for, and stays so when the thing is ordered', () => {
    const sums = (shaft: Partial<TaskEntry>) => moneyOf(tasksOf(told(shaft), 0), undefined).bySort.buy
    expect(sums({ hurry })).toEqual({ spent: 0, ordered: 0, toCome: 410 })
    expect(sums({ hurry: { ...hurry, isPaid: true } })).toEqual({ spent: 0, ordered: 0, toCome: 470 })
    expect(sums({ hurry: { ...hurry, isPaid: true }, orderedAt: MONDAY })).toEqual({
      ...{ spent: 0, ordered: 470, toCome: 0 },
    })
  })

  it('never makes it later to have one thing sooner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 30 }), (usual, sooner) => {
        const quick = { leadDays: days(Math.min(usual, sooner)), cost: 1 }
        const [one] = asked(workBuild([bought('shaft', usual, { hurry: quick })]))
        expect(one?.sooner).toBeGreaterThanOrEqual(0)
        expect(one?.hurried.localeCompare(one.unhurried)).toBeLessThanOrEqual(0)
      }),
      { numRuns: 60 },
    )
  })
})

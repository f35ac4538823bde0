import { bought, MONDAY, ownTask, workBuild } from '../../testdata/workBuild'
import { tasksOf } from '../tasks/buildTasks'
import { makeOrBuy } from './makeOrBuy'
import { moneyOf } from './money'

const tasks = tasksOf(
  workBuild([
    bought('shaft', 10, { cost: 410 }),
    bought('bush', 5, { cost: 38, orderedAt: MONDAY }),
    bought('tube', 5, { cost: 20, orderedAt: MONDAY, doneAt: MONDAY }),
    ownTask('exhaust', 4, { sort: 'fabricate', cost: 120 }),
    ownTask('fit', 2, { hands: 2, doneAt: MONDAY, tookH: 3 }),
    ownTask('untold', 1, { hours: undefined }),
  ]),
  0,
)

describe('what a build costs', () => {
  it('is spent, ordered or to come', () => {
    const { bySort, all, ownHours } = moneyOf(tasks, undefined)
    expect(bySort.buy).toEqual({ spent: 20, ordered: 38, toCome: 410 })
    expect(bySort.fabricate).toEqual({ spent: 0, ordered: 0, toCome: 120 })
    expect([all, ownHours]).toEqual([{ spent: 20, ordered: 38, toCome: 530 }, null])
  })
  it('counts own hours at what they are worth, each pair of hands, as long as it took', () => {
    const { ownHours, all } = moneyOf(tasks, 30)
    // 3 h of two that took three; half an hour each of three that are bought, and four of the exhaust.
    expect(ownHours).toEqual({ spent: (3 * 2 + 0.5) * 30, ordered: 0.5 * 30, toCome: 4.5 * 30 })
    expect(all.toCome).toBe(530 + 135)
  })
})

describe('make or buy', () => {
  it('counts hours, material and the chance of doing it twice against the price and its way', () => {
    const lead = { low: 10, likely: 18, high: 28 }
    const found = makeOrBuy({ hours: 6, material: 80, twicePercent: 25 }, 300, { rate: 20, leadDays: lead })
    // 7.5 hours at 20, and 100 of material.
    expect(found).toMatchObject({ ownHours: 7.5, ownCost: 250, saved: 50, sparedDays: 18 })
    expect(found.evenRate).toBeCloseTo(200 / 7.5, 9)
    expect(makeOrBuy({ hours: 0, material: 80, twicePercent: 0 }, 60)).toMatchObject({
      saved: -20,
      sparedDays: null,
      evenRate: null,
    })
    expect(makeOrBuy({ hours: 2, material: 80, twicePercent: 0 }, 60).evenRate).toBe(0)
  })
})

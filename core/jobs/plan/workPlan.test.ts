import fc from 'fast-check'
import { bought, MONDAY, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import type { Removal } from '../../file/kinds/taskKinds'
import { tasksOf } from '../tasks/buildTasks'
import { decidingChain } from './decides'
import { finishChance } from './finishChance'
import { lateTimes } from './lateTimes'
import type { WorkPlan } from './planned'
import { planWork } from './workPlan'
import { replan } from './replan'
import { dayOf } from './crewOf'

const times = (plan: ReturnType<typeof planOf>) =>
  Object.fromEntries(plan.planned.map(({ node, startH, endH }) => [node.id, [startH, endH]]))
const unknownOf = (build: Parameters<typeof planOf>[0]) => {
  const { removals = [], crew } = build
  const plan = planWork({ tasks: tasksOf(build, 0), removals, crew, today: MONDAY })
  return plan.known ? null : plan.missing.map(({ what }) => what).join('; ')
}

describe('a plan of the open work of a build', () => {
  it('lets a way of parts run by itself while other work is done', () => {
    // 0.5 h on Monday to order; ten days later, on day 10 at its 20th hour, it is taken in for 0.25 h and fitted in 3.
    const plan = planOf(
      workBuild([ownTask('exhaust', 3), bought('shaft', 10), ownTask('fit', 3, { after: ['shaft'] })]),
    )
    expect(times(plan)).toEqual({
      'shaft/order': [0, 0.5],
      exhaust: [0.5, 3.5],
      shaft: [20, 20.25],
      fit: [20.25, 23.25],
    })
    expect([plan.finishDay, plan.boundDay, plan.isProven]).toEqual([11, 11, true])
    expect(dayOf(plan, plan.finishDay)).toBe('2026-12-11')
    expect(decidingChain(plan).map(({ planned, by }) => [planned.node.id, by])).toEqual([
      ['shaft/order', 'start'],
      ['shaft', 'parts'],
      ['fit', 'task'],
    ])
  })

  it('counts what was ordered from its day, and what is done no more', () => {
    const plan = planOf(
      workBuild([
        ownTask('exhaust', 3, { doneAt: '2026-11-20' }),
        bought('shaft', 10, { orderedAt: '2026-11-25' }),
        ownTask('fit', 3, { after: ['shaft', 'exhaust'] }),
      ]),
    )
    expect(times(plan)).toEqual({ shaft: [10, 10.25], fit: [10.25, 13.25] })
  })

  it('keeps to days off, to days that are not yet come, and to those of a helper', () => {
    const crew = { hands: 1, hours: [2, 2, 2, 2, 2, 6, 0], helperDays: [5], closed: ['2026-12-02'] }
    const plan = planOf(
      workBuild(
        [ownTask('alone', 5), ownTask('both', 4, { hands: 2 }), ownTask('late', 1, { from: '2026-12-08' })],
        { crew },
      ),
    )
    // Monday 2, Tuesday 2, Wednesday none, Thursday 2, Friday 2: Saturday begins at 8. The Tuesday after begins at 16.
    expect(times(plan)).toEqual({ alone: [0, 5], both: [8, 12], late: [16, 17] })
    expect(plan.planned.map(({ startDay, endDay }) => [startDay, endDay])).toEqual([
      [0, 3],
      [5, 5],
      [8, 8],
    ])
  })

  it('begins on the day that was told, as long as it is not past', () => {
    const from = (day: string) =>
      planOf(workBuild([ownTask('a', 1)], { crew: { hands: 1, hours: [1, 1, 1, 1, 1, 1, 1], from: day } }))
    expect([from('2026-12-24').first, from('2025-01-01').first]).toEqual(['2026-12-24', MONDAY])
  })

  it('says what it waits for instead of planning', () => {
    expect(unknownOf(workBuild([ownTask('a', 1)], { crew: undefined }))).toBe('who works when')
    expect(
      unknownOf(workBuild([ownTask('a', 1)], { crew: { hands: 1, hours: [0, 0, 0, 0, 0, 0, 0] } })),
    ).toBe('hours on any day of the week')
    expect(unknownOf(workBuild([ownTask('a', 1, { doneAt: MONDAY })]))).toBe(
      'something that is still to be done',
    )
    expect(unknownOf(workBuild([ownTask('a', 1, { hands: 2 })]))).toBe(
      '“task a”: needs two, and nobody helps',
    )
    expect(unknownOf(workBuild([ownTask('a', 1, { after: ['b'] }), ownTask('b', 1, { after: ['a'] })]))).toBe(
      'tasks: wait for each other: “task a” after “task b” after “task a”',
    )
  })

  it('tells of tasks that have no hours, and ends no sooner than without them', () => {
    const plan = planOf(workBuild([ownTask('a', 3), ownTask('b', 1, { hours: undefined })]))
    expect(plan.untold.map(({ key }) => key)).toEqual(['b'])
    expect(plan.finishH).toBeCloseTo(3, 2)
  })
})

describe('changes of the vehicle', () => {
  const engine: Removal = { id: 'engine', name: 'engine', offH: 2, onH: 3, once: ['exhaust'] }
  const exhaust: Removal = { id: 'exhaust', name: 'exhaust', offH: 0.5, onH: 0.5 }
  const tasks = [
    ownTask('bay', 1, { absent: ['engine'] }),
    ownTask('mount', 1, { present: ['engine'] }),
    ownTask('paint', 1, { absent: ['engine'] }),
    ownTask('wire', 1),
  ]
  it('are work of their own, in the order that wants least of them', () => {
    const plan = planOf(workBuild(tasks, { removals: [engine, exhaust] }))
    // Exhaust off, engine out, engine in, exhaust on: both bay and paint in between; the mount before or after.
    expect(plan.moves).toEqual({ count: 4, asItComes: 6, isProven: true })
    expect(plan.finishH).toBeCloseTo(10, 9)
    const at = times(plan)
    const moves = plan.planned.filter(({ node }) => node.part === 'move')
    expect(moves.map(({ node }) => node.stands)).toEqual([
      { exhaust: false },
      { engine: false },
      { engine: true },
      { exhaust: true },
    ])
    for (const key of ['bay', 'paint']) {
      expect(at[key]![0]).toBeGreaterThanOrEqual(moves[1]!.endH)
      expect(at[key]![1]).toBeLessThanOrEqual(moves[2]!.startH)
    }
  })
  it('are none where the vehicle stands as all of it wants, and it ends so', () => {
    const out = { ...engine, isOff: true, endsOff: true, once: [] }
    expect(planOf(workBuild(tasks.slice(0, 1), { removals: [out] })).moves?.count).toBe(0)
    expect(planOf(workBuild([ownTask('a', 1)], { removals: [engine, exhaust] })).moves).toBeNull()
    expect(
      planOf(workBuild([ownTask('a', 1)], { removals: [{ ...engine, isOff: true, once: [] }] })).finishH,
    ).toBeCloseTo(4, 9)
  })
})

describe('late times and chances', () => {
  it('tell the last day to order so that the end stays', () => {
    const plan = planOf(
      workBuild([ownTask('exhaust', 30), bought('shaft', 10), ownTask('fit', 3, { after: ['shaft'] })]),
    )
    // All ends at 33.75 h; the shaft has to be taken in by 30.75, on day 15; ordered on day 5.
    expect(plan.finishH).toBeCloseTo(33.75, 9)
    const late = lateTimes(plan)
    expect(late.get('shaft/order')!.orderBy).toBe('2026-12-05')
    expect(late.get('fit')!.floatH).toBeCloseTo(33.75 - times(plan).fit![1]!, 9)
  })

  it('uses the wait for parts for what wants something off', () => {
    const engine: Removal = { id: 'engine', name: 'engine', offH: 2, onH: 2 }
    const tasks = [
      bought('shaft', 14),
      ownTask('fit', 2, { after: ['shaft'], present: ['engine'] }),
      ownTask('paint', 4, { absent: ['engine'] }),
      ownTask('bend', 2, { present: ['engine'] }),
    ]
    const plan = planOf(workBuild(tasks, { removals: [engine] }))
    expect(plan.moves).toMatchObject({ count: 2 })
    // It comes on the fourteenth day and is taken in and fitted by the next; all else is done by then.
    expect(dayOf(plan, plan.finishDay)).toBe('2026-12-15')
    const startOf = (id: string) => plan.planned.find(({ node }) => node.id === id)!.startDay
    expect(startOf('paint')).toBeLessThan(14)
    expect(startOf('fit')).toBeGreaterThanOrEqual(14)
  })

  it('counts what may have to be done once more, and what may have to come once more', () => {
    const byPlan = (build: Parameters<typeof planOf>[0]) =>
      finishChance(planOf(build), undefined, { count: 20_000, seed: 5 }).byPlan
    // Two hours are the whole of an evening: done again, it is the next one.
    expect(byPlan(workBuild([ownTask('a', 2, { redoPercent: 30 })]))).toBeCloseTo(0.7, 1.7)
    expect(byPlan(workBuild([ownTask('a', 2)]))).toBe(1)
    expect(byPlan(workBuild([bought('shaft', 10, { redoPercent: 20 })]))).toBeCloseTo(0.8, 1.7)
  })

  it('give a day its likelihood: later than the likely times where parts are often late', () => {
    const uncertain = bought('shaft', 10, { leadDays: { low: 7, likely: 10, high: 28 } })
    const plan = planOf(workBuild([uncertain, ownTask('fit', 1, { after: ['shaft'] })]))
    const chance = finishChance(plan, '2026-12-14', { count: 20_000, seed: 3 })
    // Whole days from the draw on: by day 14 with (14 − 7)² … of the triangle: 1 − (28 − 14)² / (21 · 18).
    expect(chance.byWanted).toBeCloseTo(1 - 14 ** 2 / (21 * 18), 1)
    expect(chance.byPlan).toBeCloseTo(3 ** 2 / (21 * 3), 1)
    expect([chance.even, chance.likely]).toEqual(['2026-12-15', '2026-12-20'])
  })
})

describe('any work', () => {
  const anyTasks = fc.array(
    fc.record({
      hours: fc.integer({ min: 1, max: 6 }),
      lead: fc.integer({ min: 0, max: 9 }),
      isBought: fc.boolean(),
      after: fc.array(fc.nat(6), { maxLength: 2 }),
      asks: fc.constantFrom('present', 'absent', null),
    }),
    { minLength: 1, maxLength: 7 },
  )
  const built = (all: any[]) =>
    workBuild(
      all.map(({ hours, lead, isBought, after, asks }, k) => {
        const more = {
          after: after.filter((one: number) => one < k).map((one: number) => `t${one}`),
          ...(asks && !isBought && { [asks]: ['engine'] }),
        }
        return isBought ? bought(`t${k}`, lead, more) : ownTask(`t${k}`, hours, more)
      }),
      { removals: [{ id: 'engine', name: 'engine', offH: 1, onH: 2 }] },
    )
  /** One thing at a time, each after what it waits for, the vehicle as each wants it. */
  function expectSound(plan: WorkPlan) {
    let [isOn, free] = [true, 0]
    const ends = new Map<string, number>()
    for (const { node, startH, endH } of plan.planned) {
      expect(startH).toBeGreaterThanOrEqual(Math.max(free, node.notBefore ?? 0) - 1e-9)
      for (const id of node.after) expect(startH).toBeGreaterThanOrEqual(ends.get(id)! - 1e-9)
      if (node.part === 'move') isOn = node.stands.engine!
      else expect(node.stands.engine ?? isOn).toBe(isOn)
      free = endH
      ends.set(node.id, endH)
    }
    expect(isOn).toBe(true)
    expect(plan.finishH).toBeCloseTo(free, 9)
  }
  it('keeps its order, one thing at a time, the vehicle as each wants it', () => {
    fc.assert(
      fc.property(anyTasks, (all) => {
        const plan = planOf(built(all))
        expectSound(plan)
        expect(plan.finishDay).toBeGreaterThanOrEqual(plan.boundDay)
        const first = decidingChain(plan)[0]!
        expect(['start', 'day']).toContain(first.by)
      }),
      { numRuns: 150, seed: 7 },
    )
  })
  it('stays sound as something of it is moved to another day', () => {
    fc.assert(
      fc.property(anyTasks, fc.nat(6), fc.nat(30), (all, which, day) => {
        const plan = planOf(built(all))
        const { node } = plan.planned[which % plan.planned.length]!
        const moved = replan(plan, new Map([[node.id, day]]))
        expectSound(moved)
        expect(moved.planned).toHaveLength(plan.planned.length)
        expect(moved.planned.find((one) => one.node.id === node.id)!.startDay).toBeGreaterThanOrEqual(day)
        expect(replan(plan, new Map()).finishH).toBeGreaterThanOrEqual(plan.moves ? 0 : plan.finishH - 1e-9)
      }),
      { numRuns: 150, seed: 8 },
    )
  })
})

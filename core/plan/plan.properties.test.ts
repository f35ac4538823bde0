import fc from 'fast-check'
import { cutList } from './cutting/cutList'
import type { HandsTask } from './hands/begunPlan'
import { handsPlan } from './hands/handsPlan'
import { fewestLifts, liftsInOrder } from './lifts/fewestLifts'
import { chanceOfFinish } from './network/chanceOfFinish'
import { criticalChains } from './network/criticalChains'
import { longestPath } from './network/longestPath'

/** All orders of a few things. */
const ordersOf = <T>(things: readonly T[]): T[][] =>
  things.length === 0
    ? [[]]
    : things.flatMap((one, i) => ordersOf(things.filter((_, k) => k !== i)).map((rest) => [one, ...rest]))

/** Up to five tasks, each after some of those before it. */
const network = fc
  .array(fc.record({ long: fc.integer({ min: 1, max: 8 }), links: fc.integer({ min: 0, max: 31 }) }), {
    minLength: 1,
    maxLength: 5,
  })
  .map((some) =>
    some.map(({ long, links }, k) => ({
      ...{ id: `t${k}`, long },
      after: some.flatMap((_, before) => (before < k && (links & (1 << before)) !== 0 ? [`t${before}`] : [])),
    })),
  )
const follows = (tasks: readonly { id: string; after: readonly string[] }[], order: readonly string[]) =>
  tasks.every(({ id, after }) => after.every((one) => order.indexOf(one) < order.indexOf(id)))

describe('plans against all that could be planned', () => {
  it('takes as long as the best of all orders of one pair of hands, with parts on their way', () => {
    const hours = [2, 2, 0, 2, 3, 6, 0]
    const dayStart = (day: number) =>
      Array.from({ length: day }, (_, k) => hours[k % 7]!).reduce((a, b) => a + b, 0)
    const dayOfEnd = (hour: number) => {
      let day = 0
      while (dayStart(day + 1) < hour) day++
      return day
    }
    fc.assert(
      fc.property(
        network,
        fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 5, maxLength: 5 }),
        (some, leads) => {
          const tasks = some.map(({ id, after, long }, k): HandsTask & { leadDays: number } => ({
            ...{ id, after, hours: long, leadDays: leads[k]! },
            orderAfter: after[0] ?? null,
          }))
          const inOrder = (order: readonly string[]) => {
            let now = 0
            const ends = new Map<string, number>()
            for (const id of order) {
              const { hours: long, leadDays, orderAfter } = tasks.find((task) => task.id === id)!
              const ordered = orderAfter == null ? 0 : dayOfEnd(ends.get(orderAfter)!)
              now = Math.max(now, leadDays === 0 ? 0 : dayStart(ordered + leadDays)) + long
              ends.set(id, now)
            }
            return now
          }
          const brute = ordersOf(tasks.map(({ id }) => id)).filter((order) => follows(tasks, order))
          const found = handsPlan(tasks, { hours, hands: 1 })
          expect(found.finish).toBeCloseTo(Math.min(...brute.map(inOrder)), 9)
          expect(found.isProven).toBe(true)
          // A second pair of hands never makes it longer.
          expect(handsPlan(tasks, { hours, hands: 2 }).finish).toBeLessThanOrEqual(found.finish + 1e-9)
        },
      ),
      { seed: 3, numRuns: 150 },
    )
  })

  it('changes the vehicle as seldom as the best of all orders', () => {
    const way = fc.constantFrom('in', 'out', undefined)
    const up = fc.constantFrom('up', 'down', undefined)
    const states = {
      engine: {
        start: 'in',
        end: 'in',
        moves: [
          { from: 'in', to: 'out', price: 40, with: { car: 'up' } },
          { from: 'out', to: 'in', price: 35 },
        ],
      },
      car: {
        start: 'down',
        moves: [
          { from: 'down', to: 'up', price: 6 },
          { from: 'up', to: 'down', price: 5 },
        ],
      },
    }
    fc.assert(
      fc.property(network, fc.array(fc.tuple(way, up), { minLength: 5, maxLength: 5 }), (some, needs) => {
        const tasks = some.map(({ id, after }, k) => {
          const [engine, car] = needs[k]!
          return { id, after, in: { ...(engine && { engine }), ...(car && { car }) } }
        })
        const orders = ordersOf(tasks.map(({ id }) => id)).filter((order) => follows(tasks, order))
        const prices = orders.map((order) => liftsInOrder(states, tasks, order).price)
        const found = fewestLifts(states, tasks)
        expect(found.price).toBeCloseTo(Math.min(...prices), 6)
        expect(follows(tasks, found.order)).toBe(true)
      }),
      { seed: 4, numRuns: 100 },
    )
  })

  it('cuts as cheaply as the best of all ways to put pieces into bars', () => {
    const lengths = fc.array(fc.integer({ min: 200, max: 1900 }), { minLength: 1, maxLength: 5 })
    const bars = [
      { id: 'long', lengthMm: 3000, cost: 50 },
      { id: 'short', lengthMm: 2000, cost: 36 },
      { id: 'rest', lengthMm: 1200, cost: 1, count: 1 },
    ]
    fc.assert(
      fc.property(
        lengths,
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 0, max: 20 }),
        (some, kerfMm, trimMm) => {
          const fits = (bar: number, own: readonly number[]) =>
            trimMm + own.reduce((a, b) => a + b, 0) + (own.length - 1) * kerfMm <= bars[bar]!.lengthMm
          // Each piece goes into one of the heaps that are there, or begins one.
          const best = (k: number, heaps: readonly (readonly number[])[]): number => {
            if (k < some.length)
              return Math.min(
                best(k + 1, [...heaps, [some[k]!]]),
                ...heaps.map((heap, i) => best(k + 1, heaps.with(i, [...heap, some[k]!]))),
              )
            const cost = heaps.map((heap) => (fits(1, heap) ? 36 : fits(0, heap) ? 50 : Infinity))
            const all = cost.reduce((a, b) => a + b, 0)
            return Math.min(all, ...heaps.flatMap((heap, i) => (fits(2, heap) ? [all - cost[i]! + 1] : [])))
          }
          const found = cutList({
            pieces: some.map((lengthMm, k) => ({ id: `p${k}`, lengthMm, count: 1 })),
            bars,
            kerfMm,
            trimMm,
          })
          expect(found.cost).toBeCloseTo(best(0, []), 9)
          expect(found.cost).toBeGreaterThanOrEqual(found.boundCost - 1e-9)
        },
      ),
      { seed: 5, numRuns: 100 },
    )
  })

  it('has a chain through whatever decides the end, and an end that draws of fixed times hit', () => {
    fc.assert(
      fc.property(network, (some) => {
        const tasks = some.map(({ id, after, long }) => ({ id, after, duration: long }))
        const found = longestPath(tasks)
        const chains = criticalChains(tasks, found)
        for (const chain of chains)
          expect(chain.reduce((all, { id }) => all + tasks.find((task) => task.id === id)!.duration, 0)).toBe(
            found.finish,
          )
        expect(new Set(chains.flat().map(({ id }) => id))).toEqual(
          new Set(found.tasks.filter(({ isCritical }) => isCritical).map(({ id }) => id)),
        )
        const time = (long: number) => ({ low: long, likely: long, high: long })
        const drawn = chanceOfFinish(
          some.map(({ id, after, long }) => ({ id, after, time: time(long) })),
          { count: 3, seed: 2 },
        )
        expect([...drawn.finishes]).toEqual([found.finish, found.finish, found.finish])
      }),
      { seed: 6, numRuns: 200 },
    )
  })
})

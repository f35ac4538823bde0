import cases from '../../testdata/fewest-lifts.json'
import { without } from '../../testdata/without'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { fewestLifts, liftsInOrder } from './fewestLifts'
import type { StandingTask } from './liftWays'

describe('the fewest lifts against independent cases', () => {
  const work = ({ states, tasks, op = 'best', order, extra_after: extra = {} }: any) => {
    const asked = tasks.map((task: any): StandingTask => ({
      ...task,
      after: [...task.after, ...(extra[task.id] ?? [])],
    }))
    const found = op === 'given' || order ? liftsInOrder(states, asked, order) : fewestLifts(states, asked)
    return { price: found.price, moves_least: found.moves.length, found }
  }
  it.each(casesOf(cases))('%s', (_id, one) => {
    const want: any = without(one.expect, 'example_order', 'example_moves')
    expectCase(cases, { ...one, expect: want }, work)
    if (want.error) return
    // What is told is an order that can be kept, at the price that is told.
    const { found } = work(one.input)
    const again = work({ ...one.input, op: 'given', order: found.order })
    expect(again.price).toBeCloseTo(found.price, 6)
    expect(again.moves_least).toBe(found.moves.length)
  })

  it('orders more than anybody looks through as well as it can, and says how well', () => {
    const ways = { engine: ['in', 'out'], exhaust: ['on', 'off'], car: ['up', 'down'] } as const
    const states = Object.fromEntries(
      Object.entries(ways).map(([name, [a, b]], k) => [
        name,
        {
          start: a,
          end: a,
          moves: [
            { from: a, to: b, price: 10 + k },
            { from: b, to: a, price: 12 + k },
          ],
        },
      ]),
    )
    const tasks = Array.from({ length: 40 }, (_, k): StandingTask => ({
      id: `t${k}`,
      after: k > 2 ? [`t${(k * 7) % (k - 1)}`, `t${(k * 5) % k}`] : [],
      in: {
        engine: ways.engine[((k * 11) % 2) as 0],
        exhaust: ways.exhaust[((k >> 1) % 2) as 0],
        car: ways.car[((k >> 2) % 2) as 0],
      },
    }))
    const quick = fewestLifts(states, tasks, 30)
    expect(new Set(quick.order).size).toBe(40)
    expect(liftsInOrder(states, tasks, quick.order).price).toBeLessThanOrEqual(quick.price + 1e-6)
    expect(quick.bound).toBeLessThanOrEqual(quick.price)
    // Looked through to the end, it lies between both.
    const whole = fewestLifts(states, tasks)
    expect(whole.bound).toBeCloseTo(whole.price, 6)
    expect(whole.price).toBeGreaterThanOrEqual(quick.bound - 1e-6)
    expect(whole.price).toBeLessThanOrEqual(quick.price + 1e-6)
  })
})

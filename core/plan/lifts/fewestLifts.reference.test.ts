import cases from '../../testdata/fewest-lifts.json'
import { without } from '../../testdata/without'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { fewestLifts, liftsInOrder, type StandingTask } from './fewestLifts'

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
})

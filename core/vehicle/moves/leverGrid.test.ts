import fc from 'fast-check'
import type { Lever } from '../../file/build/lever'
import { effortOf, leverGrid } from './leverGrid'
import { bestStacks, nearestStacks, spacerStack, stackHeights } from './spacers'

const tail: Lever = { id: 'tail', kind: 'tail-up', body: 'p', range: [-10, 20], step: 1, stock: [3, 5] }
const wedge: Lever = { id: 'wedge', kind: 'wedge', body: 'a', range: [-2, 2], step: 0.5 }
const amounts = (lever: Lever, stands: number) => leverGrid(lever, stands).map(({ amount }) => amount)

describe('the grid of a lever', () => {
  it('goes by its own steps from where it stands, nearest first, and stays in its range', () => {
    expect(amounts(wedge, 0.25)).toEqual([0.25, 0.75, -0.25, 1.25, -0.75, 1.75, -1.25, -1.75])
    expect(amounts({ ...wedge, range: [0, 1] }, 0)).toEqual([0, 0.5, 1])
  })

  it('goes up by what the spacers at hand make, and down by steps', () => {
    const grid = amounts(tail, 0)
    expect(grid.filter((amount) => amount > 0)).toEqual([3, 5, 6, 8, 9, 10, 11, 12, 13, 14, 15, 16, 18, 20])
    expect(grid.filter((amount) => amount < 0)).toHaveLength(10)
    expect(grid).not.toContain(4)
  })

  it('keeps the place where the lever stands, though no spacers make it, at no effort', () => {
    expect(leverGrid(tail, 4)[0]).toEqual({ amount: 4, effort: 0 })
  })

  it('counts ten millimetres as much work as a degree, from wherever it starts', () => {
    expect(effortOf(tail, 0, 10)).toBeCloseTo(effortOf(wedge, -1, 0), 12)
    expect(effortOf(tail, 6, 1)).toBeCloseTo(0.5, 12)
    const efforts = leverGrid(tail, 6).map(({ effort }) => effort)
    expect(efforts).toEqual([...efforts].sort((a, b) => a - b))
  })
})

describe('stacks of spacers', () => {
  const stock = fc.uniqueArray(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 5 })

  it('are of as few pieces as can be: no fewer make the height', () => {
    fc.assert(
      fc.property(stock, fc.integer({ min: 1, max: 40 }), (sizes, height) => {
        const found = spacerStack(height, sizes)
        const heights = stackHeights(sizes.map((thickness) => ({ thickness })))
        expect(found?.length ?? null).toBe(heights.get(height) ?? null)
        if (found) expect(found.reduce((sum, size) => sum + size, 0)).toBe(height)
      }),
      { seed: 8, numRuns: 150 },
    )
  })

  it('use no more of a thickness than there are', () => {
    const few = [
      { thickness: 10, count: 1 },
      { thickness: 4, count: 2 },
    ]
    expect(bestStacks(20, few)).toBeNull()
    expect(bestStacks(18, few)).toEqual({ stacks: [[1, 2]], pieces: 3, off: 0 })
    expect(nearestStacks(20, few)).toEqual({ stacks: [[1, 2]], pieces: 3, off: 2 })
    expect(nearestStacks(20, [])).toBeNull()
  })
})

describe('the work of a lever', () => {
  it('is the usual, or its own for touching it at all and for each unit', () => {
    expect(effortOf(tail, 0, 7)).toBeCloseTo(0.7, 12)
    expect(effortOf(wedge, -1, 1.5)).toBeCloseTo(2.5, 12)
    const dear: Lever = { ...tail, effort: { fixed: 30, perUnit: 2 } }
    expect([effortOf(dear, 0, 0), effortOf(dear, 0, 5), effortOf(dear, 5, 0)]).toEqual([0, 40, 40])
    expect(effortOf({ ...tail, effort: { fixed: 30 } }, 0, 9)).toBe(30)
  })

  it('orders its steps, the one it stands at first', () => {
    const steps = leverGrid({ ...wedge, effort: { fixed: 3, perUnit: 1 } }, 0)
    expect(steps[0]).toEqual({ amount: 0, effort: 0 })
    expect(steps[1]!.effort).toBe(3.5)
  })
})

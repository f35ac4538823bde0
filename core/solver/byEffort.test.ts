import fc from 'fast-check'
import type { LeverStep } from '../placement/leverGrid'
import { byEffort } from './byEffort'

const steps = fc
  .array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 1, maxLength: 5 })
  .map((efforts) => efforts.sort((a, b) => a - b).map((effort, amount): LeverStep => ({ amount, effort })))

describe('settings by effort', () => {
  it('come each once, none cheaper than the one before, with the effort of all their levers', () => {
    fc.assert(
      fc.property(fc.array(steps, { minLength: 1, maxLength: 4 }), (levers) => {
        const all = [...byEffort(levers)]
        expect(all).toHaveLength(levers.reduce((product, lever) => product * lever.length, 1))
        expect(new Set(all.map((setting) => setting.steps.join())).size).toBe(all.length)
        all.forEach((setting, index) => {
          const sum = setting.steps.reduce((total, step, lever) => total + levers[lever]![step]!.effort, 0)
          expect(setting.effort).toBeCloseTo(sum, 12)
          if (index > 0) expect(setting.effort).toBeGreaterThanOrEqual(all[index - 1]!.effort - 1e-12)
        })
      }),
      { seed: 5, numRuns: 120 },
    )
  })

  it('are none where a lever has no step, and one where there is no lever', () => {
    expect([...byEffort([[], [{ amount: 0, effort: 0 }]])]).toEqual([])
    expect([...byEffort([])].map(({ steps, effort }) => [steps, effort])).toEqual([[[], 0]])
  })
})

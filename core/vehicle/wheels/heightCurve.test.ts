import fc from 'fast-check'
import { valueAtHeight } from './heightCurve'

describe('what was read at heights', () => {
  it('stands as it was read, between without overshoot, and not beyond', () => {
    const heights = [-90, -40, 0, 30, 70]
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 5, maxLength: 5 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (values, share) => {
          heights.forEach((height, i) =>
            expect(valueAtHeight(heights, values, height)).toBeCloseTo(values[i]!, 9),
          )
          for (let i = 0; i < 4; i++) {
            const up = heights[i]! + share * (heights[i + 1]! - heights[i]!)
            const [low, high] = [Math.min(values[i]!, values[i + 1]!), Math.max(values[i]!, values[i + 1]!)]
            const found = valueAtHeight(heights, values, up)
            expect(found).toBeGreaterThanOrEqual(low - 1e-9)
            expect(found).toBeLessThanOrEqual(high + 1e-9)
          }
          expect(valueAtHeight(heights, values, -90.1)).toBeNaN()
          expect(valueAtHeight(heights, values, 71)).toBeNaN()
        },
      ),
      { seed: 10, numRuns: 100 },
    )
  })

  it('is straight between two heights, and one height tells of itself alone', () => {
    expect(valueAtHeight([0, 50], [1, 3], 25)).toBeCloseTo(2, 12)
    expect(valueAtHeight([0], [7], 0)).toBe(7)
    expect(valueAtHeight([0], [7], 1)).toBeNaN()
    expect(valueAtHeight([-50, 0, 50], [1, 2, 3], NaN)).toBeNaN()
  })
})

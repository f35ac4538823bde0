import fc from 'fast-check'
import { shapePreservingSlopes } from './pchip'

const hermite = (x: number[], y: number[], d: number[], at: number) => {
  const i = Math.max(0, Math.min(x.length - 2, x.findIndex((one) => one > at) - 1))
  const width = x[i + 1]! - x[i]!
  const t = (at - x[i]!) / width
  const s = 1 - t
  return (
    s * s * (1 + 2 * t) * y[i]! +
    t * t * (1 + 2 * s) * y[i + 1]! +
    t * s * width * (s * d[i]! - t * d[i + 1]!)
  )
}

describe('shapePreservingSlopes', () => {
  it('follows a straight line exactly, and a parabola at its ends', () => {
    expect(shapePreservingSlopes([0, 1, 3], [1, 3, 7])).toEqual(
      [2, 2, 2].map((one) => expect.closeTo(one, 12)),
    )
    expect(shapePreservingSlopes([0, 1], [0, 5])).toEqual([5, 5])
    expect(shapePreservingSlopes([0, 1, 2], [0, 1, 4])[2]).toBeCloseTo(4, 12)
  })

  it('stands still where the points turn', () => {
    expect(shapePreservingSlopes([0, 1, 2, 3], [0, 2, 1, 5])[1]).toBe(0)
  })

  it('never leaves the heights of the two points it runs between', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 0.2, max: 5, noNaN: true }), fc.double({ min: -9, max: 9, noNaN: true })),
          {
            minLength: 3,
            maxLength: 8,
          },
        ),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (steps, share) => {
          const x = steps.reduce<number[]>((list, [step]) => [...list, (list.at(-1) ?? 0) + step], [])
          const y = steps.map(([, value]) => value)
          const d = shapePreservingSlopes(x, y)
          for (let i = 0; i < x.length - 1; i++) {
            const at = x[i]! + share * (x[i + 1]! - x[i]!) * 0.999999
            const value = hermite(x, y, d, at)
            expect(value).toBeGreaterThanOrEqual(Math.min(y[i]!, y[i + 1]!) - 1e-9)
            expect(value).toBeLessThanOrEqual(Math.max(y[i]!, y[i + 1]!) + 1e-9)
          }
        },
      ),
      { seed: 91, numRuns: 200 },
    )
  })
})

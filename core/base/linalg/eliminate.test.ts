import fc from 'fast-check'
import { eliminateFour, eliminateSix, normalEquations } from './eliminate'

const figure = fc.double({ min: -50, max: 50, noNaN: true })

describe('linear equations', () => {
  it.each([
    [4, eliminateFour],
    [6, eliminateSix],
  ] as const)('of %d unknowns are met by what comes out', (count, eliminate) => {
    const wide = count + 1
    fc.assert(
      fc.property(fc.array(figure, { minLength: count * wide, maxLength: count * wide }), (figures) => {
        const m = Float64Array.from(figures)
        if (!eliminate(m)) return
        const x = Array.from({ length: count }, (_, i) => m[wide * i + count]!)
        if (x.some((answer) => Math.abs(answer) > 1e4)) return
        for (let i = 0; i < count; i++) {
          const sum = x.reduce((total, answer, j) => total + figures[wide * i + j]! * answer, 0)
          expect(sum).toBeCloseTo(figures[wide * i + count]!, 5)
        }
      }),
      { seed: 8, numRuns: 200 },
    )
  })

  it('have no one answer where two of them say the same', () => {
    expect(eliminateFour(new Float64Array(20))).toBe(false)
    const twice = Float64Array.from({ length: 42 }, (_, i) => Math.sin(1 + (i % 7) * (i < 14 ? 1 : i)))
    expect(eliminateSix(twice)).toBe(false)
  })

  it('more than unknowns are met by least squares: a cubic through seven points', () => {
    const [a, b, c, d] = [1.5, -0.25, 2, -1]
    const rows = [-3, -2, -1, 0, 1, 2, 3].flatMap((x) => [
      1,
      x,
      x ** 2,
      x ** 3,
      a + b * x + c * x ** 2 + d * x ** 3 + (Math.abs(x) === 3 ? 0 : 0.1),
    ])
    const square = new Float64Array(20)
    normalEquations(Float64Array.from(rows), 7, 4, square)
    expect(eliminateFour(square)).toBe(true)
    // The odd parts are met, for what was put on lies evenly about nought.
    expect([square[9], square[19]]).toEqual([expect.closeTo(b, 9), expect.closeTo(d, 9)])
    // And nothing that is left goes along with any of the unknowns.
    const left = [-3, -2, -1, 0, 1, 2, 3].map((x, i) => {
      const fit = square[4]! + square[9]! * x + square[14]! * x ** 2 + square[19]! * x ** 3
      return rows[5 * i + 4]! - fit
    })
    for (const power of [0, 1, 2, 3])
      expect(left.reduce((sum, one, i) => sum + one * (i - 3) ** power, 0)).toBeCloseTo(0, 8)
  })
})

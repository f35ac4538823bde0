import fc from 'fast-check'
import { eliminate, eliminateFour, normalEquations } from './eliminate'

const figure = fc.double({ min: -50, max: 50, noNaN: true })

describe('linear equations', () => {
  it('are met by what comes out, with four unknowns both ways alike', () => {
    fc.assert(
      fc.property(fc.array(figure, { minLength: 20, maxLength: 20 }), (figures) => {
        const [one, other] = [Float64Array.from(figures), Float64Array.from(figures)]
        const isSolved = eliminate(one, 4)
        expect(eliminateFour(other)).toBe(isSolved)
        if (!isSolved) return
        expect([...other]).toEqual([...one])
        const x = [0, 1, 2, 3].map((i) => one[5 * i + 4]!)
        if (x.some((answer) => Math.abs(answer) > 1e4)) return
        for (let i = 0; i < 4; i++) {
          const sum = x.reduce((total, answer, j) => total + figures[5 * i + j]! * answer, 0)
          expect(sum).toBeCloseTo(figures[5 * i + 4]!, 5)
        }
      }),
      { seed: 8, numRuns: 200 },
    )
  })

  it('have no one answer where two of them say the same', () => {
    expect(eliminate(Float64Array.from([1, 2, 3, 2, 4, 6]), 2)).toBe(false)
    expect(eliminateFour(new Float64Array(20))).toBe(false)
  })

  it('more than unknowns are met by least squares: a line through three points', () => {
    // y = a + b·x through (0, 1), (1, 3), (2, 4): a = 7/6, b = 3/2.
    const square = new Float64Array(6)
    normalEquations(Float64Array.from([1, 0, 1, 1, 1, 3, 1, 2, 4]), 3, 2, square)
    expect(eliminate(square, 2)).toBe(true)
    expect([square[2], square[5]]).toEqual([expect.closeTo(7 / 6, 12), expect.closeTo(1.5, 12)])
  })
})

import fc from 'fast-check'
import { peakAlong } from './peakAlong'

const along = Array.from({ length: 21 }, (_, i) => 4 * (i - 10))

describe('where a figure is greatest along a way', () => {
  it('is found between the rows of a parabola to the last digit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -35, max: 35, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (at, top) => {
          const found = peakAlong(
            along,
            along.map((x) => top - 0.01 * (x - at) ** 2),
          )
          expect(found).toEqual({ atMm: expect.closeTo(at, 6), value: expect.closeTo(top, 9) })
        },
      ),
      { seed: 9, numRuns: 100 },
    )
  })

  it('is an end where it only rises or falls', () => {
    expect(peakAlong(along, along)).toEqual({ atMm: 40, value: 40 })
    expect(
      peakAlong(
        along,
        along.map((x) => -x),
      ),
    ).toEqual({ atMm: -40, value: 40 })
  })

  it('passes over rows that are not known, and is nowhere where none is', () => {
    const some = along.map((x) => (x < 0 ? NaN : -x))
    expect(peakAlong(along, some)).toMatchObject({ atMm: 0 })
    expect(
      peakAlong(
        along,
        along.map(() => NaN),
      ),
    ).toBeNull()
    expect(peakAlong([], [])).toBeNull()
  })
})

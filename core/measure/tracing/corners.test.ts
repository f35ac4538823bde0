import fc from 'fast-check'
import { withCorner } from './corners'
import type { Place } from './photoScale'

const SQUARE: readonly Place[] = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
]

describe('one corner more', () => {
  it('goes into the side it was set on', () => {
    expect(withCorner(SQUARE, [50, 3], 10)).toEqual([
      [0, 0],
      [50, 3],
      [100, 0],
      [100, 100],
      [0, 100],
    ])
    // The side that closes the outline is one too.
    expect(withCorner(SQUARE, [-4, 40], 10)).toEqual([...SQUARE, [-4, 40]])
    expect(withCorner(SQUARE, [97, 50], 10)[2]).toEqual([97, 50])
  })

  it('goes to the end where it is on none, and while there is no outline yet', () => {
    expect(withCorner(SQUARE, [50, 50], 10)).toEqual([...SQUARE, [50, 50]])
    expect(withCorner(SQUARE.slice(0, 2), [50, 0], 10)).toEqual([
      [0, 0],
      [100, 0],
      [50, 0],
    ])
    expect(withCorner([], [5, 5], 10)).toEqual([[5, 5]])
  })

  it('leaves all others as they are and in their order', () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 200 }))
    fc.assert(
      fc.property(
        fc.array(place, { maxLength: 12 }),
        place,
        fc.integer({ min: 0, max: 50 }),
        (all, at, within) => {
          const after = withCorner(all, at, within)
          expect(after).toHaveLength(all.length + 1)
          const index = after.findIndex((one) => one === at)
          expect(after.toSpliced(index, 1)).toEqual(all)
        },
      ),
      { seed: 2, numRuns: 200 },
    )
  })
})

import fc from 'fast-check'
import { norm } from '../../base/linalg/vec3'
import { directionOf, directionWords, WAY_NAMES, WAYS, type GapWay } from './direction'

describe('directions in words', () => {
  it('say which way mostly, and how far it leans which other way', () => {
    expect(directionWords([0.3, 0, -1])).toEqual({ main: 'down', lean: 'forward', leanDeg: 16.7 })
    expect(directionWords([0, -4, 0])).toEqual({ main: 'right', lean: null, leanDeg: 0 })
    expect(directionOf({ main: 'rearward', lean: null, leanDeg: 0 })).toEqual([-1, 0, 0])
  })

  it('are of unit length and come back as the words they were made of', () => {
    const square = (main: GapWay, lean: GapWay) =>
      WAYS[main].every((part, i) => part === 0 || WAYS[lean][i] === 0)
    fc.assert(
      fc.property(
        fc.constantFrom(...WAY_NAMES),
        fc.constantFrom(...WAY_NAMES),
        fc.integer({ min: 1, max: 44 }),
        (main, lean, leanDeg) => {
          fc.pre(square(main, lean))
          const toward = directionOf({ main, lean, leanDeg })
          expect(norm(toward)).toBeCloseTo(1, 5)
          expect(directionWords(toward)).toEqual({ main, lean, leanDeg: expect.closeTo(leanDeg, 1) })
        },
      ),
      { seed: 2, numRuns: 200 },
    )
  })
})

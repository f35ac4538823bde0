import fc from 'fast-check'
import { holePattern } from './holePattern'
import { fitPlate, type PlateHole } from './plateFit'
import { turned } from './pose'
import { smallestCover } from './smallestCover'

const SEED = 20261129
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const place = fc.tuple(number(-200, 200), number(-200, 200))

/** Five holes round a circle, each shaken: no two near each other, no three in a line. */
const ring = fc
  .array(fc.tuple(number(-15, 15), number(-15, 15)), { minLength: 5, maxLength: 5 })
  .map((shakes) =>
    shakes.map(([dx, dy], i): [number, number] => {
      const [x, y] = turned([0, 150], (2 * Math.PI * i) / 5)
      return [x + dx, y + dy]
    }),
  )

const names = ['A', 'B', 'C', 'D', 'E']
const apart = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
  Math.hypot(bx - ax, by - ay)

describe('holes and plates', () => {
  it('finds the shape again from all its tapes, and names the one that lies', () => {
    fc.assert(
      fc.property(ring, fc.nat(9), fc.constantFrom(-6, 6), (holes, liar, by) => {
        const pairs = names.flatMap((a, i) => names.slice(i + 1).map((b, k) => [a, b, i, i + 1 + k] as const))
        const distances = pairs.map(([a, b, i, k]) => ({
          a,
          b,
          mm: apart(holes[i]!, holes[k]!),
          mode: 'centre' as const,
        }))
        const exact = holePattern({ holes: names, distances, diameters: new Map() })
        expect(exact.scatterMm).toBeLessThan(1e-6)
        for (const [a, b, i, k] of pairs)
          expect(apart(exact.places.get(a)!, exact.places.get(b)!)).toBeCloseTo(
            apart(holes[i]!, holes[k]!),
            5,
          )
        const wrong = distances.map((one, i) => (i === liar ? { ...one, mm: one.mm + by } : one))
        const found = holePattern({ holes: names, distances: wrong, diameters: new Map() })
        expect(found.suspect?.index).toBe(liar)
        expect(found.residuals[liar]!.estimatedErrorMm).toBeCloseTo(by, 0)
      }),
      { seed: SEED, numRuns: 40 },
    )
  })

  it('covers all with the least circle: no place nearby has a smaller one', () => {
    const allowed = fc.record({ at: place, playMm: number(0, 3) })
    fc.assert(
      fc.property(fc.array(allowed, { minLength: 1, maxLength: 9 }), place, (all, [dx, dy]) => {
        const beyond = (at: readonly [number, number]) =>
          Math.max(...all.map((one) => apart(at, one.at) - one.playMm))
        const { at, beyondMm } = smallestCover(all)
        expect(beyond(at)).toBeCloseTo(beyondMm, 6)
        for (const share of [1e-4, 1e-2, 1])
          expect(beyond([at[0] + share * dx, at[1] + share * dy])).toBeGreaterThan(beyondMm - 1e-6)
      }),
      { seed: SEED },
    )
  })

  it('says of one hole that is out by so much how far to open it, however the plate lies', () => {
    fc.assert(
      fc.property(
        ring,
        fc.nat(4),
        number(1.5, 4),
        number(-3, 3),
        place,
        (holes, bad, out, turn, [dx, dy]) => {
          const [ux, uy] = turned([1, 0], turn)
          const plate = holes.map((at, i): PlateHole => {
            const [x, y] = turned(i === bad ? [at[0] + out * ux, at[1] + out * uy] : at, turn)
            return { id: names[i]!, at, holeMm: 8.4, boltMm: 8, boss: [x + dx, y + dy], isDowel: false }
          })
          const found = fitPlate({ holes: plate, seenFrom: 'front' })
          expect([found.verdict, found.open.length, found.open[0]?.id]).toEqual(['open', 1, names[bad]])
          // The others' play takes a part of it.
          expect(found.open[0]!.byMm).toBeLessThanOrEqual(out - 0.2 + 1e-6)
          expect(found.open[0]!.byMm).toBeGreaterThan(out - 0.2 - 1.2)
          const back = fitPlate({ holes: plate, seenFrom: 'back' })
          expect((found.open[0]!.hour + back.open[0]!.hour) % 12).toBeCloseTo(0, 6)
        },
      ),
      { seed: SEED, numRuns: 60 },
    )
  })

  it('opens what the dowels leave out, and drills anew where nothing may be opened', () => {
    const holes = [
      [0, 0],
      [200, 0],
      [100, 120],
    ].map(([x, y], i): PlateHole => ({
      id: names[i]!,
      at: [x!, y!],
      holeMm: i < 2 ? 8 : 9,
      boltMm: 8,
      boss: [x!, y! + (i === 2 ? 2 : 0)],
      isDowel: i < 2,
    }))
    const found = fitPlate({ holes, seenFrom: 'front' })
    expect([found.verdict, found.open[0]?.id]).toEqual(['open', 'C'])
    // The dowels give 0.02 each, which tilts and shifts the plate toward the hole a little.
    expect(found.open[0]!.byMm).toBeCloseTo(1.5 - 0.02, 2)
    expect(fitPlate({ holes, seenFrom: 'front', mostOpen: 0 }).verdict).toBe('redrill')
  })
})

import fc from 'fast-check'
import { speedByGear, sprocketsFor } from './gearing'
import { axleBending, sprocketClearance } from './liveAxle'

const GEARING = { rpm: 9000, primaryRatio: 3, gears: [2.8, 1.9, 1.4, 1.1], tyreMm: 600 } as const

describe('speed by gear', () => {
  it('is what the tyre rolls in a minute for the turns that reach it', () => {
    const speeds = speedByGear({ ...GEARING, teeth: [15, 45] })
    // 9000 / (3 · 1.1 · 3) = 909 turns a minute of 1.885 m.
    expect(speeds.at(-1)).toBeCloseTo((909.0909 * Math.PI * 0.6 * 60) / 1000, 3)
    expect(speeds).toHaveLength(4)
    expect([...speeds].sort((a, b) => a - b)).toEqual(speeds)
    expect(() => speedByGear({ ...GEARING, teeth: [15, 45], tyreMm: 0 })).toThrow('a diameter')
    expect(() => speedByGear({ ...GEARING, gears: [0], teeth: [15, 45] })).toThrow('above 0')
  })

  it('chooses the sprockets that come nearest, each with its chain', () => {
    const offer = { front: [13, 14, 15], rear: [38, 42, 45], pitchMm: 15.875, centreMm: 620 }
    const pairs = sprocketsFor(103, GEARING, offer)
    expect(pairs).toHaveLength(9)
    expect(pairs[0]!.teeth).toEqual([15, 45])
    expect(pairs[0]).toMatchObject({ links: 110, centreMm: expect.closeTo(630.4, 0) })
    const off = pairs.map(({ topKmh }) => Math.abs(topKmh - 103))
    expect([...off].sort((a, b) => a - b)).toEqual(off)
    // Sprockets that would overlap are not offered.
    expect(sprocketsFor(103, GEARING, { ...offer, centreMm: 120 })).toEqual([])
  })
})

describe('a live axle under the pull of its chain', () => {
  const AXLE = { outerMm: 30, bearings: [0, 500], sprocketMm: 250 } as const

  it('bends as a beam on two supports', () => {
    const inertia = (Math.PI * 30 ** 4) / 64
    const { reactionsN, momentNm, stressMPa, deflectionMm, slopeDeg } = axleBending(AXLE, 4000)
    expect(reactionsN).toEqual([2000, 2000])
    expect(momentNm).toBeCloseTo(500, 9)
    expect(stressMPa).toBeCloseTo((32 * 500_000) / (Math.PI * 30 ** 3), 6)
    expect(deflectionMm).toBeCloseTo((4000 * 500 ** 3) / (48 * 206_000 * inertia), 9)
    expect(slopeDeg).toBeCloseTo(0, 12)
    // Overhung: F·c²(L + c)/3EI.
    const hung = axleBending({ ...AXLE, sprocketMm: 560 }, 4000)
    expect(hung.momentNm).toBeCloseTo(240, 9)
    expect(hung.deflectionMm).toBeCloseTo((4000 * 60 ** 2 * 560) / (3 * 206_000 * inertia), 9)
    expect(hung.reactionsN).toEqual([expect.closeTo(-480, 9), expect.closeTo(4480, 9)])
  })

  it('holds the pull in balance wherever it is, and bends alike from either end', () => {
    fc.assert(
      fc.property(fc.double({ min: -200, max: 700, noNaN: true }), (sprocketMm) => {
        const { reactionsN, deflectionMm } = axleBending({ ...AXLE, sprocketMm }, 1000)
        expect(reactionsN[0] + reactionsN[1]).toBeCloseTo(1000, 6)
        expect(reactionsN[1] * 500).toBeCloseTo(1000 * sprocketMm, 3)
        const mirrored = axleBending({ ...AXLE, sprocketMm: 500 - sprocketMm }, 1000)
        expect(mirrored.deflectionMm).toBeCloseTo(deflectionMm, 9)
        expect(mirrored.reactionsN[0]).toBeCloseTo(reactionsN[1], 6)
        const named = axleBending({ ...AXLE, bearings: [500, 0], sprocketMm }, 1000)
        expect(named.reactionsN[0]).toBeCloseTo(reactionsN[1], 6)
      }),
      { seed: 12, numRuns: 60 },
    )
  })

  it('is refused where it is none, and tells what is left under its sprocket', () => {
    expect(() => axleBending({ ...AXLE, boreMm: 30 }, 1)).toThrow('smaller than its axle')
    expect(() => axleBending({ ...AXLE, bearings: [10, 10] }, 1)).toThrow('one place')
    expect(axleBending({ ...AXLE, boreMm: 20 }, 4000).stressMPa).toBeGreaterThan(
      axleBending(AXLE, 4000).stressMPa,
    )
    expect(sprocketClearance(230, 236.5, 125)).toBe(105)
  })
})

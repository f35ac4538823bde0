import fc from 'fast-check'
import { centreFor, chainLength, driveLoop } from './chainDrive'
import { chainLoop, linksToOrder, type LoopSprocket } from './chainLoop'
import { deflectionOf, excessOf, playOf, SLACK_SHAPES } from './slack'
import { requireSprocket } from './sprocket'

const teeth = fc.integer({ min: 9, max: 60 })
const PITCH = 12.7
const runs = { seed: 11, numRuns: 60 }

/** Three sprockets at the corners of a wide triangle, anticlockwise. */
const triangle = fc
  .tuple(teeth, teeth, teeth, fc.double({ min: 400, max: 900, noNaN: true }))
  .map(([a, b, c, size]): LoopSprocket[] => [
    { x: 0, z: 0, teeth: a, side: 'inside' },
    { x: size, z: 20, teeth: b, side: 'inside' },
    { x: size / 3, z: 0.8 * size, teeth: c, side: 'inside' },
  ])

describe('a chain round its sprockets', () => {
  it('is as long wherever it lies and whichever sprocket is named first', () => {
    fc.assert(
      fc.property(triangle, fc.double({ min: 0, max: 6.28, noNaN: true }), (sprockets, angle) => {
        const { lengthMm } = chainLoop(sprockets, PITCH)
        const turned = sprockets.map((one) => ({
          ...one,
          x: one.x * Math.cos(angle) - one.z * Math.sin(angle) + 70,
          z: one.x * Math.sin(angle) + one.z * Math.cos(angle) - 30,
        }))
        expect(chainLoop(turned, PITCH).lengthMm).toBeCloseTo(lengthMm, 6)
        const [first, ...rest] = sprockets
        expect(chainLoop([...rest, first!], PITCH).lengthMm).toBeCloseTo(lengthMm, 6)
        expect(() => chainLoop(sprockets.toReversed(), PITCH)).toThrow('not touched')
      }),
      runs,
    )
  })

  it('wraps whole turns in all, and is shorter in chords than in arcs', () => {
    fc.assert(
      fc.property(triangle, (sprockets) => {
        const { contacts, lengthMm, arcLengthMm, spans } = chainLoop(sprockets, PITCH)
        expect(contacts.reduce((sum, { wrapDeg }) => sum + wrapDeg, 0)).toBeCloseTo(360, 6)
        expect(arcLengthMm).toBeGreaterThan(lengthMm)
        expect(arcLengthMm - lengthMm).toBeLessThan(2.4)
        // Spans touch the pitch circles.
        spans.forEach(({ from }, i) => {
          const { x, z } = sprockets[i]!
          expect(Math.hypot(from[0] - x, from[1] - z)).toBeCloseTo(contacts[i]!.radiusMm, 6)
        })
      }),
      runs,
    )
  })

  it('does not count an idler that hangs clear of it', () => {
    const clear: LoopSprocket[] = [
      { x: -600, z: 0, teeth: 40, side: 'inside' },
      { x: -300, z: -200, teeth: 12, side: 'outside' },
      { x: 0, z: 0, teeth: 15, side: 'inside' },
    ]
    expect(() => chainLoop(clear, PITCH)).toThrow('not touched')
  })
})

describe('the centre for a chain', () => {
  it('is where the chain is taut, and further out with wear', () => {
    fc.assert(
      fc.property(teeth, teeth, fc.integer({ min: 140, max: 200 }), (n1, n2, links) => {
        const drive = { teeth: [n1, n2], pitchMm: PITCH } as const
        const centreMm = centreFor(drive, { links })
        expect(driveLoop({ ...drive, centreMm }).lengthMm).toBeCloseTo(chainLength({ links }, PITCH), 6)
        expect(centreFor(drive, { links, wear: 0.02 })).toBeGreaterThan(centreMm)
      }),
      runs,
    )
  })

  it.each([
    [60, 60],
    [60.0000001, 60],
    [60.01, 62],
    [61, 62],
  ])('asks for links in pairs: %d are %d', (needed, links) => {
    expect(linksToOrder(needed)).toBe(links)
  })

  it('takes odd numbers with a half link', () => {
    expect([linksToOrder(60.2, true), linksToOrder(60.9999999, true)]).toEqual([61, 61])
  })

  it('is refused for what is no sprocket, pitch or chain', () => {
    expect(() => requireSprocket(4, PITCH)).toThrow('whole teeth')
    expect(() => requireSprocket(15.5, PITCH)).toThrow('whole teeth')
    expect(() => requireSprocket(NaN, PITCH)).toThrow('a number of teeth')
    expect(() => requireSprocket(15, -1)).toThrow('above 0')
    const drive = { teeth: [15, 45], pitchMm: PITCH } as const
    expect(() => centreFor(drive, { links: 99.5 })).toThrow('whole links')
    expect(() => centreFor(drive, { links: 20 })).toThrow('overlap')
    expect(() => driveLoop({ ...drive, centreMm: Infinity })).toThrow('shaft to shaft')
  })
})

describe('slack', () => {
  it('is told back and forth alike, in every shape and lie', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0.5, max: 15, noNaN: true }),
        fc.constantFrom(...SLACK_SHAPES),
        (spanMm, inclineDeg, excess, shape) => {
          const run = { spanMm, inclineDeg }
          const hangs = deflectionOf(run, shape, excess)
          expect(excessOf(run, shape, hangs)).toBeCloseTo(excess, 5)
          // A finger pushes it further than it hangs.
          expect(playOf(run, excess)).toBeGreaterThan(hangs)
        },
      ),
      runs,
    )
  })

  it('refuses runs that are none', () => {
    expect(() => deflectionOf({ spanMm: 0 }, 'series', 1)).toThrow('a length')
    expect(() => deflectionOf({ spanMm: 500 }, 'vee', -1)).toThrow('shorter than straight')
    expect(() => excessOf({ spanMm: 500 }, 'vee', -1)).toThrow('less than nought')
    expect(() => deflectionOf({ spanMm: 500, inclineDeg: 89 }, 'catenary', 1)).toThrow('upright')
  })
})

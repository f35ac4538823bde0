import fc from 'fast-check'
import { adjusterPlace } from './adjuster'
import { centreOf, linkChoices } from './linkChoices'
import { driveLoop } from './chainDrive'

describe('the place of an adjuster', () => {
  const line = (at: number) => (x: number) => at - x

  it('is where the chain is just right, wherever that is in its range', () => {
    fc.assert(
      fc.property(fc.double({ min: -9.9, max: 19.9, noNaN: true }), (at) => {
        expect(adjusterPlace({ range: [-10, 20], excessAt: line(at) }, 0)).toEqual({
          at: expect.closeTo(at, 6),
        })
      }),
    )
  })

  it('is found through a bent curve and at either end', () => {
    const bent = (x: number) => Math.exp(x / 10) - 2
    expect(adjusterPlace({ range: [-10, 20], excessAt: bent }, 0)).toEqual({
      at: expect.closeTo(10 * Math.log(2), 6),
    })
    expect(adjusterPlace({ range: [0, 10], excessAt: line(10) }, 0)).toEqual({ at: 10 })
    expect(adjusterPlace({ range: [0, 10], excessAt: line(0) }, 0)).toEqual({ at: 0 })
  })

  it('is the nearest of several', () => {
    const waves = (x: number) => Math.cos((Math.PI * x) / 10)
    expect(adjusterPlace({ range: [-20, 20], excessAt: waves }, 14)).toEqual({ at: expect.closeTo(15, 6) })
    expect(adjusterPlace({ range: [-20, 20], excessAt: waves }, -1)).toEqual({ at: expect.closeTo(-5, 6) })
  })

  it('is none beyond the range, and then it says what is lacking', () => {
    expect(adjusterPlace({ range: [0, 10], excessAt: (x) => 30 - 2 * x }, 0)).toEqual({
      never: 'too-long',
      lacksMm: 5,
    })
    expect(adjusterPlace({ range: [0, 10], excessAt: (x) => -40 + 2 * x }, 0)).toEqual({
      never: 'too-short',
      lacksMm: 10,
    })
    expect(adjusterPlace({ range: [0, 10], excessAt: () => NaN }, 0)).toEqual({ never: 'not-closed' })
  })

  it('is looked for between places where the chain closes', () => {
    const half = (x: number) => (x < 4 ? NaN : 7 - x)
    expect(adjusterPlace({ range: [0, 12], excessAt: half }, 0)).toEqual({ at: expect.closeTo(7, 6) })
  })
})

describe('numbers of links and their centres', () => {
  const drive = { teeth: [15, 45] as const, pitchMm: 15.875, centreMm: 620 }
  const needed = driveLoop(drive).linksNeeded

  it('stand about what the shafts need, each with the centre at which it is taut', () => {
    const choices = linkChoices(drive, needed)
    expect(choices.map(({ links }) => links)).toEqual([106, 108, 110, 112])
    for (const { links, centreMm, furtherMm } of choices) {
      expect(driveLoop({ ...drive, centreMm }).linksNeeded).toBeCloseTo(links, 6)
      expect(furtherMm).toBeCloseTo(centreMm - 620, 9)
    }
    expect(linkChoices(drive, needed, true).map(({ links }) => links)).toEqual([107, 108, 109, 110])
  })

  it('say why too few do not go round', () => {
    expect(centreOf(drive, 20)).toEqual({
      known: false,
      missing: [{ what: 'links: too few links: the sprockets would overlap', path: '' }],
    })
    expect(centreOf(drive, 110)).toMatchObject({ known: true, value: expect.closeTo(630.41, 1) })
  })
})

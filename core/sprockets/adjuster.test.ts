import { workedOnce } from '../base/columns/kernel'
import { EXCESS, placeOf, ROOM_LEFT } from './adjuster'
import { tautCentre, linkChoices } from './linkChoices'
import { driveLoop } from './chainDrive'

describe('the place of an adjuster', () => {
  it('is told with what the range lacks, half of the chain that is left over', () => {
    expect(placeOf(3.5, NaN)).toEqual({ at: 3.5 })
    expect(placeOf(NaN, 10)).toEqual({ never: 'too-long', lacksMm: 5 })
    expect(placeOf(NaN, -20)).toEqual({ never: 'too-short', lacksMm: 10 })
    expect(placeOf(NaN, NaN)).toEqual({ never: 'not-closed' })
  })

  it('leaves room to the nearer end of the range, from new to worn; what the range lacks is less than none', () => {
    const left = (...ends: number[]) => workedOnce(ROOM_LEFT, ends, [-10, 20])[0]
    expect(left(2, NaN, 15, NaN)).toBe(5)
    expect(left(-9, NaN, 15, NaN)).toBe(1)
    expect(left(2, NaN, NaN, -8)).toBe(-4)
    expect(left(2, NaN, NaN, NaN)).toBeNaN()
  })

  it('keeps the slack it is to have, at the tightest place of the travel', () => {
    const excess = (percent: number, isTightest: number) =>
      workedOnce(EXCESS, [1010, 1000, 400, 4], [percent, isTightest])[0]!
    expect(excess(0, 0)).toBe(10)
    // A run of 400 mm that moves by 5 % stands 10 mm out of its chord on either side.
    expect(excess(5, 0)).toBeCloseTo(10 - (2 * Math.hypot(200, 10) - 400), 12)
    expect(excess(5, 1)).toBeCloseTo(excess(5, 0) - 4, 12)
    expect(workedOnce(EXCESS, [1010, 1000, -1, 4], [5, 1])[0]).toBeNaN()
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
    expect(tautCentre(drive, 20)).toEqual({
      known: false,
      missing: [{ what: 'links: too few links: the sprockets would overlap', path: '' }],
    })
    expect(tautCentre(drive, 110)).toMatchObject({ known: true, value: expect.closeTo(630.41, 1) })
  })
})

import fc from 'fast-check'
import { graded, gravestOf } from '../file/limits/grade'
import { worstAlong } from './worstAlong'

const OPEN = { failLow: null, warnLow: null, warnHigh: null, failHigh: null }
const atMm = Array.from({ length: 46 }, (_, i) => -100 + 4 * i)
const along = (figure: (at: number) => number) => atMm.map(figure)

describe('the worst place along the travel', () => {
  it('is the worst of all rows, whatever limits it and whichever rows are not known', () => {
    const edge = fc.option(fc.integer({ min: -20, max: 20 }), { nil: null })
    const figure = fc.oneof({ weight: 9, arbitrary: fc.integer({ min: -30, max: 30 }) }, fc.constant(NaN))
    const limits = fc.tuple(edge, edge, edge, edge).filter(([failLow, warnLow, warnHigh, failHigh]) => {
      const told = [failLow, warnLow, warnHigh, failHigh].filter((one) => one !== null)
      return told.length > 0 && told.every((one, i) => i === 0 || one >= told[i - 1]!)
    })
    fc.assert(
      fc.property(
        fc.array(figure, { minLength: 46, maxLength: 46 }),
        limits,
        (figures, [failLow, warnLow, warnHigh, failHigh]) => {
          const window = { failLow, warnLow, warnHigh, failHigh }
          const grades = figures.flatMap((one) => graded(one, window, 'joint-angle') ?? [])
          const worst = worstAlong({ atMm, figures, quantity: 'joint-angle', window, rideMm: null })
          const brute = gravestOf(grades)
          expect([worst?.gravity, worst?.room]).toEqual([brute?.gravity, brute?.room])
          if (!worst || worst.isBetween) return
          // Of equals the first.
          const first = figures.findIndex(
            (one) =>
              graded(one, window, 'joint-angle')?.room === worst.room &&
              graded(one, window, 'joint-angle')?.gravity === worst.gravity,
          )
          expect(worst.atMm).toBe(atMm[first])
        },
      ),
      { seed: 12, numRuns: 500 },
    )
  })

  it('is found between the rows, within a tenth of a millimetre, wherever the curve turns', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 70, noNaN: true }),
        fc.double({ min: 60, max: 400, noNaN: true }),
        (top, wide) => {
          const figures = along((at) => 3 * Math.cos((at - top) / wide))
          const worst = worstAlong({
            atMm,
            figures,
            quantity: 'joint-angle',
            window: { ...OPEN, failHigh: 4 },
          })!
          if (Math.abs(top) > 0.5) expect(worst.isBetween).toBe(true)
          if (worst.isBetween) expect(Math.abs(worst.atMm - top)).toBeLessThan(0.1)
        },
      ),
      { seed: 5, numRuns: 200 },
    )
  })

  it('is an end where the curve only rises, and says so', () => {
    const worst = worstAlong({
      atMm,
      quantity: 'joint-angle',
      figures: along((at) => at),
      window: { ...OPEN, warnHigh: 60, failHigh: 90 },
    })
    expect(worst).toMatchObject({ atMm: 80, isBetween: false, gravity: 1, value: 80 })
  })

  it('goes by the lower edge where that is nearer', () => {
    const figures = along((at) => 30 + ((at + 40) / 10) ** 2)
    const worst = worstAlong({ atMm, figures, quantity: 'joint-angle', window: { ...OPEN, failLow: 31 } })!
    expect(worst.gravity).toBe(2)
    expect(worst.atMm).toBeCloseTo(-40, 6)
    expect(worst.room).toBeCloseTo(-1 / 31, 6)
  })

  it('is nowhere between for a figure that stays as it is, and nothing without a limit or a figure', () => {
    expect(
      worstAlong({
        atMm,
        quantity: 'joint-angle',
        figures: along(() => 2),
        window: { ...OPEN, failHigh: 3 },
      })!.isBetween,
    ).toBe(false)
    expect(worstAlong({ atMm, quantity: 'joint-angle', figures: along(() => 2), window: OPEN })).toBeNull()
    expect(
      worstAlong({
        atMm,
        quantity: 'joint-angle',
        figures: along(() => NaN),
        window: { ...OPEN, failHigh: 3 },
      }),
    ).toBeNull()
  })

  it('holds on to ride height as read where levers have taken ride height elsewhere', () => {
    const figures = along((at) => 3 - (at / 100) ** 2)
    const window = { ...OPEN, failHigh: 4 }
    expect(worstAlong({ atMm, figures, quantity: 'joint-angle', window })).toMatchObject({
      atMm: 0,
      isBetween: false,
    })
    expect(worstAlong({ atMm, figures, quantity: 'joint-angle', window, rideMm: null })).toMatchObject({
      atMm: expect.closeTo(0, 6),
      isBetween: true,
    })
  })

  it('leaves out rows that are not reached', () => {
    const figures = along((at) => (at < -60 ? NaN : -at))
    expect(
      worstAlong({ atMm, figures, quantity: 'joint-angle', window: { ...OPEN, failHigh: 90 } }),
    ).toMatchObject({ value: 60 })
  })
})

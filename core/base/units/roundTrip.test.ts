import fc from 'fast-check'
import { formatAngle, formatBothUnits, formatLength } from './format'
import { parseAngle } from './parseAngle'
import { parseLength } from './parseLength'
import { MM_PER_UNIT, LENGTH_UNITS, type UnitSettings } from './unitSettings'

const units = (
  length: UnitSettings['length'],
  inchFraction: 16 | 32 = 16,
  angle: UnitSettings['angle'] = 'decimal',
) => ({ length, inchFraction, angle }) as UnitSettings

describe('a length', () => {
  it('is read back from how it is shown, to the step that is shown', () => {
    const length = fc.double({ min: 0, max: 5000, noNaN: true })
    const STEP = { mm: 0.05, cm: 0.05, m: 0.5, in: 25.4 / 32, ft: 25.4 / 32 }
    for (const unit of LENGTH_UNITS) {
      fc.assert(
        fc.property(length, (mm) => {
          // The sign behind an inch says which way it was rounded; it is not typed.
          const text = formatLength(mm, units(unit)).replace(/ ?[+−]$/, '')
          const parsed = parseLength(text, unit)
          expect([text, parsed.ok]).toEqual([text, true])
          if (parsed.ok) expect(Math.abs(parsed.value - mm)).toBeLessThanOrEqual(STEP[unit] + 1e-9)
        }),
        { seed: 2, numRuns: 120 },
      )
    }
  })

  it('means the same in whatever unit it is typed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), (mm) => {
        const read = (text: string) => {
          const parsed = parseLength(text, 'mm')
          return parsed.ok ? parsed.value : NaN
        }
        expect(read(`${mm} mm`)).toBe(mm)
        expect(read(`${mm / 10} cm`)).toBeCloseTo(mm, 9)
        expect(read(`${mm / 1000} m`)).toBeCloseTo(mm, 9)
        expect(read(`${mm}"`)).toBeCloseTo(mm * MM_PER_UNIT.in, 9)
        expect(read(`${mm}'`)).toBeCloseTo(mm * MM_PER_UNIT.ft, 9)
      }),
      { seed: 3, numRuns: 100 },
    )
  })

  it('stands in both units on a sheet', () => {
    expect(formatBothUnits(1370.6, 16)).toBe('1370.6 mm (53 15/16" +)')
    expect(formatBothUnits(25.4, 16)).toBe('25.4 mm (1")')
  })

  it('never breaks, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30, unit: 'binary' }), (text) => {
        for (const unit of LENGTH_UNITS) {
          const parsed = parseLength(text, unit)
          if (parsed.ok) expect(Number.isFinite(parsed.value) && parsed.value >= 0).toBe(true)
          else expect(parsed.message.length).toBeGreaterThan(3)
        }
        const angle = parseAngle(text)
        if (angle.ok) expect(angle.value >= 0 && angle.value <= 180).toBe(true)
      }),
      { seed: 17, numRuns: 500 },
    )
  })
})

describe('an angle', () => {
  it('is read back from how it is shown, in degrees and in minutes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 89, noNaN: true }), (deg) => {
        const decimal = parseAngle(formatAngle(deg, units('mm'), 2))
        expect(decimal.ok && Math.abs(decimal.value - deg)).toBeLessThanOrEqual(0.00501)
        const minutes = parseAngle(formatAngle(deg, units('mm', 16, 'minutes')))
        expect(minutes.ok && Math.abs(minutes.value - deg)).toBeLessThanOrEqual(1 / 60)
      }),
      { seed: 5, numRuns: 200 },
    )
  })
})

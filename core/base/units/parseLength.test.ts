import fc from 'fast-check'
import { formatLength } from './format'
import { parseLength } from './parseLength'
import { LENGTH_UNITS, type LengthUnit } from './unitSettings'

const mm = (text: string, unit: LengthUnit = 'mm') => {
  const parsed = parseLength(text, unit)
  return parsed.ok ? Math.round(parsed.value * 1e6) / 1e6 : parsed.message
}

describe('parseLength', () => {
  it.each([
    ['812', 'mm', 812],
    ['81.2 cm', 'mm', 812],
    ['81,2 cm', 'mm', 812],
    ['0.812m', 'in', 812],
    ['32"', 'mm', 812.8],
    ['29 1/8', 'in', 739.775],
    ['29-1/8"', 'mm', 739.775],
    ['29⅛ in', 'mm', 739.775],
    ['5\' 11 3/8"', 'mm', 1812.925],
    ['5 ft 11 3/8', 'mm', 1812.925],
    ['5′ 11″', 'mm', 1803.4],
    ['3/4 in', 'mm', 19.05],
    ["2'", 'mm', 609.6],
    ['.5', 'in', 12.7],
    ['29 1/8" +', 'mm', 739.775],
    ['29 1/8" −', 'mm', 739.775],
  ] as const)('reads %s (%s) as %d mm', (text, unit, expected) => {
    expect(mm(text, unit)).toBe(expected)
  })

  it.each([
    ['', 'nothing was typed'],
    ['-12', '"-12" has a sign; type the figure and say which way'],
    ['1,200', '"1,200" could mean 1200 or 1.200; leave the comma out'],
    ['12 elbows', '"elbows" is not a unit of length'],
    ['3/0', '"3/0" divides by nought'],
    ['29 9/8', 'the fraction 9/8 after 29 is not less than one'],
    ["5' 14", '14 inches after feet is a foot or more'],
    ['abc', '"abc" is not a unit of length'],
    ['1.2.3', '"1.2.3" is not a figure'],
    ['200 m', '"200 m" is more than 100 m'],
    ['9'.repeat(61), 'the text is longer than 60 characters'],
  ])('refuses %j and says why', (text, message) => {
    expect(mm(text)).toBe(message)
  })

  it('reads back whatever it shows, within the rounding', () => {
    const rounding = { mm: 0.05, cm: 0.05, m: 0.05, in: 25.4 / 32, ft: 25.4 / 32 }
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.constantFrom(...LENGTH_UNITS),
        fc.constantFrom(16 as const, 32 as const),
        (length, unit, inchFraction) => {
          const shown = formatLength(length, { length: unit, inchFraction, angle: 'decimal' })
          const parsed = parseLength(shown, unit)
          return parsed.ok && Math.abs(parsed.value - length) <= rounding[unit] + 1e-9
        },
      ),
      { seed: 11, numRuns: 600 },
    )
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (text) => {
        const parsed = parseLength(text, 'mm')
        return parsed.ok ? Number.isFinite(parsed.value) && parsed.value >= 0 : parsed.message.length > 0
      }),
      { seed: 12, numRuns: 800 },
    )
  })
})

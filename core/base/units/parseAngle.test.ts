import fc from 'fast-check'
import { formatAngle } from './format'
import { parseAngle } from './parseAngle'

const deg = (text: string) => {
  const parsed = parseAngle(text)
  return parsed.ok ? Math.round(parsed.value * 1e9) / 1e9 : parsed.message
}

describe('parseAngle', () => {
  it.each([
    ['3.2', 3.2],
    ['3,2°', 3.2],
    ["3° 12'", 3.2],
    ['3°12\'30"', 3.208333333],
    ['3 deg 12 min', 3.2],
    ["12'", 0.2],
    ['0', 0],
    ['85.9 deg', 85.9],
  ])('reads %s as %d°', (text, expected) => {
    expect(deg(text)).toBe(expected)
  })

  it.each([
    ['', 'nothing was typed'],
    ['-3', '"-3" has a sign; type the figure and say which end is lower'],
    ["3° 60'", '60 minutes is a degree or more'],
    ['3 mm', '"3 mm" is not an angle in degrees'],
    ['190', '"190" is more than 180°'],
    ['level', '"level" is not an angle in degrees'],
  ])('refuses %j and says why', (text, message) => {
    expect(deg(text)).toBe(message)
  })

  it('reads back what it shows in either style', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.constantFrom('decimal' as const, 'minutes' as const),
        (angle, style) => {
          const parsed = parseAngle(formatAngle(angle, { angle: style }, 2))
          return parsed.ok && Math.abs(parsed.value - angle) <= (style === 'decimal' ? 0.005 : 1 / 120) + 1e-9
        },
      ),
      { seed: 13, numRuns: 400 },
    )
  })
})

import fc from 'fast-check'
import type { Input } from './inputs'
import { varianceOf } from './oneByOne'
import { sideGroups, sidesVariance } from './zeroSides'

const input = (readingId: string, part: Partial<Input> = {}): Input => ({
  readingId,
  field: 'value',
  label: readingId,
  unit: 'deg',
  mean: 0,
  halfWidth: 0.1,
  scatter: 0,
  count: 1,
  ...part,
})
const sideless = (readingId: string, part: Partial<Input> = {}) =>
  input(readingId, { zeroOf: 'level', ...part })
const deviation = 0.1 / Math.sqrt(3)

describe('a zero error whose sign is not known', () => {
  it('counts once in one reading, and both ways in two', () => {
    const change = () => deviation
    expect(varianceOf([sideless('a')], change)).toBeCloseTo(deviation ** 2, 12)
    // At the worst ±0.1° twice the same way: (2·0.1)²/3.
    expect(varianceOf([sideless('a'), sideless('b')], change)).toBeCloseTo(0.2 ** 2 / 3, 12)
    expect(varianceOf([sideless('a'), input('b')], change)).toBeCloseTo(2 * deviation ** 2, 12)
    expect(varianceOf([sideless('a'), sideless('b', { zeroOf: 'other' })], change)).toBeCloseTo(
      2 * deviation ** 2,
      12,
    )
  })

  it('adds up with the part that is known to be shared, and leaves the scatter of each hand apart', () => {
    const shared = input('level', { source: 'tool', field: 'zero' })
    expect(sideGroups([sideless('a'), shared])).toEqual([[0, 1]])
    expect(sideGroups([shared, input('a')])).toEqual([])
    const shaky = [sideless('a', { scatter: 0.3 }), sideless('b', { scatter: 0.3 })]
    const whole = Math.hypot(deviation, 0.3)
    expect(sidesVariance(shaky, sideGroups(shaky), () => whole)).toBeCloseTo(2 * deviation ** 2, 12)
  })

  it('never makes a figure surer, whatever the readings count', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (changes) => {
          const inputs = changes.map((_, i) => sideless(String(i)))
          const whole = varianceOf(inputs, (i) => changes[i]!)
          const apart = changes.reduce((sum, one) => sum + one ** 2, 0)
          const together = changes.reduce((sum, one) => sum + Math.abs(one), 0) ** 2
          expect(whole).toBeGreaterThanOrEqual(apart - 1e-9)
          expect(whole).toBeCloseTo(together, 8)
        },
      ),
      { seed: 24 },
    )
  })
})

import { fixed, formatAngle, formatBothUnits, formatLength, signedText } from './format'
import { figureText, parseFigure } from './parseFigure'

const INCH = { length: 'in', inchFraction: 16, angle: 'decimal' } as const
const METRIC = { length: 'mm', inchFraction: 16, angle: 'decimal' } as const

describe('formatLength', () => {
  it('shows the nearest fraction and on which side the true length lies', () => {
    expect(formatLength(739.775, INCH)).toBe('29 1/8"')
    expect(formatLength(740, INCH)).toBe('29 1/8" +')
    expect(formatLength(739.5, INCH)).toBe('29 1/8" −')
    expect(formatLength(740.6, { ...INCH, inchFraction: 32 })).toBe('29 5/32" +')
    expect(formatLength(12.7, INCH)).toBe('1/2"')
    expect(formatLength(0, INCH)).toBe('0"')
  })

  it('carries inches into feet', () => {
    expect(formatLength(1812.925, { ...INCH, length: 'ft' })).toBe('5\' 11 3/8"')
    expect(formatLength(304.79, { ...INCH, length: 'ft' })).toBe('1\' 0"')
  })

  it('has a true minus and no minus nought', () => {
    expect(formatLength(-9, METRIC)).toBe('−9.0 mm')
    expect(fixed(-0.04, 1)).toBe('0.0')
  })

  it('gives both systems for an order', () => {
    expect(formatBothUnits(740, 16)).toBe('740.0 mm (29 1/8" +)')
  })
})

describe('formatAngle', () => {
  it('shows decimals or degrees and minutes', () => {
    expect(formatAngle(3.2, METRIC)).toBe('3.2°')
    expect(formatAngle(3.2, { angle: 'minutes' })).toBe("3° 12'")
    expect(formatAngle(-0.5, { angle: 'minutes' })).toBe("−0° 30'")
    expect(formatAngle(2.9999, { angle: 'minutes' })).toBe("3° 0'")
  })
})

describe('signedText', () => {
  const MINUTES = { angle: 'minutes' } as const
  it('has a sign unless it shows as nought: minutes of a degree and fractions of an inch count', () => {
    const told = (value: number, text: (size: number) => string) => signedText(value, text, 'as it was')
    expect(told(0.04, (mm) => formatLength(mm, METRIC))).toBe('as it was')
    expect(told(-0.06, (mm) => formatLength(mm, METRIC))).toBe('−0.1 mm')
    expect(told(0.42, (deg) => formatAngle(deg, MINUTES))).toBe("+0° 25'")
    expect(told(-0.004, (deg) => formatAngle(deg, MINUTES))).toBe('as it was')
    expect(told(-1.6, (mm) => formatLength(mm, INCH))).toBe('−1/16" +')
    expect(told(0.2, (mm) => formatLength(mm, INCH))).toBe('as it was')
    expect(signedText(0, (deg) => formatAngle(deg, MINUTES))).toBe("0° 0'")
  })
})

describe('parseFigure', () => {
  it('reads lengths in the build’s unit and keeps plain figures as they are', () => {
    expect(parseFigure('3', 'length', INCH, 0, 1000)).toEqual({ ok: true, value: 76.19999999999999 })
    expect(parseFigure('4400', 'plain', INCH, 1, 100_000)).toEqual({ ok: true, value: 4400 })
    expect(parseFigure('-62', 'length', METRIC, -1000, 1000)).toEqual({ ok: true, value: -62 })
  })

  it('says which bound is broken', () => {
    expect(parseFigure('0', 'plain', METRIC, 1, 9)).toEqual({ ok: false, message: 'it must be at least 1' })
    expect(parseFigure('20', 'length', METRIC, 0, 12.7)).toEqual({
      ok: false,
      message: 'it must be at most 12.7',
    })
  })

  it('shows a stored figure without trailing noughts', () => {
    expect(figureText(76.2, 'length', INCH)).toBe('3')
    expect(figureText(1.0625, 'plain', METRIC)).toBe('1.0625')
    expect(figureText(400, 'plain', METRIC)).toBe('400')
  })
})

import fc from 'fast-check'
import { degrees, radians } from '../units/angle'
import { axisDirection, fallPlan } from './axis'
import { fromStation, toStation } from './station'
import { fallWords, offsetWords, planWords } from './words'

const UNITS = { length: 'mm', inchFraction: 16, angle: 'decimal' } as const

describe('axisDirection and fallPlan', () => {
  it('points rearward, down for a fall, left for a plan', () => {
    const [x, y, z] = axisDirection({ fall: radians(30), plan: radians(0) })
    expect([x, y, z].map((part) => Math.round(part * 1e6) / 1e6)).toEqual([-0.866025, 0, -0.5])
    expect(axisDirection({ fall: radians(0), plan: radians(90) })[1]).toBeCloseTo(1, 12)
  })

  it('undo each other', () => {
    const angle = fc.double({ min: -80, max: 80, noNaN: true })
    fc.assert(
      fc.property(angle, angle, (fall, plan) => {
        const back = fallPlan(axisDirection({ fall: radians(fall), plan: radians(plan) }))
        return Math.abs(degrees(back.fall) - fall) < 1e-9 && Math.abs(degrees(back.plan) - plan) < 1e-9
      }),
      { seed: 21 },
    )
  })

  it('calls the plan of a plumb axis 0', () => {
    expect(fallPlan([0, 0, -2])).toEqual({ fall: Math.PI / 2, plan: 0 })
  })
})

describe('stations', () => {
  it('run rearward from the datum', () => {
    expect(fromStation({ station: 900, offsetLeft: 12, height: 40 })).toEqual([-900, 12, 40])
    expect(toStation([-900, 12, 40])).toEqual({ station: 900, offsetLeft: 12, height: 40 })
    expect(Object.is(toStation([0, 0, 0]).station, 0)).toBe(true)
  })
})

describe('words for signs', () => {
  it('name the end of the part, never a bare sign', () => {
    expect(fallWords(3.2, 'tail', UNITS)).toBe('tail down 3.2°')
    expect(fallWords(-3.2, 'tail', UNITS)).toBe('tail up 3.2°')
    expect(fallWords(3, 'nose-front', UNITS)).toBe('nose up 3.0°')
    expect(fallWords(3, 'nose-rear', UNITS)).toBe('nose down 3.0°')
    expect(fallWords(0.01, 'tail', UNITS)).toBe('level')
    expect(planWords(0.4, UNITS)).toBe('rear points left 0.4°')
    expect(planWords(-0.4, UNITS)).toBe('rear points right 0.4°')
    expect(offsetWords(-12, UNITS)).toBe('12.0 mm right')
    expect(offsetWords(0, UNITS)).toBe('on the centreline')
  })
})

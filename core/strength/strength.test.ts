import type { Line } from '../project/lineSpec'
import { criticalSpeedRpm } from './criticalSpeed'
import { shaftSpeed } from './shaftSpeed'

const LINE: Line = {
  id: 'l',
  name: 'rear shaft',
  school: 'parallel',
  driving: 'a',
  driven: 'b',
  joints: [],
  shafts: [],
}

describe('criticalSpeedRpm', () => {
  it('agrees with the beam worked by hand', () => {
    // 76 × 2 steel, 1.2 m: I/A = (0.076² + 0.072²)/16 = 6.85e-4 m²; √(207e9·6.85e-4/7850) = 134.4; ·30π/1.44 = 8796.
    expect(criticalSpeedRpm({ outerMm: 76, wallMm: 2, material: 'steel' }, 1200)).toBeCloseTo(8796.2, 0)
  })

  it('falls with the square of the length', () => {
    const tube = { outerMm: 76, wallMm: 2, material: 'steel' } as const
    expect(criticalSpeedRpm(tube, 1000) / criticalSpeedRpm(tube, 2000)).toBeCloseTo(4, 12)
  })

  it('refuses a length that is none', () => {
    const tube = { outerMm: 76, wallMm: 2, material: 'steel' } as const
    expect(() => criticalSpeedRpm(tube, 0)).toThrow('tube: expected a positive length and a wall that fits')
    expect(() => criticalSpeedRpm(tube, NaN)).toThrow('length: expected a number, got NaN')
  })
})

describe('shaftSpeed', () => {
  const speedOf = (speed: Line['speed']) => {
    const known = shaftSpeed({ ...LINE, speed })
    return known.known ? known.value.speedRpm : known.missing[0]?.what
  }

  it('turns faster than the engine in an overdrive', () => {
    expect(speedOf({ basis: 'engine', redlineRpm: 5000, topGearRatio: 0.8 })).toBeCloseTo(6250, 9)
    expect(speedOf({ basis: 'engine', redlineRpm: 5000, topGearRatio: 1, transferRatio: 2 })).toBeCloseTo(
      2500,
      9,
    )
  })

  it('comes from road speed, tyre and axle', () => {
    // 108 km/h = 30 m/s on a 0.6 m tyre: 30/(0.6π)·60 = 954.9 rev/min of the wheel, times 4.
    expect(speedOf({ basis: 'road', speedKmh: 108, tyreDiameterMm: 600, axleRatio: 4 })).toBeCloseTo(
      3819.72,
      2,
    )
  })

  it('says so when it was not entered', () => {
    expect(speedOf(undefined)).toBe('rear shaft: highest shaft speed not entered')
  })
})

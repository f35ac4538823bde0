import fc from 'fast-check'
import type { Line, Tube } from '../../file/parts/lineSpec'
import { criticalRpmWithEnds, whirling, whirlingShaft, whirlRpm } from './criticalSpeed'
import { METALS } from './metal'
import { shaftSpeed } from './shaftSpeed'
import { tubeSection } from './tubeSection'

const LINE: Line = {
  id: 'l',
  name: 'rear shaft',
  school: 'parallel',
  driving: 'a',
  driven: 'b',
  joints: [],
  shafts: [],
}

const criticalRpm = (tube: Tube, length: number) => whirlRpm(whirlingShaft(tube), length)

describe('whirlRpm', () => {
  it('agrees with the beam worked by hand', () => {
    // 76 × 2 steel, 1.2 m: I/A = (0.076² + 0.072²)/16 = 6.85e-4 m²; √(207e9·6.85e-4/7850) = 134.4; ·30π/1.44 = 8796.
    expect(criticalRpm({ outerMm: 76, wallMm: 2, material: 'steel' }, 1200)).toBeCloseTo(8796.2, 0)
  })

  it('falls with the square of the length', () => {
    const tube = { outerMm: 76, wallMm: 2, material: 'steel' } as const
    expect(criticalRpm(tube, 1000) / criticalRpm(tube, 2000)).toBeCloseTo(4, 12)
  })

  it('has no answer for a length that is none', () => {
    const tube = { outerMm: 76, wallMm: 2, material: 'steel' } as const
    expect(criticalRpm(tube, 0)).toBeNaN()
    expect(criticalRpm(tube, NaN)).toBeNaN()
    // Ends that leave no tube between them leave no speed either.
    expect(whirlRpm(whirlingShaft(tube, { kg: 4, inboardMm: 500 }), 1000)).toBeNaN()
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

describe('masses and yokes at the ends of a tube', () => {
  const section = tubeSection({ outerMm: 76.2, wallMm: 1.65 })
  const plain = whirlRpm(whirling(section, METALS.steel), 1250)
  const withMass = (kg: number, inboardMm: number) =>
    criticalRpmWithEnds(section, METALS.steel, 1250, { kind: 'mass', kg, inboardMm })
  const withYoke = (kg: number, lengthMm: number) =>
    criticalRpmWithEnds(section, METALS.steel, 1250, { kind: 'yoke', kg, lengthMm })

  it('at the joint centres cost nothing, and the less the nearer they are', () => {
    expect(withMass(3, 0)).toBeCloseTo(plain, 3)
    expect(withYoke(3, 1e-6)).toBeCloseTo(plain, 2)
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 1, max: 280, noNaN: true }),
        (kg, at) => {
          expect(withMass(kg, at)).toBeLessThan(plain)
          expect(withMass(kg, at * 2)).toBeLessThan(withMass(kg, at))
          expect(withYoke(kg, at)).toBeLessThan(withYoke(kg / 2, at))
        },
      ),
      { seed: 20261129 },
    )
  })

  it('without a mass make the tube stiffer, for it bends over less of its length', () => {
    expect(withYoke(0, 150)).toBeGreaterThan(plain)
  })

  it('that meet in the middle are refused', () => {
    expect(() => withMass(1, 700)).toThrow('ends: expected ends that leave tube between them')
    expect(() => withYoke(-1, 100)).toThrow('ends')
  })
})

import type { Build } from '../../file/build/build'
import type { Drivetrain } from '../../file/parts/drivetrain'
import { changedDemo } from '../../testdata/builds'
import { drivenSpeedRpm, drivenTorqueNm } from './drivetrainFigures'
import { lineSpeed } from './shaftSpeed'

const GEARS = [
  { name: 'first', ratio: 3.6 },
  { name: 'top', ratio: 0.8 },
]
const build = (drivetrain: Drivetrain, edit: (raw: any) => void = () => undefined): Build =>
  changedDemo((raw) => {
    raw.drivetrain = drivetrain
    edit(raw)
  })
const line = (of: Build, index = 0) => of.lines[index]!
const speed = (of: Build, index = 0) => {
  const found = drivenSpeedRpm(of, line(of, index))
  return found.known ? found.value.speedRpm : found.missing[0]!.what
}
const torque = (of: Build, index = 0) => {
  const found = drivenTorqueNm(of, line(of, index))
  return found.known ? found.value : found.missing[0]!.what
}

describe('a line behind the drivetrain', () => {
  it('turns fastest in the fastest gear, an overdrive faster than the engine', () => {
    expect(speed(build({ redlineRpm: 4000, gears: GEARS }))).toBeCloseTo(5000, 9)
    const ranges = [
      { name: 'high', ratio: 1 },
      { name: 'low', ratio: 2.5 },
    ]
    expect(speed(build({ redlineRpm: 4000, gears: GEARS, ranges }))).toBeCloseTo(5000, 9)
    expect(
      speed(build({ redlineRpm: 4000, gears: GEARS, outputs: [{ axis: 'output', ratio: 1.25 }] })),
    ).toBeCloseTo(4000, 9)
  })

  it('bears most torque in the slowest gear and range, behind a converter', () => {
    const found = torque(
      build({
        peakTorqueNm: 200,
        converterRatio: 2,
        gears: GEARS,
        ranges: [
          { name: 'high', ratio: 1 },
          { name: 'low', ratio: 2.5 },
        ],
      }),
    )
    // 200 · 2 · 3.6 · 2.5
    expect(found).toEqual({
      torqueNm: expect.closeTo(3600, 9),
      basis: 'engine 200 Nm, converter 2, gear first at 3.6, range low at 2.5',
    })
  })

  it('behind an axle turns slower by its final drive and bears half the torque to each side', () => {
    const half = (raw: any) => {
      raw.axes.push({ id: 'half', name: 'differential', body: 'rear-axle', lies: 'across' })
      raw.lines.push({
        ...structuredClone(raw.lines[0]),
        id: 'half',
        name: 'halfshaft',
        driving: 'half',
        driven: 'pinion',
        speed: undefined,
      })
    }
    const whole = {
      redlineRpm: 4000,
      peakTorqueNm: 200,
      gears: GEARS,
      axleRatios: [{ axle: 'rear-axle', ratio: 4 }],
    }
    const own = build(whole, half)
    expect(speed(own, 1)).toBeCloseTo(1250, 9)
    // 200 · 3.6 · 4 / 2
    expect(torque(own, 1)).toMatchObject({ torqueNm: expect.closeTo(1440, 9) })
    expect(speed(build({ ...whole, axleRatios: [] }, half), 1)).toBe(
      'differential: final drive of rear axle not entered',
    )
  })

  it('keeps the names of gears as they were typed', () => {
    const odd = build({ peakTorqueNm: 100, gears: [{ name: 'a|b', ratio: 2 }] })
    expect(torque(odd)).toMatchObject({ basis: 'engine 100 Nm, gear a|b at 2' })
  })

  it('says what is missing, and its own speed wins', () => {
    expect(speed(build({ gears: GEARS }))).toBe('rear shaft: redline not entered')
    expect(speed(build({ redlineRpm: 4000 }))).toBe('gearbox output: gears not entered')
    expect(torque(build({ redlineRpm: 4000, gears: GEARS }))).toBe(
      'rear shaft: torque of the engine not entered',
    )
    const stated = build({ redlineRpm: 4000, gears: GEARS }, (raw) => {
      raw.lines[0].speed = { basis: 'stated', rpm: 2900 }
    })
    const found = lineSpeed(stated, line(stated))
    expect(found.known && found.value.speedRpm).toBe(2900)
    const untold = build({ redlineRpm: 4000, gears: GEARS }, (raw) => delete raw.lines[0].speed)
    const taken = lineSpeed(untold, line(untold))
    expect(taken.known && taken.value).toMatchObject({
      speedRpm: 5000,
      basis: 'redline 4000 rev/min, gear top at 0.8',
    })
  })
})

import type { WeightSheet } from '../../file/parts/weightSheet'
import { evaluateBuild } from '../../model/evaluateBuild'
import { changedBay as bay } from '../../testdata/bay'
import { legsAnswer, mountsAnswer, tiltAnswer } from './unitAnswers'

/** One lump of 100 kg at station 500, in the middle, 100 up. */
const LUMP: WeightSheet = {
  masses: [
    { id: 'm', name: 'unit', done: 'in', kg: 100, at: { stationMm: 500, leftMm: 0, upMm: 100 }, hangs: true },
  ],
}
const GRAVITY = 9.80665

describe('two legs of a sling', () => {
  const legs = (lengthMm: number): WeightSheet => ({
    ...LUMP,
    legs: [
      { stationMm: 200, heightMm: 300, lengthMm: 500 },
      { stationMm: 800, heightMm: 300, lengthMm },
    ],
  })

  it('of one length above the middle hang level and carry alike', () => {
    const hang = legsAnswer(legs(500))
    // Half the span is 300, so the ring is 400 above; each leg pulls half the weight over the cosine of its lean.
    expect(hang).toMatchObject({
      known: true,
      value: {
        ring: { station: expect.closeTo(500, 9), height: expect.closeTo(700, 9) },
        hangDeg: expect.closeTo(0, 9),
      },
    })
    if (hang.known)
      hang.value.tensionN.forEach((pull) => expect(pull).toBeCloseTo((100 * GRAVITY) / 2 / 0.8, 6))
  })

  it('ask for what is not told, and say when they do not meet', () => {
    expect(legsAnswer({ masses: [], legs: [{ stationMm: 1 }] })).toMatchObject({
      known: false,
      missing: [{}, { path: 'weight.legs[0]' }, { path: 'weight.legs[1]' }],
    })
    expect(legsAnswer(legs(50))).toMatchObject({
      known: false,
      missing: [{ what: expect.stringContaining('meet') }],
    })
  })
})

describe('mounts of the powertrain', () => {
  const STIFF = { frontLeft: 200, frontRight: 200, tail: 150 }
  const answer = (sheet: WeightSheet, edit: (raw: any) => void = () => undefined) => {
    const build = bay(edit)
    return mountsAnswer(build, evaluateBuild(build, {}).measured, sheet)
  }

  it('carry the weight together and turn it by the torque of the lowest gear', () => {
    const build = bay()
    const found = answer({ ...build.weight!, mountsNPerMm: STIFF, shock: undefined })
    if (!found.known) throw new Error(JSON.stringify(found.missing))
    const { loads, ratio, gear } = found.value
    const { gears = [], peakTorqueNm = NaN } = build.drivetrain
    expect(ratio).toBe(Math.max(...gears.map((one) => one.ratio)))
    expect(gear).toBe(gears.find((one) => one.ratio === ratio)!.name)
    expect(loads.outputTorqueNm).toBeCloseTo(peakTorqueNm * ratio, 9)
    const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0)
    expect(sum(loads.standingN)).toBeCloseTo(loads.centre.kg * GRAVITY, 6)
    expect(sum(loads.underTorqueN)).toBeCloseTo(loads.centre.kg * GRAVITY, 6)
    // The shaft turns clockwise seen from the front: the right mount is pressed, the left one lifted.
    expect(loads.underTorqueN[1]).toBeGreaterThan(loads.standingN[1]!)
    expect(loads.underTorqueN[0]).toBeLessThan(loads.standingN[0]!)
  })

  it('take a clutch that is let go as so many times the torque', () => {
    const once = answer({ ...bay().weight!, mountsNPerMm: STIFF, shock: undefined })
    const twice = answer({ ...bay().weight!, mountsNPerMm: STIFF, shock: 2 })
    if (!once.known || !twice.known) throw new Error('known')
    expect(twice.value.loads.outputTorqueNm).toBeCloseTo(2 * once.value.loads.outputTorqueNm, 9)
  })

  it('ask for stiffness, torque and gears by name', () => {
    const found = answer({ ...LUMP, mountsNPerMm: { frontLeft: 200 } }, (raw) => (raw.drivetrain = {}))
    expect(found.known ? [] : found.missing.map(({ path }) => path)).toEqual([
      'weight.mountsNPerMm.frontRight',
      'weight.mountsNPerMm.tail',
      'drivetrain.peakTorqueNm',
      'drivetrain.gears',
    ])
  })
})

describe('height by tilting', () => {
  const SHEET: WeightSheet = {
    masses: [],
    cornersKg: { frontLeft: 300, frontRight: 300, rearLeft: 200, rearRight: 200 },
    frontStationMm: 0,
    rearStationMm: 2500,
    tilt: { raisedMm: 500, radiusFrontMm: 300, radiusRearMm: 300 },
  }

  it('is the height that such a vehicle has, also over the datum plane', () => {
    // Centre of gravity 1500 ahead of the rear axle and 620 up. Raised by 500 the line of centres turns by asin(0.2).
    const turn = Math.asin(500 / 2500)
    const ahead = 1500 * Math.cos(turn) + (620 - 300) * Math.sin(turn)
    const frontKgRaised = (1000 * ahead) / (2500 * Math.cos(turn))
    const found = tiltAnswer(bay(), { ...SHEET, tilt: { ...SHEET.tilt, frontKgRaised } })
    if (!found.known) throw new Error(JSON.stringify(found.missing))
    expect(found.value.heightMm).toBeCloseTo(620, 6)
    // The demo's datum plane is 388 over the ground.
    expect(found.value.overDatumMm).toBeCloseTo(620 - 388, 6)
  })

  it('asks for the second weighing, and says what cannot be', () => {
    const found = tiltAnswer(bay(), SHEET)
    expect(found.known ? [] : found.missing.map(({ path }) => path)).toEqual(['weight.frontKgRaised'])
    const beyond = tiltAnswer(bay(), {
      ...SHEET,
      tilt: { ...SHEET.tilt, frontKgRaised: 700, raisedMm: 3000 },
    })
    expect(beyond.known ? '' : beyond.missing[0]!.what).toContain('cannot be raised that far')
  })
})

import { LAYOUTS, type LayoutKey } from '../../file/edits/layouts'
import { withLayout } from '../../file/edits/withLayout'
import { bareBuild } from '../../file/edits/newBuild'
import type { Drivetrain } from '../../file/parts/drivetrain'
import type { Build } from '../../file/build/build'
import { drivenSpeedRpm } from './drivetrainFigures'
import { gearRows, torqueRows } from './gearRows'
import { lineTorque } from './lineTorque'

const bare = bareBuild({
  id: 'b',
  name: 'B',
  units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
  profile: 'road',
  date: '2026-01-01',
})
const TRAIN: Drivetrain = {
  redlineRpm: 4500,
  peakTorqueNm: 380,
  gears: [
    { name: '1', ratio: 4.31 },
    { name: '5', ratio: 0.9 },
    { name: 'R', ratio: -4.0 },
  ],
  ranges: [
    { name: 'high', ratio: 1 },
    { name: 'low', ratio: 2.48 },
  ],
  tyreRadiusMm: 385,
  grip: { mu: 0.9, frontKg: 980, rearKg: 1250 },
}
function build(key: LayoutKey, train: Drivetrain = {}): Build {
  const laid = withLayout(
    bare,
    LAYOUTS.find((one) => one.key === key)!,
  )
  const axleRatios = laid.bodies.flatMap(({ kind, id }) =>
    kind === 'axle' ? [{ axle: id, ratio: 4.1 }] : [],
  )
  return { ...laid, drivetrain: { ...TRAIN, axleRatios, ...train } }
}
const torque = (of: Build, name: string) => {
  const found = lineTorque(
    of,
    of.lines.find((line) => line.name === name)!,
  )
  if (!found.known) throw new Error(found.missing[0]!.what)
  return { ...found.value, said: found.assumptions }
}

describe('the torque of a line', () => {
  // Grip at the propshafts by hand: 0.9 · load · 9.80665 · 0.385 / 4.1.
  const GRIP = { front: 812.2058879, rear: 1035.976898 }

  it('is what its own tyres hold where both axles are locked together', () => {
    const four = build('four-wheel', { shock: 1.5 })
    expect(torque(four, 'rear shaft')).toMatchObject({
      grossNm: expect.closeTo(380 * 4.31 * 2.48, 6),
      limitedNm: expect.closeTo(GRIP.rear, 5),
      designNm: expect.closeTo(GRIP.rear * 1.5, 5),
      limitedBy: 'grip',
    })
    expect(torque(four, 'front shaft').limitedNm).toBeCloseTo(GRIP.front, 5)
  })

  it('is shared by an open centre differential, and the weaker axle limits both', () => {
    const open = build('four-wheel', { drive: 'open', frontShare: 0.36 })
    expect(torque(open, 'front shaft').limitedNm).toBeCloseTo((GRIP.rear / 0.64) * 0.36, 5)
    expect(torque(open, 'rear shaft').limitedNm).toBeCloseTo(GRIP.rear, 5)
  })

  it('of a jackshaft comes before the ranges, and no more than both axles hold through them', () => {
    const divorced = build('divorced')
    expect(torque(divorced, 'jackshaft').grossNm).toBeCloseTo(380 * 4.31, 6)
    // In low range the axles hold (812 + 1036) / 2.48 = 745, in high 1848, so the gearbox decides.
    expect(torque(divorced, 'jackshaft').limitedNm).toBeCloseTo(380 * 4.31, 6)
    expect(torque(build('divorced', { peakTorqueNm: 500 }), 'jackshaft')).toMatchObject({
      limitedNm: expect.closeTo(GRIP.front + GRIP.rear, 5),
      limitedBy: 'grip',
    })
  })

  it('of a halfshaft is half, and half an axle’s load holds it', () => {
    const trans = build('transaxle', { drive: 'rear', ranges: [], outputs: [] })
    const line = trans.lines[0]!
    const driven = {
      ...trans,
      drivetrain: { ...trans.drivetrain, outputs: [{ axis: line.driving, ratio: 4.1 }] },
    }
    expect(torque(driven, 'left halfshaft')).toMatchObject({
      grossNm: expect.closeTo((380 * 4.31 * 4.1) / 2, 6),
      limitedNm: expect.closeTo((0.9 * 1250 * 9.80665 * 0.385) / 2, 6),
    })
  })

  it('is the engine’s alone, and says so, while the tyres are not told', () => {
    const free = torque(build('one-piece', { grip: {} }), 'rear shaft')
    expect(free).toMatchObject({ limitedBy: 'engine', gripNm: null, limitedNm: free.grossNm })
    expect(free.said).toEqual(['rear shaft: the tyres are left out of its torque (load of the rear axle)'])
  })

  it('in each gear and range goes up with it until the tyres let go; reverse counts by its size', () => {
    const four = build('four-wheel')
    const rows = torqueRows(four, four.lines[0]!)
    if (!rows.known) throw new Error('not known')
    const row = (range: string, gear: string) =>
      rows.value.find((one) => one.range === range && one.gear === gear)!
    expect(row('high', '5').limitedNm).toBeCloseTo(380 * 0.9, 6)
    expect(row('low', 'R')).toMatchObject({
      engineNm: expect.closeTo(380 * 4 * 2.48, 6),
      limitedNm: expect.closeTo(GRIP.rear, 5),
    })
  })
})

describe('speeds', () => {
  it('of every gear and range, or what is missing for them', () => {
    const rows = gearRows(build('four-wheel'))
    expect(rows.known && rows.value.map(({ range, gear }) => `${range} ${gear}`)).toEqual([
      'high 1',
      'high 5',
      'high R',
      'low 1',
      'low 5',
      'low R',
    ])
    const none = gearRows({ ...build('one-piece'), drivetrain: { redlineRpm: 4000 } })
    expect(none.known ? [] : none.missing.map(({ what }) => what)).toEqual([
      'gears not entered',
      'final drive not entered',
      'rolling radius of the tyres not entered',
    ])
  })

  it('of a shaft go no higher than the vehicle is driven', () => {
    const speed = (topSpeedKmh?: number) => {
      const of = build('one-piece', topSpeedKmh === undefined ? {} : { topSpeedKmh })
      const found = drivenSpeedRpm(of, of.lines[0]!)
      return found.known ? found.value : null
    }
    // Reverse is no fastest gear.
    expect(speed()!.speedRpm).toBeCloseTo(4500 / 0.9, 9)
    expect(speed(90)).toMatchObject({
      speedRpm: expect.closeTo((90e6 / 60 / (2 * Math.PI * 385)) * 4.1, 6),
      basis: 'no faster than 90 km/h',
    })
    expect(speed(400)!.speedRpm).toBeCloseTo(5000, 9)
  })
})

import fc from 'fast-check'
import { CoreError } from '../../base/errors'
import weights from '../../testdata/weights.json'
import { heightByTilt, loadChange, type AxleLoads, type MassChange } from './axleLoads'
import { centreOfMass, type Mass } from './masses'
import { mountLoads } from './mountLoads'
import { hangDeg, hangOnLegs, hookStation } from './sling'

type Case = any
const cases = weights.cases as Case[]
const of = (task: string, isRefused = false) =>
  cases
    .filter(({ input, expect: wanted }) => input.task === task && Boolean(wanted.error) === isRefused)
    .map((one) => [one.id, one] as const)
const near = (figure: number | null, wanted: number) =>
  expect(Math.abs((figure ?? NaN) - wanted)).toBeLessThanOrEqual(1e-6 + 1e-8 * Math.abs(wanted))

const weighing = (input: Case) => ({
  cornersKg: input.corners_kg,
  frontStation: input.front_station,
  rearStation: input.rear_station,
  trackFrontMm: input.track_front_mm,
  trackRearMm: input.track_rear_mm,
  cgHeightMm: input.cg_height_mm ?? null,
})
const massOf = ({ mass_kg, station, offset = 0, height = 0 }: Case): Mass => ({
  kg: mass_kg,
  station,
  offset,
  height,
})
const changesOf = (input: Case): MassChange[] =>
  input.changes.map((change: Case) => ({ ...massOf(change), do: change.do, to: change.to }))

describe('axle loads of the reference', () => {
  const isLoad = (loads: AxleLoads, wanted: Case) => {
    near(loads.totalKg, wanted.total_kg)
    near(loads.frontKg, wanted.front_kg)
    near(loads.rearKg, wanted.rear_kg)
    near(loads.frontPercent, wanted.front_percent)
    near(loads.leftPercent, wanted.left_percent)
    near(loads.centre.station, wanted.cg.station)
    near(loads.centre.offset, wanted.cg.offset)
    if (wanted.cg.height !== undefined) near(loads.centre.height, wanted.cg.height)
  }

  it.each(of('axles'))('%s', (_, { input, expect: wanted }) => {
    const { before, after, diagonalPercent } = loadChange(weighing(input), changesOf(input))
    isLoad(before, wanted.before)
    isLoad(after, wanted.after)
    near(diagonalPercent, wanted.before.diagonal_percent)
    near(after.frontKg - before.frontKg, wanted.delta_front_kg)
    near(after.rearKg - before.rearKg, wanted.delta_rear_kg)
  })

  it.each(of('axles', true))('%s is refused', (_, { input }) => {
    expect(() => loadChange(weighing(input), changesOf(input))).toThrow(CoreError)
  })

  it('refuses to take out more than there is', () => {
    const taken = { ...massOf({ mass_kg: 1400, station: 0 }), do: 'remove' } as const
    expect(() => loadChange(weighing(of('axles')[0]![1].input), [taken])).toThrow('more is taken out')
  })

  it('puts a thing in and takes it out again without a trace', () => {
    const start = weighing(of('axles')[0]![1].input)
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: -900, max: 4000, noNaN: true }),
        (kg, station) => {
          const mass = massOf({ mass_kg: kg, station, offset: 120, height: 300 })
          const { before, after } = loadChange(start, [
            { ...mass, do: 'add' },
            { ...mass, do: 'remove' },
          ])
          near(after.frontKg, before.frontKg)
          near(after.centre.height, before.centre.height ?? NaN)
        },
      ),
      { seed: 20261129 },
    )
  })
})

describe('heights by tilting of the reference', () => {
  const tiltOf = (input: Case) => ({
    frontKgLevel: input.front_kg_level,
    frontKgRaised: input.front_kg_raised,
    totalKg: input.total_kg,
    wheelbaseMm: input.wheelbase_mm,
    radiusFrontMm: input.radius_front_mm,
    radiusRearMm: input.radius_rear_mm,
    raisedMm: input.raised_mm,
  })

  it.each(of('tilt'))('%s', (_, { input, expect: wanted }) => {
    const found = heightByTilt(tiltOf(input))
    near(found.heightMm, wanted.cg_height_mm)
    near(found.fromRearMm, wanted.cg_from_rear_mm)
    near(found.angleDeg, wanted.angle_deg)
    near(found.errorMmPerKg, wanted.error_mm_per_kg)
  })

  it.each(of('tilt', true))('%s is refused', (_, { input }) => {
    expect(() => heightByTilt(tiltOf(input))).toThrow(CoreError)
  })

  it('finds a height again that was put in, with unequal wheels', () => {
    const [base, front, rear, raised, back, height, total] = [2600, 290, 330, 500, 1400, 610, 1300]
    const span = Math.hypot(base, rear - front)
    const level = Math.asin((rear - front) / span)
    const turn = Math.asin((rear - front + raised) / span) - level
    // The centre of gravity turns with the vehicle about the rear wheel's centre.
    const ahead = back * Math.cos(turn) + (height - rear) * Math.sin(turn)
    const found = heightByTilt({
      frontKgLevel: (total * back) / base,
      frontKgRaised: (total * ahead) / (span * Math.cos(level + turn)),
      totalKg: total,
      wheelbaseMm: base,
      radiusFrontMm: front,
      radiusRearMm: rear,
      raisedMm: raised,
    })
    near(found.heightMm, height)
  })
})

describe('slings of the reference', () => {
  const legOf = (place: Case, lengthMm: number) => ({ ...place, lengthMm })

  it.each(of('sling'))('%s', (_, { input, expect: wanted }) => {
    const centre = centreOfMass((input.components ?? [{ mass_kg: 1, ...input.cg }]).map(massOf))
    near(hangDeg(centre, input.hook), wanted.hang_deg)
    if (wanted.hook_station_for_wanted !== undefined)
      near(hookStation(centre, input.hook.height, input.wanted_deg), wanted.hook_station_for_wanted)
    if (!wanted.legs) return
    const { a, b, length_a_mm, length_b_mm } = input.two_legs
    const hang = hangOnLegs(centre, legOf(a, length_a_mm), legOf(b, length_b_mm))
    near(hang.ring.station, wanted.legs.ring.station)
    near(hang.ring.height, wanted.legs.ring.height)
    near(hang.hangDeg, wanted.legs.hang_deg)
    near(hang.tensionN[0], wanted.legs.tension_a_N)
    near(hang.tensionN[1], wanted.legs.tension_b_N)
  })

  it.each(of('sling', true))('%s is refused', (_, { input }) => {
    const centre = centreOfMass(input.components.map(massOf))
    const { a, b, length_a_mm, length_b_mm } = input.two_legs
    expect(() => hangOnLegs(centre, legOf(a, length_a_mm), legOf(b, length_b_mm))).toThrow(CoreError)
  })

  it('refuses a hook below the centre of gravity', () => {
    expect(() => hangDeg({ station: 0, height: 400 }, { station: 0, height: 400 })).toThrow(CoreError)
  })
})

describe('mounts of the reference', () => {
  it.each(of('mounts'))('%s', (_, { input, expect: wanted }) => {
    const mounts = input.mounts.map((mount: Case) => ({ ...mount, stiffness: mount.k_N_per_mm }))
    const loads = mountLoads(input.components.map(massOf), mounts, {
      engineTorqueNm: input.engine_torque_Nm,
      ratio: input.gear_ratio,
      shock: input.shock ?? 1,
    })
    input.mounts.forEach(({ id }: Case, k: number) => {
      near(loads.standingN[k] ?? NaN, wanted.static_N[id])
      near(loads.underTorqueN[k] ?? NaN, wanted.reaction_N[id])
      near(loads.upMm[k] ?? NaN, wanted.drop_mm[id])
    })
    near(loads.outputTorqueNm, wanted.output_torque_Nm)
    near(loads.fallChangeDeg, wanted.fall_change_deg)
    near(loads.rollChangeDeg, wanted.roll_change_deg)
  })

  it('refuses mounts in one line', () => {
    const mounts = [0, 300, 900].map((station) => ({ id: `${station}`, station, offset: 0, stiffness: 200 }))
    const masses = [massOf({ mass_kg: 200, station: 300 })]
    expect(() => mountLoads(masses, mounts, { engineTorqueNm: 0, ratio: 1 })).toThrow('one line')
  })
})

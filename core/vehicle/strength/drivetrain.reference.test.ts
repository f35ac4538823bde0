import drivetrain from '../../testdata/drivetrain.json'
import { parseBuild } from '../../file/open/parseBuild'
import { rawDemo } from '../../testdata/builds'
import { disagreements } from '../../testdata/reference'
import { crossLoad } from './crossSize'
import { gearTable } from './gearing'
import { gripNm, shaftTorques, type DrivenEnd } from './shaftTorque'
import { oneForAll, tubeFigures, tubeRows } from './tubeChoice'

const cases = (drivetrain.cases as any[]).filter((one) => !one.expect.error)
const refused = (drivetrain.cases as any[]).filter((one) => one.expect.error)
/** Verdicts on a share by where it warns and where it fails. */
const judged = (share: number, warn: number, fail: number) =>
  share > fail ? 'fail' : share > warn ? 'warn' : 'pass'
const EXACT = { abs: 1e-6, rel: 1e-8 }
const agree = (got: Record<string, unknown>, wanted: any) =>
  expect(disagreements(got, wanted, Object.fromEntries(Object.keys(got).map((key) => [key, EXACT])))).toEqual(
    [],
  )
const metalOf = (tube: any) => ({
  stiffnessGPa: tube.E_GPa,
  shearGPa: tube.G_GPa,
  densityKgM3: tube.rho_kg_m3,
  yieldMPa: tube.yield_MPa,
})

describe('gears, torques and tubes against independent cases', () => {
  it.each(cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: wanted }) => {
    const table = gearTable({
      redlineRpm: input.engine.redline_rpm,
      gears: input.gears,
      ranges: input.ranges ?? [],
      axleRatio: input.axle_ratio,
      tyreRadiusMm: input.tyre_radius_mm,
    })
    agree(
      {
        gears: table.map((row) => ({
          range: row.range ?? '-',
          gear: row.gear,
          total: row.total,
          shaft_rpm: row.shaftRpm,
          speed_kmh: row.speedKmh,
          rpm_at_100: row.rpmAt100,
        })),
      },
      wanted,
    )
    const forward = table.filter((_, i) => input.gears[i % input.gears.length].ratio > 0)
    const highest = Math.max(...forward.map(({ shaftRpm }) => shaftRpm))
    // Behind the gearbox every gear has the same shaft speed at one road speed.
    const [row] = forward
    const capped = ((input.top_speed_kmh ?? Infinity) / row!.speedKmh) * row!.shaftRpm
    const usedRpm = Math.min(highest, capped)
    agree({ highest_shaft_rpm: highest, used_rpm: usedRpm }, wanted)
    expect(usedRpm === highest ? 'redline' : 'top speed').toMatch(
      new RegExp(wanted.basis.replace(/[ _]/g, '.'), 'i'),
    )
    const grip = (end: DrivenEnd) =>
      gripNm(input.mu, input.loads_kg[end], input.tyre_radius_mm, input.axle_ratio)
    const torques = shaftTorques({
      engineNm: input.engine.torque_Nm,
      converter: input.converter ?? 1,
      gear: Math.max(...input.gears.map(({ ratio }: any) => Math.abs(ratio))),
      ranges: (input.ranges ?? []).map(({ ratio }: any) => ratio),
      efficiency: input.efficiency ?? 1,
      drive: input.drive,
      frontShare: input.split_front ?? 0.5,
      gripNm: { front: grip('front'), rear: grip('rear') },
    })
    const shock = input.shock ?? 1
    const ends = Object.entries(torques.ends) as [DrivenEnd, { limitedNm: number; limitedBy: string }][]
    const each = (of: (torque: { limitedNm: number; limitedBy: string }) => unknown) =>
      Object.fromEntries(ends.map(([end, torque]) => [end, of(torque)]))
    agree(
      {
        gross_Nm: torques.grossNm,
        grip_Nm: { front: grip('front'), rear: grip('rear') },
        limited_Nm: each(({ limitedNm }) => limitedNm),
        limited_by: each(({ limitedBy }) => limitedBy),
        design_Nm: each(({ limitedNm }) => limitedNm * shock),
        jackshaft_Nm: torques.jackshaftNm,
      },
      wanted,
    )
    const design = (end: DrivenEnd) => torques.ends[end]!.limitedNm * shock
    if (input.joint) {
      const { span_mm: spanMm, trunnion_mm: trunnionMm, bore_mm: boreMm } = input.joint
      for (const [end, joint] of Object.entries<any>(wanted.joint)) {
        const load = crossLoad(
          { spanMm, trunnionMm, boreMm },
          design(end as DrivenEnd),
          input.joint.angle_deg,
        )
        agree(
          { force_N: load.forceN, shear_MPa: load.shearMPa, share: load.shearMPa / input.joint.allow_MPa },
          joint,
        )
      }
    }
    const duties = input.sections.map(({ shaft, length_mm: lengthMm }: any) => ({
      lengthMm,
      torqueNm: design(shaft),
      speedRpm: usedRpm,
    }))
    agree(
      {
        sections: duties.map((duty: any) => {
          const figures = tubeFigures(
            { outerMm: input.tube.od_mm, wallMm: input.tube.wall_mm, metal: metalOf(input.tube) },
            duty,
          )
          return {
            shear_MPa: figures.shearMPa,
            shear_share: figures.shearShare,
            twist_deg: figures.twistDeg,
            mass_kg: figures.massKg,
            critical_rpm: figures.criticalRpm,
            speed_share: figures.speedShare,
            shear: judged(figures.shearShare, 0.45, 0.6),
            speed: judged(figures.speedShare, 0.65, 0.75),
          }
        }),
      },
      wanted,
    )
    const stock = input.stock.map((tube: any) => ({
      name: tube.name,
      outerMm: tube.od_mm,
      wallMm: tube.wall_mm,
      metal: metalOf(tube),
    }))
    const limits = {
      shearShare: input.limits?.shear ?? 0.45,
      speedShare: input.limits?.speed ?? 0.65,
      outerMm: input.limits?.max_od_mm,
    }
    const named = (row: { tube: { name: string }; massKg: number } | null | undefined) =>
      row ? { name: row.tube.name, mass_kg: row.massKg } : null
    agree(
      {
        per_section: duties.map((duty: any) =>
          named(tubeRows(stock, duty, limits).find(({ willDo }) => willDo)),
        ),
        one_for_all: named(oneForAll(stock, duties, limits)),
      },
      wanted,
    )
    if (wanted.nearest) {
      const rows = tubeRows(stock, duties[0], limits).filter(({ isRoomy }) => isRoomy)
      const nearest = rows.reduce((best, row) => (row.worst < best.worst ? row : best))
      agree({ name: nearest.tube.name, worst_ratio: nearest.worst }, wanted.nearest)
    }
  })

  it.each(refused.map((one) => [one.id, one] as const))('%s is refused', (_id, { input: bad }) => {
    const run = (input: any) => {
      const [first] = gearTable({
        redlineRpm: input.engine.redline_rpm,
        gears: input.gears,
        ranges: input.ranges ?? [],
        axleRatio: input.axle_ratio,
        tyreRadiusMm: input.tyre_radius_mm,
      })
      if (!first) throw new Error('no gears')
      gripNm(input.mu, input.loads_kg.rear, input.tyre_radius_mm, input.axle_ratio)
      tubeFigures(
        { outerMm: input.tube.od_mm, wallMm: input.tube.wall_mm, metal: metalOf(input.tube) },
        { lengthMm: input.sections[0].length_mm, torqueNm: 1, speedRpm: 1 },
      )
      const drive = { drive: input.drive, frontShare: input.split_front ?? 0.5 }
      const file = { ...rawDemo(), drivetrain: drive }
      if (!parseBuild(file).ok) throw new Error('the file is refused')
    }
    expect(() => run(bad)).toThrow()
    // What is refused is refused for its fault: a sound case goes through all of it.
    expect(() => run(cases[0].input)).not.toThrow()
  })

  it('refuses a ratio of nought and a radius that is none', () => {
    const train = {
      redlineRpm: 6000,
      gears: [{ name: '1', ratio: 3 }],
      ranges: [],
      axleRatio: 4,
      tyreRadiusMm: 300,
    }
    expect(() => gearTable({ ...train, gears: [{ name: '2', ratio: 0 }] })).toThrow('2: expected a ratio')
    expect(() => gearTable({ ...train, tyreRadiusMm: 0 })).toThrow('tyreRadiusMm: expected a positive radius')
    expect(() => gripNm(-1, 500, 300, 4)).toThrow('grip: expected positive friction')
  })
})

import cart from '../../demo/burdock-cart.lurvan.json'
import hatch from '../../demo/medlar-hatch.lurvan.json'
import { type Vec3 } from '../base/linalg/vec3'
import { parseBuild } from '../file/open/parseBuild'
import { chainGears } from '../vehicle/strength/chainGears'
import { directionOf, strainOf } from '../making/mounts/mountSprings'
import { padStiffness, sleeveStiffness } from '../making/mounts/rubber'
import { fromPush, fromRubber } from '../making/mounts/toldStiffness'
import { changedBay } from '../testdata/bay'
import { caseOf, given, mountsOf, withMounts } from '../testdata/mounted'
import { resultJson } from '../show/result/resultJson'
import { forceRows, strainRows, toldText } from '../show/text/mountText'
import type { Build } from '../file/build/build'
import type { RawBuild } from '../testdata/builds'
import { evaluateBuild } from './evaluateBuild'
import { MOUNTS } from './mountSubject'
import { foundOf } from './subject'

describe('a powertrain with the final drive inside', () => {
  const places: readonly Vec3[] = [
    [250, 300, 50],
    [250, -300, 50],
    [-150, 0, -100],
  ]
  const build = withMounts(hatch, places, [100, 0, 80])

  it('bears the wheels’ torque across the vehicle: its front rises on drive, its tail on overrun and in reverse', () => {
    const found = mountsOf(build)
    const { momentNm } = given(found, 'pulling')
    // 172 N·m · 3.25 · 3.9, against the −Y that the road gives.
    expect(momentNm).toEqual([
      expect.closeTo(0, 6),
      expect.closeTo(172 * 3.25 * 3.9, 6),
      expect.closeTo(0, 6),
    ])
    expect(caseOf(found, 'pulling').fallDeg).toBeGreaterThan(0.5)
    expect(caseOf(found, 'overrun').fallDeg).toBeCloseTo(-0.3 * caseOf(found, 'pulling').fallDeg, 9)
    expect(caseOf(found, 'pulling').rollDeg).toBeCloseTo(0, 9)
    // Nothing goes out along the vehicle.
    expect(found.tailShare.known).toBe(false)
    expect(found.cases.map(({ at }) => at.key)).not.toContain('complete')
  })

  it('is asked how the final drive inside it turns the wheels’ shafts', () => {
    const raw: RawBuild = structuredClone(build)
    delete raw.drivetrain.outputs
    const { found } = foundOf(evaluateBuild(raw as Build, {}).subjects, MOUNTS)[0]!
    expect(!found.known && found.missing[0]!.what).toContain('turns of the gearbox')
  })
})

describe('a powertrain that drives a chain', () => {
  const places: readonly Vec3[] = [
    [-450, 150, -60],
    [-450, -150, -60],
    [-650, 0, -60],
  ]
  const build = withMounts(cart, places, [-520, 0, 60])

  it('is pulled by its taut run, above where the axle is behind, and yaws by the sprocket’s side', () => {
    const found = mountsOf(build)
    const gears = chainGears(build, build.chains![0]!)
    const pullN = gears.known ? Math.max(...gears.value.map((one) => one.pullN)) : NaN
    const { force, momentNm } = given(found, 'pulling')
    expect(Math.hypot(...force)).toBeCloseTo(pullN, 6)
    // The mounts hold against the pull to the rear.
    expect(force[0]).toBeGreaterThan(0.9 * pullN)
    const output = caseOf(found, 'pulling').outputMm
    expect(output[0]).toBeLessThan(-1)
    // About the sprocket's own axis it is the torque: pull times pitch radius, whatever the run's slope.
    const radius = 15.875 / (2 * Math.sin(Math.PI / 15))
    const [x, , z] = found.output
    const about = momentNm[1] - (z * force[0] - x * force[2]) / 1000
    // But for the hair that the run goes aside.
    expect(about).toBeCloseTo((pullN * radius) / 1000, 2)
    // On overrun the other run holds it, by 0.3.
    expect(Math.hypot(...given(found, 'overrun').force)).toBeCloseTo(0.3 * pullN, 6)
    const held = given(found, 'overrun')
    expect(held.momentNm[1] - (z * held.force[0] - x * held.force[2]) / 1000).toBeCloseTo(
      (-0.3 * pullN * radius) / 1000,
      2,
    )
    // The sprocket is on the left: pulled back there, the nose goes to the left.
    expect(caseOf(found, 'pulling').planDeg).toBeLessThan(0)
    expect(given(found, 'drive').force[0]).toBeCloseTo(2 * force[0], 6)
  })
})

describe('what is told of a mount besides', () => {
  it('is its rubber: sizes say how stiff, from how far to how far; a push says it better', () => {
    const sleeve = sleeveStiffness({ shoreA: 70, outerRadiusMm: 20, innerRadiusMm: 8, longMm: 50 })
    expect([sleeve.axial, sleeve.radialShort, sleeve.radialLong].map(Math.round)).toEqual([634, 1417, 6044])
    const pad = padStiffness({ shoreA: 50, longMm: 60, wideMm: 40, highMm: 30 })
    const [shear, shape] = [(0.0981 * 439) / (0.1375 * 127) / 3, 2400 / (200 * 30)]
    expect(pad.shear).toBeCloseTo((shear * 2400) / 30, 9)
    expect(pad.press).toBeCloseTo(3 * pad.shear * (1 + 2 * shape ** 2), 9)
    expect(() => sleeveStiffness({ shoreA: 70, outerRadiusMm: 8, innerRadiusMm: 8, longMm: 5 })).toThrow(
      'larger',
    )
    const entry = changedBay().mounts![2]!
    expect(fromRubber(entry).known).toBe(false)
    const told = fromRubber({ ...entry, rubber: { shoreA: 70, outerMm: 40, innerMm: 16, longMm: 50 } })
    if (!told.known) throw new Error('all of it is told')
    expect(told.value.map((one) => toldText(one, one.figure))).toEqual([
      'axialNPerMm 634 N/mm (380 to 887)',
      'radialNPerMm 2926 N/mm (850 to 8461)',
    ])
    expect(fromPush({ ...entry, push: { loadN: 900, moveMm: 1.5 } })).toMatchObject({
      value: { figure: 'radialNPerMm', perMm: 600 },
    })
    expect(fromPush(entry).known).toBe(false)
  })

  it('is what its bolt bears, case by case: across it for a bush, pulled or pressed for a face', () => {
    const build = changedBay()
    const found = mountsOf(build)
    const drive = caseOf(found, 'drive')
    const [left, , tail] = drive.forces
    expect(left!.bolt!.alongN).toBeCloseTo(left!.force[2], 9)
    expect(left!.bolt!.shearN).toBeCloseTo(Math.hypot(left!.force[0], left!.force[1]), 9)
    // Its bolt lies across.
    expect(tail!.bolt!.shearN).toBeCloseTo(Math.hypot(tail!.force[0], tail!.force[2]), 9)
    const rows = forceRows(drive, build.mounts!)
    expect(rows[0]!.bolt).toMatch(/^pulled \d+ N, sheared \d+ N$/)
    expect(rows[2]!.bolt).toMatch(/^\d+ N across, \d+ N along$/)
    const { mounts } = resultJson(build) as any
    const json = mounts[0].cases.find((one: any) => one.case === 'drive').forces[0]
    expect([json.boltAlongN, json.boltShearN]).toEqual([left!.bolt!.alongN, left!.bolt!.shearN])
  })

  it('is a stop with its gap, and a lean: the stop bears nothing until its gap is gone', () => {
    const stopped = (gapMm: number) =>
      mountsOf(
        changedBay((raw) => {
          raw.mounts.push({
            ...{ id: 'stop', name: 'roll stop', point: 'mount-left', kind: 'stop' },
            ...{ way: 'down', gapMm, pressNPerMm: 2000 },
          })
        }),
      )
    const still = mountsOf(changedBay())
    const wide = stopped(200)
    expect(caseOf(wide, 'drive').forces[3]!.sizeN).toBe(0)
    expect(caseOf(wide, 'drive').rollDeg).toBeCloseTo(caseOf(still, 'drive').rollDeg, 9)
    const near = stopped(0)
    expect(caseOf(near, 'drive').forces[3]!.force[2]).toBeLessThan(-100)
    expect(caseOf(near, 'drive').forces[3]!.bolt).toBeNull()
    expect(Math.abs(caseOf(near, 'drive').rollDeg)).toBeLessThan(Math.abs(caseOf(still, 'drive').rollDeg))
    const pad = { id: 'p', name: 'p', point: 'p', kind: 'pad', leanDeg: 30 } as const
    expect(directionOf(pad)).toEqual([0, expect.closeTo(0.5, 12), expect.closeTo(Math.sqrt(3) / 2, 12)])
    expect(directionOf({ ...pad, kind: 'bush', bolt: 'across', leanDeg: 45 })[2]).toBeCloseTo(
      -Math.SQRT1_2,
      12,
    )
  })

  it('is what stays in a bolt that was pried in: stiffness times misfit', () => {
    const entry = { ...changedBay().mounts![0]!, misfit: { upMm: 2, leftMm: -1 } }
    expect(strainOf(entry)).toEqual([0, -220, 640])
    expect(strainRows([entry, changedBay().mounts![1]!])).toEqual([
      'left engine mount: 677 N stays in its bolt, 640 up, 220 right',
    ])
    const pad = { ...entry, kind: 'pad', pressNPerMm: 300, shearNPerMm: 100 } as const
    expect(strainOf(pad)).toEqual([0, -100, 600])
    expect(strainOf({ ...pad, misfit: { upMm: -2 } })).toEqual([0, 0, 0])
  })

  it('is weight that is still to come: how it stands once that hangs on it', () => {
    const build = changedBay((raw) => {
      const at = { stationMm: 245, leftMm: 238, upMm: 185 }
      raw.weight.masses.push({
        id: 'late',
        name: 'compressor',
        done: 'in',
        kg: 25,
        at,
        hangs: true,
        later: true,
      })
    })
    const found = mountsOf(build)
    expect(found.unit.massKg).toBe(217)
    const complete = caseOf(found, 'complete')
    const { force, momentNm } = given(found, 'complete')
    expect(force[2]).toBeCloseTo(25 * 9.80665, 6)
    // About the origin: 25 kg at 238 to the left.
    expect(momentNm[0]).toBeCloseTo((25 * 9.80665 * 238) / 1000, 6)
    // The left side comes down.
    expect(complete.rollDeg).toBeLessThan(-0.01)
    expect(caseOf(found, 'standing').rollDeg).toBe(0)
  })

  it('is refused where it cannot be', () => {
    const raw: RawBuild = structuredClone(changedBay())
    raw.mounts[0] = { ...raw.mounts[0], kind: 'stop' }
    const parsed = parseBuild(raw)
    expect(!parsed.ok && parsed.problems.map(({ path }) => path)).toContain('mounts[0].way')
  })
})

import cart from '../../demo/burdock-cart.lurvan.json'
import hatch from '../../demo/medlar-hatch.lurvan.json'
import van from '../../demo/osier-van.lurvan.json'
import hauler from '../../demo/sorrel-hauler.lurvan.json'
import { cross, sub, add, type Vec3 } from '../base/linalg/vec3'
import { parseBuild } from '../file/open/parseBuild'
import { chainGears } from '../vehicle/strength/chainGears'
import { heldBy, mountableBodies } from '../making/mounts/mountedBodies'
import { directionOf, strainOf } from '../making/mounts/mountSprings'
import { padStiffness, sleeveStiffness } from '../making/mounts/rubber'
import { fromPush, fromRubber } from '../making/mounts/toldStiffness'
import { driveOf } from '../making/mounts/unitDrive'
import { changedBay } from '../testdata/bay'
import { resultJson } from '../show/result/resultJson'
import { forceRows, strainRows, toldText } from '../show/text/mountText'
import type { Build } from '../file/build/build'
import type { RawBuild } from '../testdata/builds'
import { evaluateBuild } from './evaluateBuild'
import { MOUNTS } from './mountSubject'
import type { CaseFound, MountsFound } from './mountFound'
import { foundOf } from './subject'

const mountsOf = (build: Build): MountsFound => {
  const { found } = foundOf(evaluateBuild(build, {}).subjects, MOUNTS)[0]!
  if (!found.known) throw new Error(JSON.stringify(found.missing))
  return found.value
}
const caseOf = ({ cases }: MountsFound, key: string): CaseFound => cases.find(({ at }) => at.key === key)!

/** Three soft feet and a lump, in a build that had none. */
function withMounts(demo: object, places: readonly Vec3[], centre: Vec3): Build {
  const raw = structuredClone(demo) as RawBuild
  places.forEach(([x, y, z], i) => {
    raw.points.push({ id: `foot-${i}`, name: `foot ${i}`, body: 'powertrain' })
    raw.readings.push({
      ...{ id: `foot-${i}-given`, setup: raw.setups[0].id, kind: 'given-point', point: `foot-${i}` },
      ...{ station: String(Math.abs(x)), stationWay: x > 0 ? 'forward' : 'rearward' },
      ...{ offset: String(Math.abs(y)), side: y < 0 ? 'right' : 'left' },
      ...{ height: String(Math.abs(z)), heightWay: z < 0 ? 'below' : 'above' },
    })
  })
  raw.mounts = places.map((_, i) => ({
    ...{ id: `m${i}`, name: `foot ${i}`, point: `foot-${i}`, kind: 'ways' },
    ...{ forwardNPerMm: 300, leftNPerMm: 300, upNPerMm: 300 },
  }))
  const at = { stationMm: -centre[0], leftMm: centre[1], upMm: centre[2] }
  const lump = { id: 'lump', name: 'engine', done: 'in', kg: 60, at, body: 'powertrain', hangs: true }
  raw.weight = { ...raw.weight, masses: [...(raw.weight?.masses ?? []), lump] }
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

/** What all mounts give in a case more than standing still, and its moment about the origin in N·m. */
function given(found: MountsFound, key: string): { force: Vec3; momentNm: Vec3 } {
  const still = caseOf(found, 'standing')
  let [force, moment]: [Vec3, Vec3] = [
    [0, 0, 0],
    [0, 0, 0],
  ]
  caseOf(found, key).forces.forEach((one, i) => {
    const more = sub(one.force, still.forces[i]!.force)
    force = add(force, more)
    moment = add(moment, cross(found.mounts[i]!.at, more))
  })
  return { force, momentNm: [moment[0] / 1000, moment[1] / 1000, moment[2] / 1000] }
}

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

/** Of another body than the powertrain. */
function foundAt(build: Build, body: string): MountsFound {
  const one = foundOf(evaluateBuild(build, {}).subjects, MOUNTS).find(
    ({ mounted }) => mounted.body.id === body,
  )
  if (!one?.found.known) throw new Error(JSON.stringify(one?.found))
  return one.found.value
}

describe('bodies on mounts of their own', () => {
  const FEET: readonly Vec3[] = [
    [-2350, 200, -50],
    [-2350, -200, -50],
    [-2650, 0, 0],
  ]
  const sound = (raw: RawBuild): Build => {
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    return parsed.value
  }
  const onFeet = (demo: object, body: string, places: readonly Vec3[], edit: (raw: RawBuild) => void) => {
    const raw: RawBuild = structuredClone(withMounts(demo, places, [-2500, 20, 10]))
    raw.points.forEach((one: RawBuild) => {
      if (one.id.startsWith('foot-')) one.body = body
    })
    // So stiff that it does not turn over.
    raw.mounts.forEach((one: RawBuild) =>
      Object.assign(one, { forwardNPerMm: 3000, leftNPerMm: 3000, upNPerMm: 3000 }),
    )
    raw.weight.masses = [
      {
        id: 'case',
        name: 'differential',
        done: 'in',
        kg: 42,
        at: { stationMm: 2500, leftMm: 20, upMm: 10 },
        body,
      },
    ]
    edit(raw)
    return sound(raw)
  }
  const fixedAxle = (edit: (raw: RawBuild) => void = () => undefined) =>
    onFeet(van, 'rear-axle', FEET, (raw) => {
      const axle = raw.bodies.find(({ id }: RawBuild) => id === 'rear-axle')
      axle.suspension = 'fixed'
      delete axle.travel
      delete axle.motion
      edit(raw)
    })

  it('turn a differential by its pinion about the shaft, and by its wheels across, no further than the tyres hold', () => {
    const build = fixedAxle()
    const found = foundAt(build, 'rear-axle')
    expect(found.unit.massKg).toBe(42)
    expect(found.failed).toEqual([])
    const { momentNm } = given(found, 'pulling')
    const ride = evaluateBuild(build, {}).lines[0]!
    // Grip at the pinion: 0.9 · 1420 kg · g · 0.331 m / 3.6, under the engine’s 340 · 4.6.
    const pinionNm = (0.9 * 1420 * 9.80665 * 0.331) / 3.6
    expect(pinionNm).toBeLessThan(340 * 4.6)
    // The mounts answer: against what the shaft gives, and against the road.
    expect(Math.hypot(momentNm[0], momentNm[1] - pinionNm * 3.6, momentNm[2])).toBeCloseTo(pinionNm, 6)
    expect(momentNm[0]).toBeGreaterThan(0.99 * pinionNm)
    // The nose rises under drive, and the last joint of its line says by how much.
    const pulling = caseOf(found, 'pulling')
    expect(pulling.fallDeg).toBeGreaterThan(0)
    expect(pulling.joints.map(({ line }) => line)).toEqual(['rear-shaft', 'rear-shaft', 'rear-shaft'])
    expect(Math.abs(pulling.joints[2]!.byDeg)).toBeGreaterThan(0.01)
    expect(pulling.joints[0]!.byDeg).toBeCloseTo(0, 6)
    expect(ride.states.map(({ state }) => state).slice(0, 3)).toEqual(['ride', 'drive', 'coast'])
    // Reverse turns it over by its own ratio, here limited alike.
    expect(caseOf(found, 'reverse').fallDeg).toBeLessThan(0)
  })

  it('ask for what a differential lacks', () => {
    const lacks = (edit: (raw: RawBuild) => void) => {
      const one = foundOf(evaluateBuild(fixedAxle(edit), {}).subjects, MOUNTS)[0]!
      return one.found.known ? [] : one.found.missing.map(({ what }) => what)
    }
    expect(lacks((raw) => delete raw.drivetrain.axleRatios)).toEqual(['the final drive of rear axle'])
    expect(lacks((raw) => (raw.weight.masses = []))[0]).toContain('the weight of rear axle')
    const json = resultJson(fixedAxle((raw) => delete raw.drivetrain.axleRatios)) as any
    expect(json.mounts).toEqual([{ body: 'rear-axle', massKg: null, tailShare: null, cases: [] }])
  })

  it('turn a transfer case apart by what it gives beyond what it is given', () => {
    const boxOn = (isApart: boolean) =>
      onFeet(
        hauler,
        'transfer-case',
        FEET.map(([x, y, z]) => [x + 1500, y, z]),
        (raw) => {
          const box = raw.bodies.find(({ id }: RawBuild) => id === 'transfer-case')
          if (isApart) delete box.standsOn
          delete raw.drivetrain.grip
        },
      )
    const apart = foundAt(boxOn(true), 'transfer-case')
    const { momentNm } = given(apart, 'pulling')
    // Both outputs together: 330 · 4.2 · 2.3, less the 330 · 4.2 that the gearbox gives it.
    expect(Math.hypot(...momentNm)).toBeLessThanOrEqual(330 * 4.2 * 1.3 + 1e-6)
    expect(Math.hypot(...momentNm)).toBeGreaterThan(0.99 * 330 * 4.2 * 1.3)
    // Bolted to the gearbox, the mounts hold both.
    const bolted = boxOn(false)
    expect(mountableBodies(bolted).map(({ id }) => id)).toEqual(['powertrain'])
    expect(heldBy(bolted, bolted.mounts![0]!)?.kind).toBe('powertrain')
    const drive = driveOf(bolted, mountableBodies(bolted)[0]!)
    expect(drive.known && [drive.value.hasRanges, drive.value.shafts]).toEqual([
      true,
      [
        { axis: 'rear-shaft-drive', part: 0.5 },
        { axis: 'front-shaft-drive', part: 0.5 },
      ],
    ])
  })

  it('turn a powertrain about its own shaft', () => {
    const found = mountsOf(changedBay())
    const { momentNm } = given(found, 'pulling')
    expect(Math.hypot(...momentNm)).toBeCloseTo(240 * 3.9, 6)
    // It falls to the rear, so the reaction has a part upright.
    const fallen = Math.atan2(momentNm[2], momentNm[0])
    expect(Math.abs(fallen)).toBeGreaterThan(0.01)
  })
})

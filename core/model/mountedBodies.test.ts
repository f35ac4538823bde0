import van from '../../demo/osier-van.lurvan.json'
import hauler from '../../demo/sorrel-hauler.lurvan.json'
import { type Vec3 } from '../base/linalg/vec3'
import { parseBuild } from '../file/open/parseBuild'
import { heldBy, mountableBodies } from '../making/mounts/mountedBodies'
import { driveOf } from '../making/mounts/unitDrive'
import { changedBay } from '../testdata/bay'
import { caseOf, given, mountsOf, withMounts } from '../testdata/mounted'
import { resultJson } from '../show/result/resultJson'
import type { Build } from '../file/build/build'
import type { RawBuild } from '../testdata/builds'
import { evaluateBuild } from './evaluateBuild'
import { MOUNTS } from './mountSubject'
import { foundOf } from './subject'

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
    const found = mountsOf(build, 'rear-axle')
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

  it('take of a gap between two of them what both give', () => {
    const gapLeft = (edit: (raw: RawBuild) => void) => {
      const build = fixedAxle((raw) => {
        raw.points.push({ id: 'nose', name: 'nose of the differential', body: 'rear-axle' })
        const place = raw.readings.find(({ point }: RawBuild) => point === 'foot-0')
        raw.readings.push(
          { ...place, id: 'nose-given', point: 'nose' },
          {
            id: 'nose-gap',
            setup: raw.setups[0].id,
            kind: 'gap',
            gap: 'g',
            tool: 'tape',
            unit: 'mm',
            values: ['40'],
            way: 'free',
          },
        )
        raw.gaps.push({ id: 'g', name: 'nose to gearbox', kind: 'static', point: 'nose', toward: [0, 0, 1] })
        edit(raw)
      })
      return new Map(
        foundOf(evaluateBuild(build, {}).subjects, MOUNTS).map(({ mounted, found }) => [
          mounted.body.id,
          found.known
            ? caseOf(found.value, 'pulling').gaps.find(({ gap }) => gap === 'g')?.leftMm
            : undefined,
        ]),
      )
    }
    /** The powertrain on three feet of its own, before the gap that it is the obstacle of. */
    const onFeetToo = (raw: RawBuild) => {
      FEET.forEach(([x], i) => {
        raw.points.push({ id: `block-${i}`, name: `block ${i}`, body: 'powertrain' })
        const place = raw.readings.find(({ point }: RawBuild) => point === `foot-${i}`)
        raw.readings.push({
          ...place,
          id: `block-${i}-given`,
          point: `block-${i}`,
          station: String(-x - 2000),
        })
        raw.mounts.push({ ...raw.mounts[0], id: `b${i}`, name: `block ${i}`, point: `block-${i}` })
      })
      const at = { stationMm: 500, leftMm: 0, upMm: 50 }
      raw.weight.masses.push({ id: 'lump', name: 'engine', done: 'in', kg: 200, at, hangs: true })
    }
    const toChassis = gapLeft(() => undefined).get('rear-axle')!
    expect(toChassis).not.toBeCloseTo(40, 1)
    const across = gapLeft((raw) => {
      onFeetToo(raw)
      raw.gaps.at(-1).obstacle = 'powertrain'
    })
    // One figure, whichever of both it is told beside.
    expect(across.get('powertrain')).toBe(across.get('rear-axle'))
    const chassisPoint = gapLeft((raw) => {
      onFeetToo(raw)
      raw.gaps.at(-1).obstacle = 'powertrain'
      raw.points.find(({ id }: RawBuild) => id === 'nose').body = 'chassis'
    }).get('powertrain')!
    // What each takes alone, together.
    expect(across.get('powertrain')! - 40).toBeCloseTo(toChassis - 40 + (chassisPoint - 40), 6)
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
    const apart = mountsOf(boxOn(true), 'transfer-case')
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

import selector from '../testdata/selector.json'
import { changedDemo, demoBuild } from '../testdata/builds'
import { shiftBuild, withShift, type ToldShift } from '../testdata/shiftBuild'
import { withCable, type ToldCable } from '../testdata/cableBuild'
import { withMounts } from '../testdata/mounted'
import { norm, sub } from '../base/linalg/vec3'
import { radians } from '../base/units/angle'
import { pinAt } from '../shift/rod/arm'
import { CABLES } from './cableSubject'
import { casesOf } from '../../tests/support/expectCase'
import { setupAttitude } from '../measure/geometry/measured'
import { readingTable } from '../measure/csv/readingTable'
import { readingsFromTable } from '../measure/csv/readingsFromTable'
import { measuringTour } from '../measure/tour/tour'
import { evaluateBuild } from './evaluateBuild'
import { nearestCures } from '../answers/solver/findCures'
import type { Lever } from '../file/build/lever'
import { parseBuild } from '../file/open/parseBuild'
import { cureInstruction } from '../show/told/stateSentence'
import { SHIFTS } from './shiftSubject'
import { foundOf } from './subject'

const armOf = ({ pivot_mm: pivotMm, arm_mm: armMm, clock_deg: clockDeg, play_mm: playMm }: any) => ({
  ...{ pivotMm, armMm, clockDeg },
  ...(playMm && { playMm }),
})
const toldOf = ({ lever, box, rod_mm: rodMm, gates }: any): ToldShift => ({
  ...{ lever: armOf(lever), box: armOf(box), rodMm },
  gates: gates.map(({ name, lever_deg: leverDeg, box_deg: boxDeg }: any) => ({ name, leverDeg, boxDeg })),
})
const shiftOf = (build: Parameters<typeof evaluateBuild>[0], settings = {}) =>
  foundOf(evaluateBuild(build, settings).subjects, SHIFTS)[0]!

const SQUARE: ToldShift = {
  lever: { pivotMm: [-900, 120], armMm: 60, clockDeg: -90 },
  box: { pivotMm: [-300, 120], armMm: 60, clockDeg: -90 },
  rodMm: 600,
  gates: ['P', 'R', 'N', 'D', '2'].map((name, k) => ({ name, leverDeg: 12 * k - 24, boxDeg: 12 * k - 24 })),
}

describe('a shift linkage through the file', () => {
  const good = casesOf(selector).filter(([, { input, expect: want }]) => input.op === 'gates' && !want.error)

  it.each(good)('%s', (_id, { input, expect: want }) => {
    const { found } = shiftOf(shiftBuild(toldOf(input)))
    if (!found.known) throw new Error(JSON.stringify(found.missing))
    expect(found.value.captureDeg).toBeCloseTo(want.capture_deg, 6)
    expect(found.value.lostDeg).toBeCloseTo(want.lost_deg, 6)
    want.gates.forEach((gate: any, k: number) => {
      const { figures } = found.value.gates[k]!
      expect(figures.errorDeg).toBeCloseTo(gate.error_deg, 6)
      expect(figures.transmissionDeg).toBeCloseTo(gate.transmission_deg, 6)
      expect(figures.ratio).toBeCloseTo(gate.ratio, 6)
      expect(figures.leftDeg! >= 0).toBe(gate.ok)
      expect(figures.missesMm).toBe(0)
    })
  })

  it('says what the rod misses where it does not reach, and waits for a rod', () => {
    const { input } = casesOf(selector).find(([id]) => id === 'bad_reach2')![1]
    const { checks, found } = shiftOf(shiftBuild(toldOf(input)))
    const reach = checks.find(({ id }) => id === 'shift/shift/p/reach')!
    expect([reach.verdict, found.known && found.value.gates[0]!.figures.missesMm]).toEqual([
      'out',
      expect.closeTo(4.81, 2),
    ])
    const bare = shiftOf(shiftBuild({ ...SQUARE, rodMm: undefined }))
    expect(new Set(bare.checks.map(({ verdict }) => verdict))).toEqual(new Set(['unknown']))
    expect(bare.found.known && bare.found.value.gates.map(({ figures }) => figures)).toEqual(
      Array(5).fill({}),
    )
  })

  it('has the level count to gravity: the chassis leans, the arms do not', () => {
    const build = shiftBuild(SQUARE)
    const byLevel = {
      ...build,
      readings: build.readings.map((one) =>
        one.kind === 'shift-gate' ? { ...one, zero: 'gravity' as const } : one,
      ),
    }
    const [chassis, level] = [build, byLevel].map((one) => {
      const { found } = shiftOf(one)
      if (!found.known) throw new Error(JSON.stringify(found.missing))
      return found.value.gates.map(({ leverDeg, boxDeg }) => [leverDeg, boxDeg])
    })
    // To a chassis whose rear is low, what hangs plumb hangs back by as much.
    const attitude = setupAttitude(build, build.setups[0]!)
    const fall = level![0]![0]! - chassis![0]![0]!
    expect(fall).toBeCloseTo(attitude.known ? -attitude.value.rearLowDeg : NaN, 3)
    expect(Math.abs(fall)).toBeGreaterThan(0.1)
    level!.forEach(([lever, box], k) => {
      expect(lever! - chassis![k]![0]!).toBeCloseTo(fall, 9)
      expect(box! - chassis![k]![1]!).toBeCloseTo(fall, 9)
    })
  })

  it('goes along with its bodies: the gearbox packed up takes its arm away from the rod', () => {
    const build = shiftBuild(SQUARE)
    const tail = build.levers.find(({ id }) => id === 'tail')!
    const now = shiftOf(build, { [tail.id]: 8 })
    if (!now.found.known) throw new Error('unknown')
    const [, before] = [0, shiftOf(build)]
    if (!before.found.known) throw new Error('unknown')
    const error = (one: typeof now) => (one.found.known ? one.found.value.gates[2]!.figures.errorDeg! : NaN)
    expect(Math.abs(error(before))).toBeLessThan(1e-6)
    expect(Math.abs(error(now))).toBeGreaterThan(0.05)
    const { arms } = now.found.value
    expect(arms.box.pivot[2]).toBeGreaterThan(before.found.value.arms.box.pivot[2] + 1)
    expect(arms.lever).toEqual(before.found.value.arms.lever)
  })

  it('is set right by its rod or by the hole of an arm, as a cure of the solver', () => {
    const long = { ...shiftBuild({ ...SQUARE, rodMm: 607 }) }
    const lever = (kind: 'rod-length' | 'lever-arm'): Lever => ({
      ...{ id: kind, kind, body: 'chassis', shift: 'shift', range: [-10, 10], step: 0.5 },
    })
    const build = { ...long, levers: [lever('rod-length')], limits: { ...long.limits, entries: [] } }
    const [cure] = nearestCures(build, {})
    expect(cureInstruction(build, cure!)).toMatch(/^Make the rod of shift rod [4-7]\.[05] mm shorter$/)
    const amount = cure!.changes[0]!.amount
    const after = shiftOf(build, { 'rod-length': amount })
    expect(after.found.known && after.found.value.rodMm).toBeCloseTo(607 + amount, 9)
    expect(after.checks.every(({ verdict }) => verdict === 'holds')).toBe(true)
    const arm = shiftOf({ ...build, levers: [lever('lever-arm')] }, { 'lever-arm': 5 })
    expect(arm.found.known && arm.found.value.arms.lever.armMm).toBe(65)
    const wrong = parseBuild({ ...build, levers: [{ ...lever('rod-length'), shift: 'other' }] })
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual(['levers[0].shift'])
  })

  const CABLED: ToldCable = {
    points: [
      [-640, 60, 70],
      [-450, 320, 20],
      [-560, 60, 60],
    ],
    radiusMm: 40,
  }
  const cabled = (more = {}, cable: object = {}) =>
    changedDemo((raw) => {
      withCable(raw, { ...CABLED, more: { playMm: 0.5, leastRadiusMm: 40, ...cable } }, [2])
      withShift(raw, { ...SQUARE, rodMm: undefined })
      Object.assign(raw.shifts[0], { cable: 'cable', setIn: 'n', ...more })
    })

  it('is worked by a cable: what the lever pulls out at one end comes in at the other', () => {
    const { found, checks } = shiftOf(cabled())
    if (!found.known) throw new Error(JSON.stringify(found.missing))
    const { arms, gates, cable, rodMm, lostDeg } = found.value
    const outside = ({ leverDeg, boxDeg, figures }: (typeof gates)[0]) =>
      norm(sub(pinAt(arms.lever, radians(leverDeg)), cable!.from)) +
      norm(sub(pinAt(arms.box, radians(boxDeg + (figures.errorDeg ?? NaN))), cable!.to))
    expect(gates[2]!.figures.errorDeg).toBeCloseTo(0, 9)
    for (const gate of gates) expect(outside(gate)).toBeCloseTo(outside(gates[2]!), 6)
    expect(rodMm).toBeNull()
    // Both ways round: a little more of the lever turns the gearbox by the ratio.
    const by = 0.01
    const turned = pinAt(arms.lever, radians(gates[2]!.leverDeg + by))
    const box = pinAt(arms.box, radians(gates[2]!.boxDeg + by * gates[2]!.figures.ratio!))
    expect(norm(sub(turned, cable!.from)) + norm(sub(box, cable!.to))).toBeCloseTo(outside(gates[2]!), 5)
    // Lost at each reversal: half a millimetre of play over its turn, over an arm of 60.
    const laid = foundOf(evaluateBuild(cabled(), {}).subjects, CABLES)[0]!.found
    expect(laid.known && laid.value.figures.lostMm).toBeCloseTo(radians(lostDeg) * 60, 9)
    expect(checks.some(({ verdict }) => verdict === 'unknown')).toBe(false)
    const loose = shiftOf(cabled({ setIn: undefined }))
    expect(new Set(loose.checks.map(({ verdict }) => verdict))).toEqual(new Set(['unknown']))
    expect(() => cabled({ cable: 'other' })).toThrow('there is no cable')
  })

  it('is looked at as the engine rocks: a rod pulls at its arm then, a cable fixed to the engine does not', () => {
    const feet = [
      [-100, 220, -80],
      [-100, -220, -80],
      [-700, 0, -120],
    ] as const
    const rocked = (build: ReturnType<typeof shiftBuild>) => {
      const { found } = shiftOf(withMounts(build, feet, [-250, 0, 60]))
      if (!found.known) throw new Error(JSON.stringify(found.missing))
      return found.value
    }
    const rod = rocked(shiftBuild(SQUARE))
    for (const { figures } of rod.gates) {
      expect(figures.rockedDeg).toBeGreaterThan(0.05)
      const most = Math.max(Math.abs(figures.errorDeg!), figures.rockedDeg!)
      expect(figures.leftDeg).toBeCloseTo(rod.captureDeg - most - rod.lostDeg / 2, 9)
    }
    const cable = rocked(cabled())
    for (const { figures } of cable.gates)
      expect(figures.rockedDeg).toBeCloseTo(Math.abs(figures.errorDeg!), 6)
  })

  it('asks for each gate at both ends, and says what was not read', () => {
    const build = shiftBuild(SQUARE)
    const asked = measuringTour(build, build.setups[0]!.id).filter(
      ({ quantity }) => quantity === 'shift-gate',
    )
    expect(asked.map(({ targetName }) => targetName).slice(0, 2)).toEqual([
      'shift rod, the lever in P',
      'shift rod, the gearbox’s arm in P',
    ])
    expect(asked.every(({ isRead }) => isRead)).toBe(true)
    const less = { ...build, readings: build.readings.filter(({ id }) => id !== 'box-N') }
    const { found, checks } = shiftOf(less)
    expect(found.known ? [] : found.missing.map(({ what }) => what)).toEqual([
      'shift rod, gearbox in N: not read',
    ])
    expect(checks.every(({ verdict }) => verdict === 'unknown')).toBe(true)
    expect(evaluateBuild(demoBuild(), {}).subjects.find(({ key }) => key === 'shifts')!.found).toEqual([])
  })

  it('has readings that go out as a table and come in again as they were', () => {
    const build = shiftBuild(SQUARE)
    const { header, rows } = readingTable(build)
    const own = rows.filter((row) => row[header.indexOf('kind')] === 'shift-gate')
    expect(own[0]!.slice(header.indexOf('end'), header.indexOf('end') + 2)).toEqual(['lever', 'p'])
    let next = 0
    const result = readingsFromTable(build, { header, rows: own }, () => `new-${++next}`)
    if (!result.ok) throw new Error(JSON.stringify(result.problems))
    const strip = (one: object) => ({ ...one, id: '' })
    expect(result.readings.map(strip)).toEqual(
      build.readings.filter(({ kind }) => kind === 'shift-gate').map(strip),
    )
    const wrong = own.map((row) => row.map((cell, k) => (k === header.indexOf('gate') ? 'seven' : cell)))
    const refused = readingsFromTable(build, { header, rows: wrong }, () => 'new')
    expect(refused.ok ? '' : refused.problems[0]!.message).toBe('gate "seven" is not one of: P, R, N, D, 2')
  })
})

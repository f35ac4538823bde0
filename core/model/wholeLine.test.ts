import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { forcesOf } from '../line/forcesOf'
import { parseBuildText } from '../file/open/parseBuild'
import type { Build } from '../file/build/build'
import { resultJson } from '../show/result/resultJson'
import { runMonteCarlo } from '../answers/uncertainty/monteCarlo'
import { sampleModel } from '../answers/uncertainty/sampleModel'
import { lineFigureId } from './lineSubject'
import { evaluateBuild } from './evaluateBuild'

function demo(id: string, edit: (raw: any) => void = () => undefined): Build {
  const raw = JSON.parse(readFileSync(join(__dirname, `../../demo/${id}.lurvan.json`), 'utf8'))
  edit(raw)
  const parsed = parseBuildText(JSON.stringify(raw))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const check = (build: Build, id: string, settings = {}) =>
  evaluateBuild(build, settings).checks.find((one) => one.id === id)!

describe('a long van with a centre bearing', () => {
  const van = demo('osier-van')
  const line = van.lines[0]!

  it('has its second joint behind the bearing, on the line from the disc through it', () => {
    const { ride } = evaluateBuild(van, {}).lines[0]!
    if (!ride.known) throw new Error('not read')
    const [disc, joint] = ride.value.geometry.centres
    // By hand: the disc’s centre lies 18 mm behind its face at station 1149, height 30, along an axis that falls.
    const bearing = [-1952, 2, 12]
    const way = bearing.map((part, i) => part - disc![i]!)
    const long = Math.hypot(...way)
    for (let i = 0; i < 3; i++) expect(joint![i]).toBeCloseTo(bearing[i]! + (68 * way[i]!) / long, 6)
    expect(ride.value.reaches[0]).toBeCloseTo(long, 6)
    expect(ride.value.reaches[1]).toBeNull()
  })

  it('moves that joint with the bearing, and leaves the others', () => {
    const up = van.levers.find(({ kind, body }) => kind === 'up' && body.includes('bearing'))!
    const heights = (amount: number) =>
      resultJson({
        ...van,
        positions: [{ id: 'a', name: 'A', settings: { [up.id]: amount } }],
      }).lines[0]!.ride!.joints.map(({ heightMm }) => heightMm)
    const [before, after] = [heights(0), heights(-5)]
    expect(after[0]).toBeCloseTo(before[0]!, 9)
    expect(after[2]).toBeCloseTo(before[2]!, 9)
    // A lever of 5 mm at the bearing is a little more behind it.
    expect(before[1]! - after[1]!).toBeCloseTo(5 * (1 + 68 / 803), 1)
    expect(check(van, `${line.id}/angle/1`, { [up.id]: -5 }).value).toBeLessThan(1)
  })

  it('is checked for the force on its bearing at the design torque, as the exact turn has it', () => {
    const { lines } = evaluateBuild(van, {})
    const { ride, torque } = lines[0]!
    if (!ride.known || !torque.known) throw new Error('not known')
    // Without what the columns say of the bearing, the whole turn is worked by itself.
    const exact = forcesOf(line, { ...ride.value, bearings: [] }, torque.value.designNm).bearings[0]!
    const spread = runMonteCarlo(sampleModel(van, {}), { samples: 1000, seed: 3 })
    const figure =
      spread.figures[lineFigureId(line.id, { state: 'ride', at: null }, 'shafts[0].bearing.maxN')]!
    expect(figure.plusMinus).toBeGreaterThan(1)
    const atRide = demo('osier-van', (raw) => delete raw.lines[0].expectedRiseDeg)
    const judged = check(atRide, `${line.id}/bearing-force/1`)
    expect(judged.value! / exact.maxN).toBeCloseTo(1, 3)
    expect(judged).toMatchObject({ verdict: 'holds', window: { failHigh: 450 } })
  })

  it('says what is missing for the force while the engine is not told, and asks for no strength then', () => {
    const untold = demo('osier-van', (raw) => delete raw.drivetrain.peakTorqueNm)
    expect(check(untold, `${line.id}/bearing-force/1`)).toMatchObject({
      verdict: 'unknown',
      missing: [{ what: 'rear shaft: torque of the engine not entered', path: 'drivetrain.peakTorqueNm' }],
    })
    expect(check(untold, `${line.id}/tube-shear/1`)).toBeUndefined()
  })

  it('judges the shaft in its bearing against a seat of its own where it has one', () => {
    // Straight along the vehicle the shaft falls 1.3°; a seat that falls 2° is nearer than it seems.
    const plain = check(van, `${line.id}/bearing-misalignment/1`)
    expect(plain.value).toBeCloseTo(1.29, 1)
    expect(plain.assumptions.join()).toContain('taken to look straight along the vehicle')
    const seated = demo('osier-van', (raw) => {
      const body = raw.bodies.find(({ kind }: any) => kind === 'bearing-bracket').id
      raw.axes.push({ id: 'seat', name: 'seat', body })
      raw.lines[0].shafts[0].bearing.axis = 'seat'
      raw.readings.push({
        ...raw.readings.find(({ kind }: any) => kind === 'axis-level'),
        id: 'seat-level',
        axis: 'seat',
        values: ['2.3'],
      })
    })
    const own = check(seated, `${line.id}/bearing-misalignment/1`)
    expect(own.value).toBeLessThan(1)
    expect(own.assumptions.join()).not.toContain('straight along')
  })

  it('with a disc that has no pilot is out, whatever its angle', () => {
    const loose = demo('osier-van', (raw) => delete raw.lines[0].joints[0].centringPilot)
    expect(check(loose, `${line.id}/angle/1/pilot`)).toMatchObject({ verdict: 'out' })
    expect(evaluateBuild(loose, {}).verdict).toBe('out')
  })

  it('with heavy yokes inboard whirls earlier', () => {
    const heavy = demo('osier-van', (raw) => (raw.lines[0].shafts[1].endMasses = { kg: 1.5, inboardMm: 110 }))
    const [light, laden] = [van, heavy].map((build) => check(build, `${line.id}/critical/2`).value!)
    // A heavy yoke inboard costs some per cent.
    expect(laden! / light!).toBeGreaterThan(1.01)
    expect(laden! / light!).toBeLessThan(1.08)
  })

  it('tells slip and spline in every state, and what is missing for them', () => {
    const { value } = check(van, `${line.id}/slip-left/2`)
    const { ride } = evaluateBuild(van, {}).lines[0]!
    if (!ride.known) throw new Error('not read')
    const long = ride.value.shafts()[1]!.lengths.all[0]!.length
    expect(Math.abs(value! - (long - 1212))).toBeLessThan(1)
    const untold = demo('osier-van', (raw) => delete raw.lines[0].shafts[1].slip.closedMm)
    expect(check(untold, `${line.id}/slip-left/2`).missing[0]!.what).toBe(
      'rear shaft: shaft 2, its length pushed home not entered',
    )
  })
})

describe('a four-wheel drive', () => {
  const hauler = demo('sorrel-hauler')

  it('judges both shafts at once, the front one along its own flow', () => {
    const { lines } = evaluateBuild(hauler, {})
    expect(lines.map(({ line }) => line.name)).toEqual(['rear shaft', 'front shaft'])
    const front = lines[1]!
    if (!front.ride.known || !front.torque.known) throw new Error('not known')
    // Of the two joints only the plain one at the pinion is left to be felt: constant velocity hands the turn on evenly.
    expect(front.ride.value.anglesDeg[0]).toBeGreaterThan(11)
    const joint = front.ride.value.anglesDeg[1]!
    expect(front.ride.value.whole.equivalentAngle).toBeCloseTo((joint * Math.PI) / 180, 9)
    // μ·load·g·r/i with the front axle’s own load.
    expect(front.torque.value.limitedNm).toBeCloseTo((0.9 * 990 * 9.80665 * 0.376) / 3.9, 6)
  })

  it('turns no faster than it is driven', () => {
    const { speed } = evaluateBuild(hauler, {}).lines[0]!
    expect(speed.known && speed.value.basis).toBe('no faster than 110 km/h')
  })
})

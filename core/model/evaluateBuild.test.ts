import { demoBuild, rawDemo } from '../testdata/builds'
import { parseBuild } from '../file/open/parseBuild'
import { evaluateBuild } from './evaluateBuild'
import { jointAcceleration } from '../line/uniformity'
import { asRadians } from '../base/units/angle'
import { resultJson } from '../show/result/resultJson'
import { checkLabel, checkSentence, marginText } from '../show/text/checkText'

const UNITS = { length: 'mm', inchFraction: 16, angle: 'decimal' } as const
const edited = (edit: (raw: Record<string, any>) => void) => {
  const raw = rawDemo()
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const checkOf = (build: ReturnType<typeof demoBuild>, id: string) =>
  evaluateBuild(build, {}).checks.find((check) => check.id === id)

describe('the demo, worked by hand', () => {
  const result = resultJson(demoBuild())
  const ride = result.lines[0]!.ride!

  it('places axes and joints', () => {
    // Face 85.43° mean: 4.57° off plumb; chassis 0.8° nose-down adds; roll changes neither by more than 0.001° here.
    const pinion = result.axes.find((axis) => axis.id === 'pinion')!
    expect(pinion.fallDeg).toBeCloseTo(90 - (85.4 + 85.5 + 85.4) / 3 + 0.8, 2)
    const output = result.axes.find((axis) => axis.id === 'output')!
    expect(output.planDeg).toBeCloseTo((Math.atan2(6 - 4, 1178 + 62) * 180) / Math.PI, 6)
    // The pinion joint lies 58 mm ahead of the flange face, along the pinion.
    const fall = (pinion.fallDeg! * Math.PI) / 180
    expect(ride.joints[1]!.stationMm).toBeCloseTo(2317 - 58 * Math.cos(fall), 6)
    expect(ride.joints[1]!.heightMm).toBeCloseTo(-31 + 58 * Math.sin(fall), 6)
  })

  it('has the lengths of the shaft in every convention', () => {
    const shaft = ride.shafts[0]!
    const [front, rear] = ride.joints
    const straight = Math.hypot(
      rear!.stationMm - front!.stationMm,
      rear!.offsetLeftMm - front!.offsetLeftMm,
      rear!.heightMm - front!.heightMm,
    )
    expect(shaft.centreToCentreMm).toBeCloseTo(straight, 9)
    const named = Object.fromEntries(shaft.lengths.map((one) => [`${one.from} ${one.to}`, one]))
    expect(named['shaft-end joint-centre']!.benchMm).toBeCloseTo(straight + 112 + 22, 9)
    expect(named['seal-face flange-face']!.benchMm).toBeCloseTo(straight + 112 + 22 + 94 + 58, 9)
    // On the vehicle the bends at the joints shorten the way by a little.
    expect(named['seal-face flange-face']!.vehicleMm).toBeLessThan(named['seal-face flange-face']!.benchMm)
    expect(shaft.sealToCapSeatsMm).toBe(named['seal-face joint-centre']!.vehicleMm)
    expect(shaft.flangeToFlangeMm).toBeNull()
  })

  it('is out under drive, and judged there', () => {
    expect(result.verdict).toBe('out')
    const torsional = result.checks.find((check) => check.quantity === 'torsional-acceleration')!
    expect(torsional).toMatchObject({ state: 'drive', verdict: 'out', unit: 'rad/s2' })
    expect(torsional.value! - torsional.margin! * -1).toBeCloseTo(400, 9)
    const drive = result.lines[0]!.drive!
    const omega = (3600 * Math.PI) / 30
    const equivalent = (drive.equivalentAngleDeg * Math.PI) / 180
    expect(drive.outputPeakAccelerationRadS2! / (omega * equivalent) ** 2).toBeCloseTo(1, 2)
  })

  it('raises the permitted angle from inertia and the shaft speed', () => {
    const joint = result.checks.find((check) => check.id === 'rear/angle/1')!
    const rule = (Math.sqrt(1000) / ((3600 * Math.PI) / 30)) * (180 / Math.PI)
    expect(joint.window.failHigh! / rule).toBeCloseTo(1, 2)
    // At the edge the shaft behind one joint of this angle peaks at the limit, exactly.
    const angle = asRadians((joint.window.failHigh! * Math.PI) / 180)
    expect(jointAcceleration(angle, 3600)).toBeCloseTo(1000, 6)
  })
})

describe('checks', () => {
  it('are unknown, with what is missing, and out all the same when a known limit is broken', () => {
    const build = edited((raw) => void (delete raw.lines[0].speed, delete raw.drivetrain))
    expect(checkOf(build, 'rear/angle/1')).toMatchObject({
      verdict: 'unknown',
      missing: [{ what: 'rear shaft: highest shaft speed not entered' }],
    })
    expect(checkSentence(checkOf(build, 'rear/angle/1')!, UNITS)).toContain(
      'cannot be judged: rear shaft: highest shaft speed not entered',
    )
    const steep = edited((raw) => {
      delete raw.lines[0].speed
      delete raw.drivetrain
      raw.lines[0].joints[0].limitDeg = 2.5
    })
    expect(checkOf(steep, 'rear/angle/1')?.verdict).toBe('out')
  })

  it('treat a flexible disc without a pilot as an error', () => {
    const build = edited((raw) => (raw.lines[0].joints[0].kind = 'flex-disc'))
    const pilot = checkOf(build, 'rear/angle/1/pilot')!
    expect(pilot.verdict).toBe('out')
    expect(checkSentence(pilot, UNITS)).toContain(
      'a flexible disc without a centring pilot does not hold the shaft in place',
    )
    expect(checkOf(build, 'rear/angle/1')?.window).toMatchObject({ failHigh: 22, warnHigh: 1 })
    const held = edited((raw) =>
      Object.assign(raw.lines[0].joints[0], { kind: 'flex-disc', centringPilot: true }),
    )
    expect(checkOf(held, 'rear/angle/1/pilot')).toBeUndefined()
  })

  it('judge constant-velocity joints by their own limit only, and see no pair', () => {
    const build = edited((raw) =>
      Object.assign(raw.lines[0].joints[0], { kind: 'double-cardan', limitDeg: 24 }),
    )
    expect(checkOf(build, 'rear/angle/1')?.window).toEqual({
      failLow: null,
      warnLow: null,
      warnHigh: null,
      failHigh: 22,
    })
    expect(checkOf(build, 'rear/pair')).toBeUndefined()
  })

  it('drop the pair for schools without one and judge the pointed pinion by its last joint', () => {
    const build = edited((raw) => (raw.lines[0].school = 'pointed'))
    expect(checkOf(build, 'rear/pair')).toBeUndefined()
    expect(checkOf(build, 'rear/angle/2')?.window.warnHigh).toBe(1)
    expect(checkOf(build, 'rear/angle/1')?.window.warnHigh).not.toBe(1)
    // It is judged where the axle winds up like any other.
    expect(evaluateBuild(build, {}).lines[0]!.drive).not.toBeNull()
    const still = edited((raw) => {
      raw.lines[0].school = 'pointed'
      delete raw.lines[0].expectedRiseDeg
    })
    expect(evaluateBuild(still, {}).lines[0]).toMatchObject({ drive: null, coast: null })
  })

  it('speak in sentences with the reason', () => {
    const check = checkOf(demoBuild(), 'rear/torsional')!
    expect(checkLabel(check)).toBe('torsional under drive')
    expect(marginText(check, UNITS)).toMatch(/^out by \d+$/)
    expect(checkSentence(check, UNITS)).toMatch(
      /^Torsional under drive is \d+ rad\/s² at 3\u202f600 rev\/min: out by \d+ \(allowed up to 400 rad\/s²\); felt and heard/,
    )
  })

  it('tell a bearing that stands off the shaft’s line', () => {
    const build = edited((raw) => {
      raw.points.push({ id: 'bearing', name: 'bearing', body: 'chassis' })
      const { joints } = resultJson(demoBuild()).lines[0]!.ride!
      const mid = (key: 'stationMm' | 'offsetLeftMm' | 'heightMm') => (joints[0]![key] + joints[1]![key]) / 2
      const away = {
        station: `${mid('stationMm')}`,
        offset: `${mid('offsetLeftMm')}`,
        side: 'left',
        height: `${mid('heightMm') + 10}`,
      }
      raw.readings.push({ id: 'rb', kind: 'given-point', point: 'bearing', ...away })
      raw.lines[0].shafts[0].bearing = { point: 'bearing' }
    })
    const shaft = resultJson(build).lines[0]!.ride!.shafts[0]!
    // 10 mm up, seen square to a shaft that falls 4.7°.
    expect(shaft.bearingOffLineMm).toBeCloseTo(10 * Math.cos((shaft.fallDeg * Math.PI) / 180), 2)
  })
})

describe('a line that runs forward', () => {
  it('has the same angles and evenness as its mirror image rearward', () => {
    const rearward = rawDemo()
    rearward.lines[0].school = 'parallel'
    rearward.lines[0].joints.forEach((joint: any) => (joint.pointIs = 'centre'))
    const forward = structuredClone(rearward)
    const line = forward.lines[0]
    Object.assign(line, { driving: 'pinion', driven: 'output', flow: 'forward' })
    line.joints.reverse()
    const figures = [rearward, forward].map((raw) => {
      const parsed = parseBuild(raw)
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
      return resultJson(parsed.value).lines[0]!.ride!
    })
    const angles = figures.map((one) => one.joints.map((joint) => joint.angleDeg))
    expect(angles[1]![0]).toBeCloseTo(angles[0]![1]!, 9)
    expect(angles[1]![1]).toBeCloseTo(angles[0]![0]!, 9)
    expect(figures[1]!.equivalentAngleDeg).toBeCloseTo(figures[0]!.equivalentAngleDeg, 9)
  })
})

import { parseBuild } from '../../file/open/parseBuild'
import type { Build } from '../../file/build/build'
import { LIMIT_SCOPES } from '../../file/build/limit'
import { jointAcceleration, permittedAngleDeg } from '../../line/uniformity'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { lineFacts } from '../text/lineFacts'
import { checkSentence, checkLabel, marginText, plusMinusText } from '../text/checkText'
import { asRadians } from '../../base/units/angle'
import { checksOfLimit } from '../../model/checksOfLimit'
import { evaluateBuild } from '../../model/evaluateBuild'
import { judge } from '../../check/judge'
import { known } from '../../base/known'
import { lineStates } from '../../check/lineStates'
import { resultJson } from './resultJson'

const UNITS = demoBuild().units
const checkOf = (build: Build, id: string, settings = {}) =>
  evaluateBuild(build, settings).checks.find((check) => check.id === id)!

describe('states of a line', () => {
  it('are cruising, pulling and overrunning where the axle winds up, and say what they take', () => {
    const [line] = demoBuild().lines
    const still = { ...demoBuild(), states: [], bodies: [], axes: [] }
    const states = lineStates(still, line!)
    expect(states.map(({ state }) => state)).toEqual(['ride', 'drive', 'coast'])
    expect(states.map(({ noseUpDeg }) => (noseUpDeg.known ? noseUpDeg.value : NaN))).toEqual([0, 2, -2 / 3])
    expect(states[2]!.noseUpDeg).toMatchObject({ assumptions: [expect.stringContaining('a third')] })
    const own = lineStates(still, { ...line!, expectedDropDeg: 1 })
    expect(own[2]!.noseUpDeg).toEqual(known(-1))
    expect(lineStates(still, { ...line!, school: 'parallel', expectedRiseDeg: undefined })).toHaveLength(1)
  })

  it('turn the pinion by what it rises and drops', () => {
    const { ride, drive, coast } = resultJson(demoBuild()).lines[0]!
    const angles = [ride, drive, coast].map((state) => state!.joints[1]!.angleDeg)
    // The shaft points 1.4° sideways of the pinion; in side view the angle grows by 2 and shrinks by 2/3.
    const upright = (angle: number) =>
      Math.sqrt(angle ** 2 - Math.atan2(26, 1085) ** 2 * (180 / Math.PI) ** 2)
    expect(upright(angles[1]!) - upright(angles[0]!)).toBeGreaterThan(1.5)
    expect(angles[2]!).toBeLessThan(angles[0]!)
  })

  it('are all judged: no inertial figure is shown past its limit while every check holds', () => {
    for (let tail = -40; tail <= 60; tail += 5) {
      for (let wedge = -6; wedge <= 6; wedge++) {
        const build = changedDemo((raw) => (raw.lines[0].speed.redlineRpm = 4400))
        const evaluation = evaluateBuild(build, { tail, wedge })
        if (evaluation.verdict !== 'holds' && evaluation.verdict !== 'tight') continue
        const swung = lineFacts(build, evaluation.lines[0]!)
          .filter(({ about }) => about === 'inertia')
          .flatMap(({ facts }) => facts.map(({ value }) => Number.parseFloat(value.replace(/\u202f/g, ''))))
        expect(swung).toHaveLength(3)
        expect(Math.max(...swung)).toBeLessThanOrEqual(1000)
      }
    }
  })

  it('show the worst with where it happens', () => {
    const torsional = checkOf(demoBuild(), 'rear/torsional')
    expect([checkLabel(torsional), torsional.state]).toEqual(['torsional under drive', 'drive'])
    const nose = checkOf(demoBuild(), 'rear/angle/2', { wedge: -6 })
    expect(checkLabel(nose)).toMatch(/^joint 2 (on overrun|at ride)$/)
  })
})

describe('the scope of a limit', () => {
  it('picks the states it is looked at in', () => {
    const scoped = (scope: (typeof LIMIT_SCOPES)[number]) =>
      changedDemo((raw) => {
        for (const entry of raw.limits.entries) entry.scope = scope
      })
    expect(checkOf(scoped('ride'), 'rear/torsional').state).toBe('ride')
    expect(checkOf(scoped('max-speed'), 'rear/torsional').state).toBe('drive')
    const windows = LIMIT_SCOPES.map((scope) => checkOf(scoped(scope), 'rear/angle/2').value)
    expect(windows[0]).not.toBe(windows[1])
  })

  it('tells which checks a limit has a say in', () => {
    const build = demoBuild()
    const evaluation = evaluateBuild(build, {})
    const limit = (id: string) => build.limits.entries.find((one) => one.id === id)!
    expect(checksOfLimit(build, evaluation, limit('inertia')).map(({ id }) => id)).toEqual([
      'rear/angle/1',
      'rear/angle/2',
    ])
    expect(checksOfLimit(build, evaluation, limit('torsional')).map(({ id }) => id)).toEqual([
      'rear/torsional',
    ])
    expect(checksOfLimit(build, evaluation, limit('pointed'))).toEqual([])
  })

  it('counts the warning of the room to a joint’s own limit', () => {
    const build = changedDemo((raw) => {
      raw.lines[0].joints[1].limitDeg = 6
      raw.limits.entries = raw.limits.entries.filter((one: any) => one.id !== 'inertia')
      Object.assign(
        raw.limits.entries.find((one: any) => one.id === 'joint-limit'),
        { warnBelow: 5 },
      )
      for (const entry of raw.limits.entries) entry.scope = 'ride'
    })
    // 1.73° of a joint that goes to 6°: 4.27° are left, fewer than the 5° wanted.
    expect(checkOf(build, 'rear/angle/2')).toMatchObject({
      verdict: 'tight',
      window: { warnHigh: 1, failHigh: 4 },
    })
  })
})

describe('the inertial limit', () => {
  it('is exact: 38° at 450 rev/min is past it though the small-angle rule says 977 rad/s²', () => {
    const angle = asRadians((38 * Math.PI) / 180)
    expect(jointAcceleration(angle, 450)).toBeCloseTo(1127, 0)
    expect(permittedAngleDeg(1000, 450)).toBeLessThan(38)
    expect(((450 * Math.PI) / 30) ** 2 * angle ** 2).toBeLessThan(1000)
    expect(jointAcceleration(asRadians((permittedAngleDeg(1000, 450) * Math.PI) / 180), 450)).toBeCloseTo(
      1000,
      6,
    )
  })

  it('has nothing to say of a shaft beside a joint of constant velocity', () => {
    const build = changedDemo((raw) => {
      raw.lines[0].joints[0].kind = 'cv'
      raw.lines[0].joints[0].limitDeg = 22
    })
    const { drive } = resultJson(build).lines[0]!
    expect(drive!.inertialDriveRadS2).toBe(0)
    expect(drive!.shafts[0]!.peakAccelerationRadS2).toBeCloseTo(0, 9)
    expect(drive!.inertialCoastRadS2).toBeGreaterThan(100)
    expect(drive!.shafts[0]!.peakAccelerationCoastRadS2).toBeGreaterThan(100)
  })
})

describe('a value that is no number', () => {
  it('is unknown, never "holds"', () => {
    const head = checkOf(demoBuild(), 'rear/pair')
    const bounds = [{ basis: 'x', failAbove: 1 }]
    for (const value of [NaN, Infinity, -Infinity])
      expect(judge(head, known(value), bounds)).toMatchObject({
        verdict: 'unknown',
        value: null,
        margin: null,
      })
  })

  it('is refused as a lever amount at the door', () => {
    expect(() => evaluateBuild(demoBuild(), { tail: NaN })).toThrow(
      'settings.tail: expected a number, got NaN',
    )
  })
})

describe('joints that cannot turn', () => {
  const texts = (build: Build) => JSON.stringify(resultJson(build, undefined, 200))

  it('are out with the reason, and nothing in the result is endless or not a number', () => {
    const upright = changedDemo((raw) => {
      Object.assign(
        raw.readings.find((one: any) => one.id === 'r4'),
        { values: ['89'] },
      )
      raw.readings.find((one: any) => one.id === 'r10').values = ['2000']
    })
    const joint = checkOf(upright, 'rear/angle/1')
    expect(joint.value).toBeGreaterThan(20)
    const reversed = changedDemo((raw) => {
      raw.lines[0].joints.forEach((one: any) => (one.pointIs = 'centre'))
      raw.lines[0].joints.reverse()
    })
    const first = checkOf(reversed, 'rear/angle/1')
    expect(first.verdict).toBe('out')
    expect(checkSentence(first, UNITS)).toMatch(
      /the line doubles back: its joints or its power flow are named the wrong way round/,
    )
    expect(checkOf(reversed, 'rear/torsional')).toMatchObject({ verdict: 'unknown', value: null })
    expect(checkOf(reversed, 'rear/torsional').missing[0]!.what).toMatch(/^rear shaft: joint 1, at 17\d°/)
    const result = resultJson(reversed, undefined, 200)
    expect(result.lines[0]).toMatchObject({ known: false, ride: null })
    for (const build of [upright, reversed]) expect(texts(build)).not.toMatch(/Infinity|NaN/)
  })

  it('says that joints coincide', () => {
    const build = changedDemo((raw) => {
      raw.lines[0].joints.forEach((one: any) => (one.pointIs = 'centre'))
      raw.lines[0].joints[1].point = 'output-joint'
    })
    expect(checkOf(build, 'rear/torsional').missing[0]!.what).toContain('stand at the same place')
  })
})

describe('words of a verdict', () => {
  const base = { ...checkOf(demoBuild(), 'rear/torsional'), state: 'ride' as const }
  const window = { failLow: null, warnLow: null, warnHigh: 300, failHigh: 400 }

  it('tell the room to where it fails, with the warning named beside it', () => {
    const holds = { ...base, value: 250, window, verdict: 'holds' as const, margin: 150 }
    expect(checkSentence(holds, UNITS)).toContain(
      'holds by 150 (allowed up to 400 rad/s², wanted up to 300 rad/s²)',
    )
    const past = { ...holds, value: 344, verdict: 'tight' as const, margin: 56 }
    expect(marginText(past, UNITS)).toBe('tight, 56 left')
    const unsure = { ...holds, value: 283, verdict: 'tight' as const, margin: 117, plusMinus: 98 }
    expect(marginText(unsure, UNITS)).toBe('tight by its ±')
    const warnOnly = {
      ...holds,
      value: 320,
      window: { ...window, failHigh: null },
      verdict: 'tight' as const,
      margin: -20,
    }
    expect(marginText(warnOnly, UNITS)).toBe('tight by 20')
  })

  it('give an interval where the value may as well be nought', () => {
    expect(plusMinusText({ ...base, plusMinus: 30, interval: [0, 42] }, UNITS)).toBe('0–42 rad/s²')
    const angle = { ...base, quantity: 'joint-angle' as const, plusMinus: 0.2, interval: [0, 0.42] as const }
    expect(plusMinusText(angle, UNITS)).toBe('0.00–0.42°')
  })
})

describe('a build of nothing', () => {
  it('is unknown, and its result says so without a figure', () => {
    const parsed = parseBuild({ format: 'lurvan-build', version: 1, name: 'nothing' })
    if (!parsed.ok) throw new Error('refused')
    expect(resultJson(parsed.value, undefined, 100)).toMatchObject({
      verdict: 'unknown',
      checks: [],
      lines: [],
    })
  })
})

import { isSameState } from '../check/check'
import { halfshaft } from '../vehicle/halfshaft/halfshaft'
import { halfshaftExtremes } from '../vehicle/halfshaft/plungeWindow'
import { travelPlaceId } from '../file/build/wheelPlaces'
import { hubBuild, hubFile } from '../testdata/hubBuild'
import cases from '../testdata/halfshaft.json'
import { compile } from './compile'
import { evaluateBuild } from './evaluateBuild'
import { jointWay, schoolLengths } from './halfshafts'
import { travelWays } from './travelCurves'

/** A steered strut. */
const STEERED = (cases.cases as any[]).flatMap(({ input }) =>
  Object.values<any>(input.sides).filter(({ type, rack }) => type === 'strut' && rack),
)[0]
const INPUT = { side: STEERED, bump: 60, droop: 80, rack_mm: 55, plunge_mm: 24 }

const lengthAt = (build: ReturnType<typeof hubBuild>, at: string | null, settings = {}) => {
  const { lines } = evaluateBuild(build, settings)
  const state = lines[0]!.states.find((one) =>
    isSameState(one, { state: 'ride', at: at === null ? null : { id: at, name: '' } }),
  )!
  return state.figures
}
const spanAt = (build: ReturnType<typeof hubBuild>, at: string | null, settings = {}) => {
  const found = lengthAt(build, at, settings)
  if (!found.known) throw new Error(JSON.stringify(found.missing))
  return found.value.shafts()[0]!.lengths.all[0]!.length
}

describe('a hub with its wheel and its steering', () => {
  const build = hubBuild(hubFile(INPUT))
  const shaft = halfshaft({
    suspension: {
      kind: 'strut',
      lower: STEERED.lower,
      top: STEERED.strut.top,
      onStrut: STEERED.strut.axis_point,
      tie: STEERED.tie,
    },
    wheel: STEERED.wheel_centre,
    inner: STEERED.inner_cv,
    outer: STEERED.outer_cv,
    innerAxis: STEERED.inner_axis,
    outerAxis: STEERED.outer_axis,
  })

  it('is judged with the rack at either end as well', () => {
    const [want] = [halfshaftExtremes(shaft, { bumpMm: 60, droopMm: 80, rackMm: 55 })]
    const { halfshafts, checks } = evaluateBuild(build, {})
    const [found] = halfshafts
    expect(found!.longest.lengthMm).toBeCloseTo(want.longest.value, 2)
    expect(found!.shortest.lengthMm).toBeCloseTo(want.shortest.value, 2)
    expect(found!.longest.rackMm).toBeCloseTo(want.longest.rackMm, 9)
    expect(found!.shortest.rackMm).toBeCloseTo(want.shortest.rackMm, 9)
    expect(Math.abs(found!.longest.upMm - want.longest.atMm)).toBeLessThan(0.5)
    const steepest = checks.find(({ id }) => id === 'half/angle/2')!
    expect(steepest.value).toBeCloseTo(want.outerAngle.value, 2)
    expect(steepest.at?.name).toContain('rack to the')
  })

  it('stands at each named place where the suspension lets it', () => {
    for (const [place, up, rack] of [
      ['droop', -80, 0],
      ['bump', 60, 0],
      ['left-lock', 0, 55],
      ['right-lock', 0, -55],
      ['droop-left-lock', -80, 55],
      ['bump-right-lock', 60, -55],
    ] as const)
      expect(spanAt(build, travelPlaceId(place))).toBeCloseTo(shaft.at(up, rack)!.lengthMm, 6)
  })

  it('goes through its travel straight ahead and at both locks, never crossed', () => {
    const ways = travelWays(compile(build), {})
    expect(ways.map(({ way }) => way)).toEqual(['parallel', 'left-lock', 'right-lock'])
    const locked = ways[1]!.lines[0]!
    expect(locked.anglesDeg.at(-1)![1]).toBeCloseTo(shaft.at(60, 55)!.outerAngleDeg, 6)
  })

  it('says where the suspension does not reach', () => {
    const far = hubFile({ ...INPUT, droop: 600 })
    const found = lengthAt(hubBuild(far), travelPlaceId('droop'))
    expect(found.known ? [] : found.missing.map(({ what }) => what)).toEqual([
      'left hub: the suspension cannot reach −600 mm, at full droop',
    ])
  })

  it('stands lower on springs that stand higher, and goes no further down than its strap lets it', () => {
    const file = hubFile(INPUT)
    file.levers = [
      { id: 'lift', kind: 'lift', body: 'hub', range: [0, 40], step: 5 },
      { id: 'strap', kind: 'strap', body: 'hub', range: [0, 60], step: 5 },
    ]
    const lifted = hubBuild(file)
    expect(spanAt(lifted, null, { lift: 20 })).toBeCloseTo(shaft.at(-20)!.lengthMm, 6)
    expect(spanAt(lifted, travelPlaceId('left-lock'), { lift: 20 })).toBeCloseTo(
      shaft.at(-20, 55)!.lengthMm,
      6,
    )
    expect(spanAt(lifted, travelPlaceId('droop'), { strap: 30 })).toBeCloseTo(shaft.at(-50)!.lengthMm, 6)
    expect(spanAt(lifted, travelPlaceId('bump'), { strap: 30 })).toBeCloseTo(shaft.at(60)!.lengthMm, 6)
  })

  it('does not move while its points are not read, and says which', () => {
    const file = hubFile(INPUT)
    file.readings = file.readings.filter(({ point }: any) => point !== 'strutTop')
    const found = lengthAt(hubBuild(file), travelPlaceId('droop'))
    expect(found.known).toBe(false)
    expect(JSON.stringify(found)).toContain('strutTop')
    expect(spanAt(hubBuild(file), null)).toBeCloseTo(shaft.at(0)!.lengthMm, 6)
  })

  it('refuses points on the wrong side of what moves', () => {
    const file = hubFile(INPUT)
    const [hub] = file.bodies.slice(-1)
    hub.motion.points.strutTop = 'onStrut'
    hub.motion.points.lowerBall = 'nowhere'
    expect(() => hubBuild(file)).toThrow(/motion.points.lowerBall.*there is no point/)
    hub.motion.points.lowerBall = 'lowerBall'
    expect(() => hubBuild(file)).toThrow('goes along with the hub itself')
  })
})

describe('both schools of a length', () => {
  it('are told with the way of the joint, and clear only where its plunge is told', () => {
    const [found] = evaluateBuild(hubBuild(hubFile(INPUT)), {}).halfshafts
    const { schools, shorterMm } = schoolLengths(found!)
    expect(schools.map(({ school, isClear }) => [school, isClear])).toEqual([
      ['middle', true],
      ['ride', true],
    ])
    const [middle, ride] = schools.map(({ lengthMm }) => jointWay(found!, lengthMm))
    // The middle of the range is as far out as in; at ride height the other stands in its middle.
    expect(middle!.mostMm).toBeCloseTo(-middle!.leastMm, 9)
    expect(ride!.rideMm).toBeCloseTo(0, 9)
    expect(middle!.rideMm).toBeCloseTo(shorterMm, 9)
    const untold = hubFile({ ...INPUT, plunge_mm: undefined })
    const [bare] = evaluateBuild(hubBuild(untold), {}).halfshafts
    expect(schoolLengths(bare!).schools.map(({ isClear }) => isClear)).toEqual([null, null])
  })
})

describe('a hub by the distances of its joints', () => {
  const measured = (rows: readonly (readonly [number, number])[]) => {
    const file = hubFile(INPUT)
    const hub = file.bodies.at(-1)
    hub.travel = { bumpMm: 60, droopMm: 80 }
    hub.motion = {
      kind: 'lengths',
      inner: 'inner',
      outer: 'outer',
      rows: rows.map(([wheelUpMm, lengthMm]) => ({ wheelUpMm, lengthMm })),
    }
    return file
  }
  const ROWS = [
    [-80, 541.2],
    [0, 545.6],
    [60, 543.9],
  ] as const

  it('stands as far apart as was measured, at ride height too', () => {
    const build = hubBuild(measured(ROWS))
    expect(spanAt(build, travelPlaceId('droop'))).toBeCloseTo(541.2, 9)
    expect(spanAt(build, null)).toBeCloseTo(545.6, 9)
    expect(spanAt(build, travelPlaceId('bump'))).toBeCloseTo(543.9, 9)
    const [found] = evaluateBuild(build, {}).halfshafts
    // Between two measured heights the place of the peak is found to some tenths of a millimetre, its length to a thousandth.
    expect(found!.longest.lengthMm).toBeGreaterThan(545.599)
    expect(found!.shortest).toMatchObject({ lengthMm: expect.closeTo(541.2, 9), upMm: -80 })
  })

  it('asks for more heights, and for those it does not reach', () => {
    const one = lengthAt(hubBuild(measured([[0, 545.6]])), travelPlaceId('droop'))
    expect(JSON.stringify(one)).toContain('measured at one height; it takes three')
    const short = lengthAt(hubBuild(measured([[-40, 544], ...ROWS.slice(1)])), travelPlaceId('droop'))
    expect(JSON.stringify(short)).toContain('its halfshaft was not measured that far, at full droop')
    const apart = lengthAt(hubBuild(measured([[-80, 60], ...ROWS.slice(1)])), travelPlaceId('droop'))
    expect(apart.known).toBe(false)
    expect(() => hubBuild(measured([...ROWS].reverse()))).toThrow('rise from row to row')
  })
})

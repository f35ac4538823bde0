import { axlesOf } from '../../file/parts/bodies'
import { evaluateBuild } from '../../model/evaluateBuild'
import { resultJson } from '../../show/result/resultJson'
import { changedDemo, demoBuild, rawDemo } from '../../testdata/builds'
import { provingWith } from '../uncertainty/provenCure'
import { parseBuild } from '../../file/open/parseBuild'
import { cureInstruction, cureRemark } from '../../show/told/stateSentence'
import { changeInstruction, leverAmount } from '../../show/told/leverText'
import { thickEnd } from '../../show/text/wedgeText'
import { leastEffortCure, nearestCures } from './findCures'
import { effortOf, leverGrid } from '../../vehicle/moves/leverGrid'
import { parseLeverAmount } from '../../vehicle/moves/leverInput'
import { spacerStack } from '../../vehicle/moves/spacers'

const build = demoBuild()
const verdictAt = (settings: Record<string, number>) => evaluateBuild(build, settings).verdict

describe('nearestCures', () => {
  const cures = nearestCures(build, {})

  it('gives for each lever the smallest change after which everything holds', () => {
    expect(cures.map((cure) => cure.reaches)).toEqual(['holds', 'none'])
    for (const { changes } of cures.slice(0, 1)) {
      const { lever, amount } = changes[0]!
      expect(verdictAt({ [lever.id]: amount })).toBe('holds')
      const nearer = leverGrid(lever, 0).filter((other) => Math.abs(other.amount) < Math.abs(amount))
      expect(nearer.map((other) => verdictAt({ [lever.id]: other.amount }))).not.toContain('holds')
    }
  })

  it('says it as an instruction', () => {
    expect(cures.map((cure) => cureInstruction(build, cure)).sort()).toEqual([
      '1.5° wedge, nose down: thick end to the front',
      // Nearest to all limits, which it does not reach.
      expect.stringMatching(/ the tail (up )?\d+\.0 mm/),
    ])
    expect(cureRemark(build, cures[0]!)).toBe('Then every check holds.')
  })

  it('prefers a little more work to a knife’s edge, and says how likely it holds', () => {
    const edge = changedDemo((raw) => {
      // Right at what 1.5° of wedge reaches: it holds as computed, and nearly half of the truths are past it.
      const pair = evaluateBuild(build, { wedge: -1.5 }).checks.find(({ id }) => id === 'rear/pair')!
      const limit = (id: string) => raw.limits.entries.find((one: any) => one.id === id)
      Object.assign(limit('torsional'), { warnAbove: 900, failAbove: 1000 })
      Object.assign(limit('pair'), { warnAbove: pair.value! + 0.02, failAbove: pair.value! + 0.02 })
    })
    const at = (prove: boolean) =>
      nearestCures(edge, {}, provingWith(edge, prove)).find((cure) => cure.changes[0]!.lever.id === 'wedge')!
    expect(at(false).changes[0]!.amount).toBe(-1.5)
    const sure = at(true)
    expect(sure).toMatchObject({ reaches: 'holds', changes: [{ amount: -2 }] })
    expect(sure.likelihood).toBeGreaterThan(0.95)
    expect(cureRemark(edge, sure)).toMatch(
      /^Then every check holds, (9\d|over 99) % likely with what was read\.$/,
    )
  })

  it('tells the wedge that is to be in place, not its difference', () => {
    const lever = build.levers[1]!
    expect(changeInstruction(build, { lever, amount: -2.5, change: -0.5 })).toBe(
      'Change the wedge: 2.5° wedge, nose down: thick end to the front',
    )
    expect(changeInstruction(build, { lever, amount: 0, change: 2 })).toBe('Take the wedge out')
    expect(changeInstruction(build, { lever: build.levers[0]!, amount: 14, change: 4 })).toBe(
      'Pack the tail up 4.0 mm, to 14.0 mm up in all',
    )
  })

  it('says why mounts in one upright plane give a lever no hold', () => {
    const upright = changedDemo((raw) => {
      for (const reading of raw.readings)
        if (/^mount-/.test(reading.point ?? '') && reading.kind === 'point-offset') reading.values = ['4']
      raw.readings.find((one: any) => one.point === 'mount-left' && one.kind === 'point-offset').side =
        'right'
    })
    const tail = nearestCures(upright, {}).find((cure) => cure.changes[0]!.lever.id === 'tail')!
    expect(tail.reaches).toBe('none')
    expect(cureRemark(upright, tail)).toMatch(/mounts lie in one upright plane, so lifting one has no hold/)
  })

  it('names what stands in the way when a lever alone cannot do it', () => {
    const raw = rawDemo()
    raw.levers[0].range = [-3, 3]
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    const tail = nearestCures(parsed.value, {}).find((cure) => cure.changes[0]!.lever.id === 'tail')!
    expect(tail.reaches).toBe('none')
    expect(cureRemark(parsed.value, tail)).toBe(
      'The tail at the crossmember alone does not do it: torsional under drive stays out.',
    )
  })

  it('does not call a lever a cure whose points were not read', () => {
    const raw = rawDemo()
    raw.readings = raw.readings.filter((reading: any) => reading.point !== 'mount-left')
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    const tail = nearestCures(parsed.value, {}).find((cure) => cure.changes[0]!.lever.id === 'tail')!
    expect(tail.reaches).toBe('none')
  })
})

describe('leastEffortCure', () => {
  const narrow = () =>
    changedDemo((raw) => {
      raw.levers[0].range = [-30, 30]
      raw.levers[1].range = [-1.5, 1.5]
      raw.limits.entries.find((one: any) => one.id === 'torsional').warnAbove = 230
    })
  const last = (run: ReturnType<typeof leastEffortCure>) => {
    for (;;) {
      const step = run.next()
      if (step.done) return step.value
    }
  }

  it('finds the cheapest of all settings when no lever has room alone: no cheaper one holds', () => {
    const build = narrow()
    expect(nearestCures(build, {}).map((cure) => cure.reaches)).not.toContain('holds')
    const cure = last(leastEffortCure(build, {}))
    expect(cure.reaches).toBe('holds')
    expect(cure.changes.every(({ change }) => change !== 0)).toBe(true)
    const effort = cure.changes.reduce((sum, { lever, amount }) => sum + effortOf(lever, 0, amount), 0)
    const [tail, wedge] = build.levers.map((lever) => leverGrid(lever, 0))
    const cheaper = tail!.flatMap((a) =>
      wedge!.filter((b) => a.effort + b.effort < effort - 1e-9).map((b) => [a, b] as const),
    )
    expect(cheaper.length).toBeGreaterThan(20)
    for (const [a, b] of cheaper)
      expect(evaluateBuild(build, { tail: a.amount, wedge: b.amount }).verdict).not.toBe('holds')
  })

  it('offers only heights that the spacers at hand make', () => {
    const [tail] = build.levers
    const heights = leverGrid(tail!, 0)
      .map(({ amount }) => amount)
      .filter((amount) => amount > 0)
    expect(heights).toEqual(expect.arrayContaining([3, 5, 8, 9, 12.7, 15.7, 25.4]))
    expect(heights).not.toContain(4)
    expect(heights.every((height) => spacerStack(height, tail!.stock!) !== null)).toBe(true)
    expect(leverGrid({ ...tail!, stock: [] }, 0).map(({ amount }) => amount)).toContain(4)
  })

  it('tells how far it has come, and can be left', () => {
    const hopeless = changedDemo((raw) =>
      Object.assign(
        raw.limits.entries.find((one: any) => one.id === 'torsional'),
        { warnAbove: 1, failAbove: 1 },
      ),
    )
    const run = leastEffortCure(hopeless, {})
    expect(run.next()).toEqual({ done: false, value: 250 })
    expect(run.return({} as never).done).toBe(true)
  })
})

describe('levers move the bodies they should', () => {
  it('a wedge turns the pinion by its own angle and leaves the gearbox alone', () => {
    const moved = resultJson({ ...build, positions: [{ id: 'a', name: 'A', settings: { wedge: 2 } }] })
    const still = resultJson(build)
    const fall = (result: typeof moved, id: string) => result.axes.find((axis) => axis.id === id)!.fallDeg!
    expect(fall(moved, 'pinion') - fall(still, 'pinion')).toBeCloseTo(2, 9)
    expect(fall(moved, 'output')).toBeCloseTo(fall(still, 'output'), 12)
  })

  it('packing the tail lifts the output and lessens its fall', () => {
    const moved = resultJson({ ...build, positions: [{ id: 'a', name: 'A', settings: { tail: 9 } }] })
    const still = resultJson(build)
    const output = (result: typeof moved) => result.lines[0]!.ride!.joints[0]!
    // 9 mm at 864 mm from the front mounts, the output 1030 mm from them.
    expect(output(moved).heightMm - output(still).heightMm).toBeCloseTo((9 * 1030) / 864, 1)
    expect(moved.axes[1]!.fallDeg! - still.axes[1]!.fallDeg!).toBeCloseTo((-9 / 864) * (180 / Math.PI), 2)
  })
})

describe('words and stock', () => {
  it('stacks the fewest spacers', () => {
    expect(spacerStack(9, [3, 5, 6, 10])).toEqual([6, 3])
    expect(spacerStack(12.7, [3, 5, 12.7])).toEqual([12.7])
    expect(spacerStack(1, [3, 5])).toBeNull()
    expect(spacerStack(30, [3, 5, 6, 10])).toEqual([10, 10, 10])
  })

  it('knows which way the thick end of a wedge points', () => {
    const axle = axlesOf(build)[0]!
    expect(thickEnd(axle, 2)).toBe('rear')
    expect(thickEnd(axle, -2)).toBe('front')
    expect(thickEnd({ ...axle, spring: 'below' }, 2)).toBe('front')
    expect(thickEnd({ ...axle, noseFaces: 'rearward' }, 2)).toBe('front')
    expect(thickEnd({ ...axle, spring: undefined }, 2)).toBeNull()
  })

  it('says amounts without bare signs and reads them back in the build’s units', () => {
    const [tail, wedge] = build.levers
    const inch = { ...build.units, length: 'in' as const }
    expect(leverAmount(tail!, -9, build.units)).toBe('9.0 mm down')
    expect(leverAmount(wedge!, 2, build.units)).toBe('2.0° nose up')
    expect(parseLeverAmount(tail!, '3/8', true, inch)).toEqual({ ok: true, value: 9.524999999999999 })
    expect(parseLeverAmount(tail!, '90', false, build.units)).toEqual({
      ok: false,
      message: 'this lever goes no further than 40.0',
    })
    expect(parseLeverAmount(wedge!, '-1', true, build.units)).toMatchObject({ ok: false })
  })
})

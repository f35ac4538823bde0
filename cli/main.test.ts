import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Ajv2020 from 'ajv/dist/2020'
import type { ResultJson } from '../core/show/result/resultJson'
import { LAYOUTS } from '../core/file/edits/layouts'
import { withLayout } from '../core/file/edits/withLayout'
import { bareBuild } from '../core/file/edits/newBuild'
import { rawDemo } from '../core/testdata/builds'
import { EXIT, main } from './main'

const folder = mkdtempSync(join(tmpdir(), 'lurvan-'))
const ROOT = join(__dirname, '..')
const json = (path: string) => JSON.parse(readFileSync(join(ROOT, path), 'utf8'))

function file(name: string, content: unknown): string {
  const path = join(folder, name)
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content))
  return path
}

/** Few samples: these tests look at words and exit codes, not at the ±. */
const QUICK = ['--samples', '400']

async function run(...args: string[]) {
  const streams = { out: '', err: '' }
  const code = await main(args, {
    out: (text) => void (streams.out += text),
    err: (text) => void (streams.err += text),
  })
  return { code, ...streams }
}

describe('lurvan check', () => {
  it('prints the checks as a table and leaves with 1 when something is out', async () => {
    const { code, out } = await run('check', join(ROOT, 'demo/fen-tender.lurvan.json'), ...QUICK)
    expect(code).toBe(1)
    expect(out).toContain('Fen tender, position A')
    expect(out).toMatch(
      /□ {2}torsional under drive +\d+ rad\/s² +± \d+ rad\/s² +0 % +up to 300 rad\/s² +out by \d+/,
    )
  })

  it('leaves with 0 when the cure is set, 3 when a reading is missing', async () => {
    const cured = rawDemo()
    cured.positions.push({ id: 'b', name: 'B', settings: { tail: 5, wedge: -1.5 } })
    const path = file('cured.json', cured)
    expect((await run('check', path, ...QUICK)).code).toBe(1)
    expect((await run('check', path, '--position', 'b', ...QUICK)).code).toBe(0)
    const open = rawDemo()
    open.readings = open.readings.slice(0, 3)
    const unsettled = await run('check', file('open.json', open), ...QUICK)
    expect(unsettled.code).toBe(3)
    expect(unsettled.out).toContain('missing: gearbox output: level not read')
  })

  it('names slips and goes on, instead of breaking with a verdict’s exit code', async () => {
    const slips = [
      ['r3', ['86.4', '8.65', '86.4'], 'the repeat 8.65 stands far off the others'],
      ['r1', ['89.95'], ''],
      ['r1', ['0.8', '80'], 'the repeats 0.8 and 80 contradict each other'],
    ] as const
    for (const [id, values, said] of slips) {
      const raw = rawDemo()
      raw.readings.find((one: any) => one.id === id).values = values
      const { code, out, err } = await run('check', file('slip.json', raw), ...QUICK)
      expect([0, 1, 3]).toContain(code)
      expect(err).toBe('')
      if (said) expect(out).toContain(said)
    }
  })

  it('tells what is wrong with a registration like the interface does', async () => {
    const raw = json('docs/examples/two-setups.lurvan.json')
    const shots = raw.readings.filter((one: any) => one.kind === 'setup-point')
    shots[0].values[0] = 'twelve hundred'
    const { out } = await run('check', file('datum.json', raw), ...QUICK)
    expect(out).toMatch(/datum points: .+, along in On stands, own lines: "hundred" is not a unit of length/)
  })

  it('has an exit code of its own for a fault of the program', async () => {
    let err = ''
    const code = await main(['check', join(ROOT, 'demo/fen-tender.lurvan.json'), ...QUICK], {
      out: () => {
        throw new RangeError('Maximum call stack size exceeded')
      },
      err: (text) => void (err += text),
    })
    expect([code, err]).toEqual([
      EXIT.fault,
      'lurvan: the program failed: Maximum call stack size exceeded\n',
    ])
  })

  it('wants a value behind an option that takes one', async () => {
    const demo = join(ROOT, 'demo/fen-tender.lurvan.json')
    expect((await run('check', demo, '--position')).err).toContain('--position wants the id of a position')
    expect((await run('check', demo, '--position', '--json')).code).toBe(2)
    expect((await run('check', demo, '--samples')).err).toContain('--samples wants a whole number')
  })

  it('leaves with 2 and the place for a file it cannot read', async () => {
    const broken = rawDemo()
    broken.lines[0].joints[1].kind = 'knuckle'
    const bad = await run('check', file('broken.json', broken))
    expect(bad).toMatchObject({ code: 2, out: '' })
    expect(bad.err).toContain('lines[0].joints[1].kind: must be one of: cross')
    expect((await run('check', file('cut.json', '{"format":'))).err).toContain('this is not JSON')
    expect((await run('check', join(folder, 'none.json'))).err).toContain('ENOENT')
    expect((await run('check', 'a.json', 'b.json')).err).toContain('name one file')
    expect((await run('check', 'a.json', '--samples', 'many')).err).toContain(
      '--samples wants a whole number',
    )
    expect((await run('weigh')).err).toContain('there is no command "weigh"')
    expect((await run('check', file('p.json', rawDemo()), '--position', 'q')).err).toContain(
      'there is no position "q"',
    )
    expect((await run('--help')).out).toContain('Exit code: 0 holds')
  })
})

describe('the published schemas', () => {
  const ajv = new Ajv2020({ allErrors: true })
  const isBuild = ajv.compile(json('docs/format/lurvan-build.schema.json'))
  const isResult = ajv.compile(json('docs/format/lurvan-result.schema.json'))
  const examples = [
    'demo/fen-tender',
    'docs/examples/smallest',
    'docs/examples/four-joints',
    'docs/examples/two-setups',
  ].map((name) => `${name}.lurvan.json`)

  it.each(examples)('accept %s and its result', async (example) => {
    expect(isBuild(json(example)) || isBuild.errors).toBe(true)
    const { out } = await run('check', join(ROOT, example), '--json', ...QUICK)
    expect(isResult(JSON.parse(out)) || isResult.errors).toBe(true)
  })

  it('refuse what the program refuses', () => {
    for (const edit of [
      (raw: any) => (raw.lines[0].joints[1].kind = 'knuckle'),
      (raw: any) => delete raw.readings[0].setup,
      (raw: any) => (raw.setups[0].loaded = 'yes'),
      (raw: any) => (raw.version = 3),
      (raw: any) => (raw.limits.entries[0].unit = 'furlong'),
    ]) {
      const raw = rawDemo()
      edit(raw)
      expect(isBuild(raw)).toBe(false)
    }
  })

  it('hold the four-joint example to figures worked by hand', async () => {
    const { out } = await run(
      'check',
      join(ROOT, 'docs/examples/four-joints.lurvan.json'),
      '--json',
      '--samples',
      '0',
    )
    const ride = JSON.parse(out).lines[0].ride
    // Shaft 1 runs from (900, 0, 400) to (1400, 6, 356): √(500² + 6² + 44²).
    expect(ride.shafts[0].centreToCentreMm).toBeCloseTo(501.968, 3)
    // 120 km/h on 690 mm tyres with 4.1: 33.333/(0.69π)·60·4.1.
    expect(JSON.parse(out).lines[0].shaftSpeedRpm).toBeCloseTo(3782.81, 1)
    expect(ride.joints).toHaveLength(4)
  })
})

describe('the ± in the result', () => {
  it('stands beside a figure that is there, by its place', async () => {
    const { out } = await run('check', join(ROOT, 'docs/examples/two-setups.lurvan.json'), '--json', ...QUICK)
    const result = JSON.parse(out)
    const places = Object.entries(result.uncertainty.plusMinus as Record<string, number>)
    expect(places.length).toBeGreaterThan(40)
    for (const [place, plusMinus] of places) {
      const figure = place
        .split(/[.[\]]+/)
        .filter(Boolean)
        .reduce((at, key) => at?.[key], result)
      expect([place, typeof figure]).toEqual([place, 'number'])
      expect(plusMinus).toBeGreaterThanOrEqual(0)
    }
    expect(result.uncertainty.plusMinus['lines[0].ride.joints[0].angleDeg']).toBeGreaterThan(0.05)
    const joint = result.checks.find((check: any) => check.id === 'rear/angle/1')
    expect(joint.plusMinus).toBeCloseTo(
      result.uncertainty.plusMinus[`lines[0].${joint.state}.joints[0].angleDeg`],
      12,
    )
  })
})

describe('lurvan why', () => {
  const demo = join(ROOT, 'demo/fen-tender.lurvan.json')

  it('tells where a check comes from: raw readings with tool and setup, what is taken for granted, formulas, shares', async () => {
    const { code, out } = await run('why', demo, 'rear/pair')
    expect(code).toBe(0)
    expect(out).toMatch(/^rear\/pair: 2\.58924 ± 0\.24\n {2}rear shaft: angle of joint 2, under drive/)
    expect(out).toContain(
      'pinion, level: as read 85.4, 85.5, 85.4 (top leans to the rear), with digital level',
    )
    expect(out).toMatch(/gearbox end, offset: as read 4 right, .* \[35 % of the ±\]/)
    expect(out).toContain('pinion: direction in top view, not read: taken for granted: 0.00° ± 0.40°')
    expect(out).toContain('rear axle: nose up under drive, as expected: 2.0°')
    expect(out).toContain('working angle of a joint  (docs/methods/joints.md)')
    // As measured nothing hangs on the mounts.
    expect(out).not.toContain('mount')
  })

  it('names the levers and what they turn about once they are moved', async () => {
    const raw = rawDemo()
    raw.positions.push({ id: 'up', name: 'Up', settings: { tail: 5 } })
    const path = file('moved.lurvan.json', raw)
    const { out } = await run('why', path, 'axes[1].fallDeg', '--position', 'up')
    expect(out).toContain('powertrain, moved on its mounts')
    expect(out).toContain('lever: tail at the crossmember: 5.0 mm up')
    expect(out).toContain('tail mount, height: as read 12 below')
    expect(out).not.toContain('under drive')
  })

  it('gives the same as JSON, its shares adding up to one', async () => {
    const { out } = await run('why', demo, 'lines[0].ride.joints[1].angleDeg', '--json')
    const found = JSON.parse(out)
    const check = JSON.parse((await run('check', demo, '--json', '--samples', '0')).out)
    expect(found.figure).toBeCloseTo(check.lines[0].ride.joints[1].angleDeg, 9)
    const shares = new Map<string, number>()
    const collect = (part: any): void => {
      if (part.kind === 'input') shares.set(`${part.input.readingId}/${part.input.field}`, part.share)
      part.parts?.forEach(collect)
    }
    found.parts.forEach(collect)
    expect([...shares.values()].reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9)
  })

  it('refuses a figure that is none, and says which there are', async () => {
    const { code, err } = await run('why', demo, 'rear/colour')
    expect(code).toBe(EXIT.unreadable)
    expect(err).toContain('there is no figure "rear/colour"; there are\n  rear/angle/1\n')
    expect(err).toContain('  lines[0].ride.equivalentAngleDeg')
    expect((await run('why', demo)).err).toContain('name one file and one figure')
    expect((await run('why', demo, 'rear/pair', '--samples', '5')).err).toContain(
      'there is no option "--samples"',
    )
  })
})

describe('every layout to start from', () => {
  const bare = bareBuild({
    id: 'new',
    name: 'New',
    units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
    profile: 'road',
    date: '2026-01-01',
  })
  it.each(LAYOUTS.map((layout) => [layout.key, layout] as const))(
    '%s opens: it is not settled, and says what is to be read',
    async (key, layout) => {
      const { code, out } = await run('check', file(`${key}.json`, withLayout(bare, layout)), ...QUICK)
      // A flexible disc that nobody said has a pilot is out from the start.
      expect(code).toBe(key === 'disc-front' ? EXIT.out : EXIT.unsettled)
      expect(out).toContain('level not read')
    },
  )

  it.each(['sorrel-hauler', 'osier-van'])(
    'the demo %s is told with torque, bearings and clocking',
    async (id) => {
      const { code, out } = await run('check', join(ROOT, `demo/${id}.lurvan.json`), '--json', ...QUICK)
      expect(code).toBe(EXIT.holds)
      const result = JSON.parse(out) as ResultJson
      const isResult = new Ajv2020({ allErrors: true }).compile(json('docs/format/lurvan-result.schema.json'))
      expect([isResult(result), isResult.errors]).toEqual([true, null])
      for (const line of result.lines)
        expect(line).toMatchObject({
          limitedBy: 'grip',
          clocking: { shafts: [{ turns: expect.any(Number) }] },
        })
      if (id === 'osier-van') expect(result.lines[0]!.ride!.shafts[0]!.bearing!.maxN).toBeGreaterThan(50)
    },
  )
})

describe('lurvan settings', () => {
  const bay = join(ROOT, 'demo/sedge-wagon.lurvan.json')

  it('tells different ways to make everything hold, the least effort first', async () => {
    const { code, out } = await run('settings', bay, '--seconds', '300')
    expect(code).toBe(EXIT.holds)
    const [head, first, second] = out.split('\n')
    expect(head).toMatch(/^Sedge wagon: [\d\u202f]+ settings looked at or ruled out$/)
    expect(first).toBe(
      'effort  10.2  Pack both front mounts up 8.0 mm (5 + 3) and move the powertrain 8.0 mm left and move radiator 4.0 mm forward, over 99 % likely',
    )
    expect(second).toContain('effort  11.3')
  })

  it('gives the same as JSON: setting it makes the check hold', async () => {
    const { out } = await run(
      'settings',
      join(ROOT, 'demo/fen-tender.lurvan.json'),
      '--json',
      '--seconds',
      '300',
    )
    const found = JSON.parse(out)
    expect(found).toMatchObject({
      format: 'lurvan-settings',
      settings: [{ settings: { tail: 5, wedge: -1.5 }, effort: 2 }],
      nearest: null,
    })
    const cured = json('demo/fen-tender.lurvan.json')
    cured.positions[0].settings = found.settings[0].settings
    expect((await run('check', file('cured.json', cured), ...QUICK)).code).toBe(EXIT.holds)
  })

  it('leaves with 1 where no setting holds, naming the least bad and what stays', async () => {
    const stuck = json('demo/fen-tender.lurvan.json')
    stuck.levers = stuck.levers
      .filter(({ id }: { id: string }) => id === 'wedge')
      .map((lever: object) => ({ ...lever, range: [-0.5, 0.5] }))
    const { code, out } = await run('settings', file('stuck.json', stuck))
    expect(code).toBe(EXIT.out)
    expect(out).toContain('no setting of the free levers holds with its ±')
    expect(out).toMatch(/the least bad: effort +\d\.\d .*still not right: .*torsional under drive/)
    expect((await run('settings', bay, 'more')).code).toBe(EXIT.unreadable)
    for (const text of ['0', '1.5', 'long', ''])
      expect((await run('settings', bay, '--seconds', text)).err).toContain(
        '--seconds wants a whole number from 1 to 3600',
      )
    expect((await run('check', bay, '--seconds', '5')).err).toContain('there is no option "--seconds"')
  })

  it('checks a build with gaps, each named with its verdict', async () => {
    const { code, out } = await run('check', bay, ...QUICK)
    expect(code).toBe(EXIT.holds)
    expect(out).toMatch(/sump to steering rack +9\.0 mm/)
  })

  it('gives gaps, trials, positions and mating to other programs, by the published schema', async () => {
    const { out } = await run('check', bay, '--json', ...QUICK)
    const result = JSON.parse(out) as ResultJson
    const isResult = new Ajv2020({ allErrors: true }).compile(json('docs/format/lurvan-result.schema.json'))
    expect(isResult(result) ? [] : isResult.errors).toEqual([])
    expect(result.gaps).toHaveLength(32)
    expect(result.gaps[0]).toMatchObject({ id: 'sump-rack', verdict: 'tight', cutMm: 0, trial: 'trial-1' })
    expect(result.gaps[0]?.gapMm).toBeCloseTo(9, 6)
    expect(result.trials.map(({ id, packed }) => [id, packed])).toEqual([
      ['trial-1', {}],
      ['trial-2', { tail: 10 }],
      ['trial-3', { fronts: 6, tail: 10 }],
    ])
    expect(result.positions[0]).toMatchObject({ id: 'a', chosen: true, cuts: 0 })
    expect(result.positions[0]?.frontPercent).toBeCloseTo(53.42, 1)
    expect(result.mating.stacks.map(({ id, verdict }) => [id, verdict])).toEqual([
      ['pilot', 'holds'],
      ['release', 'tight'],
      ['splines', 'holds'],
    ])
    expect(result.mating.rounds[0]).toMatchObject({ verdict: 'out', dowelMm: 0.18 })
  })
})

describe('lurvan plan', () => {
  const bay = join(ROOT, 'demo/sedge-wagon.lurvan.json')
  it('tells from a day on what is done when, and the last day to order', async () => {
    const { code, out } = await run('plan', bay, '--today', '2026-11-30')
    expect(code).toBe(EXIT.holds)
    expect(out.split('\n')[0]).toMatch(
      /^Sedge wagon: drives on 2026-12-26; no order of it ends before 2026-12-\d\d$/,
    )
    expect(out).toMatch(/order rear shaft, by 2026-12-\d\d at the latest/)
    const later = JSON.parse((await run('plan', bay, '--json', '--today', '2027-02-01')).out)
    expect(later.plan.value.first).toBe('2027-02-01')
    expect(later.plan.value.finish > '2027-02-20').toBe(true)
  })

  it('gives the same as JSON, chances and what decides with it', async () => {
    const { tasks, plan, hurries } = JSON.parse(
      (await run('plan', bay, '--json', '--today', '2026-11-30')).out,
    )
    expect(hurries).toEqual([
      {
        ...{ task: 'order/rear-shaft', cost: 60, isPaid: false, sooner: 7 },
        ...{ hurried: '2026-12-19', unhurried: '2026-12-26' },
      },
    ])
    expect(tasks.map(({ key }: { key: string }) => key)).toEqual(
      expect.arrayContaining(['make/gearbox-bar', 'order/rear-shaft']),
    )
    const { planned, decides, chance, finish, moves } = plan.value
    expect(decides.at(-1)).toEqual({ id: 'first-drive', by: 'helper' })
    expect(planned.at(-1)).toMatchObject({ id: 'first-drive', ends: finish })
    expect(moves.count).toBe(3)
    expect(chance.byPlan).toBeGreaterThan(0.6)
    expect(chance.byPlan).toBeLessThan(0.85)
  })

  it('leaves with 3 where there is no plan, and refuses a day that is none', async () => {
    const nobody = { ...json('demo/fen-tender.lurvan.json'), crew: undefined }
    const { code, out } = await run('plan', file('nobody.lurvan.json', nobody))
    expect([code, out]).toEqual([EXIT.unsettled, 'Fen tender: no plan yet\nmissing: who works when\n'])
    for (const day of ['2026-02-30', '', 'soon'])
      expect((await run('plan', bay, '--today', day)).err).toContain('--today wants a day')
    expect((await run('plan', bay, '--position', 'a')).code).toBe(EXIT.unreadable)
  })
})

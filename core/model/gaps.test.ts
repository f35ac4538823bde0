import { worstOf } from '../file/limits/worst'
import { checkLabel, checkSentence } from '../show/text/checkText'
import { demoBuild, changedDemo, type RawBuild } from '../testdata/builds'
import { parseBuild } from '../file/open/parseBuild'
import { GAP_LIMITS } from '../file/limits/profiles'
import type { Build } from '../file/build/build'
import { leastEffortCure } from '../answers/solver/findCures'
import { runMonteCarlo } from '../answers/uncertainty/monteCarlo'
import { checkFigureId, sampleModel } from '../answers/uncertainty/sampleModel'
import { sureEvaluation } from '../answers/uncertainty/sureness'
import { resultJson } from '../show/result/resultJson'
import { seededRandom } from '../base/chance/random'
import { movePoint } from '../base/linalg/mat3'
import { evaluateBuild } from './evaluateBuild'
import { cases } from '../../tests/support/cases'

const PLACE = {
  kind: 'given-point',
  stationWay: 'rearward',
  side: 'left',
  heightWay: 'above',
  unit: 'mm',
} as const

/** The head of the engine near a firewall behind it, a fan near a radiator, and a pan over an axle. */
function crowded(edit: (raw: RawBuild) => void = () => undefined): Build {
  return changedDemo((raw) => {
    raw.bodies.push({ id: 'radiator', kind: 'item', name: 'radiator' })
    raw.points.push(
      { id: 'head', name: 'back of the head', body: 'powertrain' },
      { id: 'fan', name: 'fan', body: 'powertrain' },
    )
    raw.levers.push({ id: 'radiator-fore', kind: 'fore', body: 'radiator', range: [0, 40], step: 5 })
    raw.gaps = [
      { id: 'head-firewall', name: 'head to firewall', kind: 'static', point: 'head', toward: [-2, 0, 0] },
      {
        id: 'fan-core',
        name: 'fan to core',
        kind: 'moving',
        point: 'fan',
        obstacle: 'radiator',
        toward: [1, 0, 0],
      },
    ]
    raw.limits.entries.push(...GAP_LIMITS)
    raw.readings.push(
      { ...PLACE, id: 'p1', point: 'head', station: '470', offset: '40', height: '390' },
      { ...PLACE, id: 'p2', point: 'fan', station: '10', offset: '0', height: '150' },
      gapReading('g1', 'head-firewall', '31'),
      gapReading('g2', 'fan-core', '26'),
    )
    edit(raw)
  })
}
const gapReading = (id: string, gap: string, value: string, more: object = {}) => ({
  id,
  kind: 'gap',
  gap,
  setup: 'setup-1',
  tool: 'tape',
  unit: 'mm',
  values: [value],
  ...more,
})

const gapOf = (build: Build, id: string, settings = {}) =>
  evaluateBuild(build, settings).gaps.find(({ gap }) => gap.id === id)!

describe('gaps of a build', () => {
  it('stand as read, each judged by the limits of its kind', () => {
    const { checks } = evaluateBuild(crowded(), {})
    const [head, fan] = ['gap/head-firewall', 'gap/fan-core'].map((id) =>
      checks.find((one) => one.id === id)!,
    )
    expect([head!.value, head!.verdict, head!.margin]).toEqual([31, 'holds', 23])
    expect([fan!.value, fan!.verdict, fan!.margin]).toEqual([26, 'holds', 11])
    expect(checkLabel(head!)).toBe('head to firewall')
    expect(checkSentence(head!, crowded().units)).toBe(
      'Head to firewall is 31.0 mm: holds by 23.0 mm (allowed from 8.0 mm, wanted from 15.0 mm).',
    )
  })

  it('go along with the exact rigid move of their body', () => {
    const build = crowded()
    const settings = { tail: 20 }
    const move = evaluateBuild(build, settings).moves.get('powertrain')!
    if (!move.known) throw new Error('the mounts were read')
    const [x] = movePoint(move.value, [-470, 40, 390])
    const { ride } = gapOf(build, 'head-firewall', settings)
    if (!ride.known) throw new Error('read')
    // Rearward to the firewall: what the head goes back, the gap loses.
    expect(ride.value.gapMm).toBeCloseTo(31 - (-470 - x), 9)
    expect(ride.value.gapMm).not.toBeCloseTo(31, 0)
  })

  it('grow when the obstacle is an item that is moved away', () => {
    const { check } = gapOf(crowded(), 'fan-core', { 'radiator-fore': 10 })
    expect([check.value, check.verdict]).toEqual([36, 'holds'])
  })

  it('carry over from the trial they were read in', () => {
    const packed = crowded((raw) => {
      raw.trials = [
        { id: 't1', name: 'first trial' },
        { id: 't2', name: 'second trial', packed: { tail: 15 } },
      ]
      raw.readings.push(gapReading('g3', 'head-firewall', '25.4', { trial: 't2' }))
    })
    const there = gapOf(packed, 'head-firewall', { tail: 15 }).check.value!
    expect(there).toBeCloseTo(25.4, 9)
    const move = evaluateBuild(packed, { tail: 15 }).moves.get('powertrain')!
    if (!move.known) throw new Error('the mounts were read')
    const [x] = movePoint(move.value, [-470, 40, 390])
    expect(gapOf(packed, 'head-firewall').check.value).toBeCloseTo(25.4 + (-470 - x), 9)
  })

  it('carry over when the obstacle was moved for the trial too', () => {
    const packed = crowded((raw) => {
      raw.trials = [
        { id: 't1', name: 'first' },
        { id: 't2', name: 'second', packed: { 'radiator-fore': 20 } },
      ]
      raw.readings.push(gapReading('g3', 'fan-core', '46', { trial: 't2' }))
    })
    expect(gapOf(packed, 'fan-core').check.value).toBeCloseTo(26, 9)
    expect(gapOf(packed, 'fan-core', { 'radiator-fore': 30 }).check.value).toBeCloseTo(56, 9)
  })

  it('say what is missing, whether the gap or the place of its point', () => {
    const unread = crowded((raw) => {
      raw.readings = raw.readings.filter(({ id }: { id: string }) => id !== 'g1' && id !== 'p2')
    })
    expect(gapOf(unread, 'head-firewall').check).toMatchObject({
      verdict: 'unknown',
      missing: [{ what: 'head to firewall: gap not read' }],
    })
    expect(gapOf(unread, 'fan-core').check.missing.map(({ what }) => what)).toEqual([
      'fan: station not read',
      'fan: offset not read',
      'fan: height not read',
    ])
  })

  it('are an overlap below nought, which is out even where nothing limits them', () => {
    const cut = crowded((raw) => {
      raw.limits.entries = raw.limits.entries.filter(
        ({ quantity }: { quantity: string }) => quantity !== 'gap',
      )
      raw.readings.push(gapReading('g3', 'head-firewall', '5.8', { way: 'overlap' }))
    })
    const { check } = gapOf(cut, 'head-firewall')
    expect([check.value, check.verdict, check.basis]).toEqual([
      expect.closeTo(-5.8, 9),
      'out',
      'below nought the two lie in each other',
    ])
  })

  it('keep to what the very pair needs before what its kind does', () => {
    const own = crowded((raw) => {
      raw.gaps[0] = { ...raw.gaps[0], kind: 'service', failBelow: 40 }
    })
    const { check } = gapOf(own, 'head-firewall')
    expect([check.verdict, check.margin]).toEqual(['out', -9])
    expect(worstOf([check])).toBe(check)
  })

  it('follow an axle over the travel where their limit asks for it, and say where it is worst', () => {
    const sprung = crowded((raw) => {
      const axle = raw.bodies.find(({ id }: { id: string }) => id === 'rear-axle')
      axle.motion = {
        kind: 'table',
        rows: [
          { wheelUpMm: -80, forwardMm: 0, noseUpDeg: 0 },
          { wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 },
          { wheelUpMm: 80, forwardMm: 0, noseUpDeg: 0 },
        ],
      }
      raw.states = [
        { id: 'bump', name: 'bump', wheels: [{ axle: 'rear-axle', leftUpMm: 60, rightUpMm: 60 }] },
      ]
      raw.points.push({ id: 'pipe', name: 'tail pipe', body: 'chassis' })
      raw.gaps.push({
        id: 'pipe-axle',
        name: 'tail pipe to axle',
        kind: 'moving',
        point: 'pipe',
        obstacle: 'rear-axle',
        toward: [0, 0, -1],
      })
      raw.readings.push(
        { ...PLACE, id: 'p3', point: 'pipe', station: '2640', offset: '300', height: '300' },
        gapReading('g3', 'pipe-axle', '95'),
      )
    })
    const { check, ride } = gapOf(sprung, 'pipe-axle')
    expect(ride.known && ride.value.gapMm).toBe(95)
    // 95 less the 60 of bump, and what the nose rises under drive where the pipe passes a little ahead of the middle.
    expect([check.value, check.at?.name, checkLabel(check)]).toEqual([
      expect.closeTo(34.82, 2),
      'bump',
      'tail pipe to axle at bump under drive',
    ])
  })

  it('are part of what a cure must keep', () => {
    const cureOf = (build: Build) => {
      const search = leastEffortCure(build, {})
      let step = search.next()
      while (!step.done) step = search.next()
      return Object.fromEntries(step.value.changes.map(({ lever, amount }) => [lever.id, amount]))
    }
    // A wedge alone cures the shaft, but moves no engine.
    expect(cureOf(crowded())).toEqual({ wedge: -1.5 })
    const wanting = crowded((raw) => {
      raw.gaps[0].failBelow = 33
      raw.gaps[0].warnBelow = 33
    })
    const settings = cureOf(wanting)
    expect(settings.tail).toBeGreaterThan(0)
    expect(gapOf(wanting, 'head-firewall', settings).check.value).toBeGreaterThanOrEqual(33)
  })

  it('stand in the published result with their ±', () => {
    const { checks } = resultJson(crowded(), 'a', 2000)
    const head = checks.find(({ id }) => id === 'gap/head-firewall')!
    // A tape good to 1 mm in a usual hand: √(1²/3 + 0.8²), twice.
    expect(head.plusMinus).toBeCloseTo(2 * Math.sqrt(1 / 3 + 0.64), 1)
    expect(head).toMatchObject({ value: 31, unit: 'mm', label: 'head to firewall' })
  })

  it('are refused where they point nowhere, at the body itself, or at nothing', () => {
    const raw = JSON.parse(JSON.stringify(crowded()))
    raw.gaps[0].toward = [0, 0, 0]
    raw.gaps[1].obstacle = 'powertrain'
    raw.gaps.push({ ...raw.gaps[0], id: 'x', toward: [1, 0, 0], point: 'moon', obstacle: 'sun' })
    raw.readings.push(gapReading('g9', 'nothing', '3'))
    const result = parseBuild(raw)
    if (result.ok) throw new Error('taken')
    expect(result.problems.map(({ path }) => path).sort()).toEqual([
      'gaps[0].toward',
      'gaps[1].obstacle',
      'gaps[2].obstacle',
      'gaps[2].point',
      `readings[${raw.readings.length - 1}].gap`,
    ])
  })
})

describe('the ± of a gap that was read in another trial', () => {
  it('covers 93 to 97 in a hundred random truths at a setting between', () => {
    const random = seededRandom(11)
    const between = (from: number, to: number) => from + (to - from) * random.uniform()
    const base = crowded((raw) => {
      raw.lines = []
      raw.trials = [
        { id: 't1', name: 'first' },
        { id: 't2', name: 'second', packed: { tail: 15 } },
      ]
      raw.readings.push(gapReading('g3', 'head-firewall', '25', { trial: 't2' }))
    })
    const settings = { tail: 6 }
    let covered = 0
    const RUNS = cases(1000)
    for (let run = 0; run < RUNS; run++) {
      const truth = between(20, 60)
      const place = [between(440, 500), between(20, 60), between(360, 420)]
      const withReadings = (gap: number, [station, offset, height]: number[]) =>
        ({
          ...base,
          readings: base.readings.map((one) =>
            one.id === 'g3'
              ? { ...one, values: [gap.toFixed(6)] }
              : one.id === 'p1'
                ? {
                    ...one,
                    station: station!.toFixed(6),
                    offset: offset!.toFixed(6),
                    height: height!.toFixed(6),
                    plusMinus: '15',
                  }
                : one,
          ),
        }) as Build
      const real = gapOf(withReadings(truth, place), 'head-firewall', settings).check.value!
      const read = withReadings(
        truth + (2 * random.uniform() - 1) + 0.8 * random.normal(),
        place.map((figure) => figure + 15 * (2 * random.uniform() - 1)),
      )
      const evaluation = evaluateBuild(read, settings)
      const model = sampleModel(read, settings, evaluation)
      const wanted = model.figures.filter(({ id }) => id === checkFigureId({ id: 'gap/head-firewall' }))
      const only = { ...model, figures: wanted, wanted: wanted.map(({ column }) => column) }
      const spread = runMonteCarlo(only, { samples: 100, seed: run }).figures[wanted[0]!.id]!
      const got = evaluation.gaps[0]!.check.value!
      if (Math.abs(got - real) <= spread.plusMinus) covered++
    }
    expect(covered / RUNS).toBeGreaterThanOrEqual(0.93)
    expect(covered / RUNS).toBeLessThanOrEqual(0.97)
  })

  it('makes a gap on its edge tight', () => {
    const edge = crowded((raw) => {
      raw.gaps[0].failBelow = 30.5
      raw.gaps[0].warnBelow = 30.5
    })
    const plain = evaluateBuild(edge, {})
    const sure = sureEvaluation(plain, runMonteCarlo(sampleModel(edge, {}), { samples: 500, seed: 1 }))
    expect(plain.gaps[0]!.check.verdict).toBe('holds')
    expect(sure.checks.find(({ id }) => id === 'gap/head-firewall')!.verdict).toBe('tight')
  })

  it('leaves a build without gaps as it was', () => {
    expect(evaluateBuild(demoBuild(), {}).gaps).toEqual([])
  })
})

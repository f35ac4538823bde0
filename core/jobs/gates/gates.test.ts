import fc from 'fast-check'
import type { Build } from '../../file/build/build'
import { GATES, type Gate } from '../../file/kinds/gateKinds'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { changedDemo } from '../../testdata/builds'
import { demoBuild } from '../../testdata/demos'
import { tasksOf } from '../tasks/buildTasks'
import { planOf } from '../../testdata/workBuild'
import { gateDays } from './gateDays'
import { gateStates, mayPass, underNow } from './gateStates'
import { partsUnder } from './under'

/** The demo once it holds, with a bar that is fitted and a weld that is read. */
const sound = changedDemo((raw) => {
  raw.positions[0].settings = { tail: 5, wedge: -1.5 }
  raw.temporaries = []
  raw.welds = [
    {
      ...{ id: 'seam', name: 'seam', seam: 'fillet-across', lengthMm: 100, thicknessMm: 4, runs: 1 },
      readings: [{ id: 'a', name: 'a', before: 100, after: 99.6, most: 1 }],
    },
  ]
})
const siteOf = (build: Build) => {
  const { checks } = evaluateBuild(build, chosenSettings(build))
  const outCount = checks.filter(({ verdict }) => verdict === 'out').length
  return { build, checks, tasks: tasksOf(build, outCount) }
}
const states = (build: Build) => gateStates(siteOf(build))
const words = (build: Build) => states(build).map(({ state }) => state)
const passed = (build: Build, upTo: Gate = 'road'): Build => ({
  ...build,
  gates: GATES.slice(0, GATES.indexOf(upTo) + 1).map((gate) => ({
    ...{ id: gate, name: gate, gate, passedAt: '2026-11-29', under: underNow({ build }, gate) },
  })),
})
const edited = (build: Build, edit: (raw: any) => void): Build => {
  const copy = structuredClone(build)
  edit(copy)
  return copy
}

describe('gates of a build', () => {
  it('are passed one after the other, each when what it asks for is there', () => {
    expect(words(sound)).toEqual(['ready', ...Array(6).fill('waiting')])
    expect(words(passed(sound, 'checks'))).toEqual(['passed', 'passed', 'ready', ...Array(4).fill('waiting')])
    expect(words(passed(sound))).toEqual(Array(7).fill('passed'))
    const out = edited(sound, (raw) => (raw.positions[0].settings = {}))
    const [, checks] = states(passed(out, 'position'))
    expect(checks!.state).toBe('waiting')
    expect(checks!.needs.find(({ kind }) => kind === 'out')!.open).toContain('rear/torsional')
  })

  it('fall back with what changed under them, and all that come after', () => {
    const build = passed(sound)
    const moved = edited(build, (raw) => (raw.readings[3].values = ['12.3']))
    const after = states(moved)
    expect(after.map(({ state }) => state)).toEqual(['passed', ...Array(6).fill('fallen')])
    expect(after[1]!.changed).toEqual([{ part: 'readings', id: build.readings[3]!.id, how: 'other' }])
    expect(after[2]!.before).toBe('checks')
    const seam = edited(build, (raw) => raw.welds.pop())
    expect(words(seam)).toEqual([...Array(4).fill('passed'), ...Array(3).fill('fallen')])
    const lever = edited(build, (raw) => (raw.positions[0].settings.tail = 6))
    expect(words(lever)[0]).toBe('fallen')
    const added = edited(build, (raw) => raw.temporaries.push({ id: 't', name: 't', kind: 'block' }))
    expect(states(added)[3]).toMatchObject({
      state: 'fallen',
      changed: [{ part: 'temporaries', id: 't', how: 'new' }],
    })
  })

  it('stand while the work goes on: states of parts, ticks, tasks, notes, later lift-ins', () => {
    const build = passed(sound, 'checks')
    const on = edited(build, (raw) => {
      raw.note = 'on it'
      raw.tasks = [{ id: 'x', name: 'x', sort: 'fit' }]
      raw.temporaries = [{ id: 't', name: 't', kind: 'block', closedAt: '2026-11-29' }]
      raw.welds[0].readings[0].after = 99.1
    })
    expect(words(on).slice(0, 2)).toEqual(['passed', 'passed'])
    const same = edited(
      build,
      (raw) =>
        (raw.readings = raw.readings.map((one: object) => Object.fromEntries(Object.entries(one).reverse()))),
    )
    expect(words(same).slice(0, 2)).toEqual(['passed', 'passed'])
  })

  it('want a reason for what is temporary', () => {
    const build = edited(sound, (raw) => raw.temporaries.push({ id: 't', name: 't', kind: 'block' }))
    const [position] = states(build)
    expect([
      mayPass(position!, {}),
      mayPass(position!, { t: '  ' }),
      mayPass(position!, { t: 'only to look' }),
    ]).toEqual([...[false, false, true]])
    expect(mayPass(states(passed(build))[0]!, { t: 'again' })).toBe(false)
  })

  it('ask a weld to be read, and to have drawn no more than it may', () => {
    const site = (after?: number) =>
      states(edited(sound, (raw) => (raw.welds[0].readings[0].after = after)))[4]!.needs.map(
        ({ kind, open }) => [kind, open],
      )
    expect(site()).toContainEqual(['welds-again', ['seam']])
    expect(site(98)).toContainEqual(['welds-drawn', ['seam']])
    expect(site(99.5)).toEqual(site(99.6))
  })

  it('fall back after random edits exactly where something under them changed', () => {
    const build = passed(sound)
    const lists = [
      'readings',
      'points',
      'axes',
      'levers',
      'tools',
      'welds',
      'photos',
      'tasks',
      'services',
      'ticks',
      'lines',
    ] as const
    fc.assert(
      fc.property(fc.constantFrom(...lists), fc.nat(40), fc.boolean(), (list, at, isName) => {
        const next = edited(build, (raw) => {
          const all = (raw[list] ??= [])
          if (all.length === 0) all.push({ id: 'new', name: 'new' })
          else if (isName) all[at % all.length].name = 'another name'
          else all[at % all.length].note = `note ${at}`
        })
        const fallen = states({ ...next, welds: next.welds! }).filter(({ changed }) => changed.length > 0)
        expect(fallen.map(({ gate }) => gate)).toEqual(
          GATES.filter((gate) => partsUnder(gate).includes(list)),
        )
      }),
      { numRuns: 200, seed: 5 },
    )
  })
})

it('the tight bay has passed two of them, and they stand', () => {
  const bay = demoBuild('sedge-wagon')
  expect(words(bay)).toEqual(['passed', 'passed', ...Array(5).fill('waiting')])
  const [, , tacked] = states(bay)
  expect(tacked!.needs.find(({ kind }) => kind === 'tacked')!.open).toContain('gearbox bar')
})

describe('the days of the gates', () => {
  const wagon = demoBuild('sedge-wagon')
  const plan = planOf(wagon)
  const days = gateDays(plan, states(wagon))
  const endOf = (...by: string[]) =>
    Math.max(
      ...plan.planned
        .filter(({ node }) => by.includes(node.task?.made?.by ?? ''))
        .map(({ endDay }) => endDay),
    )

  it('are those on which what they wait for is done, none before the one before it, the last when it drives', () => {
    expect(days.map(({ gate }) => gate)).toEqual(GATES.slice(GATES.indexOf(days[0]!.gate)))
    expect(days.map(({ day }) => day)).toEqual(days.map(({ day }) => day).toSorted((a, b) => a - b))
    const of = (gate: Gate) => days.find((one) => one.gate === gate)!.day
    expect(of('tacked')).toBe(endOf('again', 'cure', 'make'))
    expect(of('torqued')).toBe(Math.max(endOf('fit', 'install'), of('welded')))
    expect(of('road')).toBe(plan.finishDay)
  })
})

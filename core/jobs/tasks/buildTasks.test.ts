import { rawDemos } from '../../testdata/demos'
import { parseBuild } from '../../file/open/parseBuild'
import { tasksOf } from './buildTasks'
import { taskName } from './taskName'
import type { RawBuild } from '../../testdata/builds'

/** The wagon with its crossmember, plates and welds, changed. */
function tasks(edit: (raw: RawBuild) => void, outCount = 0) {
  const raw = structuredClone(rawDemos().find(({ id }) => id === 'sedge-wagon')!.raw)
  raw.tasks = []
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return tasksOf(parsed.value, outCount)
}
const named = (all: ReturnType<typeof tasks>) => all.map((task) => [taskName(task), task.isDone])

describe('tasks that a build makes', () => {
  it('are a step for what is cut, welded, fitted and made good, done as the build tells', () => {
    const all = tasks((raw) => {
      raw.crossmembers = [{ ...raw.crossmembers[0], state: 'welded' }]
      raw.temporaries = raw.temporaries.slice(0, 1)
      raw.plates = raw.copedTubes = raw.pieces = raw.cutouts = []
    }, 2)
    expect(named(all)).toEqual([
      ['put 2 checks right that are out', false],
      ['make gearbox bar', true],
      ['weld folds of the gearbox bar', true],
      ['weld strut to the cross tube', false],
      ['fit gearbox bar', false],
      ['rear shaft', false],
      ['fit rear shaft', false],
      ['make good: charge cooler of plywood', false],
    ])
    expect(all.find(({ key }) => key === 'fit/gearbox-bar')!.after).toEqual(['make/gearbox-bar'])
    expect(all.find(({ key }) => key === 'weld/strut-weld')!.after).toEqual(['cure'])
  })

  it('count readings that are missing and guesses that stand, each once', () => {
    const some = (edit: (readings: any[]) => any[]) =>
      named(tasks((raw) => (raw.readings = edit(raw.readings)))).map(([name]) => name)
    const isLevel = ({ kind, axis }: any) => kind === 'axis-level' && axis === 'pinion'
    expect(some((all) => all.filter((one) => !isLevel(one)))).toContain('take the reading that is missing')
    expect(some((all) => all.map((one) => (isLevel(one) ? { ...one, provisional: true } : one)))).toContain(
      'read a guess again',
    )
    expect(some((all) => all).filter((name) => /reading|guess/.test(String(name)))).toEqual([])
  })

  it('take usual hours, as many times as there are readings, until better ones are told', () => {
    const told = { id: 'x', name: 'x', sort: 'fit', of: 'measure', hours: { low: 1, likely: 2, high: 3 } }
    const missing = (raw: RawBuild, entries: object[]) => {
      raw.readings = raw.readings.filter(({ kind }: any) => !kind.startsWith('axis-'))
      raw.tasks = entries
    }
    const [usual] = tasks((raw) => missing(raw, []))
    const count = usual!.made!.count
    expect(count).toBeGreaterThan(1)
    expect([usual!.hours!.likely, usual!.isUsual]).toEqual([(count * 4) / 60, true])
    const [own] = tasks((raw) => missing(raw, [told]))
    expect([own!.hours, own!.isUsual]).toEqual([told.hours, false])
  })

  it('are not done by a tick where the build tells by itself', () => {
    const tick = (of: string) => ({
      id: of.replace('/', '-'),
      name: of,
      sort: 'fit',
      of,
      doneAt: '2026-11-29',
    })
    const all = tasks((raw) => (raw.tasks = [tick('cure'), tick('fit/gearbox-bar')]), 1)
    expect(all.filter(({ entry }) => entry).map(({ key, isDone }) => [key, isDone])).toEqual([
      ['cure', false],
      ['fit/gearbox-bar', true],
    ])
  })

  it('forget what waits for a thing that is gone, and say nothing of it', () => {
    const own = { id: 'own', name: 'own', sort: 'fit', after: ['make/gone', 'cure', 'own'] }
    const all = tasks((raw) => (raw.tasks = [own, { ...own, id: 'more', of: 'fit/gone' }]), 1)
    expect(all.at(-1)).toMatchObject({ key: 'own', after: ['cure'], hours: null })
    expect(all.filter(({ key }) => key === 'fit/gone')).toEqual([])
  })
})

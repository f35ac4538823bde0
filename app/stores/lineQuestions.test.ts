import { evaluateBuild } from '../../core/model/evaluateBuild'
import { settingsAfter } from '../../core/answers/solver/cure'
import { leverMap } from '../../core/answers/solver/leverMap'
import { schoolAnswers } from '../../core/answers/solver/schools'
import { openedDemo, storedBuild } from '../../tests/support/opened'
import { WorkerEnded } from '../workers/workerClient'
import { useEvaluation } from './evaluation'
import { useLeverMap } from './leverMap'
import { useLevers } from './levers'
import { useSchools } from './schools'
import { useWorkbench } from './workbench'

/** What the worker does when it is asked; a test may put a fault in its place. */
let answer: (question: () => Promise<unknown>) => Promise<unknown>
let ended = 0

jest.mock('comlink', () => ({ proxy: (one: unknown) => one }))
jest.mock('../workers/workerClient', () => ({
  ...jest.requireActual('../workers/workerClient'),
  workerClient: () => ({
    ask: (question: (service: unknown) => Promise<unknown>) => answer(() => question(service)),
    end: () => void ended++,
  }),
}))

let openBuild: never
const service = {
  open: async (build: never) => void (openBuild = build),
  schools: async (line: string, settings: never, report: (count: number) => void) => {
    const run = schoolAnswers(openBuild, line, settings)
    for (;;) {
      const step = run.next()
      if (step.done) return step.value
      report(step.value as number)
    }
  },
  map: async (settings: never, x: string, y: string) => leverMap(openBuild, settings, x, y),
}
const until = async (isSo: () => boolean) => {
  for (let tries = 0; tries < 600 && !isSo(); tries++) await new Promise((resolve) => setTimeout(resolve, 10))
  expect(isSo()).toBe(true)
}

beforeEach(() => {
  answer = (question) => question()
  ended = 0
})

describe('what each school asks', () => {
  it('comes row by row with what it leaves, and taking one sets its levers and the line’s school', async () => {
    await openedDemo()
    const schools = useSchools()
    await schools.ask('rear')
    expect(schools.isSearching).toBe(false)
    expect(schools.answered).toBeGreaterThan(0)
    expect(schools.rows).toHaveLength(8)
    const row = schools.rows.find(({ answer: { of } }) => 'school' in of && of.school === 'parallel')!
    expect(row.answer.isMet).toBe(true)
    expect(row.angles).toMatch(/^\d+\.\d\d° · \d+\.\d\d°$/)
    schools.take('rear', row.answer, 'As it asks')
    const build = await storedBuild()
    expect(build.lines[0]!.school).toBe('parallel')
    expect(useLevers().settings).toMatchObject(settingsAfter({}, row.answer.cure!))
    // The rows were of the build as it was.
    await until(() => schools.rows.length === 0)
  })

  it('takes nothing where the levers do not reach', async () => {
    await openedDemo()
    const before = await storedBuild()
    const schools = useSchools()
    await schools.ask('rear')
    schools.take('rear', { ...schools.rows[0]!.answer, cure: null }, 'As it asks')
    expect(await storedBuild()).toEqual(before)
  })

  it('says why it failed; what was stopped says nothing', async () => {
    await openedDemo()
    const schools = useSchools()
    answer = async () => {
      throw new Error('out of memory')
    }
    await schools.ask('rear')
    expect(schools.failure).toBe('out of memory')
    answer = async () => {
      throw new WorkerEnded()
    }
    await schools.ask('rear')
    expect([schools.failure, schools.isSearching]).toEqual([null, false])
    answer = () => new Promise(() => undefined)
    void schools.ask('rear')
    schools.stop()
    expect([ended, schools.isSearching]).toEqual([1, false])
  })
})

describe('the map of two levers', () => {
  const opened = async () => {
    await openedDemo()
    const map = useLeverMap()
    map.isWanted = true
    await until(() => map.map !== null)
    return map
  }

  it('is worked once it is wanted, of the first two levers, with the present setting on it', async () => {
    const map = await opened()
    expect(map.axes!.map(({ id }) => id)).toEqual(
      useWorkbench()
        .build!.levers.slice(0, 2)
        .map(({ id }) => id),
    )
    expect(map.map!.states).toHaveLength(map.map!.x.length * map.map!.y.length)
    const at = useLevers().settings
    const [x, y] = map.axes!
    expect(map.marks.at(-1)).toEqual({ kind: 'present', x: at[x.id] ?? 0, y: at[y.id] ?? 0 })
  })

  it('says of a cell what evaluating its setting says, and takes that setting', async () => {
    const map = await opened()
    const build = useWorkbench().build!
    const cells = [0, 17, 33, 59].flatMap((i) => [5, 40].map((k) => ({ i, k, cell: map.cellAt(i, k)! })))
    for (const { cell } of cells) {
      const settings = { ...useLevers().settings, ...cell.amounts }
      const { verdict } = evaluateBuild(build, settings)
      // Colours are of the cell's middle, its amounts of the levers' own steps: an edge may lie between.
      if (cell.state === verdict) continue
      expect(['holds', 'tight', 'out']).toContain(cell.state)
    }
    const same = cells.filter(
      ({ cell }) => evaluateBuild(build, { ...useLevers().settings, ...cell.amounts }).verdict === cell.state,
    )
    expect(same.length).toBeGreaterThanOrEqual(6)
    const { i, k, cell } = cells[3]!
    map.take(i, k)
    await until(() => useEvaluation().current !== null)
    expect(useLevers().settings).toMatchObject(cell.amounts)
    expect(map.cellAt(999, 0)).not.toBeUndefined()
  })

  it('is of other levers when they are asked for, of none with one lever', async () => {
    const map = await opened()
    const [a, b] = map.axes!
    map.wanted = [b.id, a.id]
    await until(() => map.map?.x.at(-1) === b.range[1])
    expect(map.axes!.map(({ id }) => id)).toEqual([b.id, a.id])
  })

  it('says why it failed', async () => {
    await openedDemo()
    const map = useLeverMap()
    answer = async () => {
      throw new Error('out of memory')
    }
    map.isWanted = true
    await until(() => map.failure === 'out of memory')
    expect(map.map).toBeNull()
  })
})

import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { demoBuild } from '../../core/testdata/builds'
import type { Build } from '../../core/file/build/build'
import { LurvanDatabase } from '../storage/database'
import { useBuildRepository } from '../storage/storage'
import { useLibrary } from './library'

const downloads: { name: string; data: unknown }[] = []
jest.mock('../storage/download', () => ({
  download: (name: string, data: unknown) => void downloads.push({ name, data }),
}))

/** How often a cover was worked out, by the build's id. */
const worked: string[] = []
let edition = 'one'
jest.mock('../workers/workerClient', () => {
  const { coverOfStored } = jest.requireActual('../../core/show/result/cover')
  const service = {
    edition: async () => edition,
    cover: async (stored: { id?: string }) => {
      worked.push(String(stored?.id))
      return coverOfStored(stored)
    },
  }
  return {
    workerClient: () => ({
      ask: async (question: (of: unknown) => unknown) => question(service),
      end: () => undefined,
    }),
  }
})
jest.mock('../../core/model/evaluateBuild', () => {
  const actual = jest.requireActual('../../core/model/evaluateBuild')
  return {
    ...actual,
    evaluateBuild: (build: Build, settings: never) => {
      if (build.id === 'breaks') throw new RangeError('Maximum call stack size exceeded')
      return actual.evaluateBuild(build, settings)
    },
  }
})
Object.assign(globalThis, { navigator: {} })

beforeEach(async () => {
  setActivePinia(createPinia())
  downloads.length = 0
  const db = new LurvanDatabase()
  worked.length = 0
  edition = 'one'
  await Promise.all([db.builds, db.snapshots, db.steps, db.history, db.covers].map((table) => table.clear()))
})
const addDemo = (id: string, name = id) =>
  useBuildRepository().add({ ...demoBuild(), id, name }, () => 'never')

describe('useLibrary', () => {
  it('lists every build, whatever is wrong with one of them', async () => {
    await addDemo('good')
    await addDemo('breaks')
    await addDemo('unreadable')
    await new LurvanDatabase().snapshots.put({
      buildId: 'unreadable',
      rev: 1,
      build: { format: 'lurvan-build' },
    })
    const library = useLibrary()
    await library.refresh()
    await library.covered()
    const by = (id: string) => library.builds.find((one) => one.id === id)!.cover!
    expect(library.failure).toBeNull()
    expect(by('good')).toMatchObject({ verdict: 'out', fault: null })
    expect(by('good').picture!.joints.map(({ verdict }) => verdict)).toEqual(['holds', 'holds'])
    expect(by('breaks').fault).toBe('Maximum call stack size exceeded')
    expect(by('unreadable').fault).toBe('version: must be a whole number from 1')
  })

  it('works out only what has changed since it was last shown, and all again by a newer program', async () => {
    await addDemo('one')
    await addDemo('two')
    const library = useLibrary()
    await library.refresh()
    await library.covered()
    expect([...worked].sort()).toEqual(['one', 'two'])
    await library.refresh()
    await library.covered()
    expect(worked).toHaveLength(2)
    await useBuildRepository().change('two', 1, 'Name', (draft) => void (draft.name = 'Second'))
    await library.refresh()
    expect(library.builds.find(({ id }) => id === 'two')).toMatchObject({ name: 'Second', isFresh: false })
    await library.covered()
    expect(worked.slice(2)).toEqual(['two'])
    expect(library.builds.every(({ isFresh }) => isFresh)).toBe(true)
    edition = 'two'
    await library.refresh()
    await library.covered()
    expect(worked.slice(3).sort()).toEqual(['one', 'two'])
    await library.remove('two')
    await library.purge('two')
    expect((await new LurvanDatabase().covers.toArray()).map(({ buildId }) => buildId)).toEqual(['one'])
  })

  it('copies a build with a name that still fits', async () => {
    await addDemo('long', 'n'.repeat(200))
    const library = useLibrary()
    await library.refresh()
    await library.duplicate('long')
    const names = library.builds.map(({ name }) => name)
    expect(names).toHaveLength(2)
    expect(names.find((name) => name.endsWith(' (copy)'))).toHaveLength(200)
  })

  it('deletes, restores and throws away for good', async () => {
    await addDemo('gone')
    const library = useLibrary()
    await library.remove('gone')
    expect([library.builds, library.deleted]).toEqual([[], [{ id: 'gone', name: 'gone' }]])
    await library.restore('gone')
    expect(library.builds).toHaveLength(1)
    await library.remove('gone')
    await library.purge('gone')
    expect([library.builds, library.deleted]).toEqual([[], []])
  })

  it('backs up what can be read and names what cannot', async () => {
    await addDemo('good')
    await addDemo('bad')
    await new LurvanDatabase().snapshots.put({ buildId: 'bad', rev: 1, build: 7 })
    const library = useLibrary()
    await library.refresh()
    await library.backup()
    expect(downloads.map(({ name }) => name)).toEqual([expect.stringMatching(/^lurvan-backup-.*\.zip$/)])
    expect(library.refused).toEqual([
      { file: 'bad', reasons: [expect.stringContaining('must hold one object')] },
    ])
    await library.exportBuild('bad')
    expect(downloads.at(-1)).toMatchObject({ name: 'bad.lurvan.json', data: '7' })
  })

  it('says why nothing can be stored, instead of breaking', async () => {
    const library = useLibrary()
    const full = jest
      .spyOn(useBuildRepository(), 'add')
      .mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
    expect(
      await library.create({
        name: 'x',
        units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
        profile: 'road',
      }),
    ).toBeNull()
    full.mockRestore()
    expect(library.builds).toEqual([])
  })
})

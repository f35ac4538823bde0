import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { demoBuild } from '../../core/testdata/builds'
import type { Build } from '../../core/project/build'
import { LurvanDatabase } from '../storage/database'
import { useBuildRepository } from '../storage/storage'
import { useLibrary } from './library'

const downloads: { name: string; data: unknown }[] = []
jest.mock('../storage/download', () => ({
  download: (name: string, data: unknown) => void downloads.push({ name, data }),
}))

jest.mock('./buildState', () => {
  const actual = jest.requireActual('./buildState')
  return {
    buildState: (build: Build) => {
      if (build.id === 'breaks') throw new RangeError('Maximum call stack size exceeded')
      return actual.buildState(build)
    },
  }
})
Object.assign(globalThis, { navigator: {} })

beforeEach(async () => {
  setActivePinia(createPinia())
  downloads.length = 0
  const db = new LurvanDatabase()
  await Promise.all([db.builds, db.snapshots, db.steps, db.history].map((table) => table.clear()))
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
    const by = (id: string) => library.builds.find((one) => one.id === id)!
    expect(library.failure).toBeNull()
    expect(by('good')).toMatchObject({ verdict: 'out', fault: null })
    expect(by('breaks').fault).toBe('Maximum call stack size exceeded')
    expect(by('unreadable').fault).toBe('version: must be a whole number from 1')
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

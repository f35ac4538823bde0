import 'fake-indexeddb/auto'
import { demoBuild } from '../../core/testdata/builds'
import { backupZip, readBuildFile } from './backup'
import { buildRepository, type BuildRepository } from './buildRepository'
import { LurvanDatabase } from './database'
import { fileName } from './fileName'
import { buildText } from '../../core/project/parseBuild'

let db: LurvanDatabase
let repository: BuildRepository
let count = 0
const newId = () => `new-${++count}`
const loaded = async (id: string) => {
  const result = await repository.load(id)
  if (!result?.ok) throw new Error('not readable')
  return result.value
}
const setTail = (amount: number) => (draft: any) => void (draft.positions[0].settings.tail = amount)
const tailOf = async (id: string) => (await loaded(id)).build.positions[0]!.settings.tail

beforeEach(() => {
  db = new LurvanDatabase(`test-${++count}`)
  repository = buildRepository(db)
})
afterEach(() => db.delete())

describe('buildRepository', () => {
  it('undoes and redoes 250 steps, also after a reload', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    for (let step = 1; step <= 250; step++) await repository.change(id, step, `step ${step}`, setTail(step))
    repository = buildRepository(new LurvanDatabase(db.name))
    for (let step = 250; step > 0; step--) {
      expect((await loaded(id)).undoLabel).toBe(`step ${step}`)
      await repository.undo(id)
    }
    expect(await tailOf(id)).toBeUndefined()
    expect(await repository.undo(id)).toBeNull()
    for (let step = 1; step <= 250; step++) await repository.redo(id)
    expect(await tailOf(id)).toBe(250)
    expect(await repository.redo(id)).toBeNull()
  }, 30_000)

  it('forgets what could be redone once something else is changed', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    await repository.change(id, 1, 'one', setTail(1))
    await repository.undo(id)
    await repository.change(id, 3, 'two', setTail(2))
    expect((await loaded(id)).redoLabel).toBeNull()
    expect(await tailOf(id)).toBe(2)
  })

  it('keeps both changes when two tabs change one build', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    const other = buildRepository(new LurvanDatabase(db.name))
    const { rev } = await loaded(id)
    await other.change(id, rev, 'rename', (draft) => void (draft.name = 'Renamed elsewhere'))
    const saved = await repository.change(id, rev, 'tail', setTail(7))
    expect(saved.merged).toBe(true)
    expect(saved.build.name).toBe('Renamed elsewhere')
    expect(saved.build.positions[0]!.settings.tail).toBe(7)
  })

  it('never overwrites a build by an import, and restores a deleted one', async () => {
    const first = await repository.add(demoBuild(), newId)
    await repository.change(first.id, 1, 'tail', setTail(5))
    const second = await repository.add(demoBuild(), newId)
    expect(second.id).not.toBe(first.id)
    expect(await tailOf(first.id)).toBe(5)
    await repository.remove(first.id)
    expect(await repository.load(first.id)).toBeNull()
    await repository.restore(first.id)
    expect(await tailOf(first.id)).toBe(5)
  })

  it('writes nothing when a change breaks off', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    const { rev } = await loaded(id)
    const broken = repository.change(id, rev, 'broken', () => {
      throw new Error('no')
    })
    await expect(broken).rejects.toThrow('no')
    expect((await loaded(id)).rev).toBe(rev)
  })

  it('reads what is stored with the same care as a file', async () => {
    await db.builds.add({
      id: 'x',
      name: 'x',
      rev: 1,
      cursor: 0,
      changedAt: '',
      deletedAt: null,
      build: { format: 'lurvan-build', version: 1 },
    })
    expect(await repository.load('x')).toEqual({
      ok: false,
      problems: [{ path: 'name', message: 'is missing' }],
    })
    expect(await repository.raw('x')).toEqual({ format: 'lurvan-build', version: 1 })
  })
})

describe('backup', () => {
  it('holds every build as an ordinary file and brings all back', async () => {
    const one = demoBuild()
    const bytes = await backupZip([one, { ...one, id: 'two' }])
    const read = await readBuildFile('backup.zip', bytes)
    expect(read.refused).toEqual([])
    expect(read.builds.map((build) => build.id)).toEqual(['fen-tender', 'two'])
    expect(read.builds[0]).toEqual(one)
  })

  it('takes the good files and names the bad ones', async () => {
    const text = new TextEncoder()
    const bad = { ...demoBuild(), lines: 5 }
    const read = await readBuildFile('bad.lurvan.json', text.encode(JSON.stringify(bad)))
    expect(read).toEqual({
      builds: [],
      refused: [{ file: 'bad.lurvan.json', reasons: ['lines: must be a list, got 5'] }],
    })
    const damaged = (await backupZip([demoBuild()])).slice(0, 60)
    expect((await readBuildFile('b.zip', damaged)).refused[0]!.reasons).toEqual([
      'the backup is damaged and cannot be unpacked',
    ])
    expect((await readBuildFile('good.json', text.encode(buildText(demoBuild())))).builds).toHaveLength(1)
  })

  it('makes safe file names', () => {
    expect(fileName('Fen tender')).toBe('fen-tender.lurvan.json')
    expect(fileName('../../é "x"')).toBe('e-x.lurvan.json')
    expect(fileName('***')).toBe('build.lurvan.json')
  })
})

import 'fake-indexeddb/auto'
import { demoBuild } from '../../core/testdata/builds'
import { Dexie } from 'dexie'
import { seededRandom } from '../../core/base/chance/random'
import { BuildGone, buildRepository, RefusedChange, type BuildRepository } from './buildRepository'
import { LurvanDatabase, toV2 } from './database'

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
  })

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
    await db.builds.add({ id: 'x', name: 'x', rev: 1, cursor: 0, changedAt: '', deletedAt: null })
    await db.snapshots.add({ buildId: 'x', rev: 1, build: { format: 'lurvan-build', version: 1 } })
    expect(await repository.load('x')).toEqual({
      ok: false,
      problems: [{ path: 'name', message: 'is missing' }],
    })
    expect(await repository.raw('x')).toEqual({ format: 'lurvan-build', version: 1 })
  })
})

describe('a change that could not be read again', () => {
  it('is refused with its place before anything is stored', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    const crowd = (draft: any) => void (draft.readings[0].values = Array.from({ length: 201 }, () => '1'))
    await expect(repository.change(id, 1, 'crowd', crowd)).rejects.toThrow(
      'readings[0].values: holds more than 200 entries',
    )
    const renamed = (draft: any) => void (draft.name = 'x'.repeat(201))
    await expect(repository.change(id, 1, 'rename', renamed)).rejects.toBeInstanceOf(RefusedChange)
    const lost = (draft: any) => void (draft.readings[4].point = 'nowhere')
    await expect(repository.change(id, 1, 'lose', lost)).rejects.toThrow(
      'readings[4].point: there is no point "nowhere"',
    )
    expect((await loaded(id)).rev).toBe(1)
    const name = { ...demoBuild(), id: 'other', name: 'y'.repeat(300) }
    await expect(repository.add(name, newId)).rejects.toThrow('name: is longer than 200 characters')
  })

  it('that older versions let in is put right where nothing is lost by it', async () => {
    const build = { ...demoBuild(), id: 'old', name: 'z'.repeat(260) }
    await db.builds.add({ id: 'old', name: 'z', rev: 1, cursor: 0, changedAt: '', deletedAt: null })
    await db.snapshots.add({
      buildId: 'old',
      rev: 1,
      build: {
        ...build,
        readings: build.readings.map((one) => ({ ...one, ...('low' in one && { display: 'front' }) })),
      },
    })
    const { build: read } = await loaded('old')
    expect(read.name).toHaveLength(200)
    expect(read.readings.map((one: any) => one.display ?? '').join('')).toBe('front')
    expect(read.readings).toHaveLength(build.readings.length)
  })
})

describe('steps and snapshots', () => {
  it('write little at each change and the whole build now and then', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    for (let step = 1; step <= 30; step++) await repository.change(id, step, `${step}`, setTail(step))
    expect((await db.snapshots.get(id))!.rev).toBe(1)
    expect(await db.steps.count()).toBe(30)
    const sizes = (await db.steps.toArray()).map((step) => JSON.stringify(step).length)
    expect(Math.max(...sizes)).toBeLessThan(400)
    for (let step = 31; step <= 60; step++) await repository.change(id, step, `${step}`, setTail(step))
    expect((await db.snapshots.get(id))!.rev).toBe(42)
    expect(await db.steps.count()).toBe(60 - 41)
    // Another tab, which has read nothing yet, puts them together.
    repository = buildRepository(new LurvanDatabase(db.name))
    expect(await tailOf(id)).toBe(60)
  })

  it('bring records of the first version over as they were', async () => {
    const name = `old-${++count}`
    const old = new Dexie(name)
    old.version(1).stores({ builds: 'id, changedAt', history: '[buildId+seq], buildId' })
    await old.table('builds').add(RECORD_V1)
    await old.table('history').add({
      buildId: 'fen-tender',
      seq: 1,
      label: 'Move a lever',
      at: '2026-11-01T10:00:00.000Z',
      patches: [{ op: 'replace', path: ['positions', 0, 'settings', 'tail'], value: 4 }],
      inverse: [{ op: 'replace', path: ['positions', 0, 'settings', 'tail'], value: 2 }],
    })
    old.close()
    const upgraded = buildRepository(new LurvanDatabase(name))
    const result = await upgraded.load('fen-tender')
    if (!result?.ok) throw new Error('not readable')
    expect(result.value).toMatchObject({ rev: 3, undoLabel: 'Move a lever', redoLabel: null })
    expect(result.value.build.positions[0]!.settings).toEqual({ tail: 4 })
    expect((await upgraded.undo('fen-tender'))!.build.positions[0]!.settings).toEqual({ tail: 2 })
    expect(toV2(RECORD_V1).record).not.toHaveProperty('build')
    await Dexie.delete(name)
  })

  it('end equal in two tabs after hundreds of edits, undos and redos in any order', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    const tabs = [repository, buildRepository(new LurvanDatabase(db.name))]
    const random = seededRandom(77)
    for (let step = 0; step < 400; step++) {
      const tab = tabs[Math.floor(random.uniform() * 2)]!
      const what = random.uniform()
      if (what < 0.5) await tab.change(id, 0, `step ${step}`, setTail(step))
      else if (what < 0.8) await tab.undo(id)
      else await tab.redo(id)
    }
    const fresh = buildRepository(new LurvanDatabase(db.name))
    const seen = await Promise.all([...tabs, fresh].map((tab) => tab.load(id)))
    const builds = seen.map((one) => (one?.ok ? one.value.build : null))
    expect(builds[0]).not.toBeNull()
    expect(builds[1]).toEqual(builds[0])
    expect(builds[2]).toEqual(builds[0])
  })

  it('are all gone once a deleted build is thrown away', async () => {
    const { id } = await repository.add(demoBuild(), newId)
    await repository.change(id, 1, 'tail', setTail(3))
    await repository.purge(id)
    expect(
      await Promise.all([db.builds, db.snapshots, db.steps, db.history].map((table) => table.count())),
    ).toEqual([0, 0, 0, 0])
    await expect(repository.change(id, 1, 'tail', setTail(4))).rejects.toBeInstanceOf(BuildGone)
  })
})

/** A record as version 1 wrote it; frozen. */
const RECORD_V1 = {
  id: 'fen-tender',
  name: 'Fen tender',
  rev: 3,
  cursor: 1,
  changedAt: '2026-11-01T10:00:00.000Z',
  deletedAt: null,
  build: { ...demoBuild(), positions: [{ id: 'a', name: 'A', settings: { tail: 4 } }] },
}

import 'fake-indexeddb/auto'
import { Dexie } from 'dexie'
import { demoBuild } from '../../core/testdata/builds'
import { seededRandom } from '../../core/base/chance/random'
import { buildRepository, type BuildRepository } from './buildRepository'
import { LurvanDatabase } from './database'

const setTail = (amount: number) => (draft: any) => void (draft.positions[0].settings.tail = amount)
let count = 0
let name = ''
let open: LurvanDatabase[] = []
const start = (): BuildRepository => {
  const db = new LurvanDatabase(name)
  open.push(db)
  return buildRepository(db)
}
/** The process ends: whatever is under way breaks off, nothing is said goodbye to. */
const kill = () => {
  open.forEach((db) => db.close())
  open = []
}
const tailIn = async (repository: BuildRepository, id: string) => {
  const result = await repository.load(id)
  if (!result?.ok) throw new Error('not readable')
  return result.value.build.positions[0]!.settings.tail
}

beforeEach(() => void (name = `kills-${++count}`))
afterEach(async () => {
  kill()
  await Dexie.delete(name)
})

describe('a program that is killed at any moment', () => {
  it('loses no edit it has called saved, and no build', async () => {
    const random = seededRandom(404)
    const { id } = await start().add(demoBuild(), () => 'never')
    let saved: number | undefined
    let sent: number | undefined
    for (let round = 0; round < 120; round++) {
      const repository = start()
      const before = await tailIn(repository, id)
      // What was acknowledged is there; what was under way is there whole or not at all.
      expect([saved, sent]).toContain(before)
      saved = before
      const edits = 1 + Math.floor(random.uniform() * 4)
      for (let i = 0; i < edits; i++) {
        sent = round * 5 + i
        const change = repository.change(id, 0, `edit ${sent}`, setTail(sent))
        if (i === edits - 1 && random.uniform() < 0.7) {
          change.catch(() => undefined)
          await new Promise((resolve) => setTimeout(resolve, random.uniform() * 3))
          kill()
          break
        }
        await change
        saved = sent
      }
      kill()
    }
  })

  it('keeps undo whole: every step back is the state before it', async () => {
    const { id } = await start().add(demoBuild(), () => 'never')
    for (let step = 1; step <= 90; step++) {
      await start().change(id, 0, `${step}`, setTail(step))
      kill()
    }
    for (let step = 89; step >= 1; step--) {
      const repository = start()
      await repository.undo(id)
      expect(await tailIn(repository, id)).toBe(step)
      kill()
    }
  })
})

describe('a store that fails half way', () => {
  it('has stored nothing of the change, and the next one goes on from what is there', async () => {
    const db = new LurvanDatabase(name)
    open.push(db)
    const repository = buildRepository(db)
    const { id } = await repository.add(demoBuild(), () => 'never')
    await repository.change(id, 1, 'one', setTail(1))
    for (const table of ['steps', 'history', 'builds'] as const) {
      const put = table === 'history' ? 'add' : 'put'
      const full = jest
        .spyOn(db[table] as any, put)
        .mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
      await expect(repository.change(id, 2, 'two', setTail(2))).rejects.toThrow()
      full.mockRestore()
      expect(await tailIn(repository, id)).toBe(1)
      expect(await tailIn(buildRepository(new LurvanDatabase(name)), id)).toBe(1)
    }
    await repository.change(id, 2, 'two', setTail(2))
    expect(await tailIn(repository, id)).toBe(2)
    expect(await repository.undo(id)).toMatchObject({ undoLabel: 'one' })
  })

  it('is told of a build that another tab threw away', async () => {
    const repository = start()
    const { id } = await repository.add(demoBuild(), () => 'never')
    await start().purge(id)
    expect(await repository.load(id)).toBeNull()
    await expect(repository.undo(id)).rejects.toThrow('the build is no longer stored')
    expect(await repository.raw(id)).toBeNull()
  })
})

describe('watching a build', () => {
  it('tells of each change and of its end', async () => {
    const repository = start()
    const { id } = await repository.add(demoBuild(), () => 'never')
    const seen: (number | 'deleted' | 'gone')[] = []
    const stop = repository.watch(id, (rev) => void seen.push(rev))
    const until = async (wanted: number | 'deleted' | 'gone') => {
      for (let tries = 0; tries < 300 && seen.at(-1) !== wanted; tries++)
        await new Promise((resolve) => setTimeout(resolve, 5))
      expect(seen.at(-1)).toBe(wanted)
    }
    await until(1)
    await repository.change(id, 1, 'tail', setTail(1))
    await until(2)
    await repository.remove(id)
    await until('deleted')
    stop()
    await repository.restore(id)
    await new Promise((resolve) => setTimeout(resolve, 40))
    expect(seen.at(-1)).toBe('deleted')
    expect((await repository.summaries())[0]).toMatchObject({ id, rev: 2, deletedAt: null })
  })
})

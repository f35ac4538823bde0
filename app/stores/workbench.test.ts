import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { demoBuild } from '../../core/testdata/builds'
import { buildRepository } from '../storage/buildRepository'
import { LurvanDatabase } from '../storage/database'
import { useBuildRepository } from '../storage/storage'
import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useWorkbench } from './workbench'

/** The store of another tab on the same data. */
const otherTab = () => buildRepository(new LurvanDatabase())
const setTail = (amount: number) => (draft: any) => void (draft.positions[0].settings.tail = amount)
const DISK_FULL = Object.assign(new DOMException('The quota has been exceeded.', 'QuotaExceededError'))
const until = async (isSo: () => boolean) => {
  for (let tries = 0; tries < 200 && !isSo(); tries++) await new Promise((resolve) => setTimeout(resolve, 5))
  expect(isSo()).toBe(true)
}
/** What a browser does on a full disk: the connection breaks off and none can be made. Returns how to let it again. */
function breakStore(): () => void {
  const broken = () => {
    throw new DOMException('Internal error opening backing store for indexedDB.open.', 'UnknownError')
  }
  const open = jest.spyOn(indexedDB, 'open').mockImplementation(broken)
  const store = jest.spyOn(IDBTransaction.prototype, 'objectStore').mockImplementation(function (
    this: IDBTransaction,
  ) {
    this.db.onclose?.(new Event('close'))
    return broken()
  })
  return () => {
    open.mockRestore()
    store.mockRestore()
  }
}
let id = ''
let count = 0

beforeEach(async () => {
  setActivePinia(createPinia())
  id = `build-${++count}`
  await useBuildRepository().add({ ...demoBuild(), id }, () => 'never')
})

describe('useWorkbench', () => {
  it('keeps the object on screen when it is what was stored', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    const { readings } = workbench.build!
    workbench.change('Move', setTail(4))
    const shown = workbench.build
    await workbench.settled()
    expect(workbench.build).toBe(shown)
    expect(workbench.build!.readings).toBe(readings)
    expect(workbench.undoLabel).toBe('Move')
  })

  it('never drops what could not be stored: leaving is told, and storing goes on later', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    const repository = useBuildRepository()
    const change = jest.spyOn(repository, 'changeAll').mockRejectedValue(DISK_FULL)
    workbench.change('Move', setTail(7))
    expect(await workbench.mayLeave()).toBe(false)
    expect(workbench.failure).toBe('the disk is full')
    expect(workbench.hasUnsaved).toBe(true)
    change.mockRestore()
    expect(await workbench.mayLeave()).toBe(true)
    const stored = await otherTab().load(id)
    expect(stored?.ok && stored.value.build.positions[0]!.settings.tail).toBe(7)
  })

  it('goes on storing after the store broke down and would not open: nothing typed meanwhile is lost', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    const whole = breakStore()
    for (let amount = 1; amount <= 21; amount++) workbench.change(`Move ${amount}`, setTail(amount))
    await workbench.settled()
    expect(workbench.failure).toBe('the disk is full, or the store of this browser does not open')
    expect(workbench.pending).toHaveLength(21)
    workbench.retry()
    await workbench.settled()
    expect(workbench.pending).toHaveLength(21)
    whole()
    workbench.retry()
    await workbench.settled()
    expect([workbench.failure, workbench.pending.length]).toEqual([null, 0])
    const stored = await otherTab().load(id)
    expect(stored?.ok && stored.value.build.positions[0]!.settings.tail).toBe(21)
    // Other tabs are followed again as well.
    await otherTab().change(id, 0, 'Move', setTail(5))
    await until(() => workbench.build!.positions[0]!.settings.tail === 5)
  })

  it('stores a build again that the browser lost, and promises no list to restore it from', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    await otherTab().purge(id)
    await until(() => workbench.notice !== null)
    expect(workbench.notice).toMatch(/^This build is no longer stored in this browser/)
    workbench.change('Move', setTail(9))
    await workbench.settled()
    expect([workbench.failure, workbench.hasUnsaved]).toEqual([null, false])
    expect(workbench.notice).toMatch(/^This build was no longer stored in this browser; it is stored again/)
    workbench.change('Move', setTail(11))
    await workbench.settled()
    const stored = await otherTab().load(id)
    expect(stored?.ok && stored.value.build.positions[0]!.settings.tail).toBe(11)
  })

  it('sets a change aside that cannot be made or kept, with a word, and stores those behind it', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    workbench.change('Too many', (draft) => void ((draft.readings[0] as any).values = Array(300).fill('1')))
    workbench.change('Move', setTail(3))
    await workbench.settled()
    expect(workbench.notice).toBe('"Too many" was not kept: readings[0].values: holds more than 200 entries')
    expect(workbench.build!.readings[0]).toMatchObject({ values: ['0.8', '0.8'] })
    expect(workbench.build!.positions[0]!.settings.tail).toBe(3)
    expect(workbench.hasUnsaved).toBe(false)
    expect(
      workbench.change('Broken', () => {
        throw new Error('no such joint')
      }),
    ).toBe(false)
    expect(workbench.notice).toBe('"Broken" was not kept: no such joint')
  })

  it('shows what another tab stored, and ends equal with it whatever overtakes whatever', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    const other = otherTab()
    for (let step = 1; step <= 30; step++) {
      if (step % 3 === 0) workbench.undo()
      else workbench.change(`Ours ${step}`, setTail(step))
      if (step % 4 === 0) await other.undo(id)
      else await other.change(id, 0, `Theirs ${step}`, (draft: any) => void (draft.note = `step ${step}`))
    }
    await workbench.settled()
    const stored = await other.load(id)
    const newest = stored?.ok ? JSON.stringify(stored.value.build) : ''
    await until(() => JSON.stringify(workbench.build) === newest)
  })

  it('waits for what is being stored before another build is opened', async () => {
    const workbench = useWorkbench()
    await workbench.open(id)
    const second = `${id}-second`
    await useBuildRepository().add({ ...demoBuild(), id: second }, () => 'never')
    workbench.change('Move', setTail(11))
    await workbench.open(second)
    const stored = await otherTab().load(id)
    expect(stored?.ok && stored.value.build.positions[0]!.settings.tail).toBe(11)
    expect(workbench.build!.id).toBe(second)
  })

  it('says that a build is missing, and which places of one cannot be read', async () => {
    const workbench = useWorkbench()
    await workbench.open('nowhere')
    expect(workbench.state).toBe('missing')
    const db = new LurvanDatabase()
    await db.snapshots.put({ buildId: id, rev: 1, build: { ...demoBuild(), id, lines: 5 } })
    const fresh = buildRepository(db)
    expect(await fresh.load(id)).toEqual({
      ok: false,
      problems: [{ path: 'lines', message: 'must be a list, got 5' }],
    })
  })

  it('stores what waits in one go, in order, and each can be undone', async () => {
    const workbench = await openedDemo()
    const transactions = jest.spyOn(useBuildRepository(), 'changeAll')
    for (let amount = 1; amount <= 60; amount++)
      workbench.change(`to ${amount}`, (draft) => void (draft.positions[0]!.settings.tail = amount))
    expect([workbench.hasUnsaved, workbench.isStoring]).toEqual([true, true])
    expect((await storedBuild()).positions[0]!.settings.tail).toBe(60)
    expect(transactions.mock.calls.length).toBeLessThanOrEqual(3)
    workbench.undo()
    expect(workbench.hasUnsaved).toBe(true)
    expect((await storedBuild()).positions[0]!.settings.tail).toBe(59)
    expect([workbench.undoLabel, workbench.redoLabel]).toEqual(['to 59', 'to 60'])
    transactions.mockRestore()
  })

  it('keeps those that wait behind one that cannot be kept', async () => {
    const workbench = await openedDemo()
    workbench.change('five', setTail(5))
    workbench.change('far out', setTail(1e9))
    workbench.change('wedge', (draft) => void (draft.positions[0]!.settings.wedge = 2))
    expect((await storedBuild()).positions[0]!.settings).toEqual({ tail: 5, wedge: 2 })
    expect(workbench.notice).toContain('"far out" was not kept: positions[0].settings.tail: must be a number')
    expect(workbench.undoLabel).toBe('wedge')
  })
})

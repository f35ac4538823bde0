import { openedBay, storedBuild } from '../../tests/support/opened'
import { useTasks } from './tasks'

const entryOf = async (key: string) =>
  (await storedBuild()).tasks!.find(({ id, of }) => of === key || (of === undefined && id === key))

describe('tasks of the open build', () => {
  it('are added with their hours, told more of, waited for, and go from what waits for them', async () => {
    const workbench = await openedBay()
    const tasks = useTasks()
    const before = tasks.open.length
    const key = tasks.add('wire the loom', 'fit', { low: 1, likely: 2, high: 3 })
    tasks.change('first-drive', { after: ['fluids', key] })
    await storedBuild()
    expect(tasks.open).toHaveLength(before + 1)
    expect(tasks.taskOf('first-drive')!.after).toEqual(['fluids', key])
    tasks.remove(key)
    expect((await entryOf('first-drive'))!.after).toEqual(['fluids'])
    await workbench.undo()
    await storedBuild()
    expect(tasks.taskOf(key)!.hours).toEqual({ low: 1, likely: 2, high: 3 })
  })

  it('of the build get an entry when something is said of them, once', async () => {
    await openedBay()
    const tasks = useTasks()
    tasks.change('make/gearbox-bar', { hands: 2 })
    tasks.change('make/gearbox-bar', { hours: { low: 1, likely: 1, high: 1 } })
    const entries = (await storedBuild()).tasks!.filter(({ of }) => of === 'make/gearbox-bar')
    expect(entries).toEqual([
      expect.objectContaining({ name: 'make gearbox bar', hands: 2, hours: { low: 1, likely: 1, high: 1 } }),
    ])
    expect(tasks.taskOf('make/gearbox-bar')).toMatchObject({ hands: 2, isUsual: false })
  })

  it('are done where the build keeps it: a part by its state, what is temporary by its day', async () => {
    await openedBay()
    const tasks = useTasks()
    for (const key of ['make/gearbox-bar', 'temporary/bell-bolts', 'weld/strut-weld', 'tail-bush']) {
      expect(tasks.taskOf(key)!.isDone).toBe(false)
      tasks.markDone(key)
    }
    const build = await storedBuild()
    expect(build.crossmembers![0]!.state).toBe('welded')
    expect(build.temporaries!.find(({ id }) => id === 'bell-bolts')!.closedAt).toMatch(/^\d{4}-\d\d-\d\d$/)
    expect((await entryOf('weld/strut-weld'))!.doneAt).toMatch(/^\d{4}-\d\d-\d\d$/)
    expect(tasks.done.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['make/gearbox-bar', 'temporary/bell-bolts', 'weld/strut-weld', 'tail-bush']),
    )
    tasks.markDone('fit/gearbox-bar')
    expect((await storedBuild()).crossmembers![0]!.state).toBe('fitted')
    tasks.markDone('fit/gearbox-bar', false)
    tasks.markDone('weld/strut-weld', false)
    expect((await storedBuild()).crossmembers![0]!.state).toBe('painted')
    expect(tasks.taskOf('weld/strut-weld')!.isDone).toBe(false)
  })

  it('that the build tells by itself are ticked by nobody', async () => {
    await openedBay((raw) => (raw.readings = raw.readings.slice(5)))
    const tasks = useTasks()
    const measure = tasks.taskOf('measure')!
    expect(tasks.mayTick(measure)).toBe(false)
    tasks.markDone('measure')
    expect((await storedBuild()).tasks!.some(({ of }) => of === 'measure')).toBe(false)
  })

  it('what comes off goes from tasks that want it off, and from what waits for it', async () => {
    await openedBay()
    const tasks = useTasks()
    tasks.changeRemoval('off-exhaust', { offH: 0.8, isOff: undefined })
    expect((await storedBuild()).removals![0]).toEqual({
      id: 'off-exhaust',
      name: 'exhaust',
      offH: 0.8,
      onH: 0.7,
    })
    tasks.removeRemoval('off-exhaust')
    const { removals, tasks: entries } = await storedBuild()
    expect(removals).toEqual([expect.objectContaining({ id: 'off-engine', once: [] })])
    expect(entries!.flatMap(({ absent = [], present = [] }) => [...absent, ...present])).not.toContain(
      'off-exhaust',
    )
    tasks.addRemoval()
    expect((await storedBuild()).removals).toHaveLength(2)
  })

  it('say who works when, from evenings and a Saturday on', async () => {
    await openedBay((raw) => delete raw.crew)
    const tasks = useTasks()
    expect(tasks.crew).toBeUndefined()
    tasks.beginCrew()
    tasks.changeCrew({ hands: 2, closed: ['2026-12-24'] })
    expect((await storedBuild()).crew).toEqual({
      hands: 2,
      hours: [2, 2, 2, 2, 2, 6, 0],
      closed: ['2026-12-24'],
    })
  })
})

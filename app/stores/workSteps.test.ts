import { openedBay, storedBuild } from '../../tests/support/opened'
import { useWorkSteps } from './workSteps'

describe('the work of a build step by step', () => {
  it('begins at the first step that is not done, is ticked, taken back and undone', async () => {
    const workbench = await openedBay()
    const work = useWorkSteps()
    expect([work.work!.of, work.index, work.step!.figure]).toEqual(['bar', 0, '746.7 mm'])
    work.tick()
    work.tick()
    const { ticks = [] } = await storedBuild()
    expect(ticks.map(({ of, thing, name }) => [of, thing, name])).toEqual([
      ['bar', 'gearbox-bar', 'cut the bar'],
      ['bar', 'gearbox-bar', 'notch 1'],
    ])
    expect([work.done, work.index]).toEqual([2, 2])
    work.go(-1)
    expect(work.step!.doneAt).not.toBeNull()
    work.takeBack()
    await storedBuild()
    expect([work.done, work.step!.doneAt]).toEqual([1, null])
    await workbench.undo()
    await storedBuild()
    expect(work.done).toBe(2)
    work.look('tube', 'strut')
    expect([work.step!.name, work.done]).toEqual(['saw the tube', 0])
    work.look('bar', 'gearbox-bar')
    expect(work.step!.name).toBe('notch 2')
    for (let k = 0; k < 9; k++) work.go(1)
    expect(work.step!.name).toBe('hold it up')
  })

  it('is kept by its steps, whatever they measure now', async () => {
    const workbench = await openedBay()
    const work = useWorkSteps()
    work.tick()
    await storedBuild()
    workbench.change('Another bush', (draft) => {
      draft.crossmembers![0]!.bushMm = 40
    })
    await storedBuild()
    expect(work.steps.map(({ doneAt }) => doneAt !== null)).toEqual([true, ...Array(5).fill(false)])
    expect(work.steps.at(-1)!.figure).toBe('40.0 mm')
  })

  it('asks how a bolt goes into each hole; one that is off says toward which hour', async () => {
    await openedBay()
    const work = useWorkSteps()
    const plate = work.works.find(({ of }) => of === 'plate')!
    work.look('plate', plate.thing)
    const first = work.steps.findIndex(({ isHole }) => isHole)
    for (let k = 0; k < first; k++) work.go(1)
    const hole = work.step!.name
    work.tick({ found: 'off', hour: 4 })
    const { ticks = [] } = await storedBuild()
    expect(ticks).toEqual([expect.objectContaining({ of: 'plate', name: hole, found: 'off', hour: 4 })])
    expect(work.steps[first]!.tick).toMatchObject({ found: 'off', hour: 4 })
    expect(work.index).toBe(first + 1)
  })

  it('lets a photograph go with its tick', async () => {
    const workbench = await openedBay()
    const work = useWorkSteps()
    work.tick()
    await storedBuild()
    work.go(-1)
    const { id } = work.step!.tick!
    workbench.change('Add a photograph', (draft) => {
      draft.photos = [...(draft.photos ?? []), { id: 'shot', name: 'thumb', shows: id }]
    })
    await storedBuild()
    expect(work.step!.photo).toBe('shot')
    work.takeBack()
    expect((await storedBuild()).photos ?? []).toEqual([])
    expect([work.done, work.step!.photo]).toEqual([0, null])
    await workbench.undo()
    expect((await storedBuild()).photos).toHaveLength(1)
  })
})

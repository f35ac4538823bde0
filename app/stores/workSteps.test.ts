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
})

import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useBolts } from './bolts'

describe('bolts of the open build', () => {
  it('begin with one, are put in a slot, changed, and go; each is undone', async () => {
    const workbench = await openedDemo()
    const bolts = useBolts()
    expect([bolts.called, bolts.lines]).toEqual([null, []])
    bolts.add()
    await storedBuild()
    expect(bolts.called).toBe('M10 × 35, 8.8')
    bolts.setSlot(true)
    bolts.changeSlot({ travelMm: 20, loadN: 9000 })
    await storedBuild()
    expect(bolts.isOut).toBe(true)
    bolts.changeSlot({ bolts: 4 })
    bolts.change({ thread: 'oiled', name: 'bracket' })
    const [bolt] = (await storedBuild()).bolts!
    expect(bolt).toMatchObject({ name: 'bracket', slot: { travelMm: 20, loadN: 9000, bolts: 4 } })
    expect(bolts.isOut).toBe(false)
    bolts.setSlot(false)
    expect((await storedBuild()).bolts![0]!.slot).toBeUndefined()
    await workbench.undo()
    expect((await storedBuild()).bolts![0]!.slot!.bolts).toBe(4)
    bolts.remove()
    expect((await storedBuild()).bolts).toEqual([])
  })
})

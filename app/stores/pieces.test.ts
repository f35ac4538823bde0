import { openedDemo, storedBuild } from '../../tests/support/opened'
import { usePieces } from './pieces'

describe('small made parts', () => {
  it('begin with usual sizes, turn into another kind, and are taken back', async () => {
    const workbench = await openedDemo()
    const pieces = usePieces()
    pieces.add()
    await storedBuild()
    pieces.change({ playMm: 0.3, throughMm: 100 })
    await storedBuild()
    expect(pieces.sentences[0]).toContain('1.0 mm off')
    pieces.turnInto('gusset')
    pieces.changeTab({ loadN: 900, offMm: 30 })
    pieces.changeTab({ wideMm: 50, thickMm: 6 })
    const stored = (await storedBuild()).pieces!
    expect(stored).toEqual([
      {
        ...{ id: expect.any(String), name: 'drill guide', kind: 'gusset', longMm: 60, wideMm: 60, highMm: 5 },
        ...{ noseMm: 10, snipMm: 8, tab: { loadN: 900, offMm: 30, wideMm: 50, thickMm: 6 } },
      },
    ])
    // 6 · 900 · 30 / (36 · 50).
    expect(pieces.sentences[0]).toContain('bears 90 N/mm²')
    expect(pieces.template!.size).toEqual([60, 68])
    await workbench.undo()
    await workbench.undo()
    await workbench.undo()
    expect((await storedBuild()).pieces![0]).toMatchObject({ kind: 'guide', playMm: 0.3 })
    pieces.remove()
    expect((await storedBuild()).pieces).toEqual([])
  })
})

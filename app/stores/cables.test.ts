import { openedBuild, openedDemo, storedBuild } from '../../tests/support/opened'
import { demoBuild } from '../../core/testdata/demos'
import { useBulkheads } from './bulkheads'
import { useCables } from './cables'
import { useWorkbench } from './workbench'

const hatch = async () => {
  await openedBuild(demoBuild('medlar-hatch'))
  return { cables: useCables(), bulkheads: useBulkheads() }
}

describe('cables of the open build', () => {
  it('begin from nothing: two fixings, a corner each with a point of its own, all gone again with it', async () => {
    await openedDemo()
    const { cables, bulkheads, workbench } = {
      cables: useCables(),
      bulkheads: useBulkheads(),
      workbench: useWorkbench(),
    }
    const points = () => workbench.build!.points.length
    const before = points()
    cables.add()
    cables.addCorner('corners')
    bulkheads.passes(null)
    cables.addCorner('cornersBehind')
    bulkheads.keepOff()
    expect(points()).toBe(before + 5)
    expect(cables.sentence).toBe('shift cable: its way is not known yet.')
    expect(cables.placeStep).toContain('point')
    cables.changeEnd('from', { leaves: 'forward' })
    expect(cables.found!.cable.from).toMatchObject({ leaves: 'forward', straightMm: 60 })
    cables.changeEnd('from', { leaves: undefined })
    expect(cables.found!.cable.from.straightMm).toBeUndefined()
    // Through no bulkhead all corners stand in one row.
    bulkheads.passes(undefined)
    expect(cables.found!.cable.corners!.length).toBe(2)
    cables.removeCorner('corners', 0)
    expect(points()).toBe(before + 4)
    await workbench.undo()
    await storedBuild()
    expect(cables.found!.cable.corners!.length).toBe(2)
    bulkheads.passes(workbench.build!.bulkheads![0]!.id)
    cables.remove()
    expect([points(), workbench.build!.bulkheads, workbench.build!.cables]).toEqual([before, [], []])
  })

  it('have their hole moved to whole millimetres, and say at once what a place would take', async () => {
    const { cables, bulkheads } = await hatch()
    expect(cables.sentence).toMatch(/^Its way takes 1016\.8 mm, 6\.0 mm of it loose/)
    expect(bulkheads.fitThrough({ leftMm: -150, upMm: -60 })).toMatchObject({
      as: 'fits',
      mm: expect.closeTo(3.2, 1),
    })
    expect(bulkheads.fitThrough({ leftMm: -400, upMm: -60 })).toMatchObject({ as: 'short' })
    const better = bulkheads.betterHole!
    bulkheads.moveHole({ leftMm: better.leftMm + 0.3, upMm: better.upMm })
    expect((await storedBuild()).cables![0]!.hole).toMatchObject(better)
    expect(bulkheads.fitThrough(better)).toMatchObject({ as: 'fits' })
    expect(cables.found!.found.known && cables.found!.found.value.figures.leftMm).toBeGreaterThan(9)
    expect(bulkheads.betterHole).toBeNull()
  })

  it('keep what is hot, and what of the bulkhead is not drilled', async () => {
    const { cables, bulkheads } = await hatch()
    const free = bulkheads.band!.rows.flatMap(({ stretches }) => stretches).length
    bulkheads.changeKept('loom', { leftMm: 20, upMm: 60, downMm: 170 })
    expect(bulkheads.band!.rows.flatMap(({ stretches }) => stretches).length).toBeLessThan(free)
    bulkheads.removeKept('loom')
    cables.changeHot(0, { gapMm: 300 })
    expect(cables.rows.find(({ key }) => key === 'hot-0')).toMatchObject({
      verdict: 'out',
      value: '223.5 mm',
    })
    cables.removeHot(0)
    cables.addHot()
    expect((await storedBuild()).cables![0]!.hot).toEqual([{ point: 'left-inner', gapMm: 100 }])
    bulkheads.changeRoom({ leftMm: 100 })
    bulkheads.changeSheet({ leanDeg: undefined })
    expect((await storedBuild()).bulkheads![0]).toMatchObject({ room: { leftMm: 100 } })
  })
})

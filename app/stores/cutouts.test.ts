import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useCutouts } from './cutouts'

describe('openings that something is lowered through', () => {
  it('keep a touch, say the next cut, and take it back', async () => {
    const workbench = await openedBay()
    const cutouts = useCutouts()
    expect(cutouts.rows.map(({ side, depth }) => [side, depth])).toEqual([
      ['right side', '28.0 mm'],
      ['right side', '26.0 mm'],
    ])
    // 26 over 70 mm: 120 to go want 44.6 more.
    expect(cutouts.larger).toContain('it takes 3 lowerings more. Cut back by 70.6 mm at once')
    cutouts.keepTouch({ at: { fromLeftMm: 160, fromFrontMm: 3 }, overlapMm: 11 })
    expect((await storedBuild()).cutouts![0]!.touches).toHaveLength(3)
    expect(cutouts.next).toMatchObject({ name: 'Cut the front side back by', figure: '31.0 mm' })
    expect(cutouts.scene(600)!.touches).toHaveLength(3)
    cutouts.takeBack()
    await workbench.undo()
    expect((await storedBuild()).cutouts![0]!.touches).toHaveLength(3)
  })

  it('begin as a rectangle, get a corner more, keep three, and go', async () => {
    await openedDemo()
    const cutouts = useCutouts()
    expect([cutouts.cutout, cutouts.scene(600), cutouts.next]).toEqual([null, null, null])
    cutouts.add()
    await storedBuild()
    cutouts.addCorner()
    cutouts.moveCorner(4, { fromLeftMm: -20 })
    cutouts.change({ name: 'tunnel', gapMm: 15 })
    expect((await storedBuild()).cutouts![0]).toMatchObject({ name: 'tunnel', gapMm: 15 })
    expect(cutouts.cutout!.corners[4]).toEqual({ fromLeftMm: -20, fromFrontMm: 200 })
    for (let k = 0; k < 4; k++) cutouts.removeCorner(0)
    expect((await storedBuild()).cutouts![0]!.corners).toHaveLength(3)
    cutouts.remove()
    expect((await storedBuild()).cutouts).toEqual([])
  })
})

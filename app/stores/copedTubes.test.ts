import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useCopedTubes } from './copedTubes'

describe('tubes of a build', () => {
  it('follow their sizes and ends, are printed, taken as made, stale once their end lies elsewhere, and undone', async () => {
    const workbench = await openedBay()
    const tubes = useCopedTubes()
    expect(tubes.steps[0]).toContain('saw 337.3 mm of 38 × 3 round tube')
    tubes.changeTube({ spareMm: 10 })
    await storedBuild()
    expect(tubes.steps[0]).toContain('saw 342.3 mm')
    tubes.changeMain(1, 60)
    await storedBuild()
    expect(tubes.rows[1]).toMatchObject({ main: 'on 60 mm', passes: '1.1 mm' })
    const texts = tubes.printed!.marks.flatMap((mark) => (mark.form === 'text' ? [mark.text] : []))
    expect(texts).toEqual(expect.arrayContaining(['match line', 'this side out', '38 × 3 round tube']))
    tubes.takeAsMade()
    expect((await storedBuild()).copedTubes![0]!.made).toMatchObject({
      axisMm: expect.closeTo(380.73, 2),
      twistDeg: expect.closeTo(-170.04, 1),
    })
    expect(tubes.change!.isStale).toBe(false)
    workbench.change('Move an end', (draft) => {
      const read = draft.readings.find((one) => 'point' in one && one.point === 'strut-head')
      Object.assign(read!, { station: '950' })
    })
    await storedBuild()
    expect(tubes.change).toMatchObject({ longerMm: expect.closeTo(7.67, 2), isStale: true })
    for (let k = 0; k < 4; k++) await workbench.undo()
    await storedBuild()
    expect(tubes.steps[0]).toContain('saw 337.3 mm')
    expect(tubes.scene(600)!.mains).toHaveLength(2)
  })

  it('begin square at both ends, cope one with points of its own, and go with all of them', async () => {
    const workbench = await openedDemo()
    const points = workbench.build!.points.length
    const tubes = useCopedTubes()
    tubes.add()
    await storedBuild()
    expect(tubes.rows.map(({ main }) => main)).toEqual(['cut square', 'cut square'])
    expect(tubes.found!.found.known).toBe(false)
    expect([tubes.template, tubes.steps]).toEqual([null, []])
    tubes.cope(1, true)
    const coped = await storedBuild()
    expect(coped.points).toHaveLength(points + 4)
    expect(coped.copedTubes![0]!.ends[1]!.main).toMatchObject({ outerMm: 48 })
    tubes.cope(1, false)
    expect((await storedBuild()).points).toHaveLength(points + 2)
    tubes.remove()
    const gone = await storedBuild()
    expect([gone.points.length, gone.copedTubes]).toEqual([points, []])
    await workbench.undo()
    expect((await storedBuild()).copedTubes).toHaveLength(1)
  })
})

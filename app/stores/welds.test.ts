import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { changedBay } from '../../core/testdata/bay'
import { newId } from '../storage/newId'
import { useBuildRepository } from '../storage/storage'
import { useLiftIns } from './liftIns'
import { POINT_FIGURES, useTrials } from './trials'
import { useWelds } from './welds'
import { useWeldStand } from './weldStand'

describe('welds of a build', () => {
  it('are read again, judged, and teach the next one; all of it undone', async () => {
    const workbench = await openedBay()
    const welds = useWelds()
    expect(welds.sentence!.text).toBe('Nothing drew further than it may.')
    welds.changeReading('length', { after: 729 })
    await storedBuild()
    expect(welds.sentence).toEqual({ text: 'Drew too far: bar, end to end.', isOut: true })
    welds.looked = 'strut-weld'
    expect(welds.steps[3]).toBe('it is likely to draw 0.70 mm (by 1 of your own weld)')
    expect(welds.isWelded).toBe(false)
    welds.weldNow()
    const hot = (await storedBuild()).welds![1]!.hotAt!
    expect(Math.abs(Date.now() - Date.parse(hot))).toBeLessThan(60_000)
    expect(welds.minutes).toBe(0)
    expect(welds.rows.map(({ before }) => before)).toEqual(['hidden', 'hidden'])
    for (let k = 0; k < 2; k++) await workbench.undo()
    await storedBuild()
    welds.looked = 'bar-fold'
    expect(welds.sentence!.isOut).toBe(false)
  })

  it('begin with their usual readings, count tacks no further than there are, and go', async () => {
    await openedDemo()
    const welds = useWelds()
    expect(welds.sentence).toBeNull()
    welds.add()
    welds.addUsual()
    welds.addReading()
    await storedBuild()
    expect(welds.rows.map(({ reading }) => [reading.most ?? null, reading.isOverSeam ?? false])).toEqual([
      ...[
        [1, false],
        [1, false],
        [1, false],
        [null, true],
        [1, false],
      ],
    ])
    welds.tack(-1)
    expect((await storedBuild()).welds![0]!.tacked).toBe(0)
    for (let k = 0; k < 9; k++) welds.tack(1)
    expect((await storedBuild()).welds![0]!.tacked).toBe(welds.tacks)
    welds.change({ lengthMm: 40 })
    welds.removeReading(welds.rows[0]!.reading.id)
    await storedBuild()
    expect([welds.tacks, welds.rows.length]).toEqual([2, 4])
    welds.backToTacks()
    welds.remove()
    expect((await storedBuild()).welds).toEqual([])
  })
})

describe('where the powertrain stands once welded', () => {
  it('is a lift-in of its own, packed as tacked, that stays while the weld names it; undone', async () => {
    const workbench = await openedBay()
    const [welds, stand, trials] = [useWelds(), useWeldStand(), useTrials()]
    welds.change({ tackedIn: 'trial-2' })
    stand.readAgain()
    const build = await storedBuild()
    const trial = build.trials.at(-1)!
    expect(trial).toMatchObject({ name: 'after welding folds of the gearbox bar', packed: { tail: 10 } })
    expect(build.welds![0]).toMatchObject({ tackedIn: 'trial-2', weldedIn: trial.id })
    useLiftIns().remove(trial.id)
    expect((await storedBuild()).trials.at(-1)!.id).toBe(trial.id)
    expect([stand.told, stand.wants]).toEqual([
      null,
      ['three points of the powertrain, not in one line, each read three ways once welded'],
    ])
    for (const one of trials.pointsOf(trial.id).slice(0, 3))
      for (const kind of POINT_FIGURES)
        expect(trials.readAgain(trial.id, one, kind, String(Math.abs(one.first[kind])))).toBe('')
    await storedBuild()
    // Read where they stood unpacked: the tail has come down by what had been packed under it.
    const tail = stand.told!.points.find(({ of }) => of === 'tail mount, above the plane')!
    expect(tail).toMatchObject({ before: '24.0 mm', after: '14.0 mm', hasMoved: true })
    expect(tail.by).toMatch(/^−10\.0 mm ± /)
    for (let k = 0; k < 10; k++) await workbench.undo()
    const undone = await storedBuild()
    expect(undone.trials).toHaveLength(3)
    expect(undone.welds![0]!.weldedIn).toBeUndefined()
  })
})

describe('the shop’s own shrink', () => {
  it('is learnt from its other builds, the thrown away and the examples left out', async () => {
    const repository = useBuildRepository()
    const drawn = (name: string, after: number) =>
      changedBay((raw) => {
        raw.id = name
        raw.name = name
        raw.welds = [
          {
            ...{ id: 'seam', name: 'seam', seam: 'butt-across', lengthMm: 100, thicknessMm: 3, runs: 1 },
            readings: [{ id: 'r', name: 'over it', before: 60, after, isOverSeam: true }],
          },
        ]
      })
    await openedBay((raw) => (raw.welds[1].seam = 'butt-across'))
    const welds = useWelds()
    welds.looked = 'strut-weld'
    expect(welds.steps[3]).toContain('a guide until you have your own')
    await repository.add(drawn('earlier', 58.4), newId)
    const gone = await repository.add(drawn('gone', 50), newId)
    await repository.remove(gone.id)
    await welds.learn()
    expect(welds.steps[3]).toMatch(/^it is likely to draw [\d.]+ mm \(by 1 of your own weld\)$/)
  })
})

import { openedBay, storedBuild } from '../../tests/support/opened'
import type { Build } from '../../core/file/build/build'
import { stoodPlate } from '../../core/testdata/stoodPlate'
import { useCopedTubes } from './copedTubes'
import { useEvaluation } from './evaluation'
import { useBarInBay, usePlateInBay, useTubeInBay } from './inBay'
import { useLevers } from './levers'
import { useMaking } from './making'
import { usePlates } from './plates'

const barIn = (build: Awaited<ReturnType<typeof storedBuild>>) =>
  build.bodies.find(({ name }) => name === 'gearbox bar')
const lowOf = (build: Awaited<ReturnType<typeof storedBuild>>) =>
  Math.max(
    ...barIn(build)!
      .outlines!.find(({ view }) => view === 'front')!
      .corners.map(([, height]) => height),
  )

describe('a crossmember in the bay', () => {
  it('is put among its parts, brought up to date after packing, taken out, and all of it taken back', async () => {
    const workbench = await openedBay()
    const bar = useBarInBay()
    expect(bar.state).toBe('absent')
    bar.put()
    const put = await storedBuild()
    expect(barIn(put)).toMatchObject({
      kind: 'item',
      outlines: [{ view: 'side' }, { view: 'top' }, { view: 'front' }],
    })
    expect(bar.state).toBe('there')
    // No reading tells of it, and the verdict stays what it was.
    expect(useEvaluation().current!.verdict).toBe('tight')

    useLevers().set('Pack the tail', { tail: 5 })
    const packed = await storedBuild()
    expect([bar.state, lowOf(packed)]).toEqual(['old', lowOf(put)])
    bar.put()
    const renewed = await storedBuild()
    expect(bar.state).toBe('there')
    expect(lowOf(renewed) - lowOf(put)).toBeCloseTo(5, 0)
    await workbench.undo()
    expect(lowOf(await storedBuild())).toBe(lowOf(put))
    expect(bar.state).toBe('old')

    expect([bar.stays, bar.gaps]).toEqual([null, []])
    expect(bar.takeOut()).toBe(true)
    expect(barIn(await storedBuild())).toBeUndefined()
    expect([bar.state, bar.takeOut()]).toEqual(['absent', false])

    // One that is made no more does not stay behind in the bay.
    bar.put()
    await storedBuild()
    useMaking().remove()
    const without = await storedBuild()
    expect([without.crossmembers, barIn(without)]).toEqual([[], undefined])
    await workbench.undo()
    expect(barIn(await storedBuild())).toMatchObject({ name: 'gearbox bar' })
  })
})

describe('a tube and a plate in the bay', () => {
  it('are put among its parts, told as old once they stand otherwise, and leave it with what is made', async () => {
    const workbench = await openedBay(stoodPlate)
    const [tube, plate] = [useTubeInBay(), usePlateInBay()]
    expect([tube.state, plate.state]).toEqual(['absent', 'absent'])
    tube.put()
    plate.put()
    const names = (build: Build) => build.bodies.slice(-2).map(({ name }) => name)
    expect(names(await storedBuild())).toEqual([
      'strut, cross tube to side tube',
      'plate between starter and block',
    ])
    expect([tube.state, plate.state]).toEqual(['there', 'there'])

    // The plate's points are on the powertrain, the tube's ends on the chassis.
    useLevers().set('Pack the tail', { tail: 5 })
    expect([tube.state, plate.state]).toEqual(['there', 'old'])
    useCopedTubes().changeTube({ outerMm: 42 })
    expect(tube.state).toBe('old')
    tube.put()
    expect(tube.state).toBe('there')
    // Once it is cut it is no longer only a place.
    useCopedTubes().changeTube({ state: 'cut' })
    expect(tube.state).toBe('old')
    tube.put()
    plate.put()
    expect([tube.state, plate.state]).toEqual(['there', 'there'])
    const renewed = await storedBuild()
    expect(renewed.bodies.slice(-2).map((body) => 'provisional' in body)).toEqual([false, true])

    useCopedTubes().remove()
    usePlates().remove()
    const without = await storedBuild()
    expect([without.copedTubes, without.plates, without.bodies.length]).toEqual([
      [],
      [],
      renewed.bodies.length - 2,
    ])
    expect(without.points.filter(({ id }) => /^(strut|plate)-/.test(id))).toEqual([])
    await workbench.undo()
    await workbench.undo()
    expect(await storedBuild()).toMatchObject({ bodies: { length: renewed.bodies.length } })
  })
})

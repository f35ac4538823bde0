import { openedBay, storedBuild } from '../../tests/support/opened'
import { useBarInBay } from './barInBay'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useMaking } from './making'

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

import { openedBay, storedBuild } from '../../tests/support/opened'
import { useTracing } from './tracing'

const PHOTO = { id: 'front', name: 'from the left', takenAt: '2026-11-28T10:00:00.000Z', shows: 'battery' }

/** A part with a photograph that was told nothing yet. */
async function opened() {
  const workbench = await openedBay((raw) => {
    raw.photos = [PHOTO]
    const battery = raw.bodies.find(({ id }: { id: string }) => id === 'battery')
    delete battery.outlines
  })
  const tracing = useTracing()
  tracing.open('battery', null)
  return { workbench, tracing }
}

/** A at 100, 100 px is 1200 mm behind the datum and 300 mm up; B, 400 px to the right of it, is 200 mm away. */
function scaled(tracing: ReturnType<typeof useTracing>) {
  tracing.set([100, 100], 5)
  tracing.set([500, 100], 5)
  tracing.change({ at: [1200, 300] })
  tracing.change({ distanceMm: 200 })
}
const outlineOf = async () =>
  (await storedBuild()).bodies.find(({ id }) => id === 'battery')!.outlines?.at(-1)

describe('tracing a part over a photograph', () => {
  it('asks for A, then B, then corners, and says what the scale lacks', async () => {
    const { tracing } = await opened()
    expect([tracing.photoId, tracing.tool, tracing.lacks]).toEqual([
      'front',
      'first',
      ['first', 'second', 'at', 'distance'],
    ])
    tracing.set([100, 100], 5)
    expect(tracing.tool).toBe('second')
    tracing.set([500, 100], 5)
    expect([tracing.tool, tracing.lacks]).toEqual(['corner', ['at', 'distance']])
    expect(tracing.placeOf([100, 100])).toBeNull()
  })

  it('is half a millimetre a pixel once it is scaled, and the build has it', async () => {
    const { tracing } = await opened()
    scaled(tracing)
    expect(tracing.lacks).toEqual([])
    const [along, up] = tracing.placeOf([300, 140])!
    // 200 px right of A, 40 px below it.
    expect([along, up]).toEqual([expect.closeTo(1300, 6), expect.closeTo(280, 6)])
    expect((await storedBuild()).photos![0]!.scale).toMatchObject({ distanceMm: 200 })
  })

  it('makes an outline of three corners, moves one, and has none of two', async () => {
    const { workbench, tracing } = await opened()
    scaled(tracing)
    for (const pixel of [
      [100, 100],
      [300, 100],
      [300, 300],
    ] as const)
      tracing.set(pixel, 5)
    expect(await outlineOf()).toEqual({
      photo: 'front',
      view: 'side',
      corners: [
        [1200, 300],
        [1300, 300],
        [1300, 200],
      ],
    })
    tracing.moveTo({ tool: 'corner', index: 2 }, [300, 400])
    expect((await outlineOf())!.corners[2]).toEqual([1300, 150])
    tracing.removeCorner(0)
    expect(await outlineOf()).toBeUndefined()
    // What was begun stays beside the build.
    expect(tracing.corners).toHaveLength(2)
    await workbench.undo()
    await workbench.settled()
    expect((await outlineOf())!.corners).toHaveLength(3)
  })

  it('goes along when it is scaled anew: twice as far from A to B, twice as large', async () => {
    const { tracing } = await opened()
    scaled(tracing)
    for (const pixel of [
      [100, 100],
      [300, 100],
      [300, 300],
    ] as const)
      tracing.set(pixel, 5)
    tracing.change({ distanceMm: 400 })
    expect((await outlineOf())!.corners).toEqual([
      [1200, 300],
      [1400, 300],
      [1400, 100],
    ])
  })

  it('takes the place of A from a point that was read', async () => {
    const { tracing } = await opened()
    const point = tracing.known[0]!
    tracing.takePoint('at', point.value)
    expect(tracing.draft.at.every(Number.isFinite)).toBe(true)
    expect(tracing.draft.at).toHaveLength(2)
  })
})

import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useHumps } from './humps'

describe('humps of a build', () => {
  it('are rolled over, changed in kind and size, and undone', async () => {
    const workbench = await openedBay()
    const humps = useHumps()
    expect(humps.sentence).toContain('downpipe bend comes nearest, by 199.1 mm')
    expect(humps.frontMm).toBeCloseTo(520, 0)
    humps.rolledTo = -1e6
    expect(humps.frontMm).toBe(humps.way!.from)
    humps.change({ heightMm: 340, lengthMm: 700 })
    await storedBuild()
    expect(humps.sentence).toContain('touches first')
    expect(humps.rows[0]!.isOut).toBe(true)
    humps.turnInto('kerb')
    expect((await storedBuild()).humps![0]).toEqual({
      id: 'yard-hump',
      name: 'hump at the yard gate',
      kind: 'kerb',
      heightMm: 340,
    })
    humps.turnInto('table')
    expect((await storedBuild()).humps![0]).toMatchObject({ lengthMm: 900, heightMm: 340, rampMm: 900 })
    for (let k = 0; k < 3; k++) await workbench.undo()
    await storedBuild()
    expect(humps.sentence).toContain('by 199.1 mm')
    humps.look('trailer')
    expect(humps.hump!.name).toBe('ramp of the trailer')
    expect(humps.scene(500)!.tyres).toHaveLength(2)
  })

  it('begin with a round one, say what the vehicle lacks, and go', async () => {
    await openedDemo()
    const humps = useHumps()
    humps.add()
    expect((await storedBuild()).humps).toMatchObject([{ kind: 'round', lengthMm: 900, heightMm: 100 }])
    expect(humps.found.known ? [] : humps.found.missing.map(({ what }) => what)).toContain(
      'the station of the front axle',
    )
    expect([humps.rows, humps.scene(400)]).toEqual([[], null])
    humps.remove()
    expect((await storedBuild()).humps).toEqual([])
  })
})

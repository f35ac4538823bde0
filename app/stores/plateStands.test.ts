import { openedBay, storedBuild } from '../../tests/support/opened'
import { stoodPlate } from '../../core/testdata/stoodPlate'
import { usePlateStands } from './plateStands'
import { usePlates } from './plates'

const standsOf = async () => (await storedBuild()).plates![0]!.stands
const own = async () => (await storedBuild()).points.filter(({ name }) => name.includes('face at'))

describe('where a plate stands', () => {
  it('is said by three points of a body, which are then asked for, and taken back', async () => {
    const workbench = await openedBay()
    const stands = usePlateStands()
    expect([stands.body, stands.missing]).toEqual([undefined, null])
    expect(stands.bodies.map(({ id }) => id)).toEqual(['chassis', 'powertrain', 'rear-axle'])
    stands.standOn('powertrain')
    expect((await own()).map(({ name, body }) => [name, body])).toEqual(
      ['A', 'B', 'C'].map((hole) => [`plate between starter and block, face at hole ${hole}`, 'powertrain']),
    )
    expect((await standsOf())!.map(({ hole }) => hole)).toEqual(['A', 'B', 'C'])
    expect([stands.body, stands.sentence, stands.missing!.length > 0]).toEqual(['powertrain', null, true])

    // Another hole for a point: one that has a point changes places with it, one that has none takes it.
    stands.changeHole(0, 'B')
    stands.changeHole(2, 'E')
    expect((await standsOf())!.map(({ hole }) => hole)).toEqual(['B', 'A', 'E'])
    expect((await own()).map(({ name }) => name.at(-1))).toEqual(['B', 'A', 'E'])

    stands.standOn('chassis')
    expect((await own()).map(({ body }) => body)).toEqual(['chassis', 'chassis', 'chassis'])
    stands.standOn(undefined)
    expect([await standsOf(), await own()]).toEqual([undefined, []])
    await workbench.undo()
    expect((await own()).length).toBe(3)
    expect(stands.body).toBe('chassis')
  })

  it('tells how far its points are beside its holes, and goes with a hole that it stands by', async () => {
    await openedBay(stoodPlate)
    const stands = usePlateStands()
    expect([stands.missing, stands.sentence]).toEqual([null, 'Its points lie up to 0.0 mm beside its holes.'])
    usePlates().removeHole('D')
    expect(await standsOf()).toHaveLength(3)
    usePlates().removeHole('C')
    expect([await standsOf(), await own()]).toEqual([undefined, []])
  })
})

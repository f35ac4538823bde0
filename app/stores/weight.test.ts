import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useLevers } from './levers'
import { useWeight } from './weight'

const knownOf = <T>(answer: { known: true; value: T } | { known: false }): T => {
  if (!answer.known) throw new Error('it is not known')
  return answer.value
}

describe('the weighing of a build', () => {
  it('tells what the scales say, and after what goes in and out', async () => {
    await openedBay()
    const loads = knownOf(useWeight().answer)
    // 391 + 379 in front of 1388.
    expect(loads.before.frontPercent).toBeCloseTo((100 * 770) / 1388, 6)
    const corners = { frontLeft: 400, frontRight: 379, rearLeft: 312, rearRight: 306 }
    useWeight().weigh('frontLeft', 400)
    expect((await storedBuild()).weight!.cornersKg).toEqual(corners)
    expect(knownOf(useWeight().answer).before.frontPercent).toBeCloseTo((100 * 779) / 1397, 6)
  })

  it('follows a lever that moves what was weighed in: engine back, weight off the front', async () => {
    await openedBay()
    const weight = useWeight()
    const front = () => knownOf(weight.answer).after.frontPercent
    const before = front()
    useLevers().set('Move it back', { fore: -15 })
    expect(front()).toBeLessThan(before)
    expect(weight.shares[0]!.percent).toBeCloseTo(front(), 6)
  })

  it('says what is missing on one corner, and draws what was told', async () => {
    const workbench = await openedBay()
    const weight = useWeight()
    weight.weigh('rearRight', undefined)
    expect(weight.answer.known).toBe(false)
    expect(weight.rows).toEqual([])
    expect(weight.scene).not.toBeNull()
    await workbench.undo()
    await workbench.settled()
    expect(weight.answer.known).toBe(true)
  })

  it('adds, places and deletes a mass', async () => {
    await openedDemo()
    const weight = useWeight()
    weight.addMass()
    const { id } = weight.sheet.masses[0]!
    weight.changeMass(id, { name: 'winch', kg: 38, done: 'in' })
    weight.spot(id, 'at', { stationMm: -500 })
    weight.spot(id, 'at', { upMm: 120 })
    expect((await storedBuild()).weight!.masses).toEqual([
      { id, name: 'winch', kg: 38, done: 'in', at: { stationMm: -500, upMm: 120 } },
    ])
    weight.spot(id, 'at', { stationMm: undefined })
    expect((await storedBuild()).weight!.masses[0]!.at).toEqual({ upMm: 120 })
    weight.removeMass(id)
    expect((await storedBuild()).weight!.masses).toEqual([])
  })

  it('keeps hook, legs, mounts, tilt and what was found in balance, each by itself', async () => {
    await openedDemo()
    const weight = useWeight()
    weight.hook({ stationMm: 420 })
    weight.hook({ heightMm: 700 })
    weight.leg(1, { stationMm: 800 })
    weight.leg(1, { lengthMm: 600 })
    weight.mount('tail', 250)
    weight.tilting({ raisedMm: 500 })
    weight.change({ hangDeg: 12 })
    weight.keepBalance('   ')
    weight.keepBalance('  level with the ring over the third bolt ')
    const stored = (await storedBuild()).weight!
    expect(stored).toMatchObject({
      hook: { stationMm: 420, heightMm: 700 },
      legs: [{}, { stationMm: 800, lengthMm: 600 }],
      mountsNPerMm: { tail: 250 },
      tilt: { raisedMm: 500 },
      hangDeg: 12,
    })
    expect(stored.balances!.map(({ note }) => note)).toEqual(['level with the ring over the third bolt'])
    weight.removeBalance(stored.balances![0]!.id)
    expect((await storedBuild()).weight!.balances).toEqual([])
  })
})

import { MADE_UP_PARTS } from '../../core/bay/shelf/madeUpParts'
import { leverFacts } from '../../core/file/build/lever'
import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useBay } from './bay'
import { useEvaluation } from './evaluation'
import { useGround } from './ground'
import { useLeverRoom } from './leverRoom'
import { useLevers } from './levers'
import { useWhy } from './why'

const partOf = (sort: string) => MADE_UP_PARTS.find((part) => part.sort === sort)!
const PLACE = { stationMm: 100, leftMm: -200, upMm: 300 }

describe('the parts in the bay', () => {
  it('take one from the shelf where it is put, in its own size', async () => {
    await openedBay()
    const bay = useBay()
    const part = partOf('item')
    const taken = bay.takePart(part, PLACE)
    if (taken.kind !== 'placed') throw new Error(taken.kind)
    const { bodies } = await storedBuild()
    const body = bodies.find(({ id }) => id === taken.id)!
    expect(body.name).toBe(part.name)
    const { stations, heights } = body.box!
    expect(Math.abs(stations[1] - stations[0])).toBeCloseTo(part.sizeMm[0], 9)
    expect((heights[0] + heights[1]) / 2).toBeGreaterThan(0)
    expect(bay.removeBody(taken.id)).toBe(true)
    expect((await storedBuild()).bodies).toHaveLength(bodies.length - 1)
  })

  it('plan a gearbox of another length: the difference is a lever that is locked and set', async () => {
    await openedBay()
    const bay = useBay()
    const part = partOf('gearbox')
    const now = bay.powertrain!.sizes!.gearboxLengthMm!
    expect(bay.takePart(part, PLACE)).toEqual({ kind: 'longer', mm: part.sizeMm[0] - now })
    const build = await storedBuild()
    const lever = build.levers.find(({ kind }) => kind === 'adapter')!
    expect([lever.locked, build.positions[0]!.settings[lever.id]]).toEqual([true, part.sizeMm[0] - now])
    expect(lever.range[1]).toBeGreaterThanOrEqual(part.sizeMm[0] - now)
  })

  it('are changed, forgotten what they stand on, and given a lever of the usual range', async () => {
    const workbench = await openedBay()
    const bay = useBay()
    bay.changeBody('radiator', { name: 'tall radiator', standsOn: undefined })
    bay.addLever('radiator', 'sideways')
    const lever = (await storedBuild()).levers.at(-1)!
    const [least, most, step] = leverFacts('sideways').usual
    expect(lever).toMatchObject({ kind: 'sideways', body: 'radiator', range: [least, most], step })
    bay.changeLever(lever.id, { name: 'radiator, across', stock: [3, 5], lockedBecause: 'welded' })
    expect((await storedBuild()).levers.at(-1)).toMatchObject({ name: 'radiator, across', stock: [3, 5] })
    bay.changeLever(lever.id, { stock: undefined })
    expect((await storedBuild()).levers.at(-1)).not.toHaveProperty('stock')
    expect(bay.removeLever(lever.id)).toBe(true)
    expect(workbench.build!.levers.map(({ id }) => id)).not.toContain(lever.id)
  })

  it('say what has to come out, which way and how far', async () => {
    await openedBay()
    const bay = useBay()
    const before = bay.services.length
    bay.addService('battery out, upwards', 'battery')
    const added = (await storedBuild()).services!.at(-1)!
    bay.changeService(added.id, { toward: [0, 0, 1], wayMm: 220 })
    expect((await storedBuild()).services!.at(-1)).toMatchObject({ toward: [0, 0, 1], wayMm: 220 })
    expect(bay.services).toHaveLength(before + 1)
    bay.removeService(added.id)
    expect(bay.services).toHaveLength(before)
  })

  it('are looked at when a lever is let go, not while it is in the hand', async () => {
    await openedBay()
    const [bay, levers, evaluation] = [useBay(), useLevers(), useEvaluation()]
    const still = bay.settled
    levers.hold('fronts', 4)
    expect(evaluation.current).not.toBe(still)
    expect(bay.settled).toBe(still)
  })
})

describe('beside the board', () => {
  it('the ground comes nearer by as much as the wheels come up', async () => {
    await openedBay()
    const ground = useGround()
    expect(ground.order).toBeNull()
    const lowAt = (mm: number) => {
      ground.lift('front', mm)
      ground.lift('rear', mm)
      if (!ground.order?.known) throw new Error('it is not known what is low')
      return ground.order.value
    }
    const [higher, lower] = [lowAt(60), lowAt(40)]
    expect(higher.length).toBeGreaterThan(0)
    // What is on the springs comes down with them.
    for (const { gap, roomMm } of lower)
      expect(higher.find((one) => one.gap === gap)!.roomMm).toBeCloseTo(roomMm - 20, 9)
    ground.lift('front', undefined)
    ground.lift('rear', undefined)
    expect(ground.order).toBeNull()
  })

  it('a lever is put where the tightest gap has the most room', async () => {
    await openedBay()
    const room = useLeverRoom()
    expect(room.room).toBeNull()
    room.asked = 'fronts'
    const { margin, stepped } = room.room!
    room.takeMiddle('In the middle')
    expect((await storedBuild()).positions[0]!.settings.fronts).toBe(stepped!.at)
    expect(room.room!.margin).toBeCloseTo(margin, 9)
  })

  it('a figure that is asked about tells its readings; one that was typed in tells none', async () => {
    await openedDemo()
    const why = useWhy()
    expect(why.answer).toBeNull()
    why.ask('lines[0].ride.joints[0].angleDeg', 'Joint 1', '2.5°')
    expect(JSON.stringify(why.answer)).toContain('pinion')
    expect(why.most).not.toBeNull()
    why.ask('no figure at all', 'None', '')
    expect(why.answer).toBeNull()
    why.close()
    expect(why.question).toBeNull()
  })
})

import { evaluateBuild } from '../model/evaluateBuild'
import type { Build } from '../file/build/build'
import { changedBay as bay } from '../testdata/bay'
import { lowOrder, type Bump } from './ground/lowOrder'

const orderAt = (bump: Bump, build: Build = bay()) => {
  const order = lowOrder(build, evaluateBuild(build, {}), bump)
  if (!order.known) throw new Error(JSON.stringify(order.missing))
  return order.value
}

describe('what strikes first', () => {
  it('is by the gaps as they stand, at ride height', () => {
    const { gaps } = evaluateBuild(bay(), {})
    const read = gaps
      .flatMap(({ gap, ride }) =>
        gap.kind === 'ground' && ride.known ? [[gap.id, ride.value.gapMm] as const] : [],
      )
      .sort((a, b) => a[1] - b[1])
    expect(orderAt({ front: 0, rear: 0 }).map(({ gap }) => gap)).toEqual(read.map(([id]) => id))
    orderAt({ front: 0, rear: 0 }).forEach(({ roomMm }, i) => expect(roomMm).toBeCloseTo(read[i]![1], 9))
  })

  it('comes down by the bump where both axles come up alike, whether it is known where they stand or not', () => {
    const unknownStands = bay((raw) => {
      raw.weight = undefined
      raw.wayIn = undefined
    })
    const ride = orderAt({ front: 0, rear: 0 })
    for (const build of [bay(), unknownStands])
      orderAt({ front: 70, rear: 70 }, build).forEach(({ roomMm }, i) =>
        expect(roomMm).toBeCloseTo(ride[i]!.roomMm - 70, 9),
      )
  })

  it('comes down by its share where the front alone comes up: at the rear axle by nothing', () => {
    const ride = new Map(orderAt({ front: 0, rear: 0 }).map(({ gap, roomMm }) => [gap, roomMm]))
    const build = bay()
    const place = evaluateBuild(build, {}).gaps.find(({ gap }) => gap.id === 'sump-ground')!.ride
    if (!place.known) throw new Error('not read')
    // Front tyres at station 40, rear ones at 2602.
    const share = (2602 + place.value.point[0]) / (2602 - 40)
    const there = orderAt({ front: 60, rear: 0 }).find(({ gap }) => gap === 'sump-ground')!
    const slope = Math.hypot(1, 60 / 2562)
    expect(there.roomMm).toBeCloseTo((ride.get('sump-ground')! - 60 * share) / slope, 9)
  })

  it('goes up with the wheels for what is on their axle', () => {
    const onAxle = bay((raw) => {
      raw.points.find(({ id }: { id: string }) => id === 't-exhaust-ground').body = 'rear-axle'
    })
    const find = (bump: Bump) => orderAt(bump, onAxle).find(({ gap }) => gap === 'exhaust-ground')!.roomMm
    expect(find({ front: 70, rear: 70 })).toBeCloseTo(find({ front: 0, rear: 0 }), 9)
  })

  it('asks where the axles stand when they come up unlike', () => {
    const build = bay((raw) => {
      raw.weight = undefined
      raw.wayIn = undefined
    })
    expect(lowOrder(build, evaluateBuild(build, {}), { front: 70, rear: 0 })).toMatchObject({
      known: false,
      missing: [{ path: 'weight.frontStationMm' }],
    })
  })
})

import { powertrainMove } from '../vehicle/bodies/powertrainMove'
import { movePoint } from '../base/linalg/mat3'
import { sub, norm, type Vec3 } from '../base/linalg/vec3'
import { placeGhosts, placeScene, movedBodies } from '../drawing/placeScene'
import { pointOf } from '../measure/geometry/geometry'
import { changedBay } from '../testdata/bay'
import { leverInstruction, leverName } from '../show/told/leverText'
import { differentSettings } from '../answers/solver/differentSettings'
import { evaluateBuild } from './evaluateBuild'

/** The tight bay with an adapter plate behind the block, whose face stands at station 582. */
const bay = (faceStationMm: number | null = 582) =>
  changedBay((raw) => {
    raw.bodies[1].faceStationMm = faceStationMm ?? undefined
    raw.levers.push({ id: 'adapter', kind: 'adapter', body: 'powertrain', range: [-10, 60], step: 1 })
  })
const placeAt = (settings: Record<string, number>, id: string, build = bay()): Vec3 => {
  const place = pointOf(evaluateBuild(build, settings).placed, id)
  if (!place.known) throw new Error(place.missing.map(({ what }) => what).join())
  return place.value
}
const gapAt = (settings: Record<string, number>, id: string, build = bay()): number => {
  const gap = evaluateBuild(build, settings).gaps.find((one) => one.gap.id === id)!
  if (!gap.ride.known) throw new Error(id)
  return gap.ride.value.gapMm
}

describe('an adapter, or a gearbox of another length', () => {
  it('sets the output back by its thickness along the crankshaft, and leaves the engine where it was', () => {
    const [before, after] = [placeAt({}, 'output-joint'), placeAt({ adapter: 20 }, 'output-joint')]
    const back = sub(after, before)
    expect(norm(back)).toBeCloseTo(20, 9)
    // The crankshaft falls to the rear: so does what goes back along it.
    expect(back[0]).toBeLessThan(-19.9)
    expect(back[2]).toBeLessThan(0)
    placeAt({ adapter: 20 }, 'mount-left').forEach((figure, i) =>
      expect(figure).toBeCloseTo(placeAt({}, 'mount-left')[i]!, 9),
    )
  })

  it('takes the room of what lies behind the face and of nothing before it', () => {
    const rear = gapAt({}, 'box-member') - gapAt({ adapter: 12 }, 'box-member')
    expect(rear).toBeGreaterThan(11)
    expect(rear).toBeLessThan(12.1)
    for (const id of ['head-firewall', 'sump-rack', 'fan-core'])
      expect(gapAt({ adapter: 12 }, id)).toBeCloseTo(gapAt({}, id), 9)
  })

  it('turns the whole less for the same spacer, for the tail stands farther back', () => {
    const mounts = {
      frontLeft: placeAt({}, 'mount-left'),
      frontRight: placeAt({}, 'mount-right'),
      tail: placeAt({ adapter: 40 }, 'mount-tail'),
    }
    const move = powertrainMove(mounts, {
      frontLeftUp: 0,
      frontRightUp: 0,
      tailUp: 10,
      fore: 0,
      sideways: 0,
      tailSideways: 0,
    })!
    const foreseen = movePoint(move, placeAt({ adapter: 40 }, 'output-joint'))
    placeAt({ adapter: 40, tail: 10 }, 'output-joint').forEach((figure, i) =>
      expect(figure).toBeCloseTo(foreseen[i]!, 9),
    )
  })

  it('asks for the face before it moves anything', () => {
    const without = bay(null)
    expect(gapAt({}, 'box-member', without)).toBeCloseTo(gapAt({}, 'box-member'), 9)
    const { gaps } = evaluateBuild(without, { adapter: 12 })
    const { check } = gaps.find(({ gap }) => gap.id === 'box-member')!
    expect(check.verdict).toBe('unknown')
    expect(check.missing[0]).toEqual({
      what: 'powertrain: the station of the face that the gearbox is bolted to',
      path: 'bodies[1].faceStationMm',
    })
  })

  it('is drawn longer behind the face, with the first trial as a ghost', () => {
    const build = bay()
    const now = evaluateBuild(build, { adapter: 25 })
    const moved = movedBodies(build, now)
    expect(moved).toContain('powertrain')
    const rearmost = (shapes: ReturnType<typeof placeScene>['shapes']['side']) =>
      Math.max(
        ...shapes.flatMap((one) =>
          one.form === 'polygon' && one.part === 'powertrain' ? one.points.map(([x]) => x) : [],
        ),
      )
    const before = rearmost(placeGhosts(build, now, moved).side)
    expect(before).toBeCloseTo(1142, 6)
    expect(rearmost(placeScene(build, now, moved).shapes.side) - before).toBeCloseTo(25, 1)
  })

  it('is told in words, and the search moves it like any other lever', () => {
    const build = changedBay((raw) => {
      raw.bodies[1].faceStationMm = 582
      raw.levers = [{ id: 'adapter', kind: 'adapter', body: 'powertrain', range: [-6, 6], step: 2 }]
      raw.positions = [{ id: 'a', name: 'A', settings: {} }]
      raw.chosen = 'a'
      raw.trials.forEach((trial: { packed?: unknown }) => delete trial.packed)
      raw.gaps = raw.gaps.filter(({ id }: { id: string }) => id === 'box-member')
      raw.gaps[0].warnBelow = gapAt({}, 'box-member') + 3
      raw.readings = raw.readings.filter(({ kind, gap }: any) => kind !== 'gap' || gap === 'box-member')
      raw.lines = []
      raw.weight = undefined
      raw.mating = undefined
    })
    const lever = build.levers[0]!
    expect(leverName(build, lever)).toBe('adapter, or a longer gearbox')
    expect(leverInstruction(build, lever, -4)).toBe('Make the adapter or the gearbox 4.0 mm shorter')
    const search = differentSettings(build, {})
    let step = search.next()
    while (!step.done) step = search.next()
    expect(step.value.settings[0]!.cure.changes.map(({ amount }) => amount)).toEqual([-4])
  })
})

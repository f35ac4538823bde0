import fc from 'fast-check'
import { evaluateBuild } from '../model/evaluateBuild'
import type { Build } from '../file/build/build'
import { changedBay } from '../testdata/bay'
import { demoBuild } from '../testdata/builds'
import { placeLabels } from './gapLabels'
import { placePanes } from './placePanes'
import {
  lowPoints,
  movedBodies,
  nameSpot,
  placeBackdrop,
  placeGhosts,
  placeScene,
  placeSpan,
} from './placeScene'
import { inViews } from './shape'

const build = changedBay()
/** Backdrop, ghosts and what has moved, put together as the board shows them. */
const sceneOf = (of: Build, settings: Readonly<Record<string, number>> = {}) => {
  const now = evaluateBuild(of, settings)
  const moved = movedBodies(of, now)
  const backdrop = placeBackdrop(of, now, placeSpan(of, now), moved)
  const front = placeScene(of, now, moved)
  return {
    ...front,
    moved,
    ghosts: placeGhosts(of, now, moved),
    shapes: inViews((view) => [...backdrop[view], ...front.shapes[view]]),
  }
}
const scene = (settings: Readonly<Record<string, number>> = {}) => sceneOf(build, settings)
const partsOf = (view: 'side' | 'top' | 'front') => scene().shapes[view].map(({ part }) => part)

describe('the board', () => {
  it('draws powertrain, items, rails, ground and the lines of the chassis in every view', () => {
    for (const view of ['side', 'top', 'front'] as const) {
      expect(partsOf(view).filter((part) => part === 'item')).toHaveLength(9)
      expect(partsOf(view).filter((part) => part === 'powertrain')).toHaveLength(1)
      expect(partsOf(view)).toContain('rail')
      expect(partsOf(view)).toContain('shell')
    }
    expect(partsOf('side')).toContain('ground')
    // The rear axle would hide the engine from the front.
    expect(partsOf('front')).not.toContain('axle')
  })

  it('draws what stands on the powertrain before it, what stands on the chassis behind it', () => {
    const order = scene().shapes.side
    const engine = order.findIndex(({ part }) => part === 'powertrain')
    // Exhaust, turbo and alternator are bolted to the engine.
    expect(order.slice(engine + 1).filter(({ part }) => part === 'item')).toHaveLength(3)
  })

  it('moves an item with the powertrain it stands on, and leaves a dashed ghost only of what was moved', () => {
    const turbo = (settings: Readonly<Record<string, number>>) =>
      scene(settings)
        .shapes.side.filter(({ part }) => part === 'item')
        .at(-2)!
    const [before, after] = [turbo({}), turbo({ sideways: 8, fronts: 10 })]
    if (before.form !== 'polygon' || after.form !== 'polygon') throw new Error('a box')
    expect(after.points[0]![1] - before.points[0]![1]).toBeGreaterThan(5)
    expect(scene().ghosts.side).toEqual([])
    // What stands on the engine has moved with it; the radiator has not.
    expect(scene({ fronts: 10 }).moved).toEqual(['powertrain', 'exhaust', 'turbo', 'alternator'])
    expect(scene({ 'radiator-fore': 4 }).moved).toEqual(['radiator'])
    expect(scene({ fronts: 10 }).ghosts.side.map(({ part }) => part)).toContain('powertrain')
  })

  it('shows each gap once, in the view that sees it longest, as long as it is', () => {
    const { gaps } = scene()
    expect(gaps).toHaveLength(32)
    const head = gaps.find(({ id }) => id === 'head-firewall')!
    expect([head.view, head.to[0] - head.from[0]]).toEqual(['side', expect.closeTo(27, 6)])
    expect(gaps.find(({ id }) => id === 'box-right')!.view).toBe('top')
    expect(gaps.find(({ id }) => id === 'downpipe-frame')!.view).toBe('front')
  })

  it('offers a handle for every lever of the mounts, each in the view and the way it goes', () => {
    expect(
      Object.fromEntries(scene().handles.map(({ leverId, view, along }) => [leverId, [view, along]])),
    ).toEqual({
      fronts: ['side', [0, 1]],
      tail: ['side', [0, 1]],
      fore: ['side', [-1, 0]],
      sideways: ['front', [1, 0]],
      'tail-sideways': ['top', [0, 1]],
    })
  })

  it('tells what strikes first, lowest first, and that the order changes when the engine comes up', () => {
    const order = (settings: Readonly<Record<string, number>>) =>
      lowPoints(evaluateBuild(build, settings)).map(({ id }) => id)
    expect(order({})).toEqual(['sump-ground', 'exhaust-ground', 'member-ground', 'cooler-ground'])
    expect(order({ fronts: 20, tail: 20 })[0]).toBe('member-ground')
  })

  it('names an overlaid position behind the rearmost corner of its powertrain', () => {
    const spotAt = (fore: number) => {
      const now = evaluateBuild(build, { fore })
      return nameSpot(placeScene(build, now, movedBodies(build, now)).shapes.side)!
    }
    const [back, ahead] = [spotAt(-10), spotAt(5)]
    expect([back[0] - ahead[0], back[1] - ahead[1]]).toEqual([expect.closeTo(15, 6), expect.closeTo(0, 6)])
    expect(nameSpot([])).toBeNull()
  })

  it('draws frame rails with their taper', () => {
    const rails = (sizes: Record<string, number>) => {
      const there = changedBay((raw) => {
        const chassis = raw.bodies.find(({ kind }: { kind: string }) => kind === 'chassis')
        chassis.sizes = {
          railDepthMm: 100,
          railSpacingMm: 640,
          railFrontStationMm: -300,
          railRearStationMm: 2000,
          ...sizes,
        }
      })
      const { top } = placeBackdrop(there, evaluateBuild(there, {}), [-400, 1200], [])
      return top.flatMap((shape) => (shape.part === 'rail' && shape.form === 'polygon' ? [shape.points] : []))
    }
    /** Middle of a rail at the stations of its corners, front to rear. */
    const middles = ([one]: ReturnType<typeof rails>) =>
      one!.slice(0, 3).map(([station, inner], i) => [station, Math.abs(inner + one![5 - i]![1]) / 2])
    expect(middles(rails({}))).toEqual([
      [-300, 320],
      [2000, 320],
      [2000, 320],
    ])
    expect(middles(rails({ railFrontSpacingMm: 560, railTaperStationMm: 60 }))).toEqual([
      [-300, 280],
      [60, 320],
      [2000, 320],
    ])
  })

  it('draws an axle at ride height and, in shadow, at the ends of its travel', () => {
    const wheelsOf = (edit: (raw: any) => void) => {
      const there = changedBay(edit)
      const now = evaluateBuild(there, {})
      return placeBackdrop(there, now, [-400, 3200], []).side.flatMap((shape) =>
        shape.form === 'circle' && shape.part === 'tyre' && shape.radius === 340
          ? [{ isSweep: shape.isSweep === true, at: shape.centre }]
          : [],
      )
    }
    const [still, ...none] = wheelsOf(() => undefined)
    expect([still!.isSweep, none]).toEqual([false, []])
    const at = (forward: number, up: number) => ({
      isSweep: true,
      at: [expect.closeTo(still!.at[0] - forward, 9), expect.closeTo(still!.at[1] + up, 9)],
    })
    const wheels = (up: number) => [{ axle: 'rear-axle', leftUpMm: up, rightUpMm: up }]
    expect(
      wheelsOf((raw) => {
        raw.states = [
          { id: 'bump', name: 'bump', wheels: wheels(70) },
          { id: 'droop', name: 'droop', wheels: wheels(-90) },
        ]
      }),
    ).toEqual([still, at(0, -90), at(0, 70)])
    // Its own table of motion goes before, with how far it goes forward.
    expect(
      wheelsOf((raw) => {
        raw.bodies.find(({ id }: { id: string }) => id === 'rear-axle').motion = {
          kind: 'table',
          rows: [
            { wheelUpMm: -80, forwardMm: -6, noseUpDeg: -2 },
            { wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 },
            { wheelUpMm: 60, forwardMm: 4, noseUpDeg: 1 },
          ],
        }
      }),
    ).toEqual([still, at(-6, -80), at(4, 60)])
  })

  it('is never blank: a build without outlines or gaps is drawn in its sizes', () => {
    const plain = demoBuild()
    const { shapes, gaps } = sceneOf(plain)
    expect(gaps).toEqual([])
    for (const view of ['side', 'top', 'front'] as const)
      expect(shapes[view].some(({ part }) => part === 'powertrain')).toBe(true)
  })
})

describe('placePanes', () => {
  it('lays side, top and front out on one scale, side and top on the same stations', () => {
    const span = [-320, 1260] as const
    const { panes, height, aside } = placePanes(scene().shapes.side, span, 890)
    const [side, top, front] = panes
    expect(new Set(panes.map(({ projection }) => projection.pxPerMm)).size).toBe(1)
    expect(side!.projection.x(500)).toBe(top!.projection.x(500))
    expect(side!.width + front!.width).toBe(890)
    expect(top!.top + top!.height).toBe(height)
    expect(aside).toMatchObject({ left: side!.width, top: top!.top })
    // Left of the vehicle is to the right from the front, and up from above.
    expect(front!.projection.x(100)).toBeGreaterThan(front!.projection.x(-100))
    expect(top!.projection.sideY(100)).toBeLessThan(top!.projection.sideY(-100))
  })

  it('stands the views one under the other on a phone', () => {
    const { panes, aside, height } = placePanes(scene().shapes.side, [-320, 1260], 390)
    expect(aside).toBeNull()
    expect(panes.map(({ width }) => width)).toEqual([390, 390, 390])
    const [side, top, front] = panes
    expect(top!.top).toBeGreaterThan(side!.height)
    expect(front!.top + front!.height).toBe(height)
  })
})

describe('placeLabels', () => {
  it('lays no label on another, and keeps all inside, whatever stands where', () => {
    const label = fc.record({
      x: fc.integer({ min: 0, max: 600 }),
      y: fc.integer({ min: 0, max: 400 }),
      width: fc.integer({ min: 30, max: 140 }),
    })
    fc.assert(
      fc.property(fc.array(label, { maxLength: 12 }), (wanted) => {
        const labels = wanted.map(({ x, y, width }, i) => ({ id: `${i}`, at: [x, y] as const, width }))
        const placed = placeLabels(labels, [600, 400])
        expect(placed).toHaveLength(labels.length)
        const boxes = placed.map(({ id, x, y }) => ({ left: x, right: x + labels[Number(id)]!.width, y }))
        boxes.forEach((one, i) => {
          expect(one.left).toBeGreaterThanOrEqual(0)
          expect(one.right).toBeLessThanOrEqual(600)
          boxes
            .slice(i + 1)
            .forEach((other) =>
              expect(
                Math.abs(one.y - other.y) >= 16 || one.right <= other.left || one.left >= other.right,
              ).toBe(true),
            )
        })
      }),
      { seed: 4, numRuns: 300 },
    )
  })
})

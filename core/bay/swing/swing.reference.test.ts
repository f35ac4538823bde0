import { CoreError } from '../../base/errors'
import type { Polygon } from '../../base/outline/polygon'
import reference from '../../testdata/swing-in.json'
import { alongWay, leastLift, wayAtLift, type SwingEffort, type WayIn } from './wayIn'
import { poseBetween, INSTALLED, SwingScene, type SwingSetup } from './scene'

type Case = any
const cases = reference.cases as Case[]
const FINE: SwingEffort = { finestMm: 0.7, mostBoxes: 50_000, liftStepMm: 4 }

const setupOf = (input: Case, keepMm = 0): SwingSetup => {
  const { powertrain, pivot, obstacles, ground, lift_mode, start, bounds, tilt_range } = input
  const [x, z, tiltDeg] = start
  return {
    pieces: [powertrain],
    pivot,
    obstacles: Object.entries(obstacles).map(([name, outline]) => ({ name, outline: outline as Polygon })),
    ground: ground && {
      frontContactX: ground.front_contact_x,
      z: ground.z,
      wheelbaseMm: ground.wheelbase,
      lifted: lift_mode === 'parallel' ? 'whole' : 'rear',
    },
    start: { x, z, tiltDeg },
    keepMm,
    bounds,
    tiltRangeDeg: tilt_range,
  }
}

/** Runs to the end at once. */
function ended<T>(run: Generator<unknown, T, void>): T {
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

/**
 * Where a way touches something, looked at every two millimetres by a rule of its own: some side crosses some side, or some
 * corner lies under ground.
 */
function touches(setup: SwingSetup, { liftMm, poses }: WayIn): string[] {
  const scene = new SwingScene(setup)
  scene.lift(liftMm)
  const found = new Set<string>()
  for (const pose of alongWay(scene, poses, 2)) {
    const body = scene.outlinesAt(pose).flat()
    if (body.some(([x, z]) => z < scene.groundAt(x))) found.add('ground')
    for (const { name, outline } of setup.obstacles) if (doCross(body, outline)) found.add(name)
  }
  return [...found]
}

function doCross(a: Polygon, b: Polygon): boolean {
  const turn = ([ax, ay]: any, [bx, by]: any, [cx, cy]: any) => (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
  return a.some((p, i) => {
    const q = a[(i + 1) % a.length]
    return b.some((r, k) => {
      const s = b[(k + 1) % b.length]
      return turn(p, q, r) * turn(p, q, s) < 0 && turn(r, s, p) * turn(r, s, q) < 0
    })
  })
}

describe('ways in of the reference', () => {
  const fixed = cases.filter(({ expect: wanted }) => 'path' in wanted)
  it.each(fixed.map((one) => [one.id, one]))('%s', (_, { input, expect: wanted }) => {
    const setup = setupOf(input)
    const { found, way } = ended(wayAtLift(setup, input.lift_mm))
    expect(found).toBe(wanted.path ? 'way' : 'none')
    if (way) expect(touches(setup, way)).toEqual([])
  })

  const searched = cases.filter(({ expect: wanted }) => 'path_from_mm' in wanted)
  it.each(searched.map((one) => [one.id, one]))('%s: the least lift', (_, { input, expect: wanted }) => {
    const setup = setupOf(input)
    const { way, noneUpToMm } = ended(leastLift(setup, input.lift_range, FINE))
    expect(way).not.toBeNull()
    if (!way) return
    expect(way.liftMm).toBeGreaterThan(wanted.no_path_up_to_mm ?? -1)
    expect(way.liftMm).toBeLessThanOrEqual(wanted.path_from_mm + FINE.liftStepMm)
    expect(touches(setup, way)).toEqual([])
    if (wanted.by_hand_mm === undefined) return
    // Both ends of the bracket hold the figure by hand.
    expect(way.liftMm).toBeGreaterThanOrEqual(wanted.by_hand_mm)
    expect(way.liftMm).toBeLessThan(wanted.by_hand_mm + 3 * FINE.liftStepMm)
    expect(noneUpToMm ?? NaN).toBeLessThan(wanted.by_hand_mm)
    expect(noneUpToMm ?? NaN).toBeGreaterThan(wanted.by_hand_mm - 3 * FINE.liftStepMm)
  })

  it.each(cases.filter(({ expect: wanted }) => wanted.error).map((one) => [one.id, one]))(
    '%s is refused',
    (_, { input }) => {
      expect(() => ended(wayAtLift(setupOf(input), input.lift_mm))).toThrow(CoreError)
    },
  )
})

describe('a way with room to spare', () => {
  const bar = cases.find(({ id }) => id === 'bar_yes') as Case

  it('keeps 5 mm all the way and asks for more lift than one that touches', () => {
    const setup = setupOf(cases.find(({ id }) => id === 'bar_lift_parallel').input, 5)
    const { way, noneUpToMm } = ended(leastLift(setup, [0, 200], { ...FINE, liftStepMm: 20 }))
    expect(way?.nearest[0]?.mm).toBeGreaterThan(5)
    expect(way?.liftMm).toBeGreaterThan(60)
    expect(noneUpToMm).toBeGreaterThan(53)
  })

  it('asks near its ends for no more room than they have', () => {
    const { setup, floorAt } = pocket(8)
    const { found, way } = ended(wayAtLift({ ...setup, obstacles: [floorAt(4)] }, 0))
    expect(found).toBe('way')
    expect(way?.nearest.map(({ mm }) => mm)).toEqual([expect.closeTo(4, 6)])
  })

  it('ends where the body is installed and begins where it hangs', () => {
    const { way } = ended(wayAtLift(setupOf(bar.input), 0))
    expect(way?.poses[0]).toEqual({ x: 360, z: 960, tiltDeg: 90 })
    expect(way?.poses.at(-1)).toEqual(INSTALLED)
  })
})

/** A square block over a flat floor, let down from above. */
const pocket = (keepMm: number) => ({
  setup: {
    pieces: [
      [
        [-100, 0],
        [100, 0],
        [100, 200],
        [-100, 200],
      ] as Polygon,
    ],
    pivot: [0, 100],
    ground: null,
    start: { x: 0, z: 400, tiltDeg: 0 },
    keepMm,
    bounds: [-300, 300, -50, 500],
    tiltRangeDeg: [-30, 30],
  } as const,
  floorAt: (below: number) => ({
    name: 'floor',
    outline: [
      [-500, -300],
      [500, -300],
      [500, -below],
      [-500, -below],
    ] as Polygon,
  }),
})

describe('what no lift helps', () => {
  const box = (x: number, z: number, width: number, height: number): Polygon => [
    [x, z],
    [x + width, z],
    [x + width, z + height],
    [x, z + height],
  ]
  const setup: SwingSetup = {
    pieces: [box(-100, -100, 200, 200)],
    pivot: [0, 0],
    obstacles: [
      { name: 'left', outline: box(-600, -300, 520, 400) },
      { name: 'right', outline: box(120, -300, 480, 400) },
      { name: 'lid', outline: box(-600, 300, 1200, 100) },
    ],
    ground: { frontContactX: 300, z: -800, wheelbaseMm: 2500, lifted: 'rear' },
    start: { x: 0, z: 0, tiltDeg: 0 },
    bounds: [-300, 300, -700, 300],
    tiltRangeDeg: [-50, 50],
  }

  it('is proved, not only not found', () => {
    const below = { ...setup, obstacles: setup.obstacles.slice(1), start: { x: -200, z: -450, tiltDeg: 0 } }
    expect(ended(wayAtLift(below, 0)).found).toBe('way')
    const walled = {
      ...below,
      obstacles: [...below.obstacles, { name: 'wall', outline: box(-600, -200, 720, 60) }],
    }
    expect(ended(leastLift(walled, [0, 600]))).toEqual({ way: null, noneUpToMm: 600 })
  })

  it('names what a start that is not free stands in', () => {
    expect(() => ended(wayAtLift(setup, 0))).toThrow('start: it is not free: left')
  })

  it('refuses bounds that leave an end out, an outline that crosses itself and a lift beyond the wheelbase', () => {
    const free = { ...setup, obstacles: [] }
    expect(() => new SwingScene({ ...free, bounds: [10, 300, -700, 300] })).toThrow('outside the bounds')
    const crossed: Polygon = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 80],
    ]
    expect(() => new SwingScene({ ...free, pieces: [crossed] })).toThrow('cross')
    expect(() => ended(wayAtLift(free, 2500))).toThrow('lift')
  })

  it('goes straight where nothing is in the way', () => {
    const free = { ...setup, obstacles: [], start: { x: 150, z: 200, tiltDeg: 20 } }
    const { way } = ended(wayAtLift(free, 0))
    expect(way?.poses).toHaveLength(2)
    expect(poseBetween(free.start, INSTALLED, 0.5)).toEqual({ x: 75, z: 100, tiltDeg: 10 })
  })
})

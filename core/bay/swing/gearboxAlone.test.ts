import { changedBay } from '../../testdata/bay'
import type { WayInPlan } from '../../file/parts/wayInPlan'
import { areaOf, type Polygon } from '../../base/outline/polygon'
import { drawnBack, halvesOf, straightDraw } from './gearboxAlone'
import { INSTALLED, SwingScene } from './scene'
import { gearboxDraw, swingSetup } from './swingOf'
import { leastLift } from './wayIn'

/** From the right: an engine 400 long and high, a gearbox 300 long and 200 high behind it; the face stands at x = -500. */
const UNIT: Polygon = [
  [-100, 0],
  [-100, 400],
  [-500, 400],
  [-500, 300],
  [-800, 300],
  [-800, 100],
  [-500, 100],
  [-500, 0],
]
const faced = (faceStationMm: number) =>
  changedBay((raw) => {
    raw.bodies[1].faceStationMm = faceStationMm
  })

describe('the gearbox alone', () => {
  it('is what lies behind the block face; the two areas make up the whole', () => {
    const halves = halvesOf(faced(600), [UNIT])
    if (!halves.known) throw new Error(halves.missing[0]!.what)
    const area = (outlines: readonly Polygon[]) =>
      outlines.reduce((sum, one) => sum + Math.abs(areaOf(one)), 0)
    expect(area(halves.value.gearbox)).toBeCloseTo(200 * 200, 6)
    expect(area(halves.value.engine)).toBeCloseTo(400 * 400 + 100 * 200, 6)
    expect(area([UNIT])).toBeCloseTo(220_000, 6)
  })

  it('wants a face that cuts the powertrain', () => {
    expect(halvesOf(faced(5000), [UNIT])).toMatchObject({ known: false })
    const without = changedBay((raw) => delete raw.bodies[1].faceStationMm)
    expect(halvesOf(without, [UNIT])).toMatchObject({
      missing: [{ what: 'the station of the face that the gearbox is bolted to' }],
    })
  })

  it('goes straight back along the crankshaft, and meets what stands behind it after the way to it', () => {
    const gearbox: Polygon[] = [
      [
        [-500, 100],
        [-500, 300],
        [-800, 300],
        [-800, 100],
      ],
    ]
    const bar = {
      name: 'bar',
      outline: [
        [-900, 60],
        [-940, 60],
        [-940, 140],
        [-900, 140],
      ] as Polygon,
    }
    expect(straightDraw(gearbox, [bar], { drawMm: 150, fallDeg: 0 }).meets).toEqual([
      { name: 'bar', afterMm: expect.closeTo(100, 6) },
    ])
    expect(straightDraw(gearbox, [bar], { drawMm: 90, fallDeg: 0 }).meets).toEqual([])
    // A floor over it, as a line: with the tail going down along 5° it stays clear of it.
    const floor = {
      name: 'floor',
      outline: [
        [-500, 320],
        [-1100, 296],
      ] as Polygon,
      isOpen: true,
    }
    expect(straightDraw(gearbox, [floor], { drawMm: 250, fallDeg: 0 }).meets.map(({ name }) => name)).toEqual(
      ['floor'],
    )
    expect(straightDraw(gearbox, [floor], { drawMm: 250, fallDeg: 5 }).meets).toEqual([])
    const [back] = drawnBack(gearbox, { drawMm: 100, fallDeg: 90 })
    expect(back![0]![1]).toBeCloseTo(0, 9)
  })

  const plan = (off: readonly string[]): WayInPlan => ({
    off,
    alone: { drawMm: 150, fallDeg: 2.6 },
    lifted: 'whole',
    liftMm: [0, 900],
    keepMm: 5,
    start: { forwardMm: -150, upMm: -430, tailDownDeg: 0 },
    tiltDeg: [-10, 40],
  })
  const beside = ['exhaust', 'steering-shaft', 'heater', 'turbo']

  it('in the tight bay is held by its own crossmember, and free once that is off', () => {
    const build = changedBay()
    const held = gearboxDraw(build, plan(beside))
    expect(held?.known && held.value.meets[0]).toMatchObject({
      name: 'gearbox crossmember',
      afterMm: expect.closeTo(7.2, 1),
    })
    const free = gearboxDraw(build, plan([...beside, 'chassis/gearbox crossmember']))
    expect(free).toMatchObject({ known: true, value: { meets: [] } })
    expect(gearboxDraw(build, { ...plan(beside), alone: undefined })).toBeNull()
  })

  it('comes down between engine and floor by a way that is proved, with the engine in its place', () => {
    const build = changedBay()
    const setup = swingSetup(build, plan([...beside, 'chassis/gearbox crossmember']))
    if (!setup.known) throw new Error(setup.missing[0]!.what)
    expect(setup.value.obstacles.map(({ name }) => name)).toContain('engine')
    const search = leastLift(setup.value, [0, 900])
    let step = search.next()
    while (!step.done) step = search.next()
    const { way } = step.value
    expect(way).not.toBeNull()
    // At each of its poses nothing is touched.
    const scene = new SwingScene(setup.value)
    scene.lift(way!.liftMm)
    for (const pose of way!.poses)
      expect([pose, scene.rooms(pose).filter(({ mm }) => mm <= 0)]).toEqual([pose, []])
    expect(way!.poses.at(-1)).toEqual(INSTALLED)
  })
})

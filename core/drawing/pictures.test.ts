import fc from 'fast-check'
import { demoBuild } from '../testdata/demos'
import { chosenSettings, evaluateBuild } from '../model/evaluateBuild'
import { weightAnswer, hangAnswer } from '../vehicle/weight/weightOf'
import { legsAnswer } from '../vehicle/weight/unitAnswers'
import { sawTeeth } from '../answers/curves/sawTooth'
import { apart } from './apart'
import { lineScene } from './lineScene'
import { roomyNames } from './roomyNames'
import type { Shape } from './shape'
import { slingScene } from './slingScene'
import { torqueScene } from './torqueScene'
import { weightScene } from './weightScene'

const opened = (name: Parameters<typeof demoBuild>[0]) => {
  const build = demoBuild(name)
  return { build, now: evaluateBuild(build, chosenSettings(build)) }
}

describe('the picture of the weights', () => {
  const { build, now } = opened('sedge-wagon')
  const sheet = build.weight!
  const answer = weightAnswer(sheet)
  const scene = weightScene(build, now, sheet, answer.known ? answer.value : null)

  it('puts each scale at its wheel and each load under its axle', () => {
    expect(scene.wheels.map(({ corner, at, kg }) => [corner, ...at, kg])).toEqual([
      ['frontLeft', 40, 705, 391],
      ['frontRight', 40, -705, 379],
      ['rearLeft', 2602, 710, 312],
      ['rearRight', 2602, -710, 306],
    ])
    const [front, rear] = scene.axles
    expect(front!.load!.beforeKg).toBeCloseTo(770, 6)
    expect(rear!.load!.beforeKg).toBeCloseTo(618, 6)
    expect(front!.load!.afterKg + rear!.load!.afterKg).toBeCloseTo(1388 - 238 + 171 + 46 + 9, 6)
    expect(scene.centre!.before.side).toEqual([expect.closeTo((770 * 40 + 618 * 2602) / 1388, 6), 210])
  })

  it('draws what is moved at both its places, and what has no place at none', () => {
    const moved = scene.masses.find(({ done }) => done === 'moved')!
    expect([moved.at.top, moved.to!.top]).toEqual([
      [10, 340],
      [2900, 380],
    ])
    const without = { ...sheet, masses: [{ id: 'x', name: 'x', done: 'in' as const, kg: 4 }] }
    expect(weightScene(build, now, without, null).masses).toEqual([])
    // Nobody said how far to the side: from above it is left out, not put on the centreline.
    const aside = {
      ...sheet,
      masses: [{ id: 'x', name: 'x', done: 'in' as const, kg: 4, at: { stationMm: 9 } }],
    }
    expect(weightScene(build, now, aside, null).masses[0]!.at).toEqual({ side: null, top: null })
  })

  it('leaves out what was not weighed or measured', () => {
    const bare = weightScene(build, now, { masses: [], frontStationMm: 40, trackFrontMm: 1400 }, null)
    expect(bare.wheels.map(({ kg }) => kg)).toEqual([null, null])
    expect([bare.axles.map(({ load }) => load), bare.centre]).toEqual([[null], null])
    const bodies = build.bodies.map((body) => ({ ...body, sizes: undefined })) as typeof build.bodies
    expect([scene.isUsual, weightScene({ ...build, bodies }, now, sheet, null).isUsual]).toEqual([
      false,
      true,
    ])
  })
})

describe('the picture of the sling', () => {
  const { build, now } = opened('sedge-wagon')
  const hang = hangAnswer(build.weight!)
  if (!hang.known) throw new Error('the demo says what hangs')
  const { centre } = hang.value

  it('has the centre of gravity straight below the hook, at its own distance', () => {
    const { stationMm = NaN, heightMm = NaN } = build.weight!.hook!
    const from = { station: stationMm, height: heightMm }
    const scene = slingScene(build, now, { from, centre, hangDeg: hang.value.hangDeg!, legs: [] })
    expect(scene.centre[0]).toBeCloseTo(0, 9)
    expect(scene.centre[1]).toBeCloseTo(Math.hypot(stationMm - centre.station, heightMm - centre.height), 9)
    // Tail down: the rear end of the level line hangs lower than the front one.
    expect(scene.level[1][1]).toBeGreaterThan(scene.level[0][1])
    expect(scene.shapes.some(({ part }) => part === 'powertrain')).toBe(true)
  })

  it('keeps each leg as long as it was told', () => {
    const legs = legsAnswer(build.weight!)
    if (!legs.known) throw new Error('the demo has two legs')
    const ends = build.weight!.legs!.map(({ stationMm = NaN, heightMm = NaN }) => ({
      station: stationMm,
      height: heightMm,
    }))
    const scene = slingScene(build, now, {
      from: legs.value.ring,
      centre,
      hangDeg: legs.value.hangDeg,
      legs: ends,
    })
    scene.legs.forEach(([x, y], i) =>
      expect(Math.hypot(x, y)).toBeCloseTo(build.weight!.legs![i]!.lengthMm!, 6),
    )
    expect(scene.centre[0]).toBeCloseTo(0, 6)
  })
})

describe('the picture of the torque', () => {
  it('goes from the engine over the gears, no higher than the tyres hold', () => {
    const { build, now } = opened('osier-van')
    const scene = torqueScene(build, now, now.lines[0]!)
    if (!scene.known) throw new Error('the demo tells its gears')
    const { levels, engine, joints } = scene.value
    expect(engine!.torqueNm).toBe(340)
    expect(levels.map(({ gear }) => gear)).toEqual(['1', 'R', '2', '3', '4', '5'])
    expect(levels[0]!.engineNm).toBeCloseTo(340 * 4.6, 6)
    expect(levels[0]!.throughNm).toBeCloseTo(1152, 0)
    expect(scene.value.heldNm).toBe(levels[0]!.throughNm)
    expect(levels[2]!.throughNm).toBeCloseTo(340 * 2.5, 6)
    expect(joints).toHaveLength(3)
    expect(engine!.station).toBeLessThan(joints[0]!)
  })

  it('runs the other way in a line to the front axle', () => {
    const { build, now } = opened('sorrel-hauler')
    const front = now.lines.find(({ line }) => line.name === 'front shaft')!
    const scene = torqueScene(build, now, front)
    if (!scene.known) throw new Error('the demo tells its gears')
    expect(scene.value.joints.at(-1)!).toBeLessThan(scene.value.joints[0]!)
    expect(scene.value.engine!.station).toBeGreaterThan(scene.value.joints[0]!)
  })

  it('says what is missing', () => {
    const { build, now } = opened('osier-van')
    const bare = { ...build, drivetrain: { ...build.drivetrain, gears: [] } }
    const scene = torqueScene(bare, now, now.lines[0]!)
    expect(scene.known ? [] : scene.missing.map(({ what }) => what).join()).toContain('gear')
  })
})

describe('the saw-tooth', () => {
  it('takes each gear to the redline, from the speed the one before ended at', () => {
    const { build } = opened('osier-van')
    const saw = sawTeeth(build)
    if (!saw.known) throw new Error('the demo tells its gears')
    const [{ teeth }] = saw.value as [(typeof saw.value)[number]]
    expect(teeth.map(({ gear }) => gear)).toEqual(['1', '2', '3', '4', '5'])
    expect(teeth[0]).toMatchObject({ fromKmh: 0, fromRpm: 0, toRpm: 4400 })
    // A change from one ratio to the next takes the engine down by their quotient.
    expect(teeth[1]!.fromRpm).toBeCloseTo((4400 * 2.5) / 4.6, 6)
    expect(teeth[4]!.fromRpm).toBeCloseTo(4400 * 0.82, 6)
    expect(teeth[4]!.toKmh).toBeCloseTo((4400 / (0.82 * 3.6)) * 60 * 2 * Math.PI * 331e-6, 6)
  })

  it('has one for each range', () => {
    const saw = sawTeeth(opened('sorrel-hauler').build)
    expect(saw.known && saw.value.map(({ range, teeth }) => [range, teeth.length])).toEqual([
      ['high', 5],
      ['low', 5],
    ])
  })
})

describe('apart', () => {
  it('keeps the order, the distance and the bottom', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { maxLength: 12 }), (places) => {
        const moved = apart(places, 15, 200)
        const pairs = places.map((place, i) => [place, moved[i]!] as const).sort((a, b) => a[0] - b[0])
        for (const [i, [, at]] of pairs.entries()) {
          expect(at).toBeLessThanOrEqual(200 + 1e-9)
          if (i > 0 && pairs[i]![0] > pairs[i - 1]![0])
            expect(at - pairs[i - 1]![1]).toBeGreaterThanOrEqual(15 - 1e-9)
        }
      }),
      { seed: 20261129 },
    )
    expect(apart([10, 100], 15, 200)).toEqual([10, 100])
    expect(apart([190, 195], 15, 200)).toEqual([185, 200])
  })
})

describe('names on the board', () => {
  const box = (name: string, left: number, top: number, width: number, height: number): Shape => ({
    form: 'polygon',
    part: 'item',
    name,
    points: [
      [left, top],
      [left + width, top],
      [left + width, top + height],
      [left, top + height],
    ],
  })
  const names = (...shapes: Shape[]) => roomyNames(shapes, (at) => at).map(({ name, x, y }) => [name, x, y])

  it('stand in the middle of what has room for them, once, and never on another', () => {
    expect(names(box('turbo', 0, 0, 60, 30), box('turbo', 200, 0, 60, 30))).toEqual([['turbo', 30, 15]])
    expect(names(box('steering shaft', 0, 0, 60, 30), box('fan', 0, 0, 40, 12))).toEqual([])
    expect(names(box('turbo', 0, 0, 60, 30), box('sump', 10, 4, 60, 30))).toEqual([['turbo', 30, 15]])
    expect(names(box('turbo', 0, 0, 60, 30), box('sump', 10, 24, 60, 30))).toHaveLength(2)
  })
})

describe('the drawing of a line that is not settled', () => {
  it('shows the shaft between joints that were read, though an axis is not', () => {
    const { build } = opened('fen-tender')
    const without = {
      ...build,
      readings: build.readings.filter((one) => !('axis' in one && one.axis === 'pinion')),
    }
    const now = evaluateBuild(without, {})
    expect(now.lines[0]!.ride.known).toBe(false)
    const shapes = lineScene(without, now).shapes.side
    const parts = shapes.map(({ part }) => part)
    expect(parts).toEqual(expect.arrayContaining(['powertrain', 'axle', 'shaft']))
    const shaft = shapes.find(({ part }) => part === 'shaft')
    const stations = shaft && 'points' in shaft ? shaft.points.map(([station]) => station) : []
    expect(Math.max(...stations) - Math.min(...stations)).toBeGreaterThan(1000)
  })
})

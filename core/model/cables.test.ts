import fc from 'fast-check'
import cable from '../testdata/cable.json'
import { changedDemo } from '../testdata/builds'
import { cableBuild, withCable, type ToldCable } from '../testdata/cableBuild'
import { casesOf } from '../../tests/support/expectCase'
import { norm, sub, type Vec3 } from '../base/linalg/vec3'
import { cablePath } from '../shift/cable/cablePath'
import { laidRoute } from '../shift/cable/route'
import { cableBand, cableThrough } from './cableBand'
import { CABLES } from './cableSubject'
import { evaluateBuild } from './evaluateBuild'
import { foundOf } from './subject'

const cableOf = (told: ToldCable, settings = {}, onPowertrain: readonly number[] = []) =>
  foundOf(evaluateBuild(cableBuild(told, onPowertrain), settings).subjects, CABLES)[0]!
const knownOf = ({ found }: ReturnType<typeof cableOf>) => {
  if (!found.known) throw new Error(JSON.stringify(found.missing))
  return found.value
}
const verdictsOf = ({ checks }: ReturnType<typeof cableOf>) =>
  Object.fromEntries(checks.map(({ id, verdict }) => [id.split('/').slice(2).join('/'), verdict]))

describe('a cable through the file', () => {
  const routes = casesOf(cable).filter(([, { input, expect: want }]) => input.op === 'route' && !want.error)

  it.each(routes)('%s', (_id, { input, expect: want }) => {
    const radii = Array.isArray(input.radius_mm) ? input.radius_mm : undefined
    const one = cableOf({
      points: input.points_mm,
      radiusMm: radii ? radii[0] : input.radius_mm,
      radiiMm: radii,
      more: { playMm: input.play_mm, friction: input.mu, leastRadiusMm: input.min_radius_mm },
    })
    const { figures } = knownOf(one)
    expect(figures).toMatchObject({
      stringMm: expect.closeTo(want.string_mm, 5),
      cableMm: expect.closeTo(want.cable_mm, 5),
      turnDeg: expect.closeTo(want.turn_total_deg, 6),
      straightMm: expect.closeTo(Math.min(...want.straights_mm), 5),
      passes: expect.closeTo(want.passes, 8),
      lostMm: expect.closeTo(want.lost_mm, 8),
    })
    expect(verdictsOf(one)).toEqual({
      radius: want.radius_ok ? 'holds' : 'out',
      straight: 'holds',
      length: 'unknown',
    })
  })

  it('that doubles back has no figures, and its checks are unknown', () => {
    const one = cableOf({
      points: casesOf(cable).find(([id]) => id === 'bad_back')![1].input.points_mm,
      radiusMm: 200,
    })
    expect(knownOf(one).figures.cableMm).toBeUndefined()
    expect(verdictsOf(one)).toEqual({ radius: 'holds', straight: 'unknown', length: 'unknown' })
  })

  const SHEET = { faces: 'forward', leftMm: 20, upMm: 0, stubMm: 60 }
  const bands = casesOf(cable).filter(([, { input, expect: want }]) => input.op === 'band' && !want.error)
  it.each(bands)('%s: its hole in a bulkhead', (_id, { input, expect: want }) => {
    const [from, to] = input.range_mm
    const one = cableOf({
      ...{ points: input.a_points_mm, behind: input.b_points_mm, radiusMm: input.radius_mm },
      // One row of the bulkhead goes through the mark.
      bulkhead: {
        ...SHEET,
        mark: input.bulkhead.point_mm,
        room: { leftMm: to, rightMm: -from, upMm: 1, downMm: 1.1 },
      },
      hot: (input.heat ?? []).map(({ at_mm: at, gap_mm: gapMm }: any) => ({ at, gapMm })),
      more: { lengthMm: input.length_mm, adjustMm: input.adjust_mm, leastRadiusMm: input.radius_mm },
    })
    expect([from, to].map((at) => cableThrough(one, { leftMm: at, upMm: 0 }))).toEqual(
      want.length_at_ends_mm.map((mm: number | null) => (mm === null ? null : expect.closeTo(mm, 5))),
    )
    const row = cableBand(one)!.rows.toSorted((a, b) => Math.abs(a.upMm) - Math.abs(b.upMm))[0]!
    expect(Math.abs(row.upMm)).toBeLessThan(0.05)
    expect(row.stretches.length).toBe(want.intervals_mm.length)
    row.stretches.forEach((stretch, k) =>
      stretch.forEach((at, end) => expect(Math.abs(at - want.intervals_mm[k][end])).toBeLessThan(0.2)),
    )
    expect(cableBand(one)!.best === null).toBe(want.best_s_mm === null)
  })

  const THROUGH: ToldCable = {
    ...{
      points: [
        [-700, 150, 0],
        [-350, 150, 0],
      ],
      behind: [
        [380, 60, -150],
        [700, 60, -150],
      ],
      radiusMm: 110,
    },
    bulkhead: { ...SHEET, mark: [0, 0, 200] },
    more: { lengthMm: 1622, adjustMm: 14, leastRadiusMm: 100 },
  }
  const moreOf = (more: object): ToldCable => ({ ...THROUGH, more: { ...THROUGH.more, ...more } })

  it('has its hole away from what is kept free, and tells by how much another place is off', () => {
    const free = cableBand(cableOf(THROUGH))!
    const kept = { id: 'k', name: 'wiring', leftMm: 60, rightMm: -10, upMm: 300, downMm: 300 }
    const less = cableBand(cableOf({ ...THROUGH, bulkhead: { ...THROUGH.bulkhead!, keepOff: [kept] } }))!
    const inside = (band: typeof free) =>
      band.rows.flatMap(({ stretches }) => stretches).filter(([from, to]) => to > 10 && from < 60)
    expect(inside(free).length).toBe(2)
    expect(inside(less)).toEqual([])
    const { leftMm, upMm } = free.best!
    expect(cableThrough(cableOf(THROUGH), { leftMm, upMm })).toBeCloseTo(1622, 6)
    expect(cableBand(cableOf(moreOf({ lengthMm: undefined })))).toBe(null)
  })

  it('takes the loose length for the engine’s rock off what it has', () => {
    const [still, rocks] = [cableOf(THROUGH), cableOf(moreOf({ rockMm: 9 }))]
    const left = (one: typeof still) => knownOf(one).figures.leftMm!
    const over = 1622 - knownOf(still).figures.cableMm!
    expect(left(still)).toBeCloseTo(14 - Math.abs(over), 9)
    expect(left(rocks)).toBeCloseTo(14 - Math.abs(over - 9), 9)
    expect(verdictsOf(cableOf(moreOf({ lengthMm: 1500 }))).length).toBe('out')
  })

  it('goes along with the engine: an end on it moves, the hole stays', () => {
    const [now, up] = [{}, { tail: 10 }].map((settings) => knownOf(cableOf(THROUGH, settings, [2, 3])))
    expect(Math.abs(up!.points.at(-1)![2] - now!.points.at(-1)![2])).toBeGreaterThan(1)
    expect(up!.points[3]).toEqual(now!.points[3])
    expect(up!.figures.cableMm).not.toBeCloseTo(now!.figures.cableMm!, 2)
  })

  it('leaves a fixing along its way before it bends', () => {
    const one = (from: object) =>
      knownOf(
        cableOf({
          points: [
            [0, 0, 0],
            [600, 300, 0],
          ],
          radiusMm: 100,
          more: { from },
        }),
      )
    const plain = one({ point: 'cable-0' })
    const straight = one({ point: 'cable-0', leaves: 'forward', straightMm: 250 })
    expect(plain.points.length).toBe(2)
    expect(straight.points[1]).toEqual([250, 0, 0].map((mm) => expect.closeTo(mm, 9)))
    const ideal = laidRoute({
      points: [
        [0, 0, 0],
        [250, 0, 0],
        [600, 300, 0],
      ],
      radiiMm: [100],
    })
    expect(straight.figures.cableMm).toBeCloseTo(ideal.cableMm, 9)
  })

  it('corrects a string by what its corners save', () => {
    const build = changedDemo((raw) => {
      withCable(raw, {
        points: [
          [0, 0, 0],
          [700, 0, 0],
          [700, 500, 0],
        ],
        radiusMm: 200,
      })
      const setup = raw.setups[0].id
      raw.readings.push({ id: 'string', setup, kind: 'cable-string', cable: 'cable', values: ['1203'] })
    })
    const { figures } = knownOf(foundOf(evaluateBuild(build, {}).subjects, CABLES)[0]!)
    expect(figures.byStringMm).toBeCloseTo(1203 - 85.84073464, 6)
  })
})

describe('a cable in space', () => {
  const place = fc.tuple(...Array.from({ length: 3 }, () => fc.integer({ min: -900, max: 900 })))
  const way = fc.array(place, { minLength: 3, maxLength: 6 })

  it('comes to the same in the build and by itself, and to what is hot as near as its drawn way', () => {
    fc.assert(
      fc.property(way, fc.integer({ min: 20, max: 60 }), place, (points, radiusMm, at) => {
        const own = () =>
          laidRoute({ points: points as unknown as Vec3[], radiiMm: points.slice(2).map(() => radiusMm) })
        fc.pre(
          (() => {
            try {
              return own().straightsMm.every((mm) => mm > 1)
            } catch {
              return false
            }
          })(),
        )
        const one = cableOf({
          points: points as unknown as Vec3[],
          radiusMm,
          hot: [{ at: at as unknown as Vec3, gapMm: 40 }],
        })
        const { figures, points: found, radiiMm, hot } = knownOf(one)
        const ideal = own()
        expect(figures.cableMm).toBeCloseTo(ideal.cableMm, 6)
        expect(figures.turnDeg).toBeCloseTo(ideal.turnDeg, 5)
        const path = cablePath(found, radiiMm)
        const drawn = path.slice(1).reduce((sum, corner, k) => sum + norm(sub(corner, path[k]!)), 0)
        expect(drawn).toBeLessThanOrEqual(ideal.cableMm + 1e-6)
        expect(drawn).toBeGreaterThan(ideal.cableMm * 0.99)
        const nearest = Math.min(
          ...path.slice(1).flatMap((end, k) =>
            Array.from({ length: 41 }, (_, step) => {
              const start = path[k]!
              return norm(
                sub(
                  start.map((mm, part) => mm + ((end[part]! - mm) * step) / 40) as unknown as Vec3,
                  hot[0]!.at,
                ),
              )
            }),
          ),
        )
        // Chords lie within their arcs.
        expect(hot[0]!.toMm).toBeLessThanOrEqual(nearest + 1)
        expect(hot[0]!.toMm).toBeGreaterThan(nearest - 15)
      }),
      { numRuns: 25 },
    )
  })
})

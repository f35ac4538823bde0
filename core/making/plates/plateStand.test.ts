import fc from 'fast-check'
import { workedOnce } from '../../base/columns/kernel'
import { add, cross, dot, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { turnAt } from '../../base/outline/hull'
import type { Place2 } from '../../base/outline/polygon'
import { placeOn, standOf, triangleOf, type Three } from './plateStand'
import { PLATE_STANDS } from './standKernel'

const SEED = 20261130
const mm = fc.double({ min: -400, max: 400, noNaN: true })
const hole = fc.tuple(mm, mm)
const place = fc.tuple(mm, mm, mm)
/** Any plate anywhere: three holes, an origin, a right and an up square to it. */
const stood = fc
  .record({ holes: fc.tuple(hole, hole, hole), origin: place, toward: place, aside: place })
  .filter(
    ({ holes, toward, aside }) => Math.abs(turnAt(...holes)) > 2000 && norm(cross(toward, aside)) > 2000,
  )
  .map(({ holes, origin, toward, aside }) => {
    const right = unit(toward)
    const up = unit(sub(aside, scale(right, dot(aside, right))))
    return { holes, stand: { origin, right, up, front: cross(right, up) } }
  })
const close = (one: Vec3, other: Vec3) => expect(norm(sub(one, other))).toBeLessThan(1e-6)
const missOf = (holes: Three<Place2>, points: readonly Vec3[]) =>
  workedOnce(PLATE_STANDS, points.flat(), triangleOf(holes))[0]!

describe('where a plate stands', () => {
  it('is found again from three holes at their points, whichever way it faces', () => {
    fc.assert(
      fc.property(stood, hole, mm, ({ holes, stand }, corner, before) => {
        const points = holes.map((one) => placeOn(stand, one, 0)) as unknown as Three<Vec3>
        const found = standOf(holes, points)
        if (!found.known) throw new Error('three holes that are apart')
        close(placeOn(found.value, corner, before), placeOn(stand, corner, before))
        close(found.value.front, stand.front)
        expect(missOf(holes, points)).toBeLessThan(1e-6)
      }),
      { seed: SEED },
    )
  })

  it('tells how far a point is beside its hole, and lies in the plane of all three all the same', () => {
    const holes: Three<Place2> = [
      [0, 0],
      [200, 0],
      [50, 120],
    ]
    const points: Three<Vec3> = [
      [0, 0, 0],
      [0, -200, 0],
      [0, -50, 120],
    ]
    const moved = (k: number, by: Vec3) => points.map((one, i) => (i === k ? add(one, by) : one))
    expect(missOf(holes, points)).toBeCloseTo(0, 9)
    expect(missOf(holes, moved(1, [0, -4, 0]))).toBeCloseTo(4, 9)
    expect(missOf(holes, moved(2, [0, 3, 4]))).toBeCloseTo(5, 9)
    // Off the plane of the face the third point only turns it.
    const lifted = moved(2, [10, 0, 0])
    const found = standOf(holes, lifted as unknown as Three<Vec3>)
    expect(found.known && dot(found.value.front, sub(lifted[2]!, points[0]))).toBeCloseTo(0, 9)
    expect(missOf(holes, lifted)).toBeCloseTo(Math.hypot(120, 10) - 120, 9)
  })

  it('is unknown where the holes or their points lie on a line, or are not known', () => {
    const line: Three<Place2> = [
      [0, 0],
      [100, 0],
      [200, 0],
    ]
    const wide: Three<Place2> = [
      [0, 0],
      [100, 0],
      [0, 100],
    ]
    const points = (third: Vec3): Three<Vec3> => [[0, 0, 0], [0, 100, 0], third]
    const what = (holes: Three<Place2>, third: Vec3) => {
      const found = standOf(holes, points(third))
      return found.known ? null : found.missing[0]!.what
    }
    expect(what(wide, [0, 0, 100])).toBeNull()
    expect(what(line, [0, 0, 100])).toBe('three holes that do not lie on a line')
    expect(what(wide, [0, 50, 0])).toBe('three holes that do not lie on a line')
    expect(
      what(
        [
          [0, 0],
          [NaN, 0],
          [0, 100],
        ],
        [0, 0, 100],
      ),
    ).toBe('three holes that do not lie on a line')
  })
})

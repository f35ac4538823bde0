import fc from 'fast-check'
import { workedOnce } from '../../base/columns/kernel'
import { add, cross, dot, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { cope } from './cope'
import { LESS_BOTH, TUBE_AXIS, TUBE_CUT, TUBE_END, TUBE_TWIST } from './tubeKernels'

const figure = fc.double({ min: -500, max: 500, noNaN: true })
const place = fc.tuple(figure, figure, figure)
const apart = (a: Vec3, b: Vec3) => norm(sub(a, b)) > 40

describe('the kernels of tubes', () => {
  it('find where two axes are nearest: the way between is square to both, and no other is shorter', () => {
    fc.assert(
      fc.property(place, place, place, place, figure, figure, (near, end, a, b, s, t) => {
        const [d, m] = [unit(sub(end, near)), unit(sub(b, a))]
        fc.pre(apart(near, end) && apart(a, b) && norm(cross(d, m)) > 0.1)
        const [angle, offset, foot, ...across] = workedOnce(TUBE_END, [...near, ...end, ...a, ...b])
        expect(Math.cos((angle! * Math.PI) / 180)).toBeCloseTo(dot(d, m), 9)
        const onTube = add(near, scale(d, foot!))
        const side = across as unknown as Vec3
        expect([norm(side), dot(side, d)]).toEqual([expect.closeTo(1, 9), expect.closeTo(0, 9)])
        // Toward the second point of the other axis.
        expect(dot(side, m)).toBeGreaterThan(0)
        const onMain = sub(onTube, scale(cross(d, side), offset!))
        expect(norm(cross(sub(onMain, a), m))).toBeLessThan(1e-5)
        const between = norm(sub(add(near, scale(d, s)), add(a, scale(m, t))))
        expect(between).toBeGreaterThanOrEqual(Math.abs(offset!) - 1e-6)
      }),
    )
  })

  it('turn right-handed from the first end’s way across to the second’s', () => {
    const along = [0, 0, 0, 500, 0, 0]
    const turned = (deg: number): Vec3 => [
      0,
      Math.cos((deg * Math.PI) / 180),
      Math.sin((deg * Math.PI) / 180),
    ]
    for (const deg of [-170, -40, 0, 25, 90, 179])
      expect(workedOnce(TUBE_TWIST, [...along, 0, 1, 0, ...turned(deg)])[0]).toBeCloseTo(deg, 9)
    expect(workedOnce(TUBE_AXIS, [...along, 20, -5])[0]).toBe(485)
    expect(workedOnce(LESS_BOTH, [485, 30, 40], [5])[0]).toBe(420)
  })

  it('cut a branch as its cope is told, tip and root, and say nothing of one that overhangs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 155, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (angleDeg, offsetMm, matchDeg) => {
          const joint = { branchOuterMm: 38, branchWallMm: 3, mainOuterMm: 56, angleDeg, offsetMm }
          const [atMatch, tip, root, room] = workedOnce(TUBE_CUT, [angleDeg, offsetMm, matchDeg], [38, 3, 56])
          const { cutMm } = cope(joint)
          expect([tip, root]).toEqual([expect.closeTo(cutMm!.least, 4), expect.closeTo(cutMm!.most, 4)])
          expect(room).toBeCloseTo(28 - 19 - Math.abs(offsetMm), 9)
          expect(atMatch).toBeGreaterThanOrEqual(tip! - 1e-6)
          expect(atMatch).toBeLessThanOrEqual(root! + 1e-6)
        },
      ),
    )
    const beyond = workedOnce(TUBE_CUT, [90, 9.5, 0], [38, 3, 56])
    expect([...beyond]).toEqual([NaN, NaN, NaN, -0.5])
  })
})

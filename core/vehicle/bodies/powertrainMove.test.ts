import { fallPlan, axisDirection } from '../../base/frame/axis'
import { moveDirection, movePoint } from '../../base/linalg/mat3'
import { dot, norm, scale, sub, type Vec3 } from '../../base/linalg/vec3'
import { disagreements } from '../../testdata/reference'
import placement from '../../testdata/placement.json'
import { degrees, radians } from '../../base/units/angle'
import { NO_MOUNT_MOVES, powertrainMove, type MountPoints } from './powertrainMove'
import fc from 'fast-check'

const MOUNTS: MountPoints = {
  frontLeft: [-120, 310, 360],
  frontRight: [-120, -310, 355],
  tail: [-1020, 10, 330],
}

describe('powertrainMove', () => {
  it.each(placement.cases.map((one) => [one.id, one] as const))(
    'agrees with case %s',
    (_id, { input, expected, ...rest }) => {
      const asked = input.levers as Record<string, number>
      const mounts: MountPoints = {
        frontLeft: input.mounts.front_left as unknown as Vec3,
        frontRight: input.mounts.front_right as unknown as Vec3,
        tail: input.mounts.tail as unknown as Vec3,
      }
      const move = powertrainMove(mounts, {
        frontLeftUp: asked.front_left_up ?? 0,
        frontRightUp: asked.front_right_up ?? 0,
        tailUp: asked.tail_up ?? 0,
        fore: asked.fore ?? 0,
        sideways: asked.lateral ?? 0,
        tailSideways: asked.tail_lateral ?? 0,
      })
      if (!expected.possible) {
        expect(move).toBeNull()
        return
      }
      const axis = moveDirection(
        move!,
        axisDirection({ fall: radians(input.output.fall), plan: radians(input.output.plan) }),
      )
      const got = {
        output_point: movePoint(move!, input.output.p as unknown as Vec3),
        output_axis: axis,
        output_fall_deg: degrees(fallPlan(axis).fall),
        output_plan_deg: degrees(fallPlan(axis).plan),
        mounts: {
          front_left: movePoint(move!, mounts.frontLeft),
          front_right: movePoint(move!, mounts.frontRight),
          tail: movePoint(move!, mounts.tail),
        },
        points: input.points.map((point) => gapAfter(point, move!)),
      }
      const tolerance = 'tolerance' in rest ? rest.tolerance : {}
      expect(disagreements(got, expected, tolerance as never)).toEqual([])
    },
  )

  it('keeps all distances', () => {
    const amount = fc.double({ min: -40, max: 40, noNaN: true })
    fc.assert(
      fc.property(fc.tuple(amount, amount, amount, amount, amount, amount), (a) => {
        const move = powertrainMove(MOUNTS, {
          frontLeftUp: a[0],
          frontRightUp: a[1],
          tailUp: a[2],
          fore: a[3],
          sideways: a[4],
          tailSideways: a[5],
        })!
        const far: Vec3 = [-1500, 200, -100]
        const before = norm(sub(far, MOUNTS.tail))
        return Math.abs(norm(sub(movePoint(move, far), movePoint(move, MOUNTS.tail))) - before) < 1e-9
      }),
      { seed: 7 },
    )
  })

  it('leaves everything in place when nothing is moved', () => {
    const move = powertrainMove(MOUNTS, NO_MOUNT_MOVES)!
    expect(norm(sub(movePoint(move, [10, 20, 30]), [10, 20, 30]))).toBeLessThan(1e-10)
  })
})

function gapAfter(
  { name, p, plane }: { name: string; p: number[]; plane: { point: number[]; normal: number[] } },
  move: NonNullable<ReturnType<typeof powertrainMove>>,
) {
  const normal = plane.normal as unknown as Vec3
  const unitNormal = scale(normal, 1 / norm(normal))
  const before = p as unknown as Vec3
  const after = movePoint(move, before)
  const gap = (point: Vec3) => dot(unitNormal, sub(point, plane.point as unknown as Vec3))
  return { name, gap_mm: gap(before), dp: sub(after, before), new_gap_mm: gap(after) }
}

import fc from 'fast-check'
import { trainMaps, type TrainJoint } from './joints/jointMap'
import { axisDirection } from '../base/frame/axis'
import { cross, norm, scale, turnAbout, unit, type Vec3 } from '../base/linalg/vec3'
import { angleAbout } from './joints/jointMap'
import { radians } from '../base/units/angle'
import { mapBehind } from './bestPhase'
import { workedOnce } from '../base/columns/kernel'
import type { Mat2 } from '../base/linalg/mat2'
import { jointAcceleration, peakAcceleration, permittedAngleDeg, UNEVENNESS, uniformity } from './uniformity'

const axis = (fall: number, plan = 0) => axisDirection({ fall: radians(fall), plan: radians(plan) })
const train = (axes: readonly Vec3[]): TrainJoint[] =>
  axes.slice(1).map((outgoing, i) => ({ kind: 'cross', incoming: axes[i] as Vec3, outgoing }))
const small = fc.double({ min: -25, max: 25, noNaN: true })
const anyAxes = fc
  .array(fc.tuple(small, small), { minLength: 3, maxLength: 5 })
  .map((list) => list.map(([f, p]) => axis(f, p)))
const phases = (count: number) => Array.from({ length: count }, (_, i) => 0.3 * i)
/** Angle from a fixed direction to the first joint's plane normal. */
const normalOf = (joints: TrainJoint[], fixed: Vec3) =>
  angleAbout(joints[0]!.incoming, fixed, trainMaps(joints, phases(9)).normals[0]!)
/** The vector of a map whose first plane normal lies at an angle about +Z from +X. */
const unevenness = (map: Mat2, normal: number) =>
  [...workedOnce(UNEVENNESS, [...map, 0, 0, 1, Math.cos(normal), Math.sin(normal), 0], [1, 0, 0])] as [
    number,
    number,
  ]
const fixedFor = (along: Vec3) => unit(cross(along, [0.3, 0.2, 1]))

describe('unevenness', () => {
  it('is as long as the squeeze of the map, whatever the line', () => {
    fc.assert(
      fc.property(anyAxes, (axes) => {
        const joints = train(axes)
        const map = trainMaps(joints, phases(9)).upTo.at(-1)!
        const { errorPeakToPeak } = uniformity(map)
        const [x, y] = unevenness(map, normalOf(joints, fixedFor(axes[0]!)))
        expect(Math.hypot(x, y)).toBeCloseTo(Math.sin(errorPeakToPeak / 2), 12)
      }),
      { seed: 21, numRuns: 200 },
    )
  })

  it('moves little when the line moves little, even where its first joint is nearly straight', () => {
    const straight = axis(3, 1)
    const fixed = fixedFor(straight)
    const at = (fall: number, plan: number) => {
      const joints = train([straight, axis(3 + fall, 1 + plan), axis(7, 2)])
      return unevenness(trainMaps(joints, [0]).upTo.at(-1)!, normalOf(joints, fixed))
    }
    const still = at(1e-7, 0)
    for (const [fall, plan] of [
      [0, 1e-3],
      [-1e-3, 0],
      [0, -1e-3],
      [1e-3, 1e-3],
    ] as const) {
      const [x, y] = at(fall, plan)
      expect(Math.hypot(x - still[0], y - still[1])).toBeLessThan(1e-5)
    }
  })

  it('turns with the vehicle and keeps its length', () => {
    const axes = [axis(4, 1), axis(9, -3), axis(2, 5)]
    const turned = axes.map((one) => turnAbout(one, unit([1, 2, 3]), 0.7))
    const length = (list: Vec3[]) => {
      const joints = train(list)
      return Math.hypot(
        ...unevenness(trainMaps(joints, [0.2]).upTo.at(-1)!, normalOf(joints, fixedFor(list[0]!))),
      )
    }
    expect(length(turned)).toBeCloseTo(length(axes), 12)
  })
})

describe('a line driven from behind', () => {
  it('swings its shafts as the sampled line does, seen from the other end', () => {
    fc.assert(
      fc.property(anyAxes, (axes) => {
        const joints = train(axes)
        const turn = phases(joints.length - 1)
        // The same line the other way round: every axis reversed, joints and phases in the opposite order.
        const back = train([...axes].reverse().map((one) => scale(one, -1)))
        const backPhases = [...turn].reverse()
        const backMaps = trainMaps(back, backPhases)
        joints.slice(1).forEach((_, shaft) => {
          const behind = uniformity(mapBehind(joints, turn, shaft + 1))
          const fromThere = uniformity(backMaps.upTo[joints.length - 2 - shaft]!)
          expect(behind.errorPeakToPeak).toBeCloseTo(fromThere.errorPeakToPeak, 9)
        })
      }),
      { seed: 4, numRuns: 60 },
    )
  })
})

describe('the exact inertial limit', () => {
  it('is where the sampled shaft reaches it', () => {
    for (const [limit, rpm] of [
      [1000, 3000],
      [1000, 450],
      [300, 6000],
      [5000, 1200],
    ] as const) {
      const angle = permittedAngleDeg(limit, rpm)
      const joints = train([axis(0), axis(angle)])
      const exact = peakAcceleration(uniformity(trainMaps(joints, []).upTo[0]!), rpm)
      expect(exact / limit).toBeCloseTo(1, 9)
      expect(jointAcceleration(radians(angle), rpm) / limit).toBeCloseTo(1, 9)
      // And by sampling one turn: the steepest change of the speed ratio, times the speed squared.
      const { ratios } = sampledRatios(joints)
      const step = (2 * Math.PI) / ratios.length
      const steepest = Math.max(
        ...ratios.map((one, i) => Math.abs(ratios[(i + 1) % ratios.length]! - one) / step),
      )
      const omega = (rpm * Math.PI) / 30
      expect((steepest * omega ** 2) / limit).toBeCloseTo(1, 2)
    }
  })

  it('falls with the speed and rises with the limit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 8000 }), fc.integer({ min: 50, max: 4000 }), (rpm, limit) => {
        const angle = permittedAngleDeg(limit, rpm)
        expect(angle).toBeGreaterThan(0)
        expect(angle).toBeLessThan(90)
        expect(permittedAngleDeg(limit, rpm + 200)).toBeLessThan(angle)
        expect(permittedAngleDeg(limit + 100, rpm)).toBeGreaterThan(angle)
      }),
      { seed: 8, numRuns: 100 },
    )
  })
})

/** Speed ratios behind the last joint over one turn, from the train of arms. */
function sampledRatios(joints: TrainJoint[]): { readonly ratios: number[] } {
  const steps = 2880
  const { turns } = sampledTurns(joints, steps)
  const input = (2 * Math.PI) / steps
  return { ratios: turns.map((turn, i) => wrapped((turns[(i + 1) % steps] as number) - turn) / input) }
}

const wrapped = (angle: number) => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI))

/** Angle of the driven arm at each step, about its axis. */
function sampledTurns(joints: TrainJoint[], steps: number): { readonly turns: number[] } {
  const [joint] = joints as [TrainJoint]
  const start = fixedFor(joint.incoming)
  const zero = fixedFor(joint.outgoing)
  let before: Vec3 | null = null
  const turns = Array.from({ length: steps }, (_, i) => {
    const arm = turnAbout(start, joint.incoming, (2 * Math.PI * i) / steps)
    const driven = cross(joint.outgoing, arm)
    let along = scale(driven, 1 / norm(driven))
    if (before && along[0] * before[0] + along[1] * before[1] + along[2] * before[2] < 0)
      along = scale(along, -1)
    before = along
    return angleAbout(joint.outgoing, zero, along)
  })
  return { turns }
}

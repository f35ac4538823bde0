import fc from 'fast-check'
import { axisDirection } from '../../base/frame/axis'
import { add, cross, dot, norm, scale, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import { angleAbout, trainMaps, jointMap, planeNormal, type TrainJoint } from './jointMap'
import { workingAngle } from './singleJoint'

const axis = (fall: number, plan: number) => axisDirection({ fall: radians(fall), plan: radians(plan) })
const anyAxis = fc.tuple(
  fc.double({ min: -40, max: 40, noNaN: true }),
  fc.double({ min: -40, max: 40, noNaN: true }),
)
const anyTurn = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true })
/** A direction square to an axis, in the frame whose first direction is the plane's normal. */
const arm = (normal: Vec3, along: Vec3, x: number, y: number) =>
  add(scale(normal, x), scale(cross(along, normal), y))

describe('a cross joint', () => {
  it('keeps the arms of its two yokes square to each other and to their shafts, at every turn', () => {
    fc.assert(
      fc.property(anyAxis, anyAxis, anyTurn, (front, rear, turn) => {
        const [incoming, outgoing] = [axis(...front), axis(...rear)]
        const normal = planeNormal(incoming, outgoing)
        const [x, y] = [Math.cos(turn), Math.sin(turn)]
        const m = jointMap('cross', workingAngle(incoming, outgoing))
        const driving = arm(normal, incoming, x, y)
        const driven = arm(normal, outgoing, m[0] * x + m[1] * y, m[2] * x + m[3] * y)
        expect(dot(driving, driven)).toBeCloseTo(0, 10)
        expect(dot(driving, incoming)).toBeCloseTo(0, 10)
        expect(dot(driven, outgoing)).toBeCloseTo(0, 10)
      }),
      { seed: 20261129 },
    )
  })

  it('squeezes by the cosine of its angle, and a constant-velocity joint by nothing', () => {
    for (const degrees of [0, 6, 22, 45, 80]) {
      const m = jointMap('cross', radians(degrees))
      expect(m[0] * m[3] - m[1] * m[2]).toBeCloseTo(Math.cos(radians(degrees)), 14)
      for (const kind of ['double-cardan', 'cv', 'flex-disc'] as const)
        expect(jointMap(kind, radians(degrees))).toEqual([1, 0, 0, 1])
    }
  })
})

describe('the normal of a joint’s plane', () => {
  it('is a unit vector square to both shafts, also where they run straight on', () => {
    fc.assert(
      fc.property(anyAxis, anyAxis, fc.boolean(), (front, rear, straight) => {
        const incoming = axis(...front)
        const outgoing = straight ? incoming : axis(...rear)
        const normal = planeNormal(incoming, outgoing)
        expect(norm(normal)).toBeCloseTo(1, 12)
        expect(dot(normal, incoming)).toBeCloseTo(0, 6)
        expect(dot(normal, outgoing)).toBeCloseTo(0, 6)
      }),
      { seed: 20261129 },
    )
  })

  it('is turned from one direction to another by the angle between them', () => {
    const along = axis(0, 0)
    const from: Vec3 = planeNormal(along, axis(10, 0))
    for (const turn of [-2.5, -0.3, 0, 1.1, 3])
      expect(angleAbout(along, from, arm(from, along, Math.cos(turn), Math.sin(turn)))).toBeCloseTo(turn, 12)
  })
})

describe('a train', () => {
  it('loses at each joint the cosine of its angle, whatever the phases', () => {
    fc.assert(
      fc.property(fc.array(anyAxis, { minLength: 3, maxLength: 6 }), anyTurn, (axes, phase) => {
        const along = axes.map((one) => axis(...one))
        const joints: TrainJoint[] = along
          .slice(1)
          .map((outgoing, i) => ({ kind: 'cross', incoming: along[i]!, outgoing }))
        const { upTo, angles } = trainMaps(joints, Array(joints.length - 1).fill(phase))
        let product = 1
        upTo.forEach((m, i) => {
          product *= Math.cos(angles[i]!)
          expect(m[0] * m[3] - m[1] * m[2]).toBeCloseTo(product, 10)
        })
      }),
      { seed: 20261129 },
    )
  })
})

import fc from 'fast-check'
import { trainMaps, type TrainJoint } from './joints/jointMap'
import { speedRatio, speedRatioSlope, workingAngle } from './joints/singleJoint'
import { axisDirection } from '../base/frame/axis'
import { turnAbout, unit, type Vec3 } from '../base/linalg/vec3'
import { asRadians, degrees, radians } from '../base/units/angle'
import { sampledTrain } from './sampledTrain'
import { peakAcceleration, permittedAngleDeg, smallAngleAcceleration, uniformity } from './uniformity'

const axis = (fall: number, plan = 0) => axisDirection({ fall: radians(fall), plan: radians(plan) })
const cross = (incoming: Vec3, outgoing: Vec3): TrainJoint => ({ kind: 'cross', incoming, outgoing })
const wholeOf = (joints: TrainJoint[], phases: number[]) => uniformity(trainMaps(joints, phases).upTo.at(-1)!)
const anyAngle = fc.double({ min: -40, max: 40, noNaN: true })

describe('one joint', () => {
  it('swings its output between cos β and 1/cos β', () => {
    const angle = radians(30)
    expect(speedRatio(angle, radians(0))).toBeCloseTo(1 / Math.cos(angle), 12)
    expect(speedRatio(angle, radians(90))).toBeCloseTo(Math.cos(angle), 12)
    expect(wholeOf([cross(axis(0), axis(30))], []).ratioMin).toBeCloseTo(Math.cos(angle), 12)
  })

  it('has the slope of its speed ratio', () => {
    const step = 1e-6
    for (const turn of [10, 50, 100, 170]) {
      const at = radians(turn)
      const difference =
        speedRatio(radians(25), asRadians(at + step)) - speedRatio(radians(25), asRadians(at - step))
      expect(speedRatioSlope(radians(25), at)).toBeCloseTo(difference / (2 * step), 6)
    }
  })

  it('keeps tiny angles', () => {
    expect(degrees(workingAngle(axis(0), axis(1e-7)))).toBeCloseTo(1e-7, 12)
  })
})

describe('a line of joints', () => {
  it('cancels for equal angles in one plane, Z or W, and for parallel axes with any offset', () => {
    expect(wholeOf([cross(axis(3), axis(9)), cross(axis(9), axis(3))], [0]).ratioMax).toBeCloseTo(1, 12)
    expect(wholeOf([cross(axis(3), axis(9)), cross(axis(9), axis(15))], [0]).ratioMax).toBeCloseTo(1, 12)
    expect(wholeOf([cross(axis(2), axis(5, 4)), cross(axis(5, 4), axis(2))], [0]).ratioMax).toBeCloseTo(1, 12)
  })

  it('follows cos βe = cos(larger)/cos(smaller) for unequal angles in one plane', () => {
    const { ratioMin } = wholeOf([cross(axis(0), axis(25)), cross(axis(25), axis(10))], [0])
    expect(ratioMin).toBeCloseTo(Math.cos(radians(25)) / Math.cos(radians(15)), 12)
  })

  it('leaves twice one joint’s error for 6° in side view against 6° in top view', () => {
    const one = wholeOf([cross(axis(6), axis(0))], []).errorPeakToPeak
    const two = wholeOf([cross(axis(6), axis(0)), cross(axis(0), axis(0, 6))], [0]).errorPeakToPeak
    expect(two / one).toBeCloseTo(2, 2)
  })

  it('does not care how the whole vehicle is turned, nor for half a turn of phase', () => {
    fc.assert(
      fc.property(
        anyAngle,
        anyAngle,
        anyAngle,
        anyAngle,
        fc.double({ min: 0, max: 6, noNaN: true }),
        (a, b, c, d, turn) => {
          const axes = [axis(a, b), axis(b / 2, c / 2), axis(c, d)]
          const train = (list: Vec3[]) => [cross(list[0]!, list[1]!), cross(list[1]!, list[2]!)]
          const about = unit([1, 2, 3])
          const turned = axes.map((one) => turnAbout(one, about, turn))
          const before = wholeOf(train(axes), [0.3]).ratioMin
          const after = wholeOf(train(turned), [0.3 + Math.PI]).ratioMin
          return Math.abs(before - after) < 1e-9
        },
      ),
      { seed: 31 },
    )
  })

  it('is as uneven backwards as forwards', () => {
    fc.assert(
      fc.property(anyAngle, anyAngle, anyAngle, (a, b, c) => {
        const [first, middle, last] = [axis(a, b), axis(b, c), axis(c, a)]
        const forward = wholeOf([cross(first, middle), cross(middle, last)], [0.2])
        const back = wholeOf(
          [cross(reverse(last), reverse(middle)), cross(reverse(middle), reverse(first))],
          [0.2],
        )
        return Math.abs(forward.ratioMin - back.ratioMin) < 1e-9
      }),
      { seed: 32 },
    )
  })

  it('samples the same curves as the closed form, four joints and constant-velocity ones included', () => {
    const axes = [axis(2), axis(12, 3), axis(-8, 10), axis(20, -5), axis(4, 4)]
    const train = axes
      .slice(1)
      .map((to, i): TrainJoint => ({ kind: i === 1 ? 'cv' : 'cross', incoming: axes[i]!, outgoing: to }))
    const phases = [0.4, -0.7, 1.1]
    const whole = wholeOf(train, phases)
    const { ratio, acceleration, error } = sampledTrain(train, phases, 3000, 7200).at(-1)!
    expect(Math.max(...ratio)).toBeCloseTo(whole.ratioMax, 6)
    expect(Math.min(...ratio)).toBeCloseTo(whole.ratioMin, 6)
    expect(Math.max(...acceleration) / peakAcceleration(whole, 3000)).toBeCloseTo(1, 5)
    expect(Math.max(...error) - Math.min(...error)).toBeCloseTo(whole.errorPeakToPeak, 6)
  })
})

describe('accelerations', () => {
  it('match the worked figure of a 6° shaft at 3000 rev/min', () => {
    // ω²β² = (100π)²·(0.10472)² = 1082; the exact peak is a little higher.
    expect(smallAngleAcceleration(radians(6), 3000)).toBeCloseTo(1082.3, 1)
    expect(peakAcceleration(wholeOf([cross(axis(0), axis(6))], []), 3000)).toBeCloseTo(1084, 0)
  })

  it('allow 5.8° at 3000 and 3.5° at 5000 rev/min for 1000 rad/s²', () => {
    expect(permittedAngleDeg(1000, 3000)).toBeCloseTo(5.76, 2)
    expect(permittedAngleDeg(1000, 5000)).toBeCloseTo(3.46, 2)
  })
})

const reverse = (v: Vec3): Vec3 => [-v[0], -v[1], -v[2]]

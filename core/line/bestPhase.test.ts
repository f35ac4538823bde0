import fc from 'fast-check'
import { axisDirection } from '../base/frame/axis'
import { trainMaps, type TrainJoint } from './joints/jointMap'
import type { JointKind } from '../file/parts/lineSpec'
import { radians } from '../base/units/angle'
import { bestPhase } from './bestPhase'
import { uniformity } from './uniformity'

type Lie = readonly [fall: number, plan: number]
const train = (lies: readonly Lie[], kind: JointKind = 'cross'): TrainJoint[] => {
  const axes = lies.map(([fall, plan]) => axisDirection({ fall: radians(fall), plan: radians(plan) }))
  return axes.slice(1).map((outgoing, i) => ({ kind, incoming: axes[i]!, outgoing }))
}
const evenness = (joints: TrainJoint[], phases: number[]) =>
  uniformity(trainMaps(joints, phases).upTo.at(-1)!).equivalentAngle
const best = (joints: TrainJoint[], phases: number[], shaft: number, teeth?: number) =>
  bestPhase(joints, trainMaps(joints, phases), phases, shaft, teeth)
const lie = fc.tuple(
  fc.double({ min: -25, max: 25, noNaN: true }),
  fc.double({ min: -25, max: 25, noNaN: true }),
)

/** An even line's angle is the root of a squeeze that rounding leaves at 1e-16. */
const ROUNDING = 1e-7

describe('the best phase of one shaft', () => {
  it('is beaten by no other phase, in a line of two or three shafts', () => {
    fc.assert(
      fc.property(fc.array(lie, { minLength: 3, maxLength: 5 }), fc.nat(2), (lies, wanted) => {
        const joints = train(lies)
        const phases: number[] = Array(joints.length - 1).fill(0.2)
        const shaft = wanted % phases.length
        const found = best(joints, phases, shaft)
        if (!found) return
        expect(found.before.equivalentAngle).toBeCloseTo(evenness(joints, phases), 9)
        expect(found.phaseDeg).toBeGreaterThan(-90)
        expect(found.phaseDeg).toBeLessThanOrEqual(90)
        const at = (phase: number) =>
          evenness(
            joints,
            phases.map((one, i) => (i === shaft ? phase : one)),
          )
        expect(at(radians(found.phaseDeg))).toBeCloseTo(found.after.equivalentAngle, 7)
        for (let degrees = -90; degrees < 90; degrees += 3)
          expect(found.after.equivalentAngle).toBeLessThanOrEqual(at(radians(degrees)) + ROUNDING)
      }),
      { seed: 20261129, numRuns: 60 },
    )
  })

  it('is a right angle at the most, also where rounding lands beside it', () => {
    const joints = train([
      [0, 0],
      [0, 24.999999999533625],
      [-0.00036445946110831237, 24.999999999533628],
    ])
    expect(best(joints, [0.2], 0)!.phaseDeg).toBeLessThanOrEqual(90)
  })

  it('counts the tooth that is best within a quarter turn either way', () => {
    const joints = train([
      [3, 0],
      [9, 4],
      [2, -5],
    ])
    for (const teeth of [8, 16, 31]) {
      const { tooth } = best(joints, [0], 0, teeth)!
      const reach = Math.floor(teeth / 4)
      const all = Array.from({ length: 2 * reach + 1 }, (_, i) =>
        evenness(joints, [((i - reach) * 2 * Math.PI) / teeth]),
      )
      expect(tooth!.after.equivalentAngle).toBeCloseTo(Math.min(...all), 9)
      expect(tooth!.phaseDeg).toBeCloseTo((tooth!.steps * 360) / teeth, 12)
    }
    expect(best(joints, [0], 0)!.tooth).toBeNull()
  })

  it('is in phase for equal angles in one plane, and a right angle from one plane to the other', () => {
    const plane = best(
      train([
        [3, 0],
        [9, 0],
        [3, 0],
      ]),
      [0],
      0,
    )!
    expect(plane.phaseDeg).toBeCloseTo(0, 6)
    expect(plane.after.equivalentAngle).toBeCloseTo(0, 6)
    // Six degrees in side view, then six in top view: the rear yoke a quarter turn on evens the two out.
    const crossed = best(
      train([
        [6, 0],
        [0, 0],
        [0, 6],
      ]),
      [0],
      0,
    )!
    expect(Math.abs(crossed.phaseDeg)).toBeCloseTo(90, 6)
    expect(crossed.after.equivalentAngle).toBeLessThan(crossed.before.equivalentAngle / 100)
  })

  it('is any, where a joint beside it is straight or runs at constant velocity', () => {
    expect(
      best(
        train([
          [3, 0],
          [3, 0],
          [9, 0],
        ]),
        [0],
        0,
      ),
    ).toBeNull()
    expect(
      best(
        train(
          [
            [3, 0],
            [9, 0],
            [3, 0],
          ],
          'cv',
        ),
        [0],
        0,
      ),
    ).toBeNull()
  })
})

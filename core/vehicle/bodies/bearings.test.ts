import fc from 'fast-check'
import { workedOnce } from '../../base/columns/kernel'
import { movePoint, moveDirection, rigidMoveOf } from '../../base/linalg/mat3'
import { dot, norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { evaluateBuild } from '../../model/evaluateBuild'
import { demoFile } from '../../testdata/demoFile'
import { ON_TWO_BEARINGS } from './bearingColumns'

const LEFT: Vec3 = [-1160, 255, -100]
const RIGHT: Vec3 = [-1158, -255, -101]
const moved = (by: readonly number[]) =>
  rigidMoveOf([...workedOnce(ON_TWO_BEARINGS, [...LEFT, ...RIGHT, ...by])])
const amount = fc.double({ min: -20, max: 20, noNaN: true })

describe('a shaft on two bearings', () => {
  it('stands as measured where nothing moves', () => {
    const still = moved([0, 0, 0, 0, 0])
    for (const point of [LEFT, RIGHT, [0, 0, 0] as Vec3])
      movePoint(still, point).forEach((part, i) => expect(part).toBeCloseTo(point[i] ?? NaN, 9))
  })

  it('goes through both bearings wherever they are put, as long as it was', () => {
    fc.assert(
      fc.property(amount, amount, amount, amount, amount, (leftFore, leftUp, rightFore, rightUp, left) => {
        const move = moved([leftFore, leftUp, rightFore, rightUp, left])
        const [l, r] = [movePoint(move, LEFT), movePoint(move, RIGHT)]
        const [wantedL, wantedR]: [Vec3, Vec3] = [
          [LEFT[0] + leftFore, LEFT[1] + left, LEFT[2] + leftUp],
          [RIGHT[0] + rightFore, RIGHT[1] + left, RIGHT[2] + rightUp],
        ]
        // On the new line, to either side of it by nothing; along it the shaft keeps its own length.
        const along = unit(sub(wantedL, wantedR))
        for (const [end, wanted] of [
          [l, wantedL],
          [r, wantedR],
        ] as const) {
          const off = sub(end, wanted)
          expect(
            norm(
              sub(off, [along[0] * dot(off, along), along[1] * dot(off, along), along[2] * dot(off, along)]),
            ),
          ).toBeLessThan(1e-9)
        }
        expect(norm(sub(l, r))).toBeCloseTo(norm(sub(LEFT, RIGHT)), 9)
        // The shortest turn does not spin it about itself.
        const axis = unit(sub(LEFT, RIGHT))
        expect(dot(moveDirection(move, axis), along)).toBeCloseTo(1, 12)
      }),
      { seed: 20261129 },
    )
  })

  it('is only shifted, and says so, while its bearings are not told', () => {
    const bare = demoFile('burdock-cart', (raw) => {
      delete raw.bodies.find((one: any) => one.id === 'rear-axle').bearings
    })
    expect(evaluateBuild(bare, { 'block-fore': 2 }).missing.map(({ what }) => what)).toContain(
      'rear axle: its bearings were not read, so they cannot be moved',
    )
    expect(evaluateBuild(bare, {}).chains[0]?.loop.known).toBe(true)
  })
})

describe('an axle in the slots of its arms', () => {
  const slotted = demoFile('comfrey-buggy', (raw) => {
    raw.levers.push({ id: 'arm-slots', kind: 'fore', body: 'rear-axle', range: [-20, 10], step: 0.1 })
    raw.chains[0].adjuster = 'arm-slots'
  })

  it('tightens its chain toward the rear, and goes round its pivot from there', () => {
    const [here, back] = [{}, { 'arm-slots': -1 } as Record<string, number>].map(
      (settings) => evaluateBuild(slotted, settings).chains[0]!,
    )
    if (!here?.neededMm.known || !back?.neededMm.known) throw new Error('not known')
    // Two runs, one of them round a guide that goes along.
    expect(back.neededMm.value - here.neededMm.value).toBeGreaterThan(1)
    expect(back.neededMm.value - here.neededMm.value).toBeLessThan(2.1)
    const { adjuster } = here
    if (!adjuster?.known || !('at' in adjuster.value.right)) throw new Error('does not fit')
    expect(adjuster.value.right.at).toBeLessThan(0)
    const set = evaluateBuild(slotted, { 'arm-slots': adjuster.value.right.at })
    expect(set.checks.find(({ quantity }) => quantity === 'chain-slack')?.verdict).toBe('holds')
    expect(set.chains[0]?.travel?.tightest.place).toMatch(/down$/)
  })
})

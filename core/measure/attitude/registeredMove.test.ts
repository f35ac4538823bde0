import fc from 'fast-check'
import { workedOnce } from '../../base/columns/kernel'
import { movePoint, rigidMoveOf, turnMove } from '../../base/linalg/mat3'
import { norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { REGISTERED_MOVE } from './registeredMove'
import { rigidFit } from './registration'

const STUDS: readonly Vec3[] = [
  [-200, 410, 0],
  [-2400, -405, 0],
  [-2600, 400, 10],
  [-300, -400, -10],
  [-1300, 390, -160],
]
const flat = STUDS.map(([x, y]): Vec3 => [x, y, 0])
const noise = fc.tuple(
  ...[0, 1, 2].map(() => fc.double({ min: -6, max: 6, noNaN: true })),
) as unknown as fc.Arbitrary<Vec3>
const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const still = [1, 0, 0, 0, 1, 0, 0, 0, 1]
const fitted = (setup: readonly Vec3[], chassis: readonly Vec3[], start: readonly number[] = still) =>
  rigidMoveOf([
    ...workedOnce(
      REGISTERED_MOVE,
      setup.flatMap((point, i) => [...point, ...chassis[i]!]),
      [setup.length, ...start],
    ),
  ])

describe('the registered move on columns', () => {
  it('is the least-squares fit by singular values, for any scatter of the points, flat ones too', () => {
    fc.assert(
      fc.property(
        fc.array(noise, { minLength: 5, maxLength: 5 }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.boolean(),
        (errors, angle, isFlat) => {
          const chassis = isFlat ? flat : STUDS
          const turn = turnMove([400, 30, -700], unit([0.3, -0.2, 1]), angle)
          const setup = chassis.map((point, i) => add(movePoint(turn, point), errors[i]!))
          const exact = rigidFit(setup.map((own, i) => ({ setup: own, chassis: chassis[i]! })))
          const found = fitted(setup, chassis)
          for (const point of setup)
            expect(norm(sub(movePoint(found, point), movePoint(exact, point)))).toBeLessThan(1e-7)
        },
      ),
      { seed: 3, numRuns: 150 },
    )
  })

  it('says nothing for points on one line', () => {
    const line = [0, 1, 2].map((k): Vec3 => [-500 * k, 20, 0])
    const move = fitted(line, line)
    expect(move.rotation.flat().some((one) => !Number.isFinite(one))).toBe(true)
  })
})

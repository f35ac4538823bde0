import fc from 'fast-check'
import { movePoint, NO_MOVE } from '../../base/linalg/mat3'
import { norm, sub, type Vec3 } from '../../base/linalg/vec3'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { evaluateBuild } from '../../model/evaluateBuild'
import { known } from '../../base/known'
import type { LeverSettings } from '../moves/settings'
import { settingsAfter } from '../../answers/solver/cure'
import { leverUnit } from '../../file/build/lever'
import { holdProblem, NO_MOUNT_MOVES, powertrainMove, type MountPoints } from './powertrainMove'

const MOUNTS: MountPoints = {
  frontLeft: [-150, 260, 70],
  frontRight: [-150, -260, 70],
  tail: [-1010, 0, -10],
}

describe('mounts that hold the powertrain', () => {
  it('stand well apart in top view', () => {
    expect(holdProblem(MOUNTS)).toBeNull()
  })

  it('do not when they lie on one line or in one upright plane, which is said', () => {
    expect(holdProblem({ ...MOUNTS, tail: [-150, 0, 70] })).toContain('lie on one line')
    expect(holdProblem({ ...MOUNTS, tail: MOUNTS.frontLeft })).toContain('lie on one line')
    expect(holdProblem({ ...MOUNTS, tail: [-150, 0, -300] })).toContain('one upright plane')
    expect(
      holdProblem({ frontLeft: [-150, 3, 70], frontRight: [-400, 3, 300], tail: [-1010, 3, 0] }),
    ).toContain('one upright plane')
  })

  it('hold wherever the vehicle’s datum lies', () => {
    const place = fc.tuple(
      ...[0, 1, 2].map(() => fc.double({ min: -3000, max: 3000, noNaN: true })),
    ) as unknown as fc.Arbitrary<Vec3>
    fc.assert(
      fc.property(place, (shift) => {
        const moved = Object.fromEntries(
          Object.entries(MOUNTS).map(([key, point]) => [
            key,
            (point as Vec3).map((one, i) => one + shift[i]!),
          ]),
        ) as unknown as MountPoints
        expect(holdProblem(moved)).toBeNull()
      }),
      { seed: 12, numRuns: 60 },
    )
  })
})

describe('the move of the powertrain', () => {
  it('keeps every distance, and puts the mounts where they were asked', () => {
    const amount = fc.double({ min: -25, max: 25, noNaN: true })
    fc.assert(
      fc.property(amount, amount, amount, amount, (left, right, tail, fore) => {
        const move = powertrainMove(MOUNTS, {
          ...NO_MOUNT_MOVES,
          frontLeftUp: left,
          frontRightUp: right,
          tailUp: tail,
          fore,
        })!
        const points = Object.values(MOUNTS) as Vec3[]
        const moved = points.map((point) => movePoint(move, point))
        points.forEach((point, i) =>
          points.forEach((other, k) =>
            expect(norm(sub(moved[i]!, moved[k]!))).toBeCloseTo(norm(sub(point, other)), 9),
          ),
        )
        expect(moved.map((point, i) => point[2] - points[i]![2])).toEqual(
          [left, right, tail].map((up) => expect.closeTo(up, 9)),
        )
      }),
      { seed: 31, numRuns: 80 },
    )
  })

  it('does not exist for mounts asked further apart than they are', () => {
    expect(powertrainMove(MOUNTS, { ...NO_MOUNT_MOVES, tailUp: 2000 })).toBeNull()
    expect(powertrainMove(MOUNTS, { ...NO_MOUNT_MOVES, tailSideways: 1500 })).toBeNull()
  })
})

describe('moves of bodies', () => {
  const build = demoBuild()
  const moveOf = (of: typeof build, settings: LeverSettings, body: string) =>
    evaluateBuild(of, settings).moves.get(body)!

  it('are none while nothing is moved, and unknown with the reason where a point was not read', () => {
    for (const move of evaluateBuild(build, {}).moves.values()) expect(move).toEqual(known(NO_MOVE))
    const unread = changedDemo(
      (raw) => (raw.readings = raw.readings.filter((one: any) => one.point !== 'axle-centre')),
    )
    const wedge = moveOf(unread, { wedge: 1 }, 'rear-axle')
    expect(wedge.known ? [] : wedge.missing.map(({ what }) => what)).toEqual([
      'rear wheel axis: station not read',
      'rear wheel axis: height not read',
    ])
    expect(moveOf(unread, { wedge: 0 }, 'rear-axle')).toEqual(known(NO_MOVE))
    const bare = changedDemo((raw) => delete raw.bodies[1].mounts)
    expect(moveOf(bare, { tail: 5 }, 'powertrain')).toMatchObject({
      known: false,
      missing: [{ what: 'powertrain: its mounts were not read, so it cannot be moved' }],
    })
    expect(moveOf(build, { tail: 2000 }, 'powertrain')).toMatchObject({
      known: false,
      missing: [{ what: 'powertrain: its mounts cannot stand that far apart' }],
    })
  })

  it('add what an axle winds up to its wedge', () => {
    const pulling = (settings: LeverSettings, riseDeg: number) => {
      const risen = changedDemo((raw) => (raw.lines[0].expectedRiseDeg = riseDeg))
      const { drive } = evaluateBuild(risen, settings).lines[0]!
      if (!drive?.known) throw new Error('the demo is read')
      return drive.value.anglesDeg
    }
    const once = pulling({ wedge: 0.5 }, 1)
    pulling({ wedge: -1.5 }, 3).forEach((angle, i) => expect(angle).toBeCloseTo(once[i]!, 9))
  })

  it('know the amounts after a cure, and the unit of a lever', () => {
    const [tail, wedge] = build.levers
    expect(
      settingsAfter({ tail: 2, wedge: 1 }, { changes: [{ lever: tail!, amount: 7, change: 5 }] }),
    ).toEqual({ tail: 7, wedge: 1 })
    expect([leverUnit(tail!), leverUnit(wedge!)]).toEqual(['mm', 'deg'])
  })
})

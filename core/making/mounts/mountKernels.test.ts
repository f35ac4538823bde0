import fc from 'fast-check'
import { workedOnce } from '../../base/columns/kernel'
import { add, cross, dot, norm, scale, type Vec3 } from '../../base/linalg/vec3'
import type { CaseLoad } from './mountCases'
import { CASE_TOLD, GAP_LEFT, LEAST, mountsKernel, REARWARD, SIZE_OF, SMALL_MOVE } from './mountKernels'
import { settle, type ElasticMount } from './settle'
import { shareKernel } from './shareKernel'
import { reactionShare } from './share'
import { springParts } from './spring'

const small = fc.double({ min: -0.06, max: 0.06, noNaN: true })
const far = fc.double({ min: -900, max: 900, noNaN: true })
const turns = fc.tuple(small, small, small)
const places = fc.tuple(far, far, far)

const MOUNTS: readonly ElasticMount[] = [
  { id: 'left', at: [0, 280, -150], spring: { kind: 'axes', perMm: [150, 150, 300] } },
  { id: 'right', at: [0, -280, -150], spring: { kind: 'axes', perMm: [150, 150, 300] } },
  { id: 'tail', at: [-900, 0, -120], spring: { kind: 'axes', perMm: [200, 200, 400] } },
]
const SPRINGS = MOUNTS.map(({ spring }) => springParts(spring))

describe('the kernels of mounts', () => {
  it('turn a small movement into a rigid one: lengths stay, and points go as far as they are told to', () => {
    fc.assert(
      fc.property(turns, places, places, (turn, shift, at) => {
        const move = workedOnce(SMALL_MOVE, [...shift, ...turn])
        const rows = [0, 1, 2].map((r): Vec3 => [move[3 * r]!, move[3 * r + 1]!, move[3 * r + 2]!])
        rows.forEach((row, i) => {
          expect(norm(row)).toBeCloseTo(1, 12)
          rows.slice(i + 1).forEach((other) => expect(dot(row, other)).toBeCloseTo(0, 12))
        })
        const moved = rows.map((row, i) => dot(row, at) + move[9 + i]!) as unknown as Vec3
        const linear = add(add(at, shift), cross(turn, at))
        // Of second order in the turn.
        const beyond = norm([moved[0] - linear[0], moved[1] - linear[1], moved[2] - linear[2]])
        expect(beyond).toBeLessThanOrEqual(norm(turn) ** 2 * norm(at) + 1e-9)
      }),
    )
  })

  it('tell a movement as roll, fall and plan, and how far a place goes', () => {
    const shift: Vec3 = [1, 2, 3]
    const turn: Vec3 = [0.02, -0.01, 0.03]
    const at: Vec3 = [-1100, 20, -90]
    const [roll, fall, plan, ...moved] = workedOnce(CASE_TOLD, [...shift, ...turn, ...at])
    const degrees = (radians: number) => (radians * 180) / Math.PI
    expect([roll, fall, plan]).toEqual([degrees(0.02), degrees(0.01), degrees(-0.03)])
    expect(moved).toEqual(add(shift, cross(turn, at)).map((one) => expect.closeTo(one, 9)))
  })

  it('leave of a gap what the point does not take of it, and the least of several', () => {
    const shift: Vec3 = [0, 0, -4]
    const left = (sense: number, toward: Vec3) =>
      workedOnce(GAP_LEFT, [9, ...toward, 100, 50, -60, ...shift, 0, 0, 0], [sense])[0]
    expect([left(1, [0, 0, -2]), left(-1, [0, 0, -2]), left(1, [0, 5, 0])]).toEqual([5, 13, 9])
    expect(workedOnce(LEAST, [3, NaN, -1, 8])[0]).toBe(-1)
    expect(workedOnce(LEAST, [NaN, NaN])[0]).toBeNaN()
    expect(workedOnce(SIZE_OF, [2, 3, 6])[0]).toBe(7)
  })

  it('settle each case as one asked alone, against the first', () => {
    const acts = [
      { force: [0, 0, -2450] as Vec3, moment: [0, 0, 0] as Vec3, alongNmm: 0 },
      { force: [0, 0, -2450] as Vec3, moment: [0, -2e5, 0] as Vec3, alongNmm: -1.4e6 },
    ]
    const centre: Vec3 = [-250, 10, 40]
    const rearward: Vec3 = [-0.99, 0.1, -0.1]
    const places = [...MOUNTS.flatMap(({ at }) => at), ...centre, ...rearward]
    const out = workedOnce(mountsKernel(SPRINGS, acts), places)
    const alone = acts.map(({ force, moment, alongNmm }) =>
      settle(MOUNTS, {
        force,
        moment: add(cross(centre, force), add(moment, scale(rearward, alongNmm))),
      }),
    )
    expect([...out.slice(0, 6)]).toEqual([0, 0, 0, 0, 0, 0])
    expect([...out.slice(15, 18)]).toEqual(
      [0, 1, 2].map((k) => expect.closeTo(alone[1]!.shift[k]! - alone[0]!.shift[k]!, 9)),
    )
    expect([...out.slice(21, 24)]).toEqual(alone[1]!.forces.get('left')!.map((one) => expect.closeTo(one, 6)))
    const unheld = workedOnce(mountsKernel(SPRINGS.slice(0, 1), acts), [0, 280, -150, ...centre, ...rearward])
    expect([...unheld].every(Number.isNaN)).toBe(true)
  })

  it('share a reaction as is told of the mounts themselves', () => {
    const torque = { engineNm: 300, gearRatio: 3.5, turns: 'anticlockwise' } as const
    const output: Vec3 = [-1100, 5, -60]
    const load: CaseLoad = { force: [0, 0, 0], moment: [0, 0, 0], alongNmm: -300 * 3.5 * 1000 }
    const kernel = shareKernel(SPRINGS, [false, false, true], load)
    const places = [...MOUNTS.flatMap(({ at }) => at), ...output, -1, 0, 0]
    const [share] = workedOnce(kernel, places)
    expect(share).toBeCloseTo(reactionShare(MOUNTS, new Set(['tail']), torque, output).tail, 9)
    const pad = springParts({ kind: 'pad', normal: [0, 0, 1], press: 300, shear: 200 })
    const padded = shareKernel([...SPRINGS.slice(0, 2), pad], [false, false, true], load)
    expect(workedOnce(padded, places)[0]).toBeNaN()
  })

  it('point shafts to the rear whichever way their axes were told, each by its part', () => {
    const ways = [0.8, 0.6, 0, -1, 0, 0]
    expect([...workedOnce(REARWARD, ways, [0.25, 0.75])]).toEqual(
      [-0.95, -0.15, 0].map((one) => expect.closeTo(one, 12)),
    )
    expect([...workedOnce(REARWARD, [0, 0, 1], [1])]).toEqual([0, 0, 1])
  })
})

import { sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees } from '../../base/units/angle'
import elastic from '../../testdata/mounts-elastic.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import {
  chainPull,
  faceLoad,
  forceAt,
  outputTorque,
  together,
  torqueReaction,
  weightLoad,
  type ShaftTorque,
} from './load'
import { movedBy, settle, type ElasticMount, type Settled } from './settle'
import { reactionShare } from './share'
import type { MountSpring } from './spring'

const springOf = (mount: any): MountSpring => {
  if (mount.k_N_per_mm) return { kind: 'axes', perMm: mount.k_N_per_mm }
  if (mount.matrix_N_per_mm) return { kind: 'matrix', perMm: mount.matrix_N_per_mm }
  const { bush, pad, stop } = mount
  if (bush) return { kind: 'bush', axis: bush.axis, axial: bush.axial_N_per_mm, radial: bush.radial_N_per_mm }
  if (pad) return { kind: 'pad', normal: pad.normal, press: pad.press_N_per_mm, shear: pad.shear_N_per_mm }
  return { kind: 'stop', normal: stop.normal, gapMm: stop.gap_mm, press: stop.press_N_per_mm }
}
const torqueOf = ({ torque }: any): ShaftTorque | null =>
  torque
    ? {
        engineNm: torque.engine_Nm,
        gearRatio: torque.gear_ratio,
        range: torque.range,
        converter: torque.converter,
        shock: torque.shock,
        limitNm: torque.limit_Nm,
        turns: torque.turn,
        axis: torque.axis,
      }
    : null
const loadOf = (input: any) => {
  const torque = torqueOf(input)
  const { chain } = input
  return together([
    weightLoad(input.mass_kg ?? 0, input.cg_mm ?? [0, 0, 0], input.g),
    ...(torque ? [torqueReaction(torque)] : []),
    ...(chain
      ? [
          chainPull({
            at: chain.at_mm,
            toward: chain.direction,
            torqueNm: chain.torque_Nm,
            pitchRadiusMm: chain.pitch_radius_mm,
          }),
        ]
      : []),
    ...(input.extra ?? []).map((one: any) => forceAt(one.at_mm, one.force_N)),
  ])
}
const bolted = (settled: Settled) => (mount: any) => {
  if (!mount.face_normal) return []
  const { alongN, shearN } = faceLoad(settled.forces.get(mount.id)!, mount.face_normal)
  return [[mount.id, { along_N: alongN, shear_N: shearN }]]
}
const named = (points: any[], of: (at: Vec3) => Vec3) =>
  Object.fromEntries((points ?? []).map(({ id, at_mm }) => [id, of(at_mm)]))

function told(settled: Settled, input: any): Record<string, unknown> {
  const turn = settled.turn.map(degrees)
  const kinds = (kind: string, presses: boolean) =>
    input.mounts
      .filter((mount: any) => mount[kind] && settled.presses.has(mount.id) === presses)
      .map(({ id }: any) => id)
  return {
    u_mm: settled.shift,
    phi_deg: turn,
    dfall_deg: -turn[1]!,
    dplan_deg: -turn[2]!,
    force_N: Object.fromEntries(settled.forces),
    move_mm: named(input.points, (at) => movedBy(settled, at)),
    pressing: kinds('pad', true),
    lifted: kinds('pad', false),
    touching: kinds('stop', true),
  }
}

function fromRest(now: Settled, mounts: readonly ElasticMount[], input: any) {
  const rest = settle(mounts, weightLoad(input.mass_kg, input.cg_mm))
  const turn = sub(now.turn, rest.turn).map(degrees)
  return {
    u_mm: sub(now.shift, rest.shift),
    phi_deg: turn,
    dfall_deg: -turn[1]!,
    dplan_deg: -turn[2]!,
    force_N: Object.fromEntries(mounts.map(({ id }) => [id, sub(now.forces.get(id)!, rest.forces.get(id)!)])),
    move_mm: named(input.points, (at) => sub(movedBy(now, at), movedBy(rest, at))),
  }
}

describe('a powertrain on its mounts against independent cases', () => {
  const work = (input: any): Record<string, unknown> => {
    const mounts = input.mounts.map((mount: any) => ({
      id: mount.id,
      at: mount.at_mm,
      spring: springOf(mount),
    }))
    const settled = settle(mounts, loadOf(input))
    const torque = torqueOf(input)
    const moment = torque ? torqueReaction(torque).moment.map((one) => one / 1000) : [0, 0, 0]
    const first = moment[0] ?? 0
    const tail = new Set<string>(input.mounts.filter((mount: any) => mount.tail).map(({ id }: any) => id))
    const hasOneShare = !input.mounts.some(({ pad, stop }: any) => pad || stop) && first !== 0
    const share = torque && hasOneShare ? reactionShare(mounts, tail, torque, input.output_mm) : null
    return {
      ...told(settled, input),
      bolts: Object.fromEntries(input.mounts.flatMap(bolted(settled))),
      T_out_Nm: torque ? outputTorque(torque) : 0,
      moment_Nm: moment,
      reaction_first: first > 0 ? 'left lifts' : first < 0 ? 'right lifts' : 'none',
      ...(input.from_rest && { from_rest: fromRest(settled, mounts, input) }),
      ...(share && { share_tail: share.tail, bell_Nm: share.bellNm, tail_housing_Nm: share.tailHousingNm }),
    }
  }
  it.each(casesOf(elastic))('%s', (_id, one) => expectCase(elastic, one, work))
})

describe('a face that is bolted', () => {
  it('is pressed or pulled along its normal, and sheared across it', () => {
    const pulled = faceLoad([30, 40, -120], [0, 0, 2])
    expect([pulled.alongN, pulled.shearN]).toEqual([-120, 50])
    expect(() => faceLoad([1, 0, 0], [0, 0, 0])).toThrow('has no direction')
  })
})

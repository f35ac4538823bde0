import { CoreError } from '../../base/errors'
import type { Vec3 } from '../../base/linalg/vec3'
import { outputTorque, torqueReaction, type ShaftTorque } from './load'
import { aboutOutput } from './shareKernel'
import { UNSETTLED, type ElasticMount } from './settle'
import { newSettler } from './settler'
import { springParts } from './spring'

/** Where the reaction of the shaft goes out, and what that twists. */
export interface ReactionShare {
  /** Part of it that goes out by the tail mounts. */
  readonly tail: number
  /** The gearbox's tail, and the joint of the bell housing. */
  readonly tailHousingNm: number
  readonly bellNm: number
}

/**
 * The part of a shaft's reaction that goes out through the tail mounts: the moment of what the torque alone changes at them, about a line along
 * the vehicle through the output.
 *
 * Torques are signed: in reverse those at the bell housing add.
 *
 * @throws CoreError `degenerate` for mounts that press one way only, whose part hangs on the load, or a torque without a reaction along the line
 */
export function reactionShare(
  mounts: readonly ElasticMount[],
  tail: ReadonlySet<string>,
  torque: ShaftTorque,
  output: Vec3 = [0, 0, 0],
): ReactionShare {
  if (mounts.some(({ spring }) => spring.kind === 'pad' || spring.kind === 'stop'))
    throw new CoreError('degenerate', 'mounts', 'that press one way only have no one share')
  const reaction = torqueReaction(torque)
  const settler = newSettler(mounts.map(({ spring }) => springParts(spring)))
  settler.places.set(mounts.flatMap(({ at }) => at))
  settler.load.set([...reaction.force, ...reaction.moment])
  const why = settler.settle()
  if (why) throw new CoreError('degenerate', 'mounts', UNSETTLED[why])
  const isTail = mounts.map(({ id }) => tail.has(id))
  const share = aboutOutput(settler, isTail, output[1], output[2]) / -reaction.moment[0]
  if (!Number.isFinite(share)) throw new CoreError('degenerate', 'torque', 'has no reaction along the line')
  const out = outputTorque(torque)
  const engine = torque.engineNm * (torque.shock ?? 1) * (torque.converter ?? 1)
  return { tail: share, tailHousingNm: Math.abs(share * out), bellNm: Math.abs((1 - share) * out - engine) }
}

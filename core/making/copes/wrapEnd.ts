import { radians } from '../../base/units/angle'
import type { Place2 } from '../../base/outline/polygon'
import { cutFrom, type TubeJoint } from './copeCut'

/** A coped end as it is wrapped: its joint, and where round it the match line lies, right-handed about the tube away from the joint. */
export interface WrapEnd {
  readonly joint: TubeJoint
  readonly matchDeg: number
}

/** So finely that a chord leaves the cut by less than a hundredth of a millimetre. */
const ROUND = 360

/**
 * The cut laid flat, the tube's outside up and its far end upward: along the paper from the match line to the right, and up the tube from the foot of the common
 * perpendicular.
 */
export const wrapCut = ({ joint, matchDeg }: WrapEnd, paperMm = 0): Place2[] =>
  Array.from({ length: ROUND + 1 }, (_, i) => [
    (Math.PI * (joint.branchOuterMm + paperMm) * i) / ROUND,
    cutFrom(joint, radians(matchDeg + (360 * i) / ROUND)),
  ])

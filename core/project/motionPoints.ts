import type { AxleMotion } from './body'
import type { Id } from './id'

/** The points that a motion is told by. */
export function motionPoints(motion: AxleMotion | undefined): Id[] {
  switch (motion?.kind) {
    case undefined:
      return []
    case 'table':
      return motion.at === undefined ? [] : [motion.at]
    case 'arc':
      return [motion.seat, motion.eye]
    case 'links':
      return motion.holdings.flatMap((one) =>
        one.kind === 'link'
          ? [one.chassis, one.axle]
          : one.kind === 'hinge'
            ? [one.axle, one.axle2]
            : [one.axle],
      )
  }
}

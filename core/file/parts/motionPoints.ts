import type { AxleMotion } from './axleMotion'
import type { Body } from './body'
import type { HubMotion } from './hubMotion'
import type { Id } from './id'

/** The points that a motion is told by. */
export function motionPoints(motion: AxleMotion | HubMotion | undefined): Id[] {
  switch (motion?.kind) {
    case undefined:
      return []
    case 'table':
      return motion.at === undefined ? [] : [motion.at]
    case 'lengths':
      return [motion.inner, motion.outer]
    case 'double-wishbone':
    case 'strut':
    case 'arm':
      return Object.values(motion.points)
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

/** The points that a body is said to move by: its middle, and those of its motion. */
export const pointsMovedBy = (body: Body): Id[] =>
  body.kind === 'axle' || body.kind === 'hub'
    ? [...(body.centre === undefined ? [] : [body.centre]), ...motionPoints(body.motion)]
    : []

import { TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../../base/columns/graph'
import { norm, sub } from '../../base/linalg/vec3'
import type { AxleBody } from '../../file/parts/body'
import { vectorAt } from '../../measure/geometry/geometry'
import { degrees } from '../../base/units/angle'
import type { PointOf } from './axleMotion'

/** A leaf spring from eye to eye, and how far along it the axle sits. */
interface Spring {
  readonly lengthMm: number
  /** From the front eye to the seat, as a share of the length. */
  readonly seatAt: number
}

function springOf(graph: Graph, { motion }: AxleBody, point: PointOf): Spring | null {
  if (motion?.kind !== 'arc') return null
  const [seat, eye] = [point(motion.seat), point(motion.eye)]
  if (!seat.known || !eye.known) return null
  const at = vectorAt(graph.at)
  const front = norm(sub(at(seat.value), at(eye.value)))
  const lengthMm = motion.springMm ?? 2 * front
  return lengthMm > 0 ? { lengthMm, seatAt: Math.min(1, front / lengthMm) } : null
}

/**
 * What longer shackles do to an axle on leaf springs: the spring turns about its front eye, so that the nose turns up with it, in degrees, and the
 * vehicle stands higher at the axle, in mm.
 *
 * @returns null where no shackle is a lever, or the spring is not told by its arc
 */
export function shackleColumns(
  graph: Graph,
  axle: AxleBody,
  shackle: Column | null,
  point: PointOf,
): { readonly noseUpDeg: Column; readonly liftMm: Column } | null {
  const spring = shackle === null ? null : springOf(graph, axle, point)
  if (shackle === null || !spring) return null
  return {
    noseUpDeg: scalarStep(graph, TIMES, [shackle], [degrees(1) / spring.lengthMm]),
    liftMm: scalarStep(graph, TIMES, [shackle], [spring.seatAt]),
  }
}

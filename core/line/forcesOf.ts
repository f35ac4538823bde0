import type { Line } from '../project/lineSpec'
import { lineForces, type LineForces } from './lineForces'
import type { LineFigures } from './lineFigures'
import { norm, sub, type Vec3 } from '../linalg/vec3'
import { phasesOf } from './phases'

/**
 * Couples and bearing forces of a line as it stands, over a turn.
 *
 * @param torqueNm - of the driving axis
 * @see docs/methods/couples.md
 */
export function forcesOf(
  line: Line,
  { chain, geometry, reaches }: LineFigures,
  torqueNm: number,
): LineForces {
  const { centres } = geometry
  return lineForces(
    {
      chain,
      phases: phasesOf(line),
      lengths: centres.slice(1).map((centre, index) => norm(sub(centre, centres[index] as Vec3))),
      bearings: reaches,
    },
    torqueNm,
  )
}

import type { Line } from '../file/parts/lineSpec'
import { lineForces, type LineForces } from './lineForces'
import type { LineFigures } from './lineFigures'
import { norm, sub, type Vec3 } from '../base/linalg/vec3'
import { phasesOf } from './phases'

/**
 * Couples and bearing forces of a line as it stands, over a turn.
 *
 * @param torqueNm - of the driving axis: that of the line, where its figures know it
 * @see docs/methods/couples.md
 */
export function forcesOf(
  line: Line,
  { train, geometry, reaches, bearings: stands }: LineFigures,
  torqueNm: number,
): LineForces {
  const { centres } = geometry
  const forces = lineForces(
    {
      train,
      phases: phasesOf(line),
      lengths: centres.slice(1).map((centre, index) => norm(sub(centre, centres[index] as Vec3))),
      bearings: reaches,
    },
    torqueNm,
  )
  // What is judged of a bearing is what is shown of it.
  const bearings = forces.bearings.map((load) => ({
    ...load,
    maxN: stands[load.shaft]?.forceN ?? load.maxN,
  }))
  return { ...forces, bearings }
}

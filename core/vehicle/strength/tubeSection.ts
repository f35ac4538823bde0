import { CoreError, requireFinite } from '../../base/errors'

/** A round tube by its section; areas in mm², moments in mm⁴. */
export interface TubeSection {
  readonly outerMm: number
  readonly areaMm2: number
  /** Second moment of area about a diameter, and about the axis. */
  readonly bendingMm4: number
  readonly torsionMm4: number
  readonly outerRadiusMm: number
  readonly innerRadiusMm: number
}

/**
 * The section of a tube; a wall thicker than the radius makes it solid.
 *
 * @throws CoreError `out-of-range` for a diameter or wall that is not positive
 * @see docs/methods/strength.md
 */
export function tubeSection({ outerMm, wallMm }: { outerMm: number; wallMm: number }): TubeSection {
  requireFinite(outerMm, 'tube.outerMm')
  requireFinite(wallMm, 'tube.wallMm')
  if (outerMm <= 0 || wallMm <= 0)
    throw new CoreError('out-of-range', 'tube', 'expected a positive diameter and wall')
  const outer = outerMm / 2
  const inner = Math.max(0, outer - wallMm)
  const bending = (Math.PI / 4) * (outer ** 4 - inner ** 4)
  return {
    outerMm,
    areaMm2: Math.PI * (outer ** 2 - inner ** 2),
    bendingMm4: bending,
    torsionMm4: 2 * bending,
    outerRadiusMm: outer,
    innerRadiusMm: inner,
  }
}

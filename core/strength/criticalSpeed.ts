import { CoreError, requireFinite } from '../errors'
import type { Tube } from '../project/lineSpec'

/** Young's modulus in Pa and density in kg/m³, handbook values of the plain metals. */
const MATERIALS: Readonly<
  Record<Tube['material'], { readonly stiffness: number; readonly density: number }>
> = {
  steel: { stiffness: 207e9, density: 7850 },
  aluminium: { stiffness: 70e9, density: 2700 },
}

/**
 * First bending critical speed of a tube held at its joint centres, in rev/min: 30π/L²·√(E·I/(ρ·A)).
 *
 * @param length - between joint centres, in mm
 * @returns the speed at which a perfectly straight tube would whirl; a real one keeps well below
 * @throws CoreError `out-of-range` for a length or wall that is not positive
 * @see docs/methods/strength.md (simply supported uniform beam; I/A = (D² + d²)/16)
 */
export function criticalSpeedRpm(tube: Tube, length: number): number {
  requireFinite(length, 'length')
  const innerMm = tube.outerMm - 2 * tube.wallMm
  if (length <= 0 || innerMm < 0)
    throw new CoreError('out-of-range', 'tube', 'expected a positive length and a wall that fits')
  const { stiffness, density } = MATERIALS[tube.material]
  const lengthM = length / 1000
  const radiusSquaredM2 = ((tube.outerMm / 1000) ** 2 + (innerMm / 1000) ** 2) / 16
  return ((30 * Math.PI) / lengthM ** 2) * Math.sqrt((stiffness * radiusSquaredM2) / density)
}

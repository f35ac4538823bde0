import { degrees } from '../../base/units/angle'
import type { Metal } from './metal'
import type { TubeSection } from './tubeSection'

/** Newton-millimetres of a newton-metre; a gigapascal is a thousand N/mm². */
const N_MM = 1000

/** Shear at the outside of a tube under torque in Nm, in MPa, with the torque's sign: T·r/J. */
export const shearMPa = ({ outerRadiusMm, torsionMm4 }: TubeSection, torqueNm: number): number =>
  (torqueNm * N_MM * outerRadiusMm) / torsionMm4

/** Twist of a tube between its ends in degrees, with the torque's sign: T·L/(G·J). */
export const twistDeg = (
  { torsionMm4 }: TubeSection,
  { shearGPa }: Metal,
  lengthMm: number,
  torqueNm: number,
): number => degrees((torqueNm * N_MM * lengthMm) / (shearGPa * 1000 * torsionMm4))

/** Mass of a tube in kg. */
export const tubeMassKg = ({ areaMm2 }: TubeSection, { densityKgM3 }: Metal, lengthMm: number): number =>
  densityKgM3 * areaMm2 * lengthMm * 1e-9

/** Moment of inertia of a tube about its axis in kg·m²: m·(R² + r²)/2. */
export const polarInertiaKgM2 = (section: TubeSection, metal: Metal, lengthMm: number): number =>
  (tubeMassKg(section, metal, lengthMm) * (section.outerRadiusMm ** 2 + section.innerRadiusMm ** 2)) / 2 / 1e6

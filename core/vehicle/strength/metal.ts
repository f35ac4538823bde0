import type { Tube } from '../../file/parts/lineSpec'

/** What a tube is made of. */
export interface Metal {
  /** Young's and shear modulus. */
  readonly stiffnessGPa: number
  readonly shearGPa: number
  readonly densityKgM3: number
  /** Yield in tension. */
  readonly yieldMPa: number
}

/** Plain tube of unknown grade, handbook values; a maker's own yield goes before these. */
export const METALS: Readonly<Record<Tube['material'], Metal>> = {
  steel: { stiffnessGPa: 207, shearGPa: 79.6, densityKgM3: 7850, yieldMPa: 350 },
  aluminium: { stiffnessGPa: 70, shearGPa: 26, densityKgM3: 2700, yieldMPa: 240 },
}

/** The metal of a tube, with its own yield where it is told. */
export const metalOf = ({ material, yieldMPa }: Tube): Metal => {
  const metal = METALS[material]
  return yieldMPa === undefined ? metal : { ...metal, yieldMPa }
}

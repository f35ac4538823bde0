import { object } from 'yup'
import { figure, nameField, requiredId, requiredName } from './fields'
import { TUBE_FIELDS, type Tube } from './lineSpec'
import type { Told } from './told'

/** A tube of the stock list; by its sizes where it has no name. */
export const tubeEntryShape = object({ id: requiredId(), name: nameField(), ...TUBE_FIELDS })
export type TubeEntry = Told<typeof tubeEntryShape>

/** A size of cross by its dimensions, and the mean shear its trunnions may bear. */
export const crossEntryShape = object({
  id: requiredId(),
  name: requiredName(),
  /** Between the middles of two needle rows that face each other. */
  spanMm: figure(1, 1000).required(),
  trunnionMm: figure(1, 500).required(),
  /** Of the grease hole. */
  boreMm: figure(0, 499).required(),
  allowMPa: figure(1, 5000).required(),
})
export type CrossEntry = Told<typeof crossEntryShape>

/** What a shaft made of an entry has for its tube. */
export const tubeOf = ({ outerMm, wallMm, material, yieldMPa }: TubeEntry): Tube => ({
  outerMm,
  wallMm,
  material,
  ...(yieldMPa !== undefined && { yieldMPa }),
})

const round = (outerMm: number, wallMm: number, material: Tube['material'] = 'steel'): TubeEntry => ({
  id: `${material}-${outerMm}-${wallMm}`.replace('.', '_'),
  outerMm,
  wallMm,
  material,
})

/** Round tubes in usual sizes. */
export const USUAL_TUBES: readonly TubeEntry[] = [
  round(50, 2),
  round(50, 3),
  round(63, 2),
  round(63, 3),
  round(76, 2),
  round(76, 3),
  round(89, 2),
  round(89, 3),
  round(102, 2.5),
  round(102, 3),
  round(76, 3, 'aluminium'),
  round(89, 3, 'aluminium'),
  round(102, 3, 'aluminium'),
  round(127, 3, 'aluminium'),
]

/** Crosses in round sizes, from a light car's to a lorry's; what a maker says of his own goes before these. */
export const USUAL_CROSSES: readonly CrossEntry[] = [
  { id: 'cross-small', name: 'small', spanMm: 55, trunnionMm: 12, boreMm: 3, allowMPa: 170 },
  { id: 'cross-middle', name: 'middle', spanMm: 68, trunnionMm: 15, boreMm: 3.5, allowMPa: 170 },
  { id: 'cross-large', name: 'large', spanMm: 82, trunnionMm: 18, boreMm: 4, allowMPa: 170 },
  { id: 'cross-heavy', name: 'heavy', spanMm: 100, trunnionMm: 23, boreMm: 5, allowMPa: 170 },
]

export const tubesOf = ({ tubes }: { readonly tubes?: readonly TubeEntry[] }): readonly TubeEntry[] =>
  tubes ?? USUAL_TUBES

export const crossesOf = ({ crosses }: { readonly crosses?: readonly CrossEntry[] }): readonly CrossEntry[] =>
  crosses ?? USUAL_CROSSES

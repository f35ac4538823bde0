import { array } from 'yup'
import { figure } from './fields'

/** Thicknesses that a spacer may have, in mm. */
export const SPACER_MM = [0.1, 500] as const

/** Spacers at hand, by their thicknesses. */
export const spacersField = (most: number) =>
  array()
    .of(figure(...SPACER_MM).required())
    .max(most)

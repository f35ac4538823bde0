import { figure, maybe } from './fields'
import type { Told } from './told'

/** How bars are cut; absent until it is told. */
export const cuttingShape = maybe({
  /** Width of a cut. */
  kerfMm: figure(0, 20).required(),
  /** Cut off the first end of every bar. */
  trimMm: figure(0, 500).required(),
})
export type Cutting = NonNullable<Told<typeof cuttingShape>>

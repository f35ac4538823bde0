import type { Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Setup } from '../project/build'
import type { ReadingContext } from './context'
import { combined, type Formula } from './formula'

/** World up in the chassis frame, as the vehicle stood in a setup. */
export const worldUp = (context: ReadingContext, setup: Setup): Known<Formula<Vec3>> =>
  combined([context.attitude(setup)], ({ up }) => up)

import type { VectorColumns } from '../columns/graph'
import { mapKnown, type Known } from '../known'
import type { Setup } from '../project/build'
import type { ReadingContext } from './context'

/** World up in the chassis frame, as the vehicle stood in a setup. */
export const worldUp = (context: ReadingContext, setup: Setup): Known<VectorColumns> =>
  mapKnown(context.attitude(setup), ({ up }) => up)

import type { VectorColumns } from '../../base/columns/graph'
import { mapKnown, type Known } from '../../base/known'
import type { Setup } from '../../file/build/setup'
import type { ReadingContext } from '../figures/context'

/** World up in the chassis frame, as the vehicle stood in a setup. */
export const worldUp = (context: ReadingContext, setup: Setup): Known<VectorColumns> =>
  mapKnown(context.attitude(setup), ({ up }) => up)

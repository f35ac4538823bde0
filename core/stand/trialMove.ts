import { known } from '../base/known'
import { rigidly, type BodyMove } from '../vehicle/moves/bodyMove'
import type { BodyId } from '../file/parts/body'
import type { Id } from '../file/parts/id'
import type { ReadingContext } from '../measure/figures/context'
import { trialMoveColumns } from '../measure/setups/trialRegistration'

/** How a body stands in a trial as it was read itself; null where it was not: then it stands as packed. */
export function trialMove(context: ReadingContext, body: BodyId, trial: Id): BodyMove | null {
  const move = trialMoveColumns(context, body, trial)
  if (!move) return null
  const name = context.build.trials.find(({ id }) => id === trial)?.name ?? trial
  context.graph.name(move, `how it stood in ${name}, by points read again`)
  return {
    body,
    amounts: [],
    basis: known(null),
    tooFar: { what: '', path: '' },
    ...rigidly(context.graph, move),
  }
}

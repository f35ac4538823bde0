import type { Draft } from 'immer'
import type { Build } from '../build/build'
import type { Trial } from '../parts/vehicleState'

/**
 * Adds a lift-in behind those that are there.
 *
 * @param first - put in front where none was named: the pose everything was read in so far; null where the new one is that pose
 */
export function addTrial(
  draft: Pick<Draft<Build>, 'trials'>,
  trial: Trial,
  first: Pick<Trial, 'id' | 'name'> | null,
): void {
  if (first && draft.trials.length === 0) draft.trials.push({ ...first })
  draft.trials.push({ ...trial, ...(trial.packed && { packed: { ...trial.packed } }) })
}

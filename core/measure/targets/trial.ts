import { bodyById } from '../../file/parts/bodies'
import { BODY_KINDS } from '../../file/parts/bodyKinds'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import { bodyOf } from './target'

/** Bodies that go in and out: what is read of them belongs to a trial. */
export const standsInTrials = (build: Build, body: Id | null | undefined): boolean => {
  const kind = bodyById(build, body ?? undefined)?.kind
  return kind !== undefined && BODY_KINDS[kind].isLiftedIn === true
}

/** True for a reading that was taken in a trial; the first when null. */
export const isOfTrial = (build: Build, reading: Reading, trial: Id | null): boolean =>
  trial === null || trial === build.trials[0]?.id
    ? isOfFirstTrial(build, reading)
    : 'trial' in reading && reading.trial === trial

/**
 * True for a reading that tells how the vehicle stands before any lever is moved. What was read of the powertrain in a later
 * trial is of another pose: it is kept, but tells nothing of this one.
 */
export function isOfFirstTrial(build: Build, reading: Reading): boolean {
  const trial = 'trial' in reading ? reading.trial : undefined
  if (trial === undefined || trial === build.trials[0]?.id) return true
  return !standsInTrials(build, bodyOf(build, reading))
}

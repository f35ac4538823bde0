import { bodyById } from '../project/bodies'
import type { Build } from '../project/build'
import type { Reading } from '../project/reading'
import { bodyOf } from './target'

/**
 * True for a reading that tells how the vehicle stands before any lever is moved. What was read of the powertrain in a later
 * trial is of another pose: it is kept, but tells nothing of this one.
 */
export function isOfFirstTrial(build: Build, reading: Reading): boolean {
  const trial = 'trial' in reading ? reading.trial : undefined
  if (trial === undefined || trial === build.trials[0]?.id) return true
  const kind = bodyById(build, bodyOf(build, reading) ?? undefined)?.kind
  return kind !== 'powertrain' && kind !== 'transfer-case'
}

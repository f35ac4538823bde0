import type { Evaluation } from '../check/evaluateBuild'
import type { Proof, ProvenEvaluation } from '../placement/nearestCure'
import type { Build } from '../project/build'
import { DEFAULT_SEED, runMonteCarlo } from './monteCarlo'
import { sampleModel } from './sampleModel'
import { sureEvaluation } from './sureness'

/** Samples that prove one candidate: its ± is then good to two parts in a hundred. */
const PROOF_SAMPLES = 2000

/**
 * Judges candidates with their own ±.
 *
 * @param isSampled - false while the ± of the present setting is not known: then nothing is proved yet
 */
export const provingWith = (build: Build, isSampled: boolean): Proof | null =>
  isSampled ? (evaluation) => proven(build, evaluation) : null

function proven(build: Build, evaluation: Evaluation): ProvenEvaluation {
  const sureness = runMonteCarlo(sampleModel(build, evaluation.settings), {
    samples: PROOF_SAMPLES,
    seed: DEFAULT_SEED,
  })
  return { evaluation: sureEvaluation(evaluation, sureness), likelihood: sureness.together }
}

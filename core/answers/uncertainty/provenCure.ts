import type { Evaluation } from '../../model/evaluateBuild'
import type { Proof, ProvenEvaluation } from '../solver/cure'
import type { Build } from '../../file/build/build'
import { DEFAULT_SEED, runMonteCarlo } from './monteCarlo'
import { compile } from '../../model/compile'
import { sampleModel, type SampleModel } from './sampleModel'
import { sureEvaluation } from './sureness'
import { newTruths, type Truths } from './truths'

/** Samples that tell whether a candidate is worth a proof: most knife's edges fall here. */
const GLANCE_SAMPLES = 300
/** A ± of so few samples may be a tenth too large; nothing that holds may fall for that. */
const GLANCE_LENIENCE = 0.85
/** Samples that prove one candidate: its ± is then good to two parts in a hundred. */
const PROOF_SAMPLES = 1500
/** So much wider it is taken: what is offered must still hold when it stands, with the ± of all samples. */
const PROOF_CAUTION = 1.05

/**
 * Judges candidates with their own ±.
 *
 * @param isSampled - false while the ± of the present setting is not known: then nothing is proved yet
 */
export const provingWith = (build: Build, isSampled: boolean): Proof | null =>
  isSampled ? proving(build) : null

/** All candidates are judged on the same truths, so that of two settings the better one is the better one. */
function proving(build: Build): Proof {
  const truthsOf = (samples: number) => newTruths(compile(build), { samples, seed: DEFAULT_SEED }, true)
  const glances = truthsOf(GLANCE_SAMPLES)
  const proofs = truthsOf(PROOF_SAMPLES)
  return (evaluation) => {
    const model = sampleModel(build, evaluation.settings, evaluation)
    const glance = judgedWith(model, evaluation, glances, GLANCE_LENIENCE)
    return glance.evaluation.verdict === 'holds'
      ? judgedWith(model, evaluation, proofs, PROOF_CAUTION)
      : glance
  }
}

function judgedWith(
  model: SampleModel,
  evaluation: Evaluation,
  truths: Truths,
  factor: number,
): ProvenEvaluation {
  const sureness = runMonteCarlo(model, truths.options, truths)
  const figures = Object.fromEntries(
    Object.entries(sureness.figures).map(([id, spread]) => [
      id,
      { ...spread, plusMinus: spread.plusMinus * factor },
    ]),
  )
  return {
    evaluation: sureEvaluation(evaluation, { ...sureness, figures }),
    likelihood: sureness.together,
  }
}

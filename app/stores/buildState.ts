import { chosenSettings, evaluateBuild } from '~~/core/model/evaluateBuild'
import type { Verdict } from '~~/core/project/limit'
import type { Build } from '~~/core/project/build'
import { stateSentence } from '~~/core/text/stateSentence'

/** The verdict on a build and the sentence that says it; a file of its own, loaded after the list is on screen. */
export function buildState(build: Build): { readonly verdict: Verdict; readonly sentence: string } {
  const evaluation = evaluateBuild(build, chosenSettings(build))
  return { verdict: evaluation.verdict, sentence: stateSentence(build, evaluation) }
}

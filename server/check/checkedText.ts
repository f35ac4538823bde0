import { checkCost } from '../../core/check/checkCost'
import { resultJson } from '../../core/show/result/resultJson'
import { parseBuildText } from '../../core/file/open/parseBuild'
import type { FileProblem } from '../../core/file/parts/problem'

/** How a posted text fared: the result as JSON text, or why there is none. */
export type CheckAnswer =
  | { readonly ok: true; readonly json: string }
  | { readonly ok: false; readonly status: 400 | 422 | 503; readonly problems: readonly FileProblem[] }

/** Measured figures times results computed for each sample that the server takes on; a vehicle with four lines has 40 000. */
export const MOST_WORK = 150_000

/**
 * Checks the text of a build file.
 *
 * @param samples - for the ±; 0 leaves it out
 * @returns the result, or a refusal with its reason whatever the text
 */
export function checkedText(text: string, samples: number): CheckAnswer {
  try {
    const parsed = parseBuildText(text)
    if (!parsed.ok) return { ok: false, status: 400, problems: parsed.problems }
    const build = parsed.value
    const { inputs, figures } = checkCost(build)
    if (samples > 0 && inputs * figures > MOST_WORK)
      return refusal(
        422,
        `${inputs} measured figures times ${figures} results are more than the server samples (${MOST_WORK}): ask with ?samples=0 for the check without its ±, or check it in the application`,
      )
    return { ok: true, json: JSON.stringify(resultJson(build, build.chosen, samples)) }
  } catch (error) {
    // A fault of the program is told as what it is to the sender: this file cannot be checked here.
    return refusal(
      422,
      `this build cannot be checked: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
}

/** A refusal of the file as a whole. */
export const refusal = (status: 400 | 422 | 503, message: string): CheckAnswer => ({
  ok: false,
  status,
  problems: [{ path: '', message }],
})

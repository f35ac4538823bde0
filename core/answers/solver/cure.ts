import type { Check } from '../../check/check'
import type { Evaluation } from '../../model/evaluateBuild'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Lever } from '../../file/build/lever'

/** One lever's part in a cure: its new amount and the change from where it stands, mm or degrees. */
export interface LeverChange {
  readonly lever: Lever
  readonly amount: number
  readonly change: number
}

/** What one lever, or several together, can do. */
export interface Cure {
  readonly changes: readonly LeverChange[]
  /** `holds`: every known check holds, with its ±; `tight`: none is out; `none`: these levers cannot do it. */
  readonly reaches: 'holds' | 'tight' | 'none'
  /** For `tight` the checks left tight, for `none` those still out at the best setting. */
  readonly leaves: readonly Check[]
  /** Share of the likely truths in which every check keeps its limits there; null while no ± is known. */
  readonly likelihood: number | null
}

/** An evaluation judged with its ±, and how likely everything keeps its limits at once. */
export interface ProvenEvaluation {
  readonly evaluation: Evaluation
  readonly likelihood: number | null
}

/** Judges a candidate that holds as computed with its own ±, which takes a sampling. */
export type Proof = (evaluation: Evaluation) => ProvenEvaluation

/** Lever amounts after a cure. */
export const settingsAfter = (
  settings: LeverSettings,
  { changes }: Pick<Cure, 'changes'>,
): LeverSettings => ({
  ...settings,
  ...Object.fromEntries(changes.map(({ lever, amount }) => [lever.id, amount])),
})

/**
 * A cure from the changes it makes and the checks after them.
 *
 * @param unread - ids of checks that nobody could judge before, for want of a reading
 */
export function cureOf(
  changes: readonly LeverChange[],
  { checks }: Pick<Evaluation, 'checks'>,
  unread: ReadonlySet<string>,
  likelihood: number | null,
): Cure {
  // A move that cannot be computed makes checks unknown that were not; that is no cure.
  const stuck = checks.filter((check) => check.verdict === 'unknown' && !unread.has(check.id))
  if (stuck.length > 0) return { changes, reaches: 'none', leaves: stuck, likelihood: null }
  const out = checks.filter((check) => check.verdict === 'out')
  if (out.length > 0) return { changes, reaches: 'none', leaves: out, likelihood }
  const tight = checks.filter((check) => check.verdict === 'tight')
  return tight.length > 0
    ? { changes, reaches: 'tight', leaves: tight, likelihood }
    : { changes, reaches: 'holds', leaves: [], likelihood }
}

import type { Check } from '../check/check'
import { evaluate, type Evaluation } from '../check/evaluateBuild'
import { compile } from '../model/compile'
import type { Build, Lever } from '../project/build'
import type { LeverSettings } from './settings'

/** One lever's part in a cure: its new amount and the change from where it stands, mm or degrees. */
export interface LeverChange {
  readonly lever: Lever
  readonly amount: number
  readonly change: number
}

/** What one lever, or two together, can do. */
export interface Cure {
  readonly changes: readonly LeverChange[]
  /** `holds`: every known check holds, with its ±; `tight`: none is out; `none`: this lever alone cannot do it. */
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

/** Candidates proved at the most in one search; those that follow would take ever more work. */
const MOST_PROOFS = 30

/** Told after each candidate of a longer search; returning false stops it. */
export type SearchProgress = (done: number, of: number) => boolean

/**
 * The smallest change of each lever that makes all checks hold with their ±, or what stands in the way.
 *
 * Candidates are the lever's own steps from where it stands, nearest first, since nobody packs half a step. One that holds on
 * a knife's edge does not hold with its ±, so a little more work is preferred to it. Checks that are unknown for want of a
 * reading are left aside.
 *
 * @returns one cure a lever; those that reach `holds` first
 * @see docs/methods/placement.md
 */
export function nearestCures(build: Build, settings: LeverSettings, prove: Proof | null = null): Cure[] {
  const search = newSearch(build, settings, prove)
  const cures = build.levers.map((lever) => cureByLever(search, settings, lever))
  return cures.sort((a, b) => RANK[a.reaches] - RANK[b.reaches])
}

const RANK = { holds: 0, tight: 1, none: 2 } as const

/** What a search works with: evaluations at any setting, and the checks nobody can judge. */
interface Search {
  readonly evaluate: (settings: LeverSettings) => Evaluation
  readonly unread: ReadonlySet<string>
  readonly prove: Proof | null
}

function newSearch(build: Build, settings: LeverSettings, prove: Proof | null): Search {
  const compiled = compile(build)
  const evaluateAt = (amounts: LeverSettings) => evaluate(compiled, amounts)
  return { evaluate: evaluateAt, unread: unreadChecks(evaluateAt(settings)), prove }
}

/** What a setting does: as computed, and where it then holds, with its own ±. */
function judgedCure(
  { evaluate, unread, prove }: Search,
  changes: readonly LeverChange[],
  settings: LeverSettings,
  mayProve: boolean,
): { readonly cure: Cure; readonly evaluation: Evaluation; readonly isProven: boolean } {
  const evaluation = evaluate(settings)
  const glance = cureOf(changes, evaluation, unread, null)
  if (glance.reaches !== 'holds' || !prove || !mayProve) return { cure: glance, evaluation, isProven: false }
  const proven = prove(evaluation)
  return {
    cure: cureOf(changes, proven.evaluation, unread, proven.likelihood),
    evaluation: proven.evaluation,
    isProven: true,
  }
}

function cureByLever(search: Search, settings: LeverSettings, lever: Lever): Cure {
  const stands = settings[lever.id] ?? 0
  let tight: Cure | null = null
  let best: { cure: Cure; excess: number } | null = null
  let stuck: Cure | null = null
  let proofs = 0
  for (const amount of nearestFirst(lever, stands)) {
    const changes = [{ lever, amount, change: amount - stands }]
    const tried = judgedCure(search, changes, { ...settings, [lever.id]: amount }, proofs < MOST_PROOFS)
    if (tried.isProven) proofs++
    const { cure, evaluation } = tried
    if (cure.reaches === 'holds') {
      if (tried.isProven || !search.prove) return cure
      break
    }
    if (cure.reaches === 'tight') tight = likelier(tight, cure)
    if (cure.leaves.some((check) => check.verdict === 'unknown')) {
      stuck ??= cure
      continue
    }
    const excess = excessOf(evaluation)
    if (best === null || excess < best.excess - 1e-9) best = { cure, excess }
  }
  // A lever that cannot be moved at all says why, rather than what stays out where it stands.
  if (stuck && tight === null && (best === null || best.cure.changes[0]?.change === 0)) return stuck
  return (
    withLikelihood(search, settings, tight) ??
    best?.cure ?? {
      changes: [{ lever, amount: stands, change: 0 }],
      reaches: 'none',
      leaves: [],
      likelihood: null,
    }
  )
}

/** Of cures that leave something tight, the nearest, unless a proven one is clearly likelier to hold. */
const likelier = (before: Cure | null, now: Cure): Cure =>
  before === null || (now.likelihood ?? 0) > (before.likelihood ?? 0) + 0.05 ? now : before

/** A cure that leaves something tight says how likely it holds all the same. */
function withLikelihood(
  { evaluate, prove }: Search,
  settings: LeverSettings,
  cure: Cure | null,
): Cure | null {
  if (!cure || cure.likelihood !== null || !prove) return cure
  return { ...cure, likelihood: prove(evaluate(settingsAfter(settings, cure))).likelihood }
}

/** Lever amounts after a cure. */
export const settingsAfter = (
  settings: LeverSettings,
  { changes }: Pick<Cure, 'changes'>,
): LeverSettings => ({
  ...settings,
  ...Object.fromEntries(changes.map(({ lever, amount }) => [lever.id, amount])),
})

/**
 * The least change of two levers together that makes all checks hold; the search for when one alone will not do.
 *
 * @returns null when no pair of steps makes them hold, or the search was stopped
 */
export function cureByTwo(
  build: Build,
  settings: LeverSettings,
  pair: readonly [Lever, Lever],
  prove: Proof | null = null,
  progress: SearchProgress = () => true,
): Cure | null {
  const search = newSearch(build, settings, prove)
  const candidates = pairsByEffort(settings, pair)
  let likeliest: Cure | null = null
  let proofs = 0
  for (const [index, changes] of candidates.entries()) {
    if (index % PROGRESS_STEP === 0 && !progress(index, candidates.length)) return null
    const tried = judgedCure(search, changes, settingsAfter(settings, { changes }), proofs < MOST_PROOFS)
    if (tried.isProven) proofs++
    if (tried.cure.reaches === 'holds' && (tried.isProven || !prove)) return tried.cure
    if (tried.isProven && tried.cure.reaches === 'tight') likeliest = likelier(likeliest, tried.cure)
    if (proofs >= MOST_PROOFS) break
  }
  return likeliest
}

/** Candidates between two reports of a longer search. */
const PROGRESS_STEP = 100

/** All pairs of steps of two levers, least work first. */
function pairsByEffort(settings: LeverSettings, pair: readonly [Lever, Lever]): LeverChange[][] {
  const [first, second] = pair.map((lever) => {
    const stands = settings[lever.id] ?? 0
    return nearestFirst(lever, stands).map((amount) => ({ lever, amount, change: amount - stands }))
  }) as [LeverChange[], LeverChange[]]
  const effort = (changes: readonly LeverChange[]) =>
    changes.reduce((sum, { lever, change }) => sum + Math.abs(change) / EFFORT_UNIT[unitOf(lever)], 0)
  return first
    .flatMap((a) => second.map((b) => [a, b]))
    .map((changes) => ({ changes, work: effort(changes) }))
    .sort((a, b) => a.work - b.work)
    .map(({ changes }) => changes)
}

/** About equally much work at the bench: ten millimetres of spacers, one degree of wedge. */
const EFFORT_UNIT = { mm: 10, deg: 1 } as const

/** Unit of a lever's amount. */
export const unitOf = (lever: Lever): 'mm' | 'deg' => (lever.kind === 'wedge' ? 'deg' : 'mm')

/** Checks that cannot be judged for want of a reading, whatever the levers do. */
const unreadChecks = ({ checks }: Evaluation): ReadonlySet<string> =>
  new Set(checks.filter((check) => check.verdict === 'unknown').map((check) => check.id))

function cureOf(
  changes: readonly LeverChange[],
  { checks }: Evaluation,
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

/** How far past their limits the failing checks are, each against its own limit. */
function excessOf({ checks }: Evaluation): number {
  return checks.reduce((sum, { verdict, margin, value }) => {
    if (verdict !== 'out') return sum
    if (margin === null || value === null) return sum + 1
    const limit = Math.abs(margin < 0 ? value + margin : value)
    return sum + Math.abs(margin) / Math.max(limit, 1e-3)
  }, 0)
}

/** A lever's steps in its range, by distance from where it stands. */
export function nearestFirst(lever: Lever, stands: number): number[] {
  const [least, most] = lever.range
  const amounts = new Set<number>([stands])
  const count = Math.min(2000, Math.ceil((most - least) / lever.step))
  for (let k = 1; k <= count; k++) {
    for (const amount of [stands + k * lever.step, stands - k * lever.step]) {
      if (amount >= least - 1e-9 && amount <= most + 1e-9) amounts.add(Math.round(amount * 1e6) / 1e6)
    }
  }
  return [...amounts]
}

import { evaluate, type Evaluation } from '../../model/evaluateBuild'
import { compile, type CompiledBuild } from '../../model/compile'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import type { Lever } from '../../file/build/lever'
import { buildProblem, type Strictness } from './buildProblem'
import { cureOf, settingsAfter, type Cure, type LeverChange, type Proof } from './cure'
import { searchByEffort } from './byEffort'
import { roomiestSetting, type LeaveOff } from './byRoom'
import type { SearchedSetting } from './problem'

/** Candidates proved at the most in one search; those that follow would take ever more work. */
const MOST_PROOFS = 30
/** A proven cure clearly likelier to hold is worth more work than the nearest. */
const LIKELIER = 0.05

/** How far a search has come: settings looked at. */
export type CureProgress = number

/**
 * The least change of each lever alone that makes all checks hold with their ±, or what stands in the way.
 *
 * Checks that are unknown for want of a reading are left aside.
 *
 * @returns one cure a lever; those that reach `holds` first
 * @see docs/methods/placement.md
 */
export const nearestCures = (build: Build, settings: LeverSettings, prove: Proof | null = null): Cure[] =>
  finished(eachNearestCure(build, settings, prove))

/** The same, yielding the settings looked at, so that the caller can report and stop. */
export function* eachNearestCure(
  build: Build,
  settings: LeverSettings,
  prove: Proof | null = null,
): Generator<CureProgress, Cure[]> {
  const search = newSearch(build, settings, prove)
  const cures: Cure[] = []
  for (const lever of freeLevers(build)) cures.push(yield* cureBy(search, [lever]))
  return cures.sort((a, b) => RANK[a.reaches] - RANK[b.reaches])
}

/**
 * The least change of all free levers together that makes all checks hold with their ±, on the grid of their steps and of the
 * spacers at hand.
 *
 * Settings are looked at by rising effort, so that no cheaper one is left out. One that holds on a knife's edge does not hold
 * with its ±, so a little more work is preferred to it. Yields the settings looked at, so that the caller can report and stop.
 *
 * @see docs/methods/placement.md
 */
export function* leastEffortCure(
  build: Build,
  settings: LeverSettings,
  prove: Proof | null = null,
  leaveOff: LeaveOff = NEVER,
): Generator<CureProgress, Cure> {
  return yield* cureBy(newSearch(build, settings, prove), freeLevers(build), leaveOff)
}

const NEVER: LeaveOff = () => false

/** Levers that may be moved; a locked one stays where it stands. */
export const freeLevers = ({ levers }: Build): readonly Lever[] =>
  levers.filter((lever) => lever.locked !== true)

const RANK = { holds: 0, tight: 1, none: 2 } as const

/** What a search works with. */
export interface CureSearch {
  readonly compiled: CompiledBuild
  readonly settings: LeverSettings
  /** Checks that cannot be judged for want of a reading, whatever the levers do. */
  readonly unread: ReadonlySet<string>
  readonly prove: Proof | null
  /** ± of each gap where the levers stand, which is about what it is where they go; of joints it changes with their angle. */
  readonly spreads: ReadonlyMap<string, number>
}

export function newSearch(build: Build, settings: LeverSettings, prove: Proof | null): CureSearch {
  const compiled = compile(build)
  const evaluation = evaluate(compiled, settings)
  const { checks } = evaluation
  const unread = new Set(checks.filter(({ verdict }) => verdict === 'unknown').map(({ id }) => id))
  const sure = prove?.(evaluation).evaluation.checks ?? []
  const spreads = new Map(
    sure.flatMap(({ id, quantity, plusMinus }) =>
      quantity === 'gap' && plusMinus !== null ? [[id, plusMinus]] : [],
    ),
  )
  return { compiled, settings, unread, prove, spreads }
}

function finished<T>(run: Generator<unknown, T>): T {
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

function* cureBy(
  search: CureSearch,
  levers: readonly Lever[],
  leaveOff: LeaveOff = NEVER,
): Generator<CureProgress, Cure> {
  const strict = yield* firstProven(search, levers, 'holds', leaveOff)
  if (strict.cure?.reaches === 'holds') return strict.cure
  const allowed = yield* firstProven(search, levers, 'allowed', leaveOff)
  const tight = likelier(strict.cure, allowed.cure)
  if (tight) return tight
  const { nearest } = allowed
  const isStill = !nearest || changesOf(search, levers, nearest.amounts).every(({ change }) => change === 0)
  // A lever that cannot be moved at all says why, rather than what stays out where it stands.
  return (isStill ? stuckCure(search, levers) : null) ?? judged(search, levers, nearest?.amounts ?? [], null)
}

/** The first setting by rising effort that keeps its limits with its ±; without one that does, the likeliest. */
function* firstProven(
  search: CureSearch,
  levers: readonly Lever[],
  strictness: Strictness,
  leaveOff: LeaveOff,
): Generator<CureProgress, { readonly cure: Cure | null; readonly nearest: SearchedSetting | null }> {
  const { compiled, settings, unread, prove, spreads } = search
  const problem = buildProblem(compiled, settings, levers, { unread, strictness, spreads })
  const candidates = searchByEffort(problem)
  let likeliest: Cure | null = null
  let proofs = 0
  for (;;) {
    const step = candidates.next()
    if (step.done || leaveOff())
      return { cure: likeliest, nearest: likeliest ? null : yield* roomiestSetting(problem, leaveOff) }
    for (const { amounts } of step.value.found) {
      const cure = judged(search, levers, amounts, prove)
      if (cure.reaches === 'holds') return { cure, nearest: null }
      if (cure.reaches === 'tight') likeliest = likelier(likeliest, cure)
      // What is tight as computed stays so: the nearest is as good as any.
      if (strictness === 'allowed' || ++proofs >= MOST_PROOFS) return { cure: likeliest, nearest: null }
    }
    yield step.value.looked
  }
}

/** Of cures that leave something tight, the nearer, unless the other is clearly likelier to hold. */
function likelier(before: Cure | null, now: Cure | null): Cure | null {
  if (!before || !now) return before ?? now
  return (now.likelihood ?? 0) > (before.likelihood ?? 0) + LIKELIER ? now : before
}

/** Why levers cannot be moved at all; null when they can. */
function stuckCure(search: CureSearch, levers: readonly Lever[]): Cure | null {
  for (const lever of levers) {
    const stands = search.settings[lever.id] ?? 0
    const amount = stands + lever.step <= lever.range[1] ? stands + lever.step : stands - lever.step
    const cure = judged(search, [lever], [amount], null)
    if (cure.leaves.some(({ verdict }) => verdict === 'unknown')) return cure
  }
  return null
}

/** What a setting does, with its own ± where it can be proved. */
export function judged(
  search: CureSearch,
  levers: readonly Lever[],
  amounts: readonly number[],
  prove: Proof | null,
): Cure {
  const { compiled, settings, unread } = search
  const changes = changesOf(search, levers, amounts)
  const evaluation: Evaluation = evaluate(compiled, settingsAfter(settings, { changes }))
  const moved = levers.length > 1 ? changes.filter(({ change }) => change !== 0) : changes
  if (!prove) return cureOf(moved, evaluation, unread, null)
  const proven = prove(evaluation)
  return cureOf(moved, proven.evaluation, unread, proven.likelihood)
}

function changesOf(
  { settings }: CureSearch,
  levers: readonly Lever[],
  amounts: readonly number[],
): LeverChange[] {
  return levers.map((lever, index) => {
    const stands = settings[lever.id] ?? 0
    const amount = amounts[index] ?? stands
    return { lever, amount, change: amount - stands }
  })
}

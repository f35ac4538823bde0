import type { Check } from '../check/check'
import { evaluateBuild, type Evaluation } from '../check/evaluateBuild'
import type { Build, Lever } from '../project/build'
import { measuredGeometry } from '../readings/geometry'
import type { LeverSettings } from './bodyMoves'

/** One lever's part in a cure: its new amount and the change from where it stands, mm or degrees. */
export interface LeverChange {
  readonly lever: Lever
  readonly amount: number
  readonly change: number
}

/** What one lever, or two together, can do. */
export interface Cure {
  readonly changes: readonly LeverChange[]
  /** `holds`: every known check holds; `tight`: none is out; `none`: this lever alone cannot do it. */
  readonly reaches: 'holds' | 'tight' | 'none'
  /** For `tight` the checks left tight, for `none` those still out at the best setting. */
  readonly leaves: readonly Check[]
}

/** How a candidate's evaluation is judged before its checks are looked at: as it is, or with its ±. */
export type Judgement = (evaluation: Evaluation) => Evaluation

const PLAINLY: Judgement = (evaluation) => evaluation

/** Told after each candidate of a longer search; returning false stops it. */
export type SearchProgress = (done: number, of: number) => boolean

/**
 * The smallest change of each lever that makes all checks hold, or what stands in the way.
 *
 * Candidates are the lever's own steps from where it stands, nearest first, since nobody packs half a step. Checks that
 * are unknown for want of a reading are left aside.
 *
 * @returns one cure a lever; those that reach `holds` first
 * @see docs/methods/placement.md
 */
export function nearestCures(build: Build, settings: LeverSettings, judged: Judgement = PLAINLY): Cure[] {
  const measured = measuredGeometry(build)
  const evaluate = (amounts: LeverSettings) => judged(evaluateBuild(build, amounts, measured))
  const cures = build.levers.map((lever) => cureByLever(evaluate, settings, lever))
  return cures.sort((a, b) => RANK[a.reaches] - RANK[b.reaches])
}

const RANK = { holds: 0, tight: 1, none: 2 } as const

/** A build's evaluation at a setting of its levers. */
type Evaluate = (settings: LeverSettings) => Evaluation

function cureByLever(evaluate: Evaluate, settings: LeverSettings, lever: Lever): Cure {
  const stands = settings[lever.id] ?? 0
  const unread = unreadChecks(evaluate(settings))
  let tight: Cure | null = null
  let best: { cure: Cure; excess: number } | null = null
  for (const amount of nearestFirst(lever, stands)) {
    const evaluation = evaluate({ ...settings, [lever.id]: amount })
    const cure = cureOf([{ lever, amount, change: amount - stands }], evaluation, unread)
    if (cure.reaches === 'holds') return cure
    if (cure.reaches === 'tight') tight ??= cure
    if (cure.leaves.length === 0) {
      best ??= { cure, excess: Infinity }
      continue
    }
    const excess = excessOf(evaluation)
    if (best === null || excess < best.excess - 1e-9) best = { cure, excess }
  }
  return (
    tight ?? best?.cure ?? { changes: [{ lever, amount: stands, change: 0 }], reaches: 'none', leaves: [] }
  )
}

/**
 * The least change of two levers together that makes all checks hold; the search for when one alone will not do.
 *
 * @returns null when no pair of steps makes them hold, or the search was stopped
 */
export function cureByTwo(
  build: Build,
  settings: LeverSettings,
  pair: readonly [Lever, Lever],
  judged: Judgement = PLAINLY,
  progress: SearchProgress = () => true,
): Cure | null {
  const measured = measuredGeometry(build)
  const [first, second] = pair
  const firsts = nearestFirst(first, settings[first.id] ?? 0)
  const seconds = nearestFirst(second, settings[second.id] ?? 0)
  const unread = unreadChecks(evaluateBuild(build, settings, measured))
  let best: { cure: Cure; effort: number } | null = null
  for (const [index, a] of firsts.entries()) {
    if (!progress(index, firsts.length)) return null
    for (const b of seconds) {
      const changes: LeverChange[] = [
        { lever: first, amount: a, change: a - (settings[first.id] ?? 0) },
        { lever: second, amount: b, change: b - (settings[second.id] ?? 0) },
      ]
      const effort = changes.reduce(
        (sum, { lever, change }) => sum + Math.abs(change) / EFFORT_UNIT[unitOf(lever)],
        0,
      )
      if (best !== null && effort >= best.effort) continue
      const both = { ...settings, [first.id]: a, [second.id]: b }
      const cure = cureOf(changes, judged(evaluateBuild(build, both, measured)), unread)
      if (cure.reaches === 'holds') best = { cure, effort }
    }
  }
  return best?.cure ?? null
}

/** About equally much work at the bench: ten millimetres of spacers, one degree of wedge. */
const EFFORT_UNIT = { mm: 10, deg: 1 } as const

/** Unit of a lever's amount. */
export const unitOf = (lever: Lever): 'mm' | 'deg' => (lever.kind === 'wedge' ? 'deg' : 'mm')

/** Checks that cannot be judged for want of a reading, whatever the levers do. */
const unreadChecks = ({ checks }: Evaluation): ReadonlySet<string> =>
  new Set(checks.filter((check) => check.verdict === 'unknown').map((check) => check.id))

function cureOf(changes: readonly LeverChange[], { checks }: Evaluation, unread: ReadonlySet<string>): Cure {
  // A move that cannot be computed makes checks unknown that were not; that is no cure.
  if (checks.some((check) => check.verdict === 'unknown' && !unread.has(check.id)))
    return { changes, reaches: 'none', leaves: [] }
  const out = checks.filter((check) => check.verdict === 'out')
  if (out.length > 0) return { changes, reaches: 'none', leaves: out }
  const tight = checks.filter((check) => check.verdict === 'tight')
  return tight.length > 0
    ? { changes, reaches: 'tight', leaves: tight }
    : { changes, reaches: 'holds', leaves: [] }
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

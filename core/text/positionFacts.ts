import type { Evaluation } from '../model/evaluateBuild'
import type { Build, Position } from '../project/build'
import type { Verdict } from '../project/limit'
import { formatAngle } from '../units/format'
import { cutCostText } from './cutText'
import { checkLabel, checkValueText, marginText } from './checkText'
import { leverAmount, leverName } from './leverText'
import { worstCheck } from './stateSentence'

/** A position in a builder's words, for standing beside others. */
export interface PositionFacts {
  readonly verdict: Verdict
  /** The check farthest out, or with the least room: "joint 1, holds by 2.1°". */
  readonly worst: string
  /** The gap with the least room: "sump to steering rack 9.0 mm". */
  readonly tightest: string
  /** Depths of all cuts and dents together, in mm, and how many there are. */
  readonly cuts: { readonly count: number; readonly deepestMm: number }
  /** What cutting takes: "effort 6"; null without cuts. */
  readonly cutCost: string | null
  /** Nothing is cut: it can be taken back. */
  readonly isReversible: boolean
  /** Working angles along the first line: "1.1° · 0.8°". */
  readonly joints: string
  /** What was moved, lever by lever; empty as measured. */
  readonly moved: readonly string[]
}

/** What a position comes to. */
export function positionFacts(build: Build, evaluation: Evaluation): PositionFacts {
  const { units } = build
  const worst = worstCheck(evaluation.checks)
  const gaps = evaluation.gaps.flatMap(({ check }) => (check.value === null ? [] : [check]))
  const tightest = worstCheck(gaps)
  const overlaps = evaluation.gaps.flatMap(({ ride }) =>
    ride.known && ride.value.gapMm < 0 ? [-ride.value.gapMm] : [],
  )
  const ride = evaluation.lines[0]?.ride
  return {
    verdict: evaluation.verdict,
    worst: worst ? `${checkLabel(worst, build.lines.length > 1)}, ${marginText(worst, units)}` : '',
    tightest: tightest ? `${checkLabel(tightest)} ${checkValueText(tightest, tightest.value, units)}` : '',
    cuts: { count: overlaps.length, deepestMm: Math.max(0, ...overlaps) },
    cutCost: cutCostText(evaluation),
    isReversible: overlaps.length === 0,
    joints: ride?.known ? ride.value.anglesDeg.map((angle) => formatAngle(angle, units, 2)).join(' · ') : '?',
    moved: build.levers.flatMap((lever) => {
      const amount = evaluation.settings[lever.id] ?? 0
      return amount === 0 ? [] : [`${leverName(build, lever)} ${leverAmount(lever, amount, units)}`]
    }),
  }
}

/**
 * What has changed since something was made to a position: "tail at the crossmember 10.0 mm up, now 13.0 mm up".
 *
 * @param settings - where the levers stand now
 * @returns empty while nothing was made to it, or nothing has changed
 */
export function changedSinceMade(
  build: Build,
  { made }: Position,
  settings: Readonly<Record<string, number>>,
): string[] {
  if (!made) return []
  return build.levers.flatMap((lever) => {
    const [then, now] = [made.settings[lever.id] ?? 0, settings[lever.id] ?? 0]
    if (Math.abs(then - now) < SAME) return []
    const amount = (value: number) => leverAmount(lever, value, build.units)
    return [`${leverName(build, lever)} ${amount(then)}, now ${amount(now)}`]
  })
}

/** Steps that were added up leave rests this small. */
const SAME = 1e-9

/** What was packed for a trial, lever by lever. */
export const packedText = (build: Build, packed: Readonly<Record<string, number>> = {}): string =>
  build.levers
    .flatMap((lever) => {
      const amount = packed[lever.id] ?? 0
      return amount === 0 ? [] : [`${leverName(build, lever)} ${leverAmount(lever, amount, build.units)}`]
    })
    .join(', ')

import { movesLasting } from '../../vehicle/moves/settings'
import type { Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import type { Position } from '../../file/build/position'
import type { Verdict } from '../../file/build/limit'
import { formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { crankHeight, shiftLeverPlace, type ShiftLeverPlace } from '../../bay/placeFigures'
import { cutCostText } from '../text/cutText'
import { checkLabel, checkValueText, marginText } from '../text/checkText'
import { leverAmount, leverName } from './leverText'
import { worstOf } from '../../file/limits/worst'

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
  /** Height of the crankshaft's line at the front mounts; null while it is not known. */
  readonly crankHeight: string | null
  /** "12.0 mm behind its hole, 3.0 mm left, 240.0 mm ahead of the seat"; null while it is not known. */
  readonly shiftLever: string | null
  /** What of it cannot be taken back: metal is cut, or a wedge or an adapter made for it; null for nothing. */
  readonly lasting: 'cut' | 'made' | null
  /** Working angles along the first line: "1.1° · 0.8°". */
  readonly joints: string
  /** What was moved, lever by lever; empty as measured. */
  readonly moved: readonly string[]
}

/** What a position comes to. */
export function positionFacts(build: Build, evaluation: Evaluation): PositionFacts {
  const { units } = build
  const worst = worstOf(evaluation.checks)
  const gaps = evaluation.gaps.flatMap(({ check }) => (check.value === null ? [] : [check]))
  const tightest = worstOf(gaps)
  const overlaps = evaluation.gaps.flatMap(({ ride }) =>
    ride.known && ride.value.gapMm < 0 ? [-ride.value.gapMm] : [],
  )
  const ride = evaluation.lines[0]?.ride
  const height = crankHeight(build, evaluation)
  const lever = shiftLeverPlace(build, evaluation)
  return {
    verdict: evaluation.verdict,
    worst: worst ? `${checkLabel(worst, build.lines.length > 1)}, ${marginText(worst, units)}` : '',
    tightest: tightest ? `${checkLabel(tightest)} ${checkValueText(tightest, tightest.value, units)}` : '',
    cuts: { count: overlaps.length, deepestMm: Math.max(0, ...overlaps) },
    cutCost: cutCostText(evaluation),
    crankHeight: height.known ? formatLength(height.value, units) : null,
    shiftLever: lever.known ? shiftLeverText(lever.value, units) : null,
    lasting: overlaps.length > 0 ? 'cut' : movesLasting(build.levers, evaluation.settings) ? 'made' : null,
    joints: ride?.known ? ride.value.anglesDeg.map((angle) => formatAngle(angle, units, 2)).join(' · ') : '?',
    moved: build.levers.flatMap((lever) => {
      const amount = evaluation.settings[lever.id] ?? 0
      return amount === 0 ? [] : [`${leverName(build, lever)} ${leverAmount(lever, amount, units)}`]
    }),
  }
}

function shiftLeverText({ backMm, leftMm, aheadOfSeatMm }: ShiftLeverPlace, units: UnitSettings): string {
  const size = (mm: number) => formatLength(Math.abs(mm), units)
  const along =
    Math.abs(backMm) < STILL_MM ? '' : `${size(backMm)} ${backMm > 0 ? 'behind' : 'ahead of'} its hole`
  const across = Math.abs(leftMm) < STILL_MM ? '' : `${size(leftMm)} ${leftMm > 0 ? 'left' : 'right'} of it`
  const hole = [along, across].filter(Boolean).join(', ') || 'in the middle of its hole'
  if (aheadOfSeatMm === null) return hole
  return `${hole}; ${size(aheadOfSeatMm)} ${aheadOfSeatMm < 0 ? 'behind the front of' : 'ahead of'} the seat`
}

/** Nobody sees less than this, in mm. */
const STILL_MM = 0.05

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

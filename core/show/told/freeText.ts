import type { Build } from '../../file/build/build'
import type { Cure } from '../../answers/solver/cure'
import { settingsAfter } from '../../answers/solver/cure'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { checkLabel, checkValueText } from '../text/checkText'
import { leverAmount, leverName } from './leverText'

/** What stands in the way where no setting holds, and what would free it. */
export interface WhatFrees {
  /** Limits that are missed at the least bad setting, with where each would have to lie. */
  readonly limits: readonly string[]
  /** Levers that stand at an end of their range there. */
  readonly ends: readonly string[]
  /** Locked levers, with why. */
  readonly locked: readonly string[]
}

/** A lever this near to its end, in mm or degrees, has no way left. */
const AT_END = 1e-6

/**
 * @param nearest - the least bad setting
 * @param settings - where levers stand that it does not move
 */
export function whatFrees(
  build: Build,
  nearest: Pick<Cure, 'changes' | 'leaves'>,
  settings: LeverSettings,
): WhatFrees {
  const { units, levers } = build
  const stands = settingsAfter(settings, nearest)
  const many = build.lines.length > 1
  return {
    limits: nearest.leaves.flatMap((check) =>
      check.value === null
        ? []
        : [
            `${checkLabel(check, many)}: its limit would have to let ${checkValueText(check, check.value, units)} pass`,
          ],
    ),
    ends: levers.flatMap((lever) => {
      const amount = stands[lever.id] ?? 0
      const isAtEnd = lever.range.some((end) => Math.abs(end - amount) < AT_END)
      return lever.locked === true || !isAtEnd
        ? []
        : [`${leverName(build, lever)} stands at the end of its range, ${leverAmount(lever, amount, units)}`]
    }),
    locked: levers.flatMap((lever) =>
      lever.locked === true
        ? [`${leverName(build, lever)} is locked${lever.lockedBecause ? `: ${lever.lockedBecause}` : ''}`]
        : [],
    ),
  }
}

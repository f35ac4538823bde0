import type { Quantity } from './quantities'
import type { QuantityFacts } from '../kinds/quantityRow'
import type { GapKind } from '../parts/gap'
import type { School } from '../parts/lineSpec'

export type { Quantity } from './quantities'
export type LimitUnit = QuantityFacts['unit']

/** Which joints of a line a limit speaks of. */
export type JointChoice = 'all' | 'first' | 'last'

/**
 * The states in which a limit is looked at: cruising at ride height, under any torque at ride height, or in every place of the
 * wheels under any torque.
 */
export const LIMIT_SCOPES = ['ride', 'max-speed', 'travel'] as const
export type LimitScope = (typeof LIMIT_SCOPES)[number]

/** One limit: a quantity, its warning and failing values, where it applies, and why. */
export interface LimitEntry {
  readonly id: string
  readonly quantity: Quantity
  readonly unit: LimitUnit
  readonly scope: LimitScope
  readonly basis: string
  readonly failBelow?: number
  readonly warnBelow?: number
  readonly warnAbove?: number
  readonly failAbove?: number
  /** Only for lines of these schools; all when absent. */
  readonly schools?: readonly School[]
  /** Only for these joints; all when absent. */
  readonly joints?: JointChoice
  /** Only for gaps of these kinds; all when absent. */
  readonly gaps?: readonly GapKind[]
}

/** The limits of one quantity put together: null where there is none. Order: failLow ≤ warnLow ≤ warnHigh ≤ failHigh. */
export interface Window {
  readonly failLow: number | null
  readonly warnLow: number | null
  readonly warnHigh: number | null
  readonly failHigh: number | null
}

/** The one vocabulary of verdicts. */
export type Verdict = 'holds' | 'tight' | 'out' | 'unknown'

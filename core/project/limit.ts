import type { GapKind } from './gap'
import type { School } from './lineSpec'

/** Quantities that can be limited, each with the unit its figures are in. */
export const QUANTITY_UNITS = {
  'joint-angle': 'deg',
  'shaft-inertia': 'rad/s2',
  'torsional-acceleration': 'rad/s2',
  'pair-difference': 'deg',
  'joint-limit-margin': 'deg',
  'critical-speed-ratio': '1',
  'set-in': 'mm',
  'flex-disc-angle': 'deg',
  'tube-shear': '1',
  'cross-shear': '1',
  'bearing-force': 'N',
  'bearing-misalignment': 'deg',
  'slip-left': 'mm',
  'spline-engaged': '1',
  'plunge-left': 'mm',
  gap: 'mm',
  'chain-wrap': 'deg',
  'chain-centre': '1',
  'chain-slack': '%',
  'chain-slack-upright': '%',
  'chain-offset': '%',
  'chain-angle': 'deg',
  'chain-teeth': '1',
  'chain-ratio': '1',
  'chain-safety': '1',
  'chain-backlash': 'deg',
  'adjuster-left': 'mm',
  'sprocket-ground': 'mm',
} as const
export type Quantity = keyof typeof QUANTITY_UNITS
export type LimitUnit = (typeof QUANTITY_UNITS)[Quantity]

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

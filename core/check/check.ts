import type { Missing } from '../known'
import type { Quantity, Verdict, Window } from '../project/limit'
import type { Id } from '../project/id'

/** What a check looks at: one joint, one shaft (counted from 0), or the line as a whole. */
export type CheckSubject =
  | { readonly of: 'joint'; readonly index: number }
  | { readonly of: 'shaft'; readonly index: number }
  | { readonly of: 'line' }

/**
 * The state of the vehicle a check is made in: cruising at ride height, pulling with the axle wound up as expected, or
 * overrunning with the nose pressed down.
 */
export const CHECK_STATES = ['ride', 'drive', 'coast'] as const
export type CheckState = (typeof CHECK_STATES)[number]

/** One checked quantity: its value, its window, and the verdict with its reason. */
export interface Check {
  /** Unique in a build and stable while the line keeps its joints. */
  readonly id: string
  readonly lineId: Id
  readonly lineName: string
  readonly quantity: Quantity | 'centring-pilot'
  readonly subject: CheckSubject
  readonly state: CheckState
  /** In the quantity's unit; null when unknown. */
  readonly value: number | null
  readonly window: Window
  readonly margin: number | null
  /** Two standard deviations of the value, in its unit; null until the uncertainty is known. */
  readonly plusMinus: number | null
  /** 95 % of the likely truths, where the value may as well be nought and a ± would say nonsense; else null. */
  readonly interval: readonly [number, number] | null
  /** Share of the likely truths that keep the limit: the failing one, else the warning one. */
  readonly probability: number | null
  readonly verdict: Verdict
  /** Why the limit that decides is there. */
  readonly basis: string
  readonly missing: readonly Missing[]
  readonly assumptions: readonly string[]
  /** Shaft speed the check was made at, in rev/min, where it matters. */
  readonly speedRpm: number | null
}

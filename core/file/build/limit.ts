import { array, object, string } from 'yup'
import { QUANTITIES, type Quantity } from './quantities'
import type { QuantityFacts } from '../kinds/quantityRow'
import { figure, list, maybe, requiredId, requiredName, wordField } from '../parts/fields'
import { GAP_KINDS } from '../parts/gap'
import { SCHOOLS } from '../parts/lineSpec'
import type { Told } from '../parts/told'

export type { Quantity } from './quantities'
export type LimitUnit = QuantityFacts['unit']

/**
 * The states in which a limit is looked at: cruising at ride height, under any torque at ride height, or in every place of the
 * wheels under any torque.
 */
export const LIMIT_SCOPES = ['ride', 'max-speed', 'travel'] as const
export type LimitScope = (typeof LIMIT_SCOPES)[number]

/** One limit: a quantity, its warning and failing values, where it applies, and why. */
const limitEntry = object({
  id: requiredId(),
  quantity: wordField(Object.keys(QUANTITIES) as Quantity[]).required(),
  unit: wordField(Object.values(QUANTITIES).map(({ unit }) => unit)).required(),
  scope: wordField(LIMIT_SCOPES).required(),
  basis: string().max(1000).required(),
  failBelow: figure(-1e6, 1e6),
  warnBelow: figure(-1e6, 1e6),
  warnAbove: figure(-1e6, 1e6),
  failAbove: figure(-1e6, 1e6),
  /** Only for lines of these schools; all when absent. */
  schools: array().of(wordField(SCHOOLS).required()).max(SCHOOLS.length),
  /** Only for these joints; all when absent. */
  joints: wordField(['all', 'first', 'last']),
  /** Only for gaps of these kinds; all when absent. */
  gaps: array().of(wordField(GAP_KINDS).required()).max(GAP_KINDS.length),
})
export type LimitEntry = Told<typeof limitEntry>

/** Named limits a build is judged by, copied from a profile and edited; in a build or in a file of their own. */
export const limitsShape = maybe({
  profile: wordField(['road', 'heavy', 'trail', 'track', 'own']).required(),
  name: requiredName(),
  entries: list(limitEntry, 100).required(),
})
export type LimitProfile = NonNullable<Told<typeof limitsShape>>

/** The limits of one quantity put together: null where there is none. Order: failLow ≤ warnLow ≤ warnHigh ≤ failHigh. */
export interface Window {
  readonly failLow: number | null
  readonly warnLow: number | null
  readonly warnHigh: number | null
  readonly failHigh: number | null
}

/** The one vocabulary of verdicts. */
export type Verdict = 'holds' | 'tight' | 'out' | 'unknown'

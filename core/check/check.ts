import type { Missing } from '../base/known'
import type { Quantity, Verdict, Window } from '../file/build/limit'
import type { Id } from '../file/parts/id'

/** What a check looks at: one joint or shaft of a line (counted from 0), a line as a whole, a gap or a chain, or some other thing, whatever the lines. */
export type CheckSubject =
  | { readonly of: 'joint'; readonly index: number }
  | { readonly of: 'shaft'; readonly index: number }
  | { readonly of: 'line' }
  | { readonly of: 'thing'; readonly id: Id; readonly name: string }
  | { readonly of: 'gap'; readonly id: Id; readonly name: string }
  | {
      readonly of: 'chain'
      readonly id: Id
      readonly name: string
      readonly sprocket?: { readonly id: Id; readonly name: string }
    }

/**
 * The state of the vehicle a check is made in: cruising at ride height, pulling with the axle wound up as expected, or
 * overrunning with the nose pressed down.
 */
export const CHECK_STATES = ['ride', 'drive', 'coast'] as const
export type CheckState = (typeof CHECK_STATES)[number]
/** Gaps also in the worst case of the mounts that the powertrain stands on. */
export const GAP_STATES = [...CHECK_STATES, 'load'] as const
export type GapState = (typeof GAP_STATES)[number]

/** A named place of the wheels besides ride height. */
export interface WheelPlace {
  readonly id: Id
  readonly name: string
}

/** What tells states apart: the torque, and where the wheels stand. */
export interface StateOfVehicle {
  readonly state: GapState
  /** Null at ride height. */
  readonly at: WheelPlace | null
}

export const isSameState = (one: StateOfVehicle, other: StateOfVehicle): boolean =>
  one.state === other.state && one.at?.id === other.at?.id

/** A state as one word: "drive", or "drive@droop" away from ride height. */
export const stateKey = ({ state, at }: StateOfVehicle): string => (at ? `${state}@${at.id}` : state)

/** One checked quantity: its value, its window, and the verdict with its reason. */
export interface Check extends StateOfVehicle {
  /** Unique in a build and stable while the line keeps its joints. */
  readonly id: string
  /** Null for what is no line's. */
  readonly lineId: Id | null
  readonly lineName: string | null
  readonly quantity: Quantity | 'centring-pilot'
  readonly subject: CheckSubject
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

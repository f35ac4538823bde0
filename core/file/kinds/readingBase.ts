import type { LengthUnit } from '../../base/units/unitSettings'
import type { Id } from '../parts/id'

/** What every reading keeps, whatever was read. */
export interface ReadingBase {
  readonly id: Id
  /** When it was taken, ISO 8601. */
  readonly takenAt?: string
  readonly takenBy?: string
  readonly note?: string
  /** From cardboard, a catalogue or an unloaded frame; all that rests on it is marked until the real reading comes. */
  readonly provisional?: boolean
  /** Doubts about this reading that were looked into and found groundless, by their kind. */
  readonly accepted?: readonly string[]
}

/** A reading taken with a tool in a setup: the raw text of each repeat, never changed by the program. */
export interface MeasuredBase extends ReadingBase {
  readonly setup: Id
  readonly tool?: Id
  /** The lift-in it was taken in; the first when absent. */
  readonly trial?: Id
  /** The reading of another setup this one was carried over from, and why that is allowed. */
  readonly copiedFrom?: Id
  readonly copyReason?: string
  /** Raw text, first to last repeat. */
  readonly values: readonly string[]
}

/** A reading of a length. */
export interface LengthBase extends MeasuredBase {
  /** Unit of bare figures, fixed when the reading was taken; the build's unit when absent. */
  readonly unit?: LengthUnit
}

/** What the level was compared with: the earth, or the chassis surface it was zeroed on. */
export type LevelZero = 'gravity' | 'chassis'

/** A reading of a level; `display` says which way its display looked, for taking out its zero error. */
export interface LevelBase extends MeasuredBase {
  readonly display?: 'left' | 'right' | 'front' | 'rear'
}

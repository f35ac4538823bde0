import type { Id } from './id'

export const TOOL_KINDS = [
  'level',
  'tape',
  'laser',
  'plumb',
  'dial',
  'calliper',
  'feeler',
  'clay',
  'step-wedge',
  'other',
] as const
export type ToolKind = (typeof TOOL_KINDS)[number]

/** Which end of the level stood higher, as one looks at its display. */
export type DisplayEnd = 'left' | 'right'

/** A level read on one spot twice, the second time turned end for end; raw text as shown. */
export interface FlipTest {
  readonly id: Id
  /** ISO 8601. */
  readonly at: string
  readonly first: string
  readonly firstHigh?: DisplayEnd
  readonly second: string
  readonly secondHigh?: DisplayEnd
}

/** A measuring tool of the builder's own. */
export interface Tool {
  readonly id: Id
  readonly name: string
  readonly kind: ToolKind
  /** Smallest step it shows, in degrees for a level and mm for the rest. */
  readonly resolution?: number
  /** Accuracy as stated by its maker, half-width, in degrees for a level and mm for the rest. */
  readonly accuracy?: number
  /** Standard deviation of the hand that holds it, in degrees for a level and mm for the rest; what is usual when absent. */
  readonly handScatter?: number
  /** What its owner does with its zero: leave it to gravity, or set it on the chassis. */
  readonly zeroHabit?: 'gravity' | 'chassis'
  /** Flip tests, oldest first; the last one before a reading corrects it. */
  readonly flipTests?: readonly FlipTest[]
  /** A device of the simulation; what it reads stays provisional. */
  readonly simulated?: boolean
}

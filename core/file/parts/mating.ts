import type { LengthUnit } from '../../base/units/unitSettings'
import type { Id } from './id'

export const PART_SPREADS = ['normal', 'uniform', 'triangular'] as const
/** How sizes of a part are spread within its tolerance; normal: the tolerance is three standard deviations. */
export type PartSpread = (typeof PART_SPREADS)[number]

/** What a stack of sizes between engine and gearbox is asked for. */
export const STACK_KINDS = ['pilot', 'spline', 'release', 'slave', 'pivot', 'converter', 'own'] as const
export type StackKind = (typeof STACK_KINDS)[number]

/** One thickness or depth of a chain. */
export interface StackPart {
  readonly id: Id
  readonly name: string
  /** Whether it opens what is asked for or takes from it. */
  readonly counts: 'adds' | 'takes'
  readonly nominalMm?: number
  readonly plusMm?: number
  readonly minusMm?: number
  /** Normal when absent. */
  readonly spread?: PartSpread
}

/** A signed stack of sizes and what it may come to. */
export interface Stack {
  readonly id: Id
  readonly name: string
  readonly kind: StackKind
  readonly parts: readonly StackPart[]
  readonly minMm?: number
  readonly maxMm?: number
}

/** A dial reading as taken: clockwise from 12 seen from the rear, and the text that was read. */
export interface DialSpot {
  readonly clockDeg: number
  readonly text: string
}

/** A dial taken once round a bell housing's bore or face. */
export interface DialRound {
  readonly id: Id
  readonly name: string
  readonly of: 'bore' | 'face'
  readonly unit: LengthUnit
  readonly spots: readonly DialSpot[]
  /** At which the plunger goes round on a face. */
  readonly radiusMm?: number
  /** The dial counts backwards when its plunger goes in. */
  readonly countsBackwards?: boolean
  /** Largest total reading that is allowed. */
  readonly totalMaxMm?: number
  /** Offsets of dowels on the shelf. */
  readonly dowelsMm?: readonly number[]
}

/** How engine and gearbox meet. */
export interface Mating {
  readonly stacks: readonly Stack[]
  readonly rounds: readonly DialRound[]
}

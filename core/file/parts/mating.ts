import { array, boolean, object } from 'yup'
import { LENGTH_UNITS } from '../../base/units/unitSettings'
import { figure, list, maybe, rawText, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** Lists about how engine and gearbox meet at the most. */
const MOST = { stacks: 50, parts: 40, rounds: 50, spots: 100, dowels: 30 }

export const PART_SPREADS = ['normal', 'uniform', 'triangular'] as const
/** How sizes of a part are spread within its tolerance; normal: the tolerance is three standard deviations. */
export type PartSpread = (typeof PART_SPREADS)[number]

/** What a stack of sizes between engine and gearbox is asked for. */
export const STACK_KINDS = ['pilot', 'spline', 'release', 'slave', 'pivot', 'converter', 'own'] as const
export type StackKind = (typeof STACK_KINDS)[number]

/** One thickness or depth of a chain. */
const stackPart = object({
  id: requiredId(),
  name: requiredName(),
  /** Whether it opens what is asked for or takes from it. */
  counts: wordField(['adds', 'takes']).required(),
  nominalMm: figure(-10_000, 10_000),
  plusMm: figure(0, 1000),
  minusMm: figure(0, 1000),
  /** Normal when absent. */
  spread: wordField(PART_SPREADS),
})
export type StackPart = Told<typeof stackPart>

/** A signed stack of sizes and what it may come to. */
const stack = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(STACK_KINDS).required(),
  parts: list(stackPart, MOST.parts).required(),
  minMm: figure(-10_000, 10_000),
  maxMm: figure(-10_000, 10_000),
}).test(
  'rising',
  'its least figure is above its most',
  ({ minMm, maxMm }) => minMm === undefined || maxMm === undefined || minMm <= maxMm,
)
export type Stack = Told<typeof stack>

/** A dial reading as taken: clockwise from 12 seen from the rear, and the text that was read. */
const dialSpot = object({ clockDeg: figure(0, 360).required(), text: rawText().defined() })
export type DialSpot = Told<typeof dialSpot>

/** A dial taken once round a bell housing's bore or face. */
const dialRound = object({
  id: requiredId(),
  name: requiredName(),
  of: wordField(['bore', 'face']).required(),
  unit: wordField(LENGTH_UNITS).required(),
  spots: list(dialSpot, MOST.spots).required(),
  /** At which the plunger goes round on a face. */
  radiusMm: figure(1, 2000),
  /** The dial counts backwards when its plunger goes in. */
  countsBackwards: boolean(),
  /** Largest total reading that is allowed. */
  totalMaxMm: figure(0, 100),
  /** Offsets of dowels on the shelf. */
  dowelsMm: array().of(figure(0, 20).required()).max(MOST.dowels),
})
export type DialRound = Told<typeof dialRound>

/** How engine and gearbox meet; absent until something is entered. */
export const matingShape = maybe({
  stacks: list(stack, MOST.stacks).required(),
  rounds: list(dialRound, MOST.rounds).required(),
})
export type Mating = NonNullable<Told<typeof matingShape>>

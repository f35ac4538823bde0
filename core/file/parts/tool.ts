import { boolean, object } from 'yup'
import { figure, list, rawText, requiredId, requiredName, timeField, wordField } from './fields'
import type { Told } from './told'

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
const DISPLAY_ENDS = ['left', 'right'] as const
export type DisplayEnd = (typeof DISPLAY_ENDS)[number]

/** A level read on one spot twice, the second time turned end for end; raw text as shown. */
const flipTestShape = object({
  id: requiredId(),
  /** ISO 8601. */
  at: timeField().required(),
  first: rawText().required(),
  firstHigh: wordField(DISPLAY_ENDS),
  second: rawText().required(),
  secondHigh: wordField(DISPLAY_ENDS),
})
export type FlipTest = Told<typeof flipTestShape>

/** A measuring tool of the builder's own. */
export const toolShape = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(TOOL_KINDS).required(),
  /** Smallest step it shows, in degrees for a level and mm for the rest. */
  resolution: figure(0, 1000),
  /** Accuracy as stated by its maker, half-width, in degrees for a level and mm for the rest. */
  accuracy: figure(0, 1000),
  /** Standard deviation of the hand that holds it, in degrees for a level and mm for the rest; what is usual when absent. */
  handScatter: figure(0, 1000),
  /** What its owner does with its zero: leave it to gravity, or set it on the chassis. */
  zeroHabit: wordField(['gravity', 'chassis']),
  /** Flip tests, oldest first; the last one before a reading corrects it. */
  flipTests: list(flipTestShape, 200),
  /** A device of the simulation; what it reads stays provisional. */
  simulated: boolean(),
})
export type Tool = Told<typeof toolShape>

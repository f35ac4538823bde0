import type { Reading } from '../../file/build/reading'
import { READING_KINDS } from '../../file/build/readingKinds'
import type { Tool, ToolKind } from '../../file/parts/tool'

/** Unit of a measured figure. */
export type FigureUnit = 'deg' | 'mm'

/** What a tool of a kind usually tells, in degrees for angles and mm for lengths. */
export interface UsualFigures {
  /** Half-width of its own error. */
  readonly accuracy: number
  /** Standard deviation of a hand that holds it: where it is set down, how the line is met, who reads it. */
  readonly handScatter: number
}

/**
 * Usual figures of tools, for those whose owner entered none: starting figures like the limits, and said wherever they are
 * used.
 */
export const USUAL_FIGURES: Readonly<Record<ToolKind, UsualFigures>> = {
  level: { accuracy: 0.1, handScatter: 0.08 },
  tape: { accuracy: 1, handScatter: 0.8 },
  laser: { accuracy: 1, handScatter: 0.8 },
  plumb: { accuracy: 1, handScatter: 1 },
  dial: { accuracy: 0.02, handScatter: 0.02 },
  calliper: { accuracy: 0.05, handScatter: 0.1 },
  feeler: { accuracy: 0.05, handScatter: 0.1 },
  // Squeezed between the two and measured after: it springs back a little.
  clay: { accuracy: 0.5, handScatter: 0.5 },
  'step-wedge': { accuracy: 0.5, handScatter: 0.3 },
  other: { accuracy: 1, handScatter: 0.8 },
}

/** A tool that is neither level nor rule may also tell an angle; then it is as good as a level. */
export const usualFigures = (kind: ToolKind, unit: FigureUnit): UsualFigures =>
  unit === 'deg' ? USUAL_FIGURES.level : USUAL_FIGURES[kind === 'level' ? 'tape' : kind]

/** The tool that a reading without one was most likely taken with. */
export const usualTool = (unit: FigureUnit): Tool =>
  unit === 'deg'
    ? { id: 'usual-level', name: 'a usual digital level', kind: 'level' }
    : { id: 'usual-tape', name: 'a usual steel tape', kind: 'tape' }

/** Unit of what a reading tells. */
export const unitOfReading = ({ kind }: Reading): FigureUnit => READING_KINDS[kind].unit

/** Standard deviations of what is taken for granted when nobody read it, in degrees. */
export const USUAL_DOUBT = {
  /** Roll of a vehicle on a workshop floor. */
  roll: 0.5,
  /** How the surface a level was zeroed on lies to the datum plane. */
  zeroSurface: 0.1,
  /** Direction in top view of a live axle's pinion: an axle sits square to a few mm at the wheels. */
  axlePlan: 0.2,
  /** Direction in top view of a gearbox that was set by eye. */
  powertrainPlan: 0.5,
} as const

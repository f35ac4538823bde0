import type { Known, Missing } from '../base/known'
import type { Window } from '../file/build/limit'
import type { FigureColumn } from '../line/figureColumns'
import type { Check } from './check'
import type { Bound, CheckHead } from './judge'

/** A check before it has a value: what is looked at, in which state, by which limits. Levers change nothing of it. */
export interface PlannedCheck {
  readonly head: CheckHead
  readonly bounds: readonly Bound[]
  /** Of all bounds together. */
  readonly window: Window
  /** What is missing for bounds that cannot be computed. */
  readonly unknownBounds: readonly Missing[]
  /** What it takes besides the line's own figures: a speed, a tube. */
  readonly needs: Known<unknown>
  /** The figure it judges: a column of the model, a figure of the file, or nothing while the line is unknown. */
  readonly value: FigureColumn | number | null
}

/** One check of a build: planned in every state it is made in, of which the worst is shown; or certain whatever is read. */
export type CheckPlan = { readonly inStates: readonly PlannedCheck[] } | { readonly certain: Check }

import type { PlannedCheck } from '../check/plannedCheck'
import type { Column } from '../base/columns/graph'
import type { LineColumns } from '../line/lineColumns'
import type { WheeledBody } from '../file/parts/body'
import type { Id } from '../file/parts/id'
import type { Plunge } from '../file/parts/lineSpec'
import type { WheelsOf } from './wheelHeights'

/** A place of the wheels that is set from outside: the worst one found between the named ones, or one that is looked at. */
export interface SparePlace {
  readonly id: Id
  readonly wheels: WheelsOf
}

/** A line at the place that goes through the travel. */
export interface SweptLine {
  readonly lineId: Id
  readonly plans: readonly PlannedCheck[]
  /** Cruising; null while something is not read. */
  readonly columns: LineColumns | null
}

/** A chain at the place that goes through the travel: the length it needs and its slack run, in mm. */
export interface SweptChain {
  readonly neededMm: Column
  readonly spanMm: Column
}

/** What it takes to look through the whole travel of a build. */
export interface CompiledTravel {
  readonly axles: readonly WheeledBody[]
  /** Places between the named ones, for those that turn out to be worse. */
  readonly spares: readonly SparePlace[]
  /** The place that goes through the travel. */
  readonly sweep: SparePlace
  /** Every check as it is made there. */
  readonly plans: readonly PlannedCheck[]
  /** Every other column that is looked at there. */
  readonly wants: readonly Column[]
}

/** The lengths that a plunging shaft is ordered by, each sampled under its name. */
export const HALFSHAFT_FIGURES = ['rideMm', 'longestMm', 'shortestMm', 'middleMm', 'strokeMm'] as const
export type HalfshaftFigure = (typeof HALFSHAFT_FIGURES)[number]

/** A shaft with a joint that plunges, on a line that goes along with wheels. */
export interface CompiledHalfshaft {
  readonly lineId: Id
  readonly shaft: number
  readonly plunge: Plunge
  /** From joint to joint, at the place that goes through the travel. */
  readonly swept: Column
  /** Working angles of the joints of its line there. */
  readonly anglesDeg: readonly Column[]
  /** Places of the wheels at which it is longest and shortest. */
  readonly longest: SparePlace
  readonly shortest: SparePlace
  readonly figures: Readonly<Record<HalfshaftFigure, Column>>
}

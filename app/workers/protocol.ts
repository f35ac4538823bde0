import type { Build } from '~~/core/project/build'
import type { Cure } from '~~/core/placement/nearestCure'
import type { LeverSettings } from '~~/core/placement/bodyMoves'

/** The searches a worker runs for the workbench; only plain data crosses. */
export interface CureService {
  /** Smallest change of each lever alone. */
  nearest: (build: Build, settings: LeverSettings) => Promise<Cure[]>
  /** Smallest change of two levers together; ending the worker stops the search. */
  byTwo: (build: Build, settings: LeverSettings, leverIds: readonly [string, string]) => Promise<Cure | null>
}

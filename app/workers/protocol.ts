import type { Build } from '~~/core/project/build'
import type { Cure } from '~~/core/placement/nearestCure'
import type { LeverSettings } from '~~/core/placement/settings'
import type { SamplingOptions, Sureness } from '~~/core/uncertainty/monteCarlo'

/** The searches a worker runs for the workbench; only plain data crosses. */
export interface CureService {
  /** Smallest change of each lever alone. */
  nearest: (build: Build, settings: LeverSettings, isSampled: boolean) => Promise<Cure[]>
  /** Smallest change of two levers together; ending the worker stops the search. */
  byTwo: (
    build: Build,
    settings: LeverSettings,
    leverIds: readonly [string, string],
    isSampled: boolean,
  ) => Promise<Cure | null>
}

/** Monte Carlo in a worker: seed and samples travel with the question, so the answer depends on it alone. */
export interface SurenessService {
  /** Null when it was stopped or overtaken by another run. */
  sample: (
    run: number,
    build: Build,
    settings: LeverSettings,
    options: SamplingOptions,
    onProgress: (share: number) => void,
  ) => Promise<Sureness | null>
  stop: () => Promise<void>
}

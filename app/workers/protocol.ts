import type { ReadFiles } from '../storage/backup'
import type { DemoId } from '../storage/demos'
import type { Cover } from '~~/core/show/result/cover'
import type { Cure } from '~~/core/answers/solver/cure'
import type { FoundSettings } from '~~/core/answers/solver/differentSettings'
import type { Goal, GoalFound } from '~~/core/answers/solver/goals'
import type { LeverMap } from '~~/core/answers/solver/leverMap'
import type { SchoolAnswer } from '~~/core/answers/solver/schools'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import type { SwingSetup } from '~~/core/bay/swing/scene'
import type { Known } from '~~/core/base/known'
import type { Hurry } from '~~/core/jobs/plan/hurries'
import type { PlanAnswer } from '~~/core/jobs/plan/planAnswer'
import type { ToPlan } from '~~/core/jobs/plan/workPlan'
import type { LeastLift, SwingProgress } from '~~/core/bay/swing/wayIn'
import type { Sureness } from '~~/core/answers/uncertainty/monteCarlo'
import type { TakesBuild } from './opener'

/** The searches a worker runs about the build it was told of; only plain data crosses. */
export interface CureService extends TakesBuild {
  /** Smallest change of each lever alone. */
  nearest: (settings: LeverSettings, isSampled: boolean) => Promise<Cure[]>
  /** Least effort of all levers together; told how many settings have been looked at. */
  together: (
    settings: LeverSettings,
    isSampled: boolean,
    onProgress: (looked: number) => void,
  ) => Promise<Cure>
  /** Settings of all levers that each move other ones, reported in the same way. */
  different: (
    settings: LeverSettings,
    isSampled: boolean,
    onProgress: (looked: number) => void,
  ) => Promise<FoundSettings>
  /** The best setting for a goal, reported in the same way. */
  goal: (
    settings: LeverSettings,
    goal: Goal,
    isSampled: boolean,
    onProgress: (looked: number) => void,
  ) => Promise<GoalFound>
  /** What each school and habit would ask of a line; told how many are answered. */
  schools: (
    line: string,
    settings: LeverSettings,
    onProgress: (answered: number) => void,
  ) => Promise<SchoolAnswer[]>
  /** Every setting of two levers; null for levers that are not there. */
  map: (settings: LeverSettings, x: string, y: string) => Promise<LeverMap | null>
  /** Leaves whatever is being looked for; a new question does so too. */
  leave: () => Promise<void>
}

/** A setting of the levers to be sampled. */
export interface SampleQuestion {
  /** Number of the question; a later one overtakes it. */
  readonly run: number
  readonly settings: LeverSettings
  readonly samples: number
}

/**
 * Monte Carlo in a worker. The build is told once and its truths are drawn once; after that a lever's move asks for nothing
 * but its own setting.
 */
export interface SurenessService extends TakesBuild {
  /** Null when it was overtaken by another question. */
  sample: (question: SampleQuestion, onProgress: (share: number) => void) => Promise<Sureness | null>
}

/** The search for a way in, in a worker; left by ending it. */
export interface SwingService {
  readonly leastLift: (
    setup: SwingSetup,
    range: readonly [number, number],
    onProgress: (progress: SwingProgress) => void,
  ) => Promise<LeastLift>
}

/** The plan of all open work, in a worker; left by ending it. */
export interface PlanService {
  readonly plan: (toPlan: ToPlan) => Promise<{ readonly answer: Known<PlanAnswer> }>
  readonly hurries: (toPlan: ToPlan) => Promise<Hurry[]>
}

/** What the page of builds needs worked out away from it: files that may be large or hostile, and covers of builds. */
export interface LibraryService {
  readonly readBuildFile: (file: string, blob: Blob) => Promise<ReadFiles>
  /** Changes with the program that works covers out. */
  readonly edition: () => Promise<string>
  /** @param stored - a build as it is stored, of unknown shape */
  readonly cover: (stored: unknown) => Promise<Cover>
  readonly demoCover: (demo: DemoId) => Promise<Cover>
}

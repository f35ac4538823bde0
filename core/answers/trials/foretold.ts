import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { DEFAULT_SEED, runMonteCarlo } from '../uncertainty/monteCarlo'
import { checkFigureId, sampleModel } from '../uncertainty/sampleModel'
import { evaluateBuild } from '../../model/evaluateBuild'
import { trialPoses } from './trialPoses'

/** A gap as the readings before a trial foretold it, and as it was read in it. */
export interface ForetoldGap {
  readonly gap: Id
  readonly name: string
  readonly foretoldMm: number
  readonly readMm: number
  /** Of their difference, two standard deviations. */
  readonly plusMinus: number
  readonly agrees: boolean
}

/** Enough to tell agreement from a wrong spacer. */
const SAMPLES = 400

/** Where the levers stood in a trial: as packed, and where points were read again, as they had moved. */
export function trialSettings(build: Build, trial: Id): LeverSettings {
  const packed = build.trials.find(({ id }) => id === trial)?.packed ?? {}
  const moved = trialPoses(build, trial).flatMap(({ levers }) => levers)
  return { ...packed, ...Object.fromEntries(moved.map((one) => [one.lever.id, one.moved])) }
}

/**
 * Set and read again: what the readings of all earlier trials foretell for the gaps that were read in this one.
 *
 * @returns only gaps that were read before too
 * @see docs/methods/gaps.md
 */
export function foretold(build: Build, trial: Id): ForetoldGap[] {
  const inTrial = (reading: Build['readings'][number]) => reading.kind === 'gap' && reading.trial === trial
  const read = new Set(build.readings.flatMap((one) => (one.kind === 'gap' && inTrial(one) ? [one.gap] : [])))
  if (read.size === 0) return []
  // Where the levers stood is told from the first trial, whatever they count from now.
  const counted: Build = { ...build, countedFrom: undefined }
  const before: Build = { ...counted, readings: build.readings.filter((reading) => !inTrial(reading)) }
  const settings = trialSettings(build, trial)
  const [then, now] = [spread(before, settings), spread(counted, settings)]
  return build.gaps.flatMap(({ id, name }): ForetoldGap[] => {
    const [told, seen] = [then(id), now(id)]
    if (!read.has(id) || !told || !seen) return []
    const plusMinus = Math.hypot(told.plusMinus, seen.plusMinus)
    return [
      {
        gap: id,
        name,
        foretoldMm: told.mm,
        readMm: seen.mm,
        plusMinus,
        agrees: Math.abs(told.mm - seen.mm) <= plusMinus,
      },
    ]
  })
}

function spread(build: Build, settings: LeverSettings) {
  const evaluation = evaluateBuild(build, settings)
  const { figures } = runMonteCarlo(sampleModel(build, settings, evaluation), {
    samples: SAMPLES,
    seed: DEFAULT_SEED,
  })
  return (gap: Id): { readonly mm: number; readonly plusMinus: number } | null => {
    const found = evaluation.gaps.find((one) => one.gap.id === gap)
    if (!found?.ride.known) return null
    return {
      mm: found.ride.value.gapMm,
      plusMinus: figures[checkFigureId(found.check)]?.plusMinus ?? 0,
    }
  }
}

import { CoreError } from '../../base/errors'
import { known, unknown, type Known, type Missing } from '../../base/known'
import type { DonorPattern } from '../../file/parts/donorPattern'
import { pattern, type Pattern } from './pattern'

const NEEDED = [
  ['outerPieceMm', 'length of the outer piece'],
  ['innerPieceMm', 'length of the inner piece'],
  ['overlapBottomedMm', 'overlap with the inner joint bottomed'],
  ['overlapPulledMm', 'overlap with the inner joint pulled out'],
] as const

/** The step of the work that is next: to settle the vehicle, to measure the pieces, to mark either stop, or none. */
export type PatternStep = 'settle' | 'pieces' | 'bottomed' | 'pulled' | 'done'

export function patternStep(read: DonorPattern): PatternStep {
  if (read.settled !== true) return 'settle'
  if (read.outerPieceMm === undefined || read.innerPieceMm === undefined) return 'pieces'
  if (read.overlapBottomedMm === undefined) return 'bottomed'
  return read.overlapPulledMm === undefined ? 'pulled' : 'done'
}

/** What a pattern says so far: unknown with all that is not measured yet, or with what contradicts. */
export function patternOf(read: DonorPattern): Known<Pattern> {
  const missing: Missing[] = NEEDED.flatMap(([key, what]) =>
    read[key] === undefined ? [{ what, path: '' }] : [],
  )
  if (read.settled !== true) missing.unshift({ what: 'the vehicle settled at ride height', path: '' })
  if (missing.length > 0) return { known: false, missing }
  const { outerPieceMm = NaN, innerPieceMm = NaN, overlapBottomedMm = NaN, overlapPulledMm = NaN } = read
  try {
    const { offsetMm, clampMm } = read
    return known(
      pattern({
        outerPieceMm,
        innerPieceMm,
        overlapBottomedMm,
        overlapPulledMm,
        ...(offsetMm !== undefined && { offsetMm }),
        ...(clampMm !== undefined && { clampMm }),
      }),
    )
  } catch (error) {
    if (error instanceof CoreError) return unknown(error.message.replace(/^[a-z]+: /, ''))
    throw error
  }
}

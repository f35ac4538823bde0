import { planWords } from '../../base/frame/words'
import { mapKnown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import { centrelineFit } from '../../measure/points/centrelineColumns'
import { readingContext } from '../../measure/geometry/readingContext'
import { setupRegistration } from '../../measure/setups/registrationColumns'
import { degrees } from '../../base/units/angle'
import { formatLength } from '../../base/units/format'
import { sentenceCase } from './checkText'

/** What the registration of a setup says, ready to show. */
export interface RegistrationReport {
  readonly rms: string
  readonly count: number
  /** Each datum point with its miss. */
  readonly misses: readonly { readonly name: string; readonly miss: string; readonly isSuspect: boolean }[]
  readonly suspect: string | null
  readonly canSuspect: boolean
  readonly isFlat: boolean
}

/** The registration of a setup in words; null when nothing was measured for it. */
export function registrationReport(build: Build, setup: Setup): Known<RegistrationReport> | null {
  const result = setupRegistration(readingContext(build), setup)
  if (result === null) return null
  return mapKnown(result, ({ residuals, rms, suspect, isFlat, leftOut }) => {
    const nameOf = (id: string) => build.points.find((point) => point.id === id)?.name ?? id
    return {
      rms: formatLength(rms, build.units),
      count: residuals.length,
      misses: residuals.map(({ id, length }) => ({
        name: nameOf(id),
        miss: formatLength(length, build.units),
        isSuspect: id === suspect,
      })),
      suspect: suspect === null ? null : sentenceCase(nameOf(suspect)),
      canSuspect: leftOut.length > 0,
      isFlat,
    }
  })
}

/** What the frame-hole pairs of a setup say about the centreline. */
export interface CentrelineReport {
  readonly start: string
  readonly angle: string
  readonly misfits: readonly { readonly name: string; readonly misfit: string }[]
}

/** The centreline of a setup in words; unknown with what is missing. */
export function centrelineReport(build: Build, setup: Setup): Known<CentrelineReport> {
  return mapKnown(centrelineFit(readingContext(build), setup), ({ line, pairs }) => {
    const side = (value: number) =>
      Math.abs(value) < 0.05
        ? formatLength(0, build.units)
        : `${formatLength(Math.abs(value), build.units)} ${value > 0 ? 'left' : 'right'}`
    return {
      start: side(line.start),
      angle: planWords(degrees(Math.atan(line.slope)), build.units, 2),
      misfits: pairs.map(({ pair, misfit }) => ({ name: sentenceCase(pair.name), misfit: side(misfit) })),
    }
  })
}

import type { Build } from '../../file/build/build'
import { chainLengths } from './chainMistakes'
import { shaftContradictions, wrongWay } from './contradictions'
import { inchOrMm, swappedSides } from './lengthMistakes'
import { faceOrTube, hangingAxles, noAttitude } from './levelMistakes'
import type { Reading } from '../../file/build/reading'
import type { Correction, Detector, Mistake } from './mistake'
import { outliers } from './outliers'

/** From the plainest to the most indirect: a face taken for a tube explains many contradictions. */
const DETECTORS: readonly Detector[] = [
  faceOrTube,
  inchOrMm,
  swappedSides,
  noAttitude,
  outliers,
  wrongWay,
  shaftContradictions,
  hangingAxles,
  chainLengths,
]

/**
 * What is probably wrong with the readings of a build; a doubt that was looked into and accepted is not raised again.
 *
 * @see docs/methods/mistakes.md
 */
export const findMistakes = (build: Build): Mistake[] =>
  raised(
    build,
    DETECTORS.flatMap((detect) => detect(build, ANY)),
  )

/** The same of one reading alone, as it is typed: what speaks of others is not looked for. */
export const mistakesOf = (build: Build, reading: Reading): Mistake[] =>
  raised(
    build,
    DETECTORS.flatMap((detect) => detect(build, (one) => one === reading)),
  ).filter(({ readingIds }) => readingIds.includes(reading.id))

const ANY = () => true

function raised(build: Build, mistakes: readonly Mistake[]): Mistake[] {
  const readings = new Map(build.readings.map((reading) => [reading.id, reading]))
  return mistakes.filter(({ kind, readingIds }) =>
    readingIds.some((id) => !readings.get(id)?.accepted?.includes(kind)),
  )
}

/** The correction that says: looked into, it is right as it is. */
export function acceptance(build: Build, mistake: Mistake): Correction {
  return {
    label: 'It is right as it is',
    edits: mistake.readingIds.map((id) => {
      const reading = build.readings.find((one) => one.id === id)
      return {
        of: 'reading',
        id,
        set: { accepted: [...new Set([...(reading?.accepted ?? []), mistake.kind])] },
      }
    }),
  }
}

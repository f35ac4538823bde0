import type { Build } from '../project/build'
import { chainLengths } from './chainMistakes'
import { shaftContradictions, wrongWay } from './contradictions'
import { inchOrMm, swappedSides } from './lengthMistakes'
import { faceOrTube, hangingAxles, noAttitude } from './levelMistakes'
import type { Correction, Mistake } from './mistake'
import { outliers } from './outliers'

/** From the plainest to the most indirect: a face taken for a tube explains many contradictions. */
const DETECTORS = [
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
  DETECTORS.flatMap((detect) => detect(build)).filter(({ kind, readingIds }) =>
    readingIds.some((id) => {
      const reading = build.readings.find((one) => one.id === id)
      return !reading?.accepted?.includes(kind)
    }),
  )

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

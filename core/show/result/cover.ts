import { smallPicture, type SmallPicture } from '../../drawing/smallPicture'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { parseBuild } from '../../file/open/parseBuild'
import { problemText } from '../../file/parts/problem'
import { repaired } from '../../file/open/repair'
import type { Build } from '../../file/build/build'
import type { Verdict } from '../../file/build/limit'
import { stateSentence } from '../told/stateSentence'

/** What a list of builds shows of one. */
export interface Cover {
  readonly vehicle: string
  readonly verdict: Verdict
  readonly sentence: string
  /** Why it cannot be opened or worked out; null where it can. */
  readonly fault: string | null
  readonly picture: SmallPicture | null
}

/** The cover of a build as its chosen position stands. */
export function coverOf(build: Build): Cover {
  const now = evaluateBuild(build, chosenSettings(build))
  return {
    vehicle: build.vehicle ?? '',
    verdict: now.verdict,
    sentence: stateSentence(build, now),
    fault: null,
    picture: smallPicture(build, now),
  }
}

/** The cover of a build as it is stored; whatever is wrong with it is said on it. */
export function coverOfStored(stored: unknown): Cover {
  try {
    const parsed = parseBuild(stored)
    const read = parsed.ok ? parsed : parseBuild(repaired(stored))
    if (read.ok) return coverOf(read.value)
    const [first] = parsed.ok ? [] : parsed.problems
    return withFault(first ? problemText(first) : 'it cannot be read')
  } catch (error) {
    return withFault(error instanceof Error ? error.message : String(error))
  }
}

const withFault = (fault: string): Cover => ({
  vehicle: '',
  verdict: 'unknown',
  sentence: '',
  fault,
  picture: null,
})

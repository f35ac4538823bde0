import { isChassis } from '../../file/parts/bodies'
import type { BodyKind } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Asked, Reading } from '../../file/build/reading'
import { isGiven, READING_KINDS } from '../../file/build/readingKinds'
import { targetOf, type TargetFields } from '../../file/build/targets'
import { isSameTarget, targetName, thingName } from './target'
import { isOfFirstTrial } from './trial'

/** Quantity and target as one word: it stands in addresses. */
export const askedKey = (asked: Asked): string => {
  const target: TargetFields = asked
  return [asked.quantity, ...targetOf(asked.quantity).keys.map((key) => target[key])].join('-')
}

/** What it is called that is read; its id where nothing of the build is called so. */
export const askedName = (build: Build, asked: Asked): string =>
  targetOf(asked.quantity).isPartInTitle
    ? thingName(build, asked.quantity, asked)
    : targetName(build, asked.quantity, asked)

/** The kind of body that what is read belongs to; the chassis for what is of none, such as a gap. */
export function askedBody(build: Build, asked: Asked): BodyKind {
  const of = targetOf(asked.quantity).body?.(build, asked)
  if (of === undefined || isChassis(build, of)) return 'chassis'
  return build.bodies.find(({ id }) => id === of)?.kind ?? 'chassis'
}

/** The reading in force of what is asked: a measured one before a given one, and the last of several. */
export function readingOf(build: Build, setupId: Id, asked: Asked): Reading | null {
  const found = build.readings.filter(
    (reading) => tells(reading, asked, setupId) && isOfFirstTrial(build, reading),
  )
  return found.filter((reading) => !isGiven(reading)).at(-1) ?? found.at(-1) ?? null
}

/** Whether a reading tells what is asked; attitude is asked of one setup, all else of any. */
const tells = (reading: Reading, asked: Asked, setupId: Id): boolean =>
  READING_KINDS[reading.kind].answers.includes(asked.quantity) &&
  isSameTarget(asked.quantity, reading, asked) &&
  (READING_KINDS[asked.quantity].of !== 'chassis' || ('setup' in reading && reading.setup === setupId))

import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import type { Id } from '../../file/parts/id'
import { isOfTrial } from './trial'

/** A reading with its place in the file. */
export interface PlacedReading<R extends Reading = Reading> {
  readonly reading: R
  readonly path: string
}

/**
 * The reading in force among those that say the same thing: the last one taken in the pose the build starts from. Earlier ones
 * stay in the file as history.
 *
 * @param trial - the pose of another trial; the first when null
 * @returns null when there is none
 */
export function lastReading<R extends Reading>(
  build: Build,
  is: (reading: Reading) => reading is R,
  trial: Id | null = null,
): PlacedReading<R> | null {
  for (let index = build.readings.length - 1; index >= 0; index--) {
    const reading = build.readings[index]
    if (reading && is(reading) && isOfTrial(build, reading, trial))
      return { reading, path: `readings[${index}]` }
  }
  return null
}

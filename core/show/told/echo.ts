import type { Build } from '../../file/build/build'
import type { MeasuredReading } from '../../file/build/reading'
import type { Echo } from '../words/subjectWords'
import { ECHOES } from '../words/words'

/**
 * Says back what a reading means in the chassis frame: "Pinion nose up 4.1°; to the chassis nose up 3.4°".
 *
 * @param reading - need not be in the build yet
 */
export function readingEcho(build: Build, reading: MeasuredReading): Echo {
  const others = build.readings.filter((one) => one.id !== reading.id)
  const draft: Build = { ...build, readings: [...others, reading] }
  return (ECHOES[reading.kind] as (build: Build, reading: MeasuredReading) => Echo)(draft, reading)
}

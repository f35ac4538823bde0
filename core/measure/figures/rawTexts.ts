import type { Reading } from '../../file/build/reading'

/** The raw text of a reading as kept, repeats in order. */
export function rawTexts(reading: Reading): readonly string[] {
  if (reading.kind === 'given-point') return [reading.station, reading.offset, reading.height]
  if (reading.kind === 'given-axis')
    return reading.plan === undefined ? [reading.fall] : [reading.fall, reading.plan]
  if (reading.kind === 'given-cross-axis')
    return reading.sweep === undefined ? [reading.rise] : [reading.rise, reading.sweep]
  return reading.values
}

import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { READING_KINDS } from '../../file/build/readingKinds'
import type { Gate } from '../../file/kinds/gateKinds'
import { readingsUnderGate } from '../../jobs/gates/under'
import { rawTexts } from '../../measure/figures/rawTexts'
import { readingName } from './gateText'

/** A reading that a gate rests on, as it was typed. */
export interface GateReading {
  readonly id: string
  readonly name: string
  readonly value: string
  /** The setup it was taken in, and by whom. */
  readonly taken: string
  readonly isGuess: boolean
}

/** The readings that a gate rests on, each by name. */
export const gateReadings = (build: Build, gate: Gate): GateReading[] =>
  readingsUnderGate(build, gate).map((reading) => {
    const setup = build.setups.find(({ id }) => 'setup' in reading && reading.setup === id)
    return {
      id: reading.id,
      name: readingName(build, reading),
      value: rawTexts(reading)
        .map((text) => withUnit(build, reading, text))
        .join(', '),
      taken: [setup?.name, setup?.date, reading.takenBy].filter(Boolean).join(', '),
      isGuess: reading.provisional === true,
    }
  })

/** A bare figure with the unit it was typed in. */
function withUnit({ units }: Build, reading: Reading, text: string): string {
  if (!/^[-+]?[\d.,]+$/.test(text)) return text
  if (READING_KINDS[reading.kind].unit === 'deg') return `${text}°`
  return `${text} ${('unit' in reading && reading.unit) || units.length}`
}

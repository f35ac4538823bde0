import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'

/** A setup that figures rest on: when, with what, by whom. */
export interface UsedSetup {
  readonly name: string
  readonly date: string
  readonly tools: string
  readonly by: string
}

/** The setups in which some readings were taken. */
export const setupsUsed = (build: Build, of: readonly Reading[] = build.readings): UsedSetup[] =>
  build.setups.flatMap((setup) => {
    const readings = of.filter((reading) => 'setup' in reading && reading.setup === setup.id)
    if (readings.length === 0) return []
    const tools = new Set(
      readings.flatMap((reading) => ('tool' in reading && reading.tool ? [reading.tool] : [])),
    )
    const names = build.tools.filter((tool) => tools.has(tool.id)).map((tool) => tool.name)
    const by = [...new Set(readings.flatMap((reading) => (reading.takenBy ? [reading.takenBy] : [])))]
    const state = setup.loaded ? 'ride height, loaded' : 'not loaded'
    return [
      { name: `${setup.name}, ${state}`, date: setup.date ?? '', tools: names.join(', '), by: by.join(', ') },
    ]
  })

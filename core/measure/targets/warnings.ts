import { axleById } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { Reading } from '../../file/build/reading'
import { bodyOf } from './target'

/** Why the state of the vehicle makes a reading of a live axle worthless; null when it does not. */
export function axleStateProblem(build: Build, reading: Reading): string | null {
  const setup = 'setup' in reading ? build.setups.find((one) => one.id === reading.setup) : undefined
  const body = bodyOf(build, reading)
  if (!setup || body === null || !axleById(build, body)) return null
  return stateProblem(setup)
}

/** Why angles of a live axle read in this setup would not be those at ride height; null when they are. */
export function stateProblem(setup: Setup): string | null {
  if (setup.standsOn === 'lift-frame')
    return 'read with the axle hanging; read it again at ride height with the weight on'
  if (!setup.loaded) return 'read without the weight on; the spring will turn the axle when it comes'
  if (!setup.settled) return 'read before the vehicle was rolled forth and back; the springs still bind'
  return null
}

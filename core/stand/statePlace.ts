import type { Build } from '../file/build/build'
import { wheelPlaces } from '../file/build/wheelPlaces'

/**
 * Where a state of a line stands in the published result: `drive` at ride height, `travel[0].drive` in the first of the
 * other places of the wheels.
 *
 * @param key - of the state, as `stateKey` writes it
 * @returns null for a place between the named ones: where that stands changes with the levers, so it has no place there
 */
export function statePlace(build: Pick<Build, 'states' | 'bodies'>, key: string): string | null {
  const [torque = '', at] = key.split('@')
  if (at === undefined) return torque
  const index = wheelPlaces(build).findIndex(({ id }) => id === at)
  return index < 0 ? null : `travel[${index}].${torque}`
}

import type { Build } from '../project/build'
import { wheelPlaces } from '../project/wheelPlaces'

/**
 * Where a state of a line stands in the published result: `drive` at ride height, `travel[0].drive` in the first of the
 * other places of the wheels.
 *
 * @param key - of the state, as `stateKey` writes it
 */
export function statePlace(build: Pick<Build, 'states' | 'bodies'>, key: string): string {
  const [torque = '', at] = key.split('@')
  return at === undefined
    ? torque
    : `travel[${wheelPlaces(build).findIndex(({ id }) => id === at)}].${torque}`
}

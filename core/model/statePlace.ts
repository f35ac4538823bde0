import type { Build } from '../project/build'

/**
 * Where a state of a line stands in the published result: `drive` at ride height, `travel[0].drive` in the first of the build's
 * other places of the wheels.
 *
 * @param key - of the state, as `stateKey` writes it
 */
export function statePlace({ states }: Pick<Build, 'states'>, key: string): string {
  const [torque = '', at] = key.split('@')
  return at === undefined ? torque : `travel[${states.findIndex(({ id }) => id === at)}].${torque}`
}

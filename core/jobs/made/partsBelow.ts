import type { Build } from '../../file/build/build'
import { MAKING_STATES, type MakingState } from '../../file/kinds/madePart'

/** Parts that stay in the vehicle and are not so far yet. */
export function partsBelow(
  { crossmembers = [], plates = [], copedTubes = [], pieces = [] }: Build,
  least: MakingState,
): string[] {
  const parts = [...crossmembers, ...plates, ...copedTubes, ...pieces.filter(({ kind }) => kind === 'gusset')]
  const isBelow = (state: MakingState | undefined) =>
    state === undefined || MAKING_STATES.indexOf(state) < MAKING_STATES.indexOf(least)
  return parts.filter(({ state }) => isBelow(state)).map(({ name }) => name)
}

import type { Column } from '../base/columns/graph'
import type { PlacedState } from './placedState'

/** Every column that tells whether bodies can go where the levers send them in one state of the vehicle. */
export const moveWants = ({ moves, adapter }: PlacedState): Column[] => [
  ...[...moves.values()].flatMap((chain) => chain.flatMap((move) => move.columns)),
  ...(adapter?.move.columns ?? []),
]

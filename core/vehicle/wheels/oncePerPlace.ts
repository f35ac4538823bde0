import type { BodyMove } from '../moves/bodyMove'
import type { PointOf, WheelColumns } from './axleMotion'

/** Moves of bodies with their wheels that are made already: under every torque the wheels take a body along alike. */
export function oncePerPlace(): (wheels: WheelColumns, point: PointOf, make: () => BodyMove) => BodyMove {
  const moves = new Map<WheelColumns, Map<PointOf, BodyMove>>()
  return (wheels, point, make) => {
    const there = moves.get(wheels)?.get(point)
    if (there) return there
    const made = make()
    moves.set(wheels, (moves.get(wheels) ?? new Map<PointOf, BodyMove>()).set(point, made))
    return made
  }
}

import { sum } from '../../base/numbers'
import type { Place2 } from '../../base/outline/polygon'

/** A hole of a plate, the place it is to come to, and how far it may be from it. */
export interface Pair {
  readonly id: string
  readonly at: Place2
  readonly boss: Place2
  readonly playMm: number
}

/** How a plate lies: turned, then shifted; never mirrored or stretched. */
export interface Pose {
  readonly turn: number
  readonly shift: Place2
}

export function turned([x, y]: Place2, turn: number): Place2 {
  const [cosine, sine] = [Math.cos(turn), Math.sin(turn)]
  return [cosine * x - sine * y, sine * x + cosine * y]
}

/** From where a hole comes to lie to its boss. */
export function toBoss({ turn, shift }: Pose, { at, boss }: Pair): Place2 {
  const [x, y] = turned(at, turn)
  return [boss[0] - x - shift[0], boss[1] - y - shift[1]]
}

export const errorOf = (pose: Pose, pair: Pair): number => Math.hypot(...toBoss(pose, pair))

/** The pose of least squares, in closed form (rigid registration in the plane). */
export function leastSquaresPose(pairs: readonly Pair[]): Pose {
  const mean = (of: (pair: Pair) => Place2): Place2 => [
    sum(pairs.map((pair) => of(pair)[0])) / pairs.length,
    sum(pairs.map((pair) => of(pair)[1])) / pairs.length,
  ]
  const [px, py] = mean(({ at }) => at)
  const [bx, by] = mean(({ boss }) => boss)
  const along = ({ at, boss }: Pair) => (at[0] - px) * (boss[0] - bx) + (at[1] - py) * (boss[1] - by)
  const across = ({ at, boss }: Pair) => (at[0] - px) * (boss[1] - by) - (at[1] - py) * (boss[0] - bx)
  const turn = Math.atan2(sum(pairs.map(across)), sum(pairs.map(along)))
  const [x, y] = turned([px, py], turn)
  return { turn, shift: [bx - x, by - y] }
}

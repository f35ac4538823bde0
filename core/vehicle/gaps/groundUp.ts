import { scalarStep, type Column, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'

/** How far the ground has come up under a point, in mm: from the stations of the front and rear wheels and of the point, and how far both are up. */
const GROUND_UP: Kernel = {
  name: 'how far the ground comes up with the wheels',
  page: 'gaps',
  outputs: 1,
  run: (count, [front, rear, at, frontUp, rearUp], [up]) => {
    for (let i: Row = 0; i < count; i++)
      up[i] = rearUp[i] + ((frontUp[i] - rearUp[i]) * (at[i] - rear[i])) / (front[i] - rear[i])
  },
}

/** Wheels where they stand: station of their middle, and how far they are up, in mm. */
export interface WheelsStand {
  readonly place: VectorColumns
  readonly up: Column
}

/**
 * How far the ground has come up under a point with the wheels; as far as the only ones that are told of, where no others are.
 *
 * @returns null where nobody has told of any
 */
export function groundUp(graph: Graph, wheels: readonly WheelsStand[], point: VectorColumns): Column | null {
  const [first] = wheels
  if (!first) return null
  const station = ({ place: [x] }: WheelsStand) => graph.at(x)
  const front = wheels.reduce((most, one) => (station(one) > station(most) ? one : most), first)
  const rear = wheels.reduce((least, one) => (station(one) < station(least) ? one : least), first)
  if (station(front) - station(rear) < LEAST_WHEELBASE_MM) return first.up
  return scalarStep(graph, GROUND_UP, [front.place[0], rear.place[0], point[0], front.up, rear.up])
}

/** Wheels nearer together than this stand side by side. */
const LEAST_WHEELBASE_MM = 500

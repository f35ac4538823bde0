import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import { FALL_PLAN_DEG } from '../base/frame/axis'
import { JOINT } from './joints/jointKernels'
import { flowSense, type Line, type School } from '../file/parts/lineSpec'
import { TIMES } from '../base/columns/arithmetic'
import { angleTo, degrees } from '../base/units/angle'
import type { LineColumns } from './lineColumns'

/** A figure that a school or a habit wants between two others, in degrees. */
export interface Aim {
  readonly column: Column
  readonly least: number | null
  readonly most: number | null
}

/** Within a degree nobody feels or hears what is left. */
const WITHIN = 1
/** Nearer a shop does not set a gearbox by a level. */
const BY_EYE = 0.25

/**
 * Angle in degrees between an axis and the mirror image of another one in a shaft between them: nought where the two meet midway with equal
 * angles.
 */
const MIRRORED: Kernel = {
  name: 'how far two axes are from meeting midway',
  page: 'line',
  outputs: 1,
  run: (count, [ax, ay, az, sx, sy, sz, bx, by, bz], [angleDeg]) => {
    for (let i: Row = 0; i < count; i++) {
      const twice = 2 * (ax[i] * sx[i] + ay[i] * sy[i] + az[i] * sz[i])
      const x = twice * sx[i] - ax[i]
      const y = twice * sy[i] - ay[i]
      const z = twice * sz[i] - az[i]
      const u = y * bz[i] - z * by[i]
      const v = z * bx[i] - x * bz[i]
      const w = x * by[i] - y * bx[i]
      angleDeg[i] = degrees(angleTo(Math.sqrt(u * u + v * v + w * w), x * bx[i] + y * by[i] + z * bz[i]))
    }
  },
}

/**
 * What a school aims at, as figures of the line; what it is judged by besides are the limits of the build.
 *
 * @param ride - the line at ride height
 * @param drive - under drive; the same where it does not wind up
 * @see docs/methods/schools.md
 */
export function schoolAims(graph: Graph, school: School, ride: LineColumns, drive: LineColumns): Aim[] {
  const { anglesDeg } = ride
  const last = anglesDeg.at(-1) as Column
  const within = (column: Column): Aim => ({ column, least: null, most: WITHIN })
  switch (school) {
    case 'parallel':
      return [within(parallel(graph, ride))]
    case 'low-pinion':
      return [within(parallel(graph, drive))]
    case 'intersecting': {
      const [before, shaft, behind] = ride.axes.slice(-3) as VectorColumns[]
      return before && shaft && behind
        ? [within(scalarStep(graph, MIRRORED, [...before, ...shaft, ...behind]))]
        : []
    }
    case 'straight':
      return anglesDeg.map(within)
    case 'pointed':
      return [within(last)]
    case 'two-piece':
      return [within(anglesDeg[0] as Column), within(parallel(graph, ride, 1))]
  }
}

/** Angle between the axes before joint `from` and behind the last one, in degrees. */
function parallel(graph: Graph, { axes }: LineColumns, from = 0): Column {
  const [first, last] = [axes[from], axes.at(-1)] as [VectorColumns, VectorColumns]
  return graph.step(JOINT, [...first, ...last])[5] as Column
}

/** Habits that are no schools: what they say of the gearbox, as its fall in degrees. */
export const HABITS = { level: 0, 'three-degrees': 3 } as const
export type Habit = keyof typeof HABITS

/** The fall that a habit wants of the driving axis, whatever comes of it. */
export function habitAims(graph: Graph, line: Line, { axes }: LineColumns, habit: Habit): Aim[] {
  const sense = flowSense(line)
  const [x, y, z] = axes[0] as VectorColumns
  const rearward = sense === 1 ? [x, y, z] : [x, y, z].map((part) => scalarStep(graph, TIMES, [part], [-1]))
  const fall = graph.step(FALL_PLAN_DEG, rearward)[0] as Column
  return [{ column: fall, least: HABITS[habit] - BY_EYE, most: HABITS[habit] + BY_EYE }]
}

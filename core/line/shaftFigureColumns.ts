import type { Column, Graph } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import type { Line } from '../file/parts/lineSpec'
import { angleTo, degrees } from '../base/units/angle'
import { bearingForceColumns } from './bearingForceColumns'
import type { LineColumns } from './lineColumns'
import { phasesOf } from './phases'

/** A figure as a column; one that is the length of a vector, or rises with it, says which. */
export interface FigureColumn {
  readonly column: Column
  readonly vector?: {
    readonly columns: readonly [Column, Column]
    /** The figure when the vector is nought. */
    readonly figureAtNought: number
  }
}

/** Angle of a shaft against the seat of its bearing in degrees, whichever way either is told. */
export const SEAT_ANGLE: Kernel = {
  name: 'angle of the shaft in its bearing',
  page: 'couples',
  outputs: 1,
  run: (count, [ax, ay, az, bx, by, bz], [angleDeg]) => {
    for (let i: Row = 0; i < count; i++) {
      const x = ay[i] * bz[i] - az[i] * by[i]
      const y = az[i] * bx[i] - ax[i] * bz[i]
      const z = ax[i] * by[i] - ay[i] * bx[i]
      const dot = ax[i] * bx[i] + ay[i] * by[i] + az[i] * bz[i]
      angleDeg[i] = degrees(angleTo(Math.sqrt(x * x + y * y + z * z), Math.abs(dot)))
    }
  },
}

/** Shear of a cross over what it may bear, from the joint's angle in radians; parameter: the share when it stands straight. */
export const CROSS_SHARE: Kernel = {
  name: 'shear of the cross',
  page: 'strength',
  outputs: 1,
  run: (count, [angle], [share], [straight]) => {
    for (let i: Row = 0; i < count; i++) share[i] = straight / Math.cos(angle[i])
  },
}

export function bearingFigures(
  graph: Graph,
  line: Line,
  { axes, normals, spans, reaches }: LineColumns,
  torqueNm: number | null,
): (FigureColumn | null)[] {
  const none = line.shafts.map(() => null)
  const held = reaches.slice(0, -1).flatMap((reach) => reach ?? [])
  if (torqueNm === null || held.length === 0 || held.length < line.shafts.length - 1) return none
  const kinds = line.joints.map(({ kind }) => kind)
  const forces = bearingForceColumns(graph, kinds, axes, normals, spans, held, phasesOf(line), torqueNm)
  return [...forces.map((column) => ({ column })), null]
}

import { scalarStep, type Column, type Graph } from '../columns/graph'
import type { Kernel, Row } from '../columns/kernel'
import type { Line, Shaft } from '../project/lineSpec'
import { criticalRpmWithEnds, criticalSpeedRpm } from '../strength/criticalSpeed'
import { metalOf } from '../strength/metal'
import { tubeSection } from '../strength/tubeSection'
import { angleTo, degrees } from '../units/angle'
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

/** How a spline in a shaft stands. */
export interface SlipColumns {
  readonly left: FigureColumn
  readonly engaged: FigureColumn | null
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

/** Way left at a joint that plunges, in mm; parameters: length at the middle of its range, and its reach either way. */
export const PLUNGE_LEFT: Kernel = {
  name: 'plunge left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [middle, reach]) => {
    for (let i: Row = 0; i < count; i++) left[i] = reach - Math.abs(length[i] - middle)
  },
}

/** Way left until a spline bottoms, in mm; parameter: length when it is pushed home. */
const SLIP_LEFT: Kernel = {
  name: 'slip left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [closed]) => {
    for (let i: Row = 0; i < count; i++) left[i] = length[i] - closed
  },
}

/** Engaged spline over its diameter; parameters: length at which nothing is engaged any more, and the diameter, in mm. */
const ENGAGED: Kernel = {
  name: 'spline engaged',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [share], [apart, diameter]) => {
    for (let i: Row = 0; i < count; i++) share[i] = (apart - length[i]) / diameter
  },
}

/** Critical speed of a tube with masses near its ends, from the length in mm; parameters: see `ENDED_PARAMETERS`. */
const CRITICAL_WITH_ENDS: Kernel = {
  name: 'critical speed of the tube with what sits at its ends',
  page: 'strength',
  outputs: 1,
  run: (count, [length], [speedRpm], [outerMm, wallMm, stiffnessGPa, densityKgM3, kg, inboardMm]) => {
    const section = tubeSection({ outerMm, wallMm })
    const metal = { stiffnessGPa, densityKgM3 }
    for (let i: Row = 0; i < count; i++)
      speedRpm[i] =
        length[i] > 2 * inboardMm
          ? criticalRpmWithEnds(section, metal, length[i], { kind: 'mass', kg, inboardMm })
          : NaN
  },
}

/** First bending critical speed from the length between joint centres in mm; parameter: that of the same tube 1 mm long. */
const CRITICAL_SPEED: Kernel = {
  name: 'critical speed of the tube',
  page: 'strength',
  outputs: 1,
  run: (count, [length], [speedRpm], [atOneMm]) => {
    for (let i: Row = 0; i < count; i++) speedRpm[i] = atOneMm / (length[i] * length[i])
  },
}

export function criticalColumn(graph: Graph, { tube, endMasses }: Shaft, span: Column): Column | null {
  if (!tube) return null
  if (!endMasses) return scalarStep(graph, CRITICAL_SPEED, [span], [criticalSpeedRpm(tube, 1)])
  const { stiffnessGPa, densityKgM3 } = metalOf(tube)
  return scalarStep(
    graph,
    CRITICAL_WITH_ENDS,
    [span],
    [tube.outerMm, tube.wallMm, stiffnessGPa, densityKgM3, endMasses.kg, endMasses.inboardMm],
  )
}

export function slipColumns(graph: Graph, { slip }: Shaft, span: Column): SlipColumns | null {
  const { closedMm, engagedMm, diameterMm } = slip ?? {}
  if (closedMm === undefined) return null
  return {
    left: { column: scalarStep(graph, SLIP_LEFT, [span], [closedMm]) },
    engaged:
      engagedMm === undefined || diameterMm === undefined
        ? null
        : { column: scalarStep(graph, ENGAGED, [span], [closedMm + engagedMm, diameterMm]) },
  }
}

/** Way left until a slip yoke bottoms, in mm, from how far it has slid out; parameter: its set-in at ride height. */
const YOKE_LEFT: Kernel = {
  name: 'slip left at the yoke',
  page: 'travel',
  outputs: 1,
  run: (count, [slide], [left], [setIn]) => {
    for (let i: Row = 0; i < count; i++) left[i] = setIn + slide[i]
  },
}

/** Engaged spline of a slip yoke over its diameter, from how far it has slid out; parameters: engaged at ride height, diameter, in mm. */
const YOKE_ENGAGED: Kernel = {
  name: 'spline engaged in the yoke',
  page: 'travel',
  outputs: 1,
  run: (count, [slide], [share], [engaged, diameter]) => {
    for (let i: Row = 0; i < count; i++) share[i] = (engaged - slide[i]) / diameter
  },
}

/** How the slip yoke at the driving end of a line stands; null for another end, or where its set-in is not told. */
export function yokeColumns(graph: Graph, { drivingEnd }: Shaft, slide: Column | null): SlipColumns | null {
  if (drivingEnd?.kind !== 'slip-yoke' || drivingEnd.setInMm === undefined) return null
  const { setInMm, engagedMm, splineDiameterMm } = drivingEnd
  const out = slide ?? graph.source(0)
  return {
    left: { column: scalarStep(graph, YOKE_LEFT, [out], [setInMm]) },
    engaged:
      engagedMm === undefined || splineDiameterMm === undefined
        ? null
        : { column: scalarStep(graph, YOKE_ENGAGED, [out], [engagedMm, splineDiameterMm]) },
  }
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

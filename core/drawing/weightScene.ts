import type { Evaluation } from '../model/evaluateBuild'
import { axlesOf, chassisOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import type { Corner, MassEntry, MassSpot, WeightSheet } from '../file/parts/weightSheet'
import type { AxleLoads, LoadChange } from '../vehicle/weight/axleLoads'
import { lineScene, stationSpan } from './lineScene'
import { USUAL_AXLE } from './usualSizes'
import type { Shape, ViewPoint } from './shape'

/** A place in both views of the picture; a view whose height or offset nobody told has none. */
export interface WeightPlace {
  readonly side: ViewPoint | null
  readonly top: ViewPoint | null
}

/** A wheel with what its scale showed; null while it was not weighed. */
export interface WeighedWheel {
  readonly corner: Corner
  readonly at: ViewPoint
  readonly kg: number | null
}

/** An axle with its load before and after; null while that is not known. */
export interface LoadedAxle {
  readonly end: 'front' | 'rear'
  readonly station: number
  readonly load: { readonly beforeKg: number; readonly afterKg: number } | null
}

/** A thing that goes in, comes out or is moved. */
export interface SceneMass {
  readonly id: string
  readonly name: string
  readonly done: MassEntry['done']
  readonly kg: number
  readonly at: WeightPlace
  /** Where it is moved to; null for what is not moved. */
  readonly to: WeightPlace | null
}

/** The vehicle on its scales, from the side and from above, in mm. */
export interface WeightScene {
  readonly side: readonly Shape[]
  readonly top: readonly Shape[]
  readonly tyreMm: number
  /** The tyres or where the ground is were not told: the wheels are drawn in dashes. */
  readonly isUsual: boolean
  /** Height of the wheels' centres above the datum plane. */
  readonly wheelUpMm: number
  readonly wheels: readonly WeighedWheel[]
  readonly axles: readonly LoadedAxle[]
  readonly masses: readonly SceneMass[]
  readonly centre: { readonly before: WeightPlace; readonly after: WeightPlace } | null
  /** Stations shown. */
  readonly span: readonly [number, number]
  /** Widest track, in mm. */
  readonly acrossMm: number
}

/** Room beside the wheels, in mm. */
const ROOM = 380

/** What a sheet of weights looks like on the vehicle; what was not told is left out. */
export function weightScene(
  build: Build,
  now: Evaluation,
  sheet: WeightSheet,
  loads: LoadChange | null,
): WeightScene {
  const { frontStationMm, rearStationMm, trackFrontMm, trackRearMm, cornersKg = {} } = sheet
  const drawn = lineScene(build, now)
  const told = axlesOf(build).flatMap(({ sizes }) => sizes?.tyreDiameterMm ?? [])
  const tyreMm = told.length > 0 ? Math.max(...told) : USUAL_AXLE.tyreDiameterMm
  const ground = chassisOf(build)?.sizes?.groundBelowMm
  const wheel = (corner: Corner, station: number | undefined, left: number | undefined): WeighedWheel[] =>
    station === undefined || left === undefined
      ? []
      : [{ corner, at: [station, left], kg: cornersKg[corner] ?? null }]
  const half = (track: number | undefined) => (track === undefined ? undefined : track / 2)
  const other = (track: number | undefined) => (track === undefined ? undefined : -track / 2)
  const axle = (
    end: LoadedAxle['end'],
    station: number | undefined,
    of: (loads: AxleLoads) => number,
  ): LoadedAxle[] =>
    station === undefined
      ? []
      : [{ end, station, load: loads && { beforeKg: of(loads.before), afterKg: of(loads.after) } }]
  const wheels = [
    ...wheel('frontLeft', frontStationMm, half(trackFrontMm)),
    ...wheel('frontRight', frontStationMm, other(trackFrontMm)),
    ...wheel('rearLeft', rearStationMm, half(trackRearMm)),
    ...wheel('rearRight', rearStationMm, other(trackRearMm)),
  ]
  const span = stationSpan(build, now)
  const stations = [frontStationMm, rearStationMm].filter((station) => station !== undefined)
  return {
    side: drawn.shapes.side,
    top: drawn.shapes.top,
    tyreMm,
    isUsual: told.length === 0 || ground === undefined,
    wheelUpMm: ground === undefined ? 0 : tyreMm / 2 - ground,
    wheels,
    axles: [
      ...axle('front', frontStationMm, ({ frontKg }) => frontKg),
      ...axle('rear', rearStationMm, ({ rearKg }) => rearKg),
    ],
    masses: sheet.masses.flatMap(sceneMass),
    centre: loads && { before: centreOf(loads.before), after: centreOf(loads.after) },
    span: [
      Math.min(span[0], ...stations.map((station) => station - ROOM)),
      Math.max(span[1], ...stations.map((station) => station + ROOM)),
    ],
    acrossMm: Math.max(trackFrontMm ?? 0, trackRearMm ?? 0, 1200),
  }
}

const centreOf = ({ centre: { station, offset, height } }: AxleLoads): WeightPlace => ({
  side: height === null ? null : [station, height],
  top: [station, offset],
})

function placeOf(spot: MassSpot | undefined): WeightPlace | null {
  const { stationMm, leftMm, upMm } = spot ?? {}
  if (stationMm === undefined) return null
  return {
    side: upMm === undefined ? null : [stationMm, upMm],
    top: leftMm === undefined ? null : [stationMm, leftMm],
  }
}

function sceneMass({ id, name, done, kg, at, to }: MassEntry): SceneMass[] {
  const [from, goes] = [placeOf(at), placeOf(to)]
  if (kg === undefined || !(kg > 0) || !from) return []
  return [{ id, name, done, kg, at: from, to: done === 'moved' ? goes : null }]
}

import type { Vec3 } from '../linalg/vec3'

/** A point as a builder reads it, in mm: rearward of the datum, left of the centreline, above the datum plane. */
export interface StationPoint {
  readonly station: number
  readonly offsetLeft: number
  readonly height: number
}

/** Station, offset and height to the chassis frame (X forward, so station is −X). */
export const fromStation = (point: StationPoint): Vec3 => [-point.station, point.offsetLeft, point.height]

/** Chassis frame to station, offset and height. */
export const toStation = (point: Vec3): StationPoint => ({
  station: point[0] === 0 ? 0 : -point[0],
  offsetLeft: point[1],
  height: point[2],
})

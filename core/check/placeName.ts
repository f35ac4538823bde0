import { formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** A place of the wheels by how far they are up, in mm: "38.2 mm down", "left 20.0 mm up, right 30.0 mm down". */
export function placeName(leftUpMm: number, rightUpMm: number, units: UnitSettings): string {
  const one = (upMm: number) => `${formatLength(Math.abs(upMm), units)} ${upMm < 0 ? 'down' : 'up'}`
  return Math.abs(leftUpMm - rightUpMm) < 0.05
    ? one(leftUpMm)
    : `left ${one(leftUpMm)}, right ${one(rightUpMm)}`
}

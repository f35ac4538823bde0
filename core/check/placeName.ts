import { formatLength } from '../base/units/format'
import type { UnitSettings } from '../base/units/unitSettings'

/** A place of the wheels by how far they are up, in mm: "38.2 mm down", "left 20.0 mm up, right 30.0 mm down". */
export function placeName(leftUpMm: number, rightUpMm: number, units: UnitSettings): string {
  const one = (upMm: number) => `${formatLength(Math.abs(upMm), units)} ${upMm < 0 ? 'down' : 'up'}`
  return Math.abs(leftUpMm - rightUpMm) < 0.05
    ? one(leftUpMm)
    : `left ${one(leftUpMm)}, right ${one(rightUpMm)}`
}

/** Where the wheels are, after a name: "at full droop"; a place between the named ones is set anew for each setting and has no name yet. */
export const whereWords = ({ name }: { readonly name: string }): string =>
  name === '' ? 'where it stands worst between' : `at ${name}`

import { CoreError, requireFinite } from '../../base/errors'

/** A place on the vehicle, in mm: rearward of the datum, left of the centreline, above the datum plane. */
export interface MassPlace {
  readonly station: number
  readonly offset: number
  readonly height: number
}

/** A thing with its mass in kg, at its centre of gravity. */
export interface Mass extends MassPlace {
  readonly kg: number
}

/** Several masses as one, at their centre of gravity. */
export type Centre = Mass

/**
 * The centre of gravity of several masses.
 *
 * @throws CoreError `out-of-range` where a mass is not above nought, `wrong-length` without any
 * @see docs/methods/weight.md
 */
export function centreOfMass(masses: readonly Mass[]): Centre {
  if (masses.length === 0) throw new CoreError('wrong-length', 'masses', 'at least one is needed')
  masses.forEach(requireMass)
  const kg = masses.reduce((sum, one) => sum + one.kg, 0)
  const mean = (of: (mass: Mass) => number) => masses.reduce((sum, one) => sum + one.kg * of(one), 0) / kg
  return {
    kg,
    station: mean(({ station }) => station),
    offset: mean(({ offset }) => offset),
    height: mean(({ height }) => height),
  }
}

/** @throws CoreError `out-of-range` for a mass that is not above nought, `not-finite` for a place that is no number */
export function requireMass({ kg, station, offset, height }: Mass): void {
  if (!(kg > 0)) throw new CoreError('out-of-range', 'mass', 'must be above nought')
  for (const figure of [kg, station, offset, height]) requireFinite(figure, 'mass')
}

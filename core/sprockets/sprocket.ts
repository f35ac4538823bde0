import { CoreError } from '../base/errors'

/** Fewest and most teeth a sprocket has. */
const LEAST_TEETH = 5
const MOST_TEETH = 500

/** The angle of half a tooth, in radians. */
const halfTooth = (teeth: number): number => Math.PI / teeth

/**
 * Refuses a sprocket or a pitch that cannot be.
 *
 * @throws CoreError `not-finite`, or `out-of-range` for teeth that are no whole number or too few, or a pitch not above 0
 */
export function requireSprocket(teeth: number, pitchMm: number, where = 'teeth'): void {
  if (!Number.isFinite(teeth)) throw new CoreError('not-finite', where, 'expected a number of teeth')
  if (!Number.isInteger(teeth) || teeth < LEAST_TEETH || teeth > MOST_TEETH)
    throw new CoreError('out-of-range', where, `a sprocket has ${LEAST_TEETH} to ${MOST_TEETH} whole teeth`)
  if (!Number.isFinite(pitchMm)) throw new CoreError('not-finite', 'pitch', 'expected a pitch')
  if (!(pitchMm > 0)) throw new CoreError('out-of-range', 'pitch', 'the pitch must be above 0')
}

/** Radius of the circle through the pins of a chain on a sprocket, in mm. */
export const pitchRadius = (teeth: number, pitchMm: number): number =>
  pitchMm / (2 * Math.sin(halfTooth(teeth)))

/** Over the tips of the teeth, in mm, by the usual proportion of roller chain. */
export const outsideDiameter = (teeth: number, pitchMm: number): number =>
  pitchMm * (0.6 + 1 / Math.tan(halfTooth(teeth)))

/**
 * How much the chain's speed swings within a tooth, as it lies in chords: its range over its mean, and its drop from its greatest.
 *
 * @returns shares, not percent
 */
export function speedSwing(teeth: number): { readonly ofMean: number; readonly ofMost: number } {
  const angle = halfTooth(teeth)
  return {
    ofMean: angle * (1 / Math.sin(angle) - 1 / Math.tan(angle)),
    ofMost: 1 - Math.cos(angle),
  }
}

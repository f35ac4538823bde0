/** An angle in radians; branded because degrees look the same and are silently wrong. */
export type Radians = number & { readonly brand: 'Radians' }

/** Degrees, as people and files say them, to radians. */
export const radians = (degrees: number): Radians => ((degrees * Math.PI) / 180) as Radians

/** Radians to degrees. */
export const degrees = (angle: number): number => (angle * 180) / Math.PI

/** Marks a number that a formula gave in radians. */
export const asRadians = (angle: number): Radians => angle as Radians

/**
 * The angle whose tangent is a ratio, in its quadrant: `Math.atan2`, but in the half where nearly all angles lie in half its
 * time.
 */
export const angleTo = (rise: number, run: number): number =>
  run > 0 ? Math.atan(rise / run) : Math.atan2(rise, run)

/** Shaft speed in rev/min to rad/s. */
export const angularSpeed = (speedRpm: number): number => (speedRpm * Math.PI) / 30

/** Sum of figures in one unit; 0 of none. */
export const sum = (figures: readonly number[]): number => figures.reduce((total, one) => total + one, 0)

/** Greatest common divisor of two whole numbers above 0 (Euclid). */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
/** Least common multiple of two whole numbers above 0. */
export const lcm = (a: number, b: number): number => (a / gcd(a, b)) * b

import { known, unknown, type Known } from '../../base/known'

/** Below this a figure needs no direction: it is nought on any tape or level. */
const NOUGHT = 1e-9

/**
 * A magnitude and the word for its direction, as one signed figure.
 *
 * @param positive - the word that counts positive
 * @param fallback - the word when none is given; null when it must be said
 */
export function signed(
  magnitude: number,
  word: string | undefined,
  positive: string,
  fallback: string | null,
  question: string,
  path: string,
): Known<number> {
  if (Math.abs(magnitude) < NOUGHT) return known(0)
  const said = word ?? fallback
  if (said === null) return unknown(question, path)
  return known(said === positive ? magnitude : -magnitude)
}

/** How far a measured figure may be off: half-width of the tool's uniform error, standard deviation of one repeat, repeats. */
interface Spread {
  readonly halfWidth: number
  readonly scatter: number
  readonly count: number
}

/** Variance that the tool leaves in a reading, in the input's unit squared: a uniform error of half-width a has a²/3. */
export const toolVariance = ({ halfWidth }: Pick<Spread, 'halfWidth'>): number => halfWidth ** 2 / 3

/** Variance of the mean of the repeats: s²/n. */
export const scatterVariance = ({ scatter, count }: Pick<Spread, 'scatter' | 'count'>): number =>
  scatter ** 2 / Math.max(1, count)

/**
 * Standard deviation of an input: tool and scatter together.
 *
 * @see docs/methods/uncertainty.md
 */
export const deviationOf = (input: Spread): number => Math.sqrt(toolVariance(input) + scatterVariance(input))

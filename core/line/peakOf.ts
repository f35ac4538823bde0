/**
 * Greatest value of a periodic curve, by the parabola through its highest sample and the two beside it.
 *
 * @param values - samples at even steps over one period
 */
export function peakOf(values: Float64Array): number {
  const count = values.length
  let best = 0
  for (let i = 1; i < count; i++) if ((values[i] as number) > (values[best] as number)) best = i
  const here = values[best] as number
  const before = values[(best + count - 1) % count] as number
  const behind = values[(best + 1) % count] as number
  const bend = before - 2 * here + behind
  const slope = behind - before
  return bend < 0 ? here - (slope * slope) / (8 * bend) : here
}

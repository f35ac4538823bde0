/** The time below which a share of the runs stayed. */
export const percentile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? NaN

/** Prints a line of the bench. */
export const say = (what: string, times: readonly number[]) =>
  console.log(
    `${what.padEnd(44)} median ${percentile(times, 0.5).toFixed(2)} ms   p95 ${percentile(times, 0.95).toFixed(2)} ms`,
  )

import { missingLimits } from '../limits/usualLimit'
import type { Build } from '../build/build'
import type { Quantity } from '../build/limit'

/** A build that has a usual limit for each of the quantities it had none for. */
export function withMissingLimits(build: Build, quantities: readonly Quantity[]): Build {
  const added = missingLimits(build.limits, quantities)
  if (added.length === 0) return build
  return { ...build, limits: { ...build.limits, entries: [...build.limits.entries, ...added] } }
}

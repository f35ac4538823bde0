import type { Column } from '../../base/columns/graph'
import { isSameState } from '../../check/check'
import { plannedChecks, type CompiledBuild } from '../../model/compile'
import type { Evaluation } from '../../model/evaluateBuild'
import { namedFigures } from '../../model/namedFigures'

/**
 * The column of a figure by its name.
 *
 * @param name - id of a check (`rear/pair`), or a place in the published result (`lines[0].ride.joints[1].angleDeg`,
 *   `axes[0].fallDeg`, `points[2].heightMm`, `chains[0].slack.playMm`)
 * @returns null for a name that no figure of this build has
 */
export function figureColumn(compiled: CompiledBuild, { checks }: Evaluation, name: string): Column | null {
  const check = checks.find(({ id }) => id === name)
  if (check) return checkColumn(compiled, check)
  return namedFigures(compiled).find(({ place }) => place === name)?.column ?? null
}

function checkColumn(compiled: CompiledBuild, check: Evaluation['checks'][number]): Column | null {
  const value = plannedChecks(compiled).find(
    ({ head }) => head.id === check.id && isSameState(head, check),
  )?.value
  return value == null || typeof value === 'number' ? null : value.column
}

/** Names of all figures that can be asked for, checks first. */
export const figureNames = (compiled: CompiledBuild, { checks }: Evaluation): string[] => [
  ...checks.filter(({ quantity }) => quantity !== 'set-in').map(({ id }) => id),
  ...namedFigures(compiled).flatMap(({ place }) => place ?? []),
]

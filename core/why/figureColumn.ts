import type { Column } from '../columns/graph'
import { isSameState, stateKey } from '../check/check'
import { statePlace } from '../model/statePlace'
import type { Evaluation } from '../model/evaluateBuild'
import { plannedChecks, type CompiledBuild } from '../model/compile'

/**
 * The column of a figure by its name.
 *
 * @param name - id of a check (`rear/pair`), or a place in the published result (`lines[0].ride.joints[1].angleDeg`,
 *   `axes[0].fallDeg`, `points[2].heightMm`)
 * @returns null for a name that no figure of this build has
 */
export function figureColumn(compiled: CompiledBuild, { checks }: Evaluation, name: string): Column | null {
  const check = checks.find(({ id }) => id === name)
  return check ? checkColumn(compiled, check) : (placeColumn(compiled, name) ?? lineColumn(compiled, name))
}

function checkColumn(compiled: CompiledBuild, check: Evaluation['checks'][number]): Column | null {
  const value = plannedChecks(compiled).find(
    ({ head }) => head.id === check.id && isSameState(head, check),
  )?.value
  return value == null || typeof value === 'number' ? null : value.column
}

function placeColumn({ build, placeFigures }: CompiledBuild, name: string): Column | null {
  const [, list, index, figure] = /^(points|axes)\[(\d+)\]\.(\w+)$/.exec(name) ?? []
  const item = (list === 'points' ? build.points : build.axes)[Number(index)]
  const of = list === 'points' ? 'point' : 'axis'
  return (
    placeFigures.find((one) => one.of === of && one.id === item?.id && one.name === figure)?.column ?? null
  )
}

function lineColumn({ build, lines }: CompiledBuild, name: string): Column | null {
  const [, index, place, figure] = /^lines\[(\d+)\]\.((?:travel\[\d+\]\.)?\w+)\.(.+)$/.exec(name) ?? []
  const found = lines[Number(index)]?.states.find(({ state }) => statePlace(build, stateKey(state)) === place)
  return found?.figures?.named.find((one) => one.name === figure)?.column ?? null
}

/** Names of all figures that can be asked for, checks first. */
export function figureNames({ build, lines, placeFigures }: CompiledBuild, { checks }: Evaluation): string[] {
  const indexOf = (of: 'point' | 'axis', id: string) =>
    (of === 'point' ? build.points : build.axes).findIndex((one) => one.id === id)
  return [
    ...checks.filter(({ quantity }) => quantity !== 'set-in').map(({ id }) => id),
    ...placeFigures.map(
      ({ of, id, name }) => `${of === 'point' ? 'points' : 'axes'}[${indexOf(of, id)}].${name}`,
    ),
    ...lines.flatMap(({ states }, index) =>
      states.flatMap(({ state, figures }) => {
        const place = statePlace(build, stateKey(state))
        return place === null
          ? []
          : (figures?.named ?? []).map(({ name }) => `lines[${index}].${place}.${name}`)
      }),
    ),
  ]
}

import { givenFigures } from '../../model/screen'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import { inputKey, type Input } from '../../measure/figures/inputs'
import { oneByOne, varianceOf } from '../../measure/figures/oneByOne'
import { compile } from '../../model/compile'
import { chosenSettings, evaluate, type Evaluation } from '../../model/evaluateBuild'
import { namedFigures } from '../../model/namedFigures'
import type { LeverSettings } from '../../vehicle/moves/settings'

/** A build as it stands in one of its trials. */
export interface StandingBuild {
  readonly build: Build
  readonly settings: LeverSettings
}

/** As packed for a trial and, where points were read again in it, as those tell it; as chosen for null. */
export function standingIn(build: Build, trial: Id | null): StandingBuild {
  if (trial === null) return { build, settings: chosenSettings(build) }
  const countedFrom = trial === build.trials[0]?.id ? undefined : trial
  const settings = build.trials.find(({ id }) => id === trial)?.packed ?? {}
  return { build: { ...build, countedFrom }, settings }
}

/** A named figure as it stands in one trial and in another. */
export interface ChangedFigure {
  /** Under which its ± is kept. */
  readonly id: string
  readonly from: number
  readonly to: number
  readonly by: number
  /** Of the change, two standard deviations: what both rest on alike cancels. */
  readonly plusMinus: number
}

/**
 * How far named figures change from one stand of a build to another, by first-order propagation through the readings of both.
 *
 * @param ids - of named figures; those that either stand does not have are left out
 * @see docs/methods/welds.md
 */
export function changedFigures(
  from: StandingBuild,
  to: StandingBuild,
  ids: readonly string[],
): ChangedFigure[] {
  const [before, after] = [figuresOf(from, ids), figuresOf(to, ids)]
  const inputs = new Map<string, Input>()
  for (const input of [...before.inputs, ...after.inputs]) inputs.set(inputKey(input), input)
  const [keys, all] = [[...inputs.keys()], [...inputs.values()]]
  return ids.flatMap((id): ChangedFigure[] => {
    const [then, now] = [before.figure(id), after.figure(id)]
    if (!Number.isFinite(then) || !Number.isFinite(now)) return []
    const variance = varianceOf(
      all,
      (k) => after.change(id, keys[k] ?? '') - before.change(id, keys[k] ?? ''),
    )
    return [{ id, from: then, to: now, by: now - then, plusMinus: 2 * Math.sqrt(variance) }]
  })
}

/** What a build is judged to be as it stands. */
export const evaluatedAs = ({ build, settings }: StandingBuild): Evaluation =>
  evaluate(compile(build), settings)

function figuresOf(stand: StandingBuild, ids: readonly string[]) {
  const compiled = compile(stand.build)
  const columns = new Map(namedFigures(compiled).map(({ id, column }) => [id, column] as const))
  const wanted = ids.flatMap((id) => columns.get(id) ?? [])
  const given = givenFigures(compiled, stand.settings, evaluatedAs(stand).set)
  const { inputs, figure, change } = oneByOne(
    { graph: compiled.graph, list: compiled.measured.list },
    wanted,
    given,
  )
  const places = new Map(inputs.map((input, k) => [inputKey(input), k] as const))
  const columnOf = (id: string) => columns.get(id)
  return {
    inputs,
    figure: (id: string) => {
      const column = columnOf(id)
      return column === undefined ? NaN : figure(column)
    },
    /** Nothing where the figure does not rest on the input. */
    change: (id: string, key: string) => {
      const [column, place] = [columnOf(id), places.get(key)]
      return column === undefined || place === undefined ? 0 : change(column, place)
    },
  }
}

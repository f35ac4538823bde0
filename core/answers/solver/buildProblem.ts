import { roomScale } from '../../file/limits/worst'
import { stateKey } from '../../check/check'
import type { PlannedCheck } from '../../check/plannedCheck'
import { plannedChecks, type CompiledBuild } from '../../model/compile'
import { evaluate } from '../../model/evaluateBuild'
import { givenFigures } from '../../model/screen'
import { leverGrid } from '../../vehicle/moves/leverGrid'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Lever } from '../../file/build/lever'
import type { SearchLimit, SearchProblem } from './problem'

/** How well a setting has to do: `holds` keeps every warning too, `allowed` only what fails. */
export type Strictness = 'holds' | 'allowed'

/** What settings have to keep. */
export interface WantedOfSettings {
  /** Ids of checks that cannot be judged for want of a reading; they are left aside. */
  readonly unread: ReadonlySet<string>
  readonly strictness: Strictness
  /** ± of checks that hardly changes with the levers, by their ids: what `holds` has to hold with it. */
  readonly spreads?: ReadonlyMap<string, number>
}

/**
 * Share of its ± by which a check has to stand clear of its limits to be a candidate: what stands nearer does not hold with its ±,
 * however much that changes from one setting to another. The ± itself is proved for each candidate.
 */
const CLEAR = 0.85

/** The search over some levers of a build, all others left where they stand: every check in every state it is made in. */
export function buildProblem(
  compiled: CompiledBuild,
  settings: LeverSettings,
  levers: readonly Lever[],
  wanted: WantedOfSettings,
): SearchProblem {
  const columns = compiled.levers
  return {
    graph: compiled.graph,
    levers: levers.flatMap((lever) => {
      const column = columns.get(lever.id)
      return column === undefined ? [] : [{ column, steps: leverGrid(lever, settings[lever.id] ?? 0) }]
    }),
    limits: [
      ...plannedChecks(compiled).flatMap((planned) => limitOf(planned, wanted)),
      ...compiled.subjects.flatMap(({ mustKeep }) =>
        mustKeep.map((one) => ({ ...one, least: null, scale: one.most })),
      ),
    ],
    fixed: givenFigures(compiled, settings, evaluate(compiled, settings).set),
  }
}

function limitOf(
  { head, window, value, unknownBounds }: PlannedCheck,
  { unread, strictness, spreads }: WantedOfSettings,
): SearchLimit[] {
  if (unread.has(head.id) || value === null || typeof value === 'number' || unknownBounds.length > 0)
    return []
  // It ties every lever of the powertrain to every gap: no part could be searched by itself. Whatever is found is judged by it afterwards.
  if (head.state === 'load') return []
  const { failLow, warnLow, warnHigh, failHigh } = window
  const isStrict = strictness === 'holds'
  const [low, high] = isStrict ? [warnLow ?? failLow, warnHigh ?? failHigh] : [failLow, failHigh]
  if (low === null && high === null) return []
  const scale = roomScale(head.quantity, window)
  const clear = isStrict ? CLEAR * (spreads?.get(head.id) ?? 0) : 0
  const [least, most] = [low === null ? null : low + clear, high === null ? null : high - clear]
  return [
    {
      id: `${head.id}/${stateKey(head)}`,
      check: head.id,
      subject: head.subject.of,
      column: value.column,
      least,
      most,
      scale,
    },
  ]
}

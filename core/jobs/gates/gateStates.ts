import type { Temporary } from '../../file/kinds/temporaryKinds'
import { GATES, type Gate, type GateEntry } from '../../file/kinds/gateKinds'
import { gateNeeds, type GateNeed, type GateSite } from './gateNeeds'
import { markFrom, marksUnder, markText, type Mark } from './under'

/** A thing that is otherwise than when a gate was passed. */
export interface Changed {
  readonly part: Mark['part']
  readonly id: string
  readonly how: 'new' | 'other' | 'gone'
}

/**
 * Where a gate stands: passed; fallen back since, with what changed under it; ready to be passed; or waiting for what it asks for or for a gate
 * before it.
 */
export interface GateState {
  readonly gate: Gate
  readonly state: 'passed' | 'fallen' | 'ready' | 'waiting'
  readonly entry: GateEntry | null
  readonly needs: readonly GateNeed[]
  /** What is otherwise since it was passed. */
  readonly changed: readonly Changed[]
  /** The first gate before it that does not stand. */
  readonly before: Gate | null
  /** What is temporary now; each wants a reason before the gate is passed over it. */
  readonly temporaries: readonly Temporary[]
}

/** All gates of a build in their order. */
export function gateStates(site: GateSite): GateState[] {
  const { build } = site
  const temporaries = (build.temporaries ?? []).filter(({ closedAt }) => closedAt === undefined)
  let before: Gate | null = null
  return GATES.map((gate): GateState => {
    const entry = build.gates?.find((one) => one.gate === gate) ?? null
    const needs = gateNeeds(gate, site)
    const changed = entry ? changedSince(entry, marksUnder(build, gate)) : []
    const isMet = needs.every(({ open }) => open.length === 0)
    const stands = entry !== null && changed.length === 0 && isMet && before === null
    const open = isMet && before === null ? 'ready' : 'waiting'
    const state: GateState = {
      gate,
      state: stands ? 'passed' : entry ? 'fallen' : open,
      entry,
      needs,
      changed,
      before,
      temporaries,
    }
    if (!stands && before === null) before = gate
    return state
  })
}

function changedSince({ under }: GateEntry, now: readonly Mark[]): Changed[] {
  const key = ({ part, id }: Mark) => `${part}/${id}`
  const then = new Map(under.map((text) => [key(markFrom(text)), markFrom(text)] as const))
  const there = new Map(now.map((mark) => [key(mark), mark] as const))
  const gone = [...then.values()].filter((mark) => !there.has(key(mark)))
  return [
    ...now.flatMap((mark): Changed[] => {
      const was = then.get(key(mark))
      if (was?.mark === mark.mark) return []
      return [{ part: mark.part, id: mark.id, how: was ? 'other' : 'new' }]
    }),
    ...gone.map(({ part, id }): Changed => ({ part, id, how: 'gone' })),
  ]
}

/** What a gate is passed with: how everything under it is now. */
export const underNow = ({ build }: Pick<GateSite, 'build'>, gate: Gate): string[] =>
  marksUnder(build, gate).map(markText)

/** True where nothing that is temporary goes through without a reason. */
export const mayPass = (
  { state, needs, before, temporaries }: GateState,
  reasons: Readonly<Record<string, string>>,
): boolean =>
  state !== 'passed' &&
  before === null &&
  needs.every(({ open }) => open.length === 0) &&
  temporaries.every(({ id }) => (reasons[id] ?? '').trim() !== '')

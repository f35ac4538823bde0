import { CoreError } from '../../base/errors'
import { requireTime } from '../network/network'

/** Something of the vehicle that stands one way or another: the engine in or out, the exhaust on or off. */
export interface VehicleState {
  readonly start: string
  /** How it must stand at the end; any way when absent. */
  readonly end?: string | undefined
  readonly moves: readonly StateMove[]
}

/** A change of one of them, at its price; some are possible only while others stand so. */
export interface StateMove {
  readonly from: string
  readonly to: string
  readonly price: number
  readonly with?: Readonly<Record<string, string>> | undefined
}
export type VehicleStates = Readonly<Record<string, VehicleState>>
/** How some of them stand. */
export type Standing = Readonly<Record<string, string>>

/** A change that is made on the way. */
export interface MoveMade {
  readonly state: string
  readonly from: string
  readonly to: string
}

/**
 * A move adds so much to its price: of ways at one price the one of fewest moves is the least. Far below any price, far above what adding
 * prices up loses.
 */
export const PER_MOVE = 1e-9
/** More ways to stand than are worked through. */
const MOST_STANDINGS = 512

/** All ways in which a vehicle may stand, numbered, and the cheapest changes between any two. */
export interface Standings {
  readonly count: number
  readonly start: number
  /** True where it stands as is asked; what is not asked may stand any way. */
  readonly isSo: (standing: number, asked: Standing) => boolean
  /** The standing with some of it set otherwise. */
  readonly set: (standing: number, to: Standing) => number
  /** Price of the cheapest changes, each with `PER_MOVE` on it; infinite where there are none. */
  readonly cost: (from: number, to: number) => number
  readonly moves: (from: number, to: number) => MoveMade[]
  readonly ends: readonly number[]
}

/**
 * Numbers all ways to stand and finds the cheapest changes between them.
 *
 * @param named - what tasks ask for and set besides
 * @throws CoreError `unknown` for a state or a value that is nowhere, `out-of-range` for a price below nought, `too-large`
 */
export function standingsOf(states: VehicleStates, named: readonly Standing[] = []): Standings {
  const names = Object.keys(states)
  const values = names.map((name) => valuesOf(name, states, named))
  const count = values.reduce((all, { length }) => all * length, 1)
  if (count > MOST_STANDINGS)
    throw new CoreError('too-large', 'states', `stand in more than ${MOST_STANDINGS} ways`)
  const sizes = values.map((_, i) => values.slice(0, i).reduce((all, { length }) => all * length, 1))
  const digit = (standing: number, i: number) =>
    Math.floor(standing / (sizes[i] ?? 1)) % (values[i]?.length ?? 1)
  const placeOf = (name: string, value: string): readonly [number, number] => {
    const i = names.indexOf(name)
    const at = values[i]?.indexOf(value) ?? -1
    if (i < 0 || at < 0) throw new CoreError('unknown', name, `never stands "${value}"`)
    return [i, at]
  }
  const isSo = (standing: number, asked: Standing) =>
    Object.entries(asked).every(([name, value]) => {
      const [i, at] = placeOf(name, value)
      return digit(standing, i) === at
    })
  const set = (standing: number, to: Standing) =>
    Object.entries(to).reduce((now, [name, value]) => {
      const [i, at] = placeOf(name, value)
      return now + (at - digit(now, i)) * (sizes[i] ?? 1)
    }, standing)
  for (const asked of named) set(0, asked)
  const only = (of: 'start' | 'end'): Standing =>
    Object.fromEntries(
      names.flatMap((name) => (states[name]?.[of] === undefined ? [] : [[name, states[name][of]]])),
    )
  const all = Array.from({ length: count }, (_, standing) => standing)
  const ways = cheapestWays(all, (standing) => movesFrom(states, standing, isSo, set))
  return {
    count,
    start: set(0, only('start')),
    isSo,
    set,
    ends: all.filter((standing) => isSo(standing, only('end'))),
    ...ways,
  }
}

function valuesOf(name: string, states: VehicleStates, named: readonly Standing[]): string[] {
  const { start, end, moves = [] } = states[name] ?? {}
  for (const { price } of moves) requireTime(price, `price of ${name}`)
  const told = [start, end, ...moves.flatMap(({ from, to }) => [from, to]), ...named.map((one) => one[name])]
  const withs = Object.values(states).flatMap((state) => state.moves.map((move) => move.with?.[name]))
  return [...new Set([...told, ...withs])].filter((value) => value !== undefined)
}

interface Step {
  readonly to: number
  readonly price: number
  readonly made: MoveMade
}

const movesFrom = (
  states: VehicleStates,
  standing: number,
  isSo: Standings['isSo'],
  set: Standings['set'],
): Step[] =>
  Object.entries(states).flatMap(([state, { moves }]) =>
    moves.flatMap(({ from, to, price, with: other = {} }) =>
      isSo(standing, { [state]: from }) && isSo(standing, other)
        ? [{ to: set(standing, { [state]: to }), price, made: { state, from, to } }]
        : [],
    ),
  )

/** The cheapest way from each standing to each: shortest paths by the nearest that is still open. */
function cheapestWays(
  all: readonly number[],
  stepsFrom: (standing: number) => Step[],
): Pick<Standings, 'cost' | 'moves'> {
  const steps = all.map(stepsFrom)
  const costs = all.map(() => new Float64Array(all.length).fill(Infinity))
  const came = all.map(() => new Map<number, { readonly from: number; readonly made: MoveMade }>())
  for (const start of all) {
    const own = costs[start]
    if (!own) continue
    own[start] = 0
    const open = new Set(all)
    while (open.size > 0) {
      let at = -1
      for (const one of open) if (at < 0 || (own[one] ?? NaN) < (own[at] ?? NaN)) at = one
      open.delete(at)
      for (const { to, price, made } of steps[at] ?? []) {
        const cost = (own[at] ?? NaN) + price + PER_MOVE
        if (cost >= (own[to] ?? NaN)) continue
        own[to] = cost
        came[start]?.set(to, { from: at, made })
      }
    }
  }
  const moves = (from: number, to: number): MoveMade[] => {
    const made: MoveMade[] = []
    for (let at = to; at !== from;) {
      const last = came[from]?.get(at)
      if (!last) return []
      made.unshift(last.made)
      at = last.from
    }
    return made
  }
  return { cost: (from, to) => costs[from]?.[to] ?? Infinity, moves }
}

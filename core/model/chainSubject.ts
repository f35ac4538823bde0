import type { WheelPlace } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { ChainLine } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import { isLock, wheelPlaces } from '../file/build/wheelPlaces'
import { chainFigures } from '../chain/chainFigures'
import { evaluateChain, type ChainEvaluation } from '../chain/chainEvaluation'
import { compileChain } from '../chain/chains'
import { chainsAlong, extremePlacesIn, extremePlacesOf } from '../chain/chainTravel'
import { chainWants, type CompiledChain } from '../chain/compiledChain'
import type { SweptChain } from '../stand/compiledTravel'
import type { Ground, Subject, SubjectFigure } from './subject'

/** The roller chains of a build, each round its sprockets. */
export const CHAINS: Subject<CompiledChain, ChainEvaluation> = {
  key: 'chains',
  spares: (build, graph, axles) =>
    (build.chains ?? []).flatMap((chain) => {
      const { tightest, slackest } = extremePlacesOf(graph, chain, axles)
      return [tightest, slackest]
    }),
  compile: (ground) => {
    const things = (ground.build.chains ?? []).map((chain) => compiledAlong(ground, chain))
    return {
      key: 'chains',
      things,
      plans: plansOf(things),
      mustKeep: [],
      wants: things.flatMap(chainWants),
      swept: {
        plans: things.flatMap(({ swept }) => swept?.plans ?? []),
        wants: things.flatMap(({ swept }) =>
          swept?.columns ? [swept.columns.neededMm, swept.columns.spanMm] : [],
        ),
      },
      spares: things.flatMap(({ extremes }) => (extremes ? [extremes.tightest, extremes.slackest] : [])),
      figures: things.flatMap(figuresOfChain),
      look: (swept) => {
        const along = swept && ground.travel ? chainsAlong(things, ground.travel.axles, swept) : []
        return {
          set: along,
          found: (stand) => things.map((chain) => evaluateChain(chain, { ...stand, along })),
        }
      },
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  rejudged: (found, change) => found.map((chain) => ({ ...chain, checks: chain.checks.map(change) })),
}

const plansOf = (chains: readonly Pick<CompiledChain, 'plans'>[]): PlannedCheck[] =>
  chains.flatMap(({ plans }) => plans.map(({ planned }) => planned))

/** A chain, and as it stands at the place that goes through the travel where it goes along. */
function compiledAlong(ground: Ground, chain: ChainLine): CompiledChain {
  const { build, travel } = ground
  const named = travel ? placesOfChain(build, travel.moving, chain) : []
  const extremes = travel && named.length > 0 ? extremePlacesIn(travel, chain) : null
  const compiled = compileChain(ground, chain, {
    at: [null, ...named, ...(extremes && travel ? travel.between : [])],
    extremes,
    isTravelling: extremes !== null,
  })
  if (!extremes || !travel) return { ...compiled, swept: null }
  const through = compileChain(ground, chain, { at: [travel.through], extremes: null, isTravelling: true })
  return { ...compiled, swept: { plans: plansOf([through]), columns: sweptChain(through) } }
}

/** A chain as it stands at the place that goes through the travel; null where it cannot be placed. */
function sweptChain({ places, slackSpan }: Pick<CompiledChain, 'places' | 'slackSpan'>): SweptChain | null {
  const columns = places[0]?.columns
  if (!columns?.known) return null
  const { neededMm, spansMm } = columns.value
  const spanMm = spansMm[slackSpan ?? 0]
  return spanMm === undefined ? null : { neededMm, spanMm }
}

/** The named places of the wheels that a chain is looked at in: none where all its sprockets stay where they are. */
const placesOfChain = (build: Build, moving: ReadonlySet<BodyId>, { sprockets }: ChainLine): WheelPlace[] =>
  sprockets.some(({ point }) => moving.has(build.points.find(({ id }) => id === point)?.body ?? ''))
    ? wheelPlaces(build).flatMap(({ id, name, travel }) =>
        travel !== null && isLock(travel) ? [] : [{ id, name }],
      )
    : []

/** Id of a figure of a chain, by its place under the chain in the published result. */
export const chainFigureId = (chainId: Id, name: string): string => `chain/${chainId}/${name}`

const figuresOfChain = (compiled: CompiledChain, index: number): SubjectFigure<ChainEvaluation>[] =>
  chainFigures(compiled).map(({ name, column, stands }) => ({
    id: chainFigureId(compiled.chain.id, name),
    place: `chains[${index}].${name}`,
    column,
    stands: (found) => {
      const now = found[index]
      return now !== undefined && stands(now)
    },
  }))

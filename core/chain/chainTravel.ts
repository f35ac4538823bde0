import type { Graph, FigureOf } from '../base/columns/graph'
import type { WheeledBody } from '../file/parts/body'
import type { ChainLine } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import {
  chainRun,
  type ChainColumns,
  type CompiledChain,
  type ExtremeColumns,
  type OfExtremes,
} from './compiledChain'
import type { SparePlace } from '../stand/compiledTravel'
import { heightsInRow, rowName, wheelsInRow, type SweepRow } from '../stand/sweep'
import { sweepPeak, type SweepOf } from '../stand/sweepPeak'
import { sparePlace, type SetPlace } from '../stand/travel'

/** A chain where it is tightest, or slackest, along its travel. */
export interface ChainExtreme {
  readonly neededMm: number
  readonly spanMm: number
  /** Of the first wheels, from ride height. */
  readonly upMm: number
  /** In words: "35.0 mm down". */
  readonly place: string
}

/** A chain through the travel of its wheels. */
export interface ChainTravel {
  readonly tightest: ChainExtreme
  readonly slackest: ChainExtreme
}

const EXTREMES = ['tightest', 'slackest'] as const
type Extreme = (typeof EXTREMES)[number]
/** Places of the wheels at which a chain is tightest and slackest, to be set as its levers stand. */
export type ExtremePlaces = OfExtremes<SparePlace>

const ofExtremes = <T>(make: (extreme: Extreme) => T): OfExtremes<T> => ({
  tightest: make('tightest'),
  slackest: make('slackest'),
})

const extremeId = (extreme: Extreme, id: Id): Id => `${extreme}-${id}`

/** The places of a chain that goes along with wheels. */
export const extremePlacesOf = (
  graph: Graph,
  { id }: ChainLine,
  axles: readonly WheeledBody[],
): ExtremePlaces => ofExtremes((extreme) => sparePlace(graph, extremeId(extreme, id), axles))

/** The same, of those that were asked for when the build was compiled. */
export function extremePlacesIn(
  { spare }: { readonly spare: (id: Id) => SparePlace | undefined },
  { id }: ChainLine,
): ExtremePlaces | null {
  const [tightest, slackest] = EXTREMES.map((extreme) => spare(extremeId(extreme, id)))
  return tightest && slackest ? { tightest, slackest } : null
}

/** A chain at the places where it is tightest and slackest; null where it cannot be placed. */
export function extremeColumnsOf(
  graph: Graph,
  { name }: ChainLine,
  slackSpan: number | null,
  places: ExtremePlaces,
  columnsAt: (id: Id) => ChainColumns | null,
): ExtremeColumns | null {
  const [tightest, slackest] = EXTREMES.map((extreme) => {
    const columns = columnsAt(places[extreme].id)
    if (!columns) return null
    graph.name([columns.neededMm], `${name}: length it needs where it is ${extreme}`)
    return { ...places[extreme], neededMm: columns.neededMm, spanMm: chainRun(columns, slackSpan) }
  })
  return tightest && slackest ? { tightest, slackest } : null
}

/** The places of the wheels at which a chain is tightest and slackest, as the levers stand. */
export interface ChainPlaces extends SetPlace {
  readonly chainId: Id
  /** What it comes to there. */
  readonly travel: (figure: FigureOf) => ChainTravel | null
}

/** Where each chain that goes along with wheels is tightest and slackest; at ride height where it closes nowhere. */
export function chainsAlong(
  chains: readonly CompiledChain[],
  axles: readonly WheeledBody[],
  of: Omit<SweepOf, 'body'>,
): ChainPlaces[] {
  const { build, settings } = of
  const [body] = axles
  return chains.flatMap(({ chain, extremes, swept }): ChainPlaces[] => {
    const through = swept?.columns
    if (!through || !extremes || !body) return []
    const peaks = ofExtremes((extreme) =>
      sweepPeak({ ...of, body }, through.neededMm, extreme === 'tightest' ? 1 : -1),
    )
    const figures = new Map(
      EXTREMES.flatMap((extreme) => [
        ...wheelsInRow(build, axles, extremes[extreme], peaks[extreme]?.row ?? AT_RIDE, settings),
      ]),
    )
    const found = (extreme: Extreme, row: SweepRow, figure: FigureOf): ChainExtreme => ({
      neededMm: figure(extremes[extreme].neededMm),
      spanMm: figure(extremes[extreme].spanMm),
      upMm: heightsInRow(build, body, row, settings)[0],
      place: rowName(build, body, row, settings),
    })
    const { tightest, slackest } = peaks
    return [
      {
        chainId: chain.id,
        figures,
        travel: (figure) =>
          tightest && slackest
            ? {
                tightest: found('tightest', tightest.row, figure),
                slackest: found('slackest', slackest.row, figure),
              }
            : null,
      },
    ]
  })
}

const AT_RIDE: SweepRow = { way: 'parallel', share: 0 }

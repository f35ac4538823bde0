import { EXCESS, placeOf, ROOM_LEFT, type AdjusterPlace } from '../sprockets/adjuster'
import { chainLength } from '../sprockets/chainDrive'
import { scalarStep, type Column, type Graph, type FigureOf } from '../base/columns/graph'
import { innerPart } from '../base/columns/innerPart'
import { ZERO_OUTPUTS, zeroKernel } from '../base/columns/zeroAlong'
import { allKnown, known, mapKnown, unknown, type Known } from '../base/known'
import type { LeverColumns } from '../vehicle/moves/bodyMove'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { Build } from '../file/build/build'
import { USUAL_WORN_PERCENT, type ChainLine } from '../file/parts/chainLine'
import type { Lever } from '../file/build/lever'
import type { AdjusterColumns, ChainSlackColumns, SprocketColumns } from './compiledChain'

/** Where the adjuster of a chain stands, and where it has to for a new and for a worn chain. */
export interface AdjusterTravel {
  readonly lever: Lever
  readonly standsMm: number
  /** With the middle of the wanted slack, as the chain is now. */
  readonly right: AdjusterPlace
  /** Just taut. */
  readonly taut: AdjusterPlace
  /** With the wanted slack, new and worn out; unknown while its links are not told. */
  readonly fresh: Known<AdjusterPlace>
  readonly worn: Known<AdjusterPlace>
  /** Room left in the range at the nearer end, from new to worn; below nought, how much is missing. */
  readonly leftMm: Known<number>
}

/**
 * Where the lever that tightens a chain has to stand: looked for along its range, for the chain as it is, just taut, new and
 * worn out; null where no lever tightens it.
 *
 * @see docs/methods/chains.md
 */
export function adjusterColumns(
  { build, graph, levers }: { readonly build: Build; readonly graph: Graph; readonly levers: LeverColumns },
  chain: ChainLine,
  slack: Known<ChainSlackColumns>,
): Known<AdjusterColumns> | null {
  const lever = build.levers.find(({ id }) => id === chain.adjuster)
  const amount = lever && levers.get(lever.id)
  if (!lever || amount === undefined) return null
  return mapKnown(slack, ({ lengthMm, neededMm, spanMm, moreMm, wantedPercent }) => {
    const { links, pitchMm, wornPercent = USUAL_WORN_PERCENT, name } = chain
    const middle = wantedPercent ? (wantedPercent[0] + wantedPercent[1]) / 2 : 0
    const excess = (length: Column, percent: number): Column =>
      scalarStep(graph, EXCESS, [length, neededMm, spanMm, moreMm], [percent, percent === 0 ? 0 : 1])
    const zeros = (words: readonly string[], wanted: readonly Column[]): SprocketColumns[] => {
      // How much more the tightest place needs hardly changes with the adjuster.
      const part = innerPart(graph, amount, wanted, [moreMm])
      const found = graph.step(
        zeroKernel(`${name}: where its adjuster is to stand`, 'chains', { part, range: lever.range, wanted }),
        [...part.given, amount],
      )
      return words.map((word, i) => {
        const at = found[ZERO_OUTPUTS * i] as Column
        graph.name([at], `${name}: adjuster ${word}`, 'mm')
        return { at, overMm: found[ZERO_OUTPUTS * i + 1] as Column }
      })
    }
    const [right, taut] = zeros(
      ['with the right slack', 'where it is just taut'],
      [excess(lengthMm, middle), excess(lengthMm, 0)],
    ) as [SprocketColumns, SprocketColumns]
    const lengths =
      links === undefined ? [] : [0, wornPercent / 100].map((wear) => chainLength({ links, wear }, pitchMm))
    // What is judged of new and worn stands by itself: samples need no more.
    const ends =
      lengths.length === 0
        ? []
        : zeros(
            ['with a new chain', 'with a worn chain'],
            lengths.map((length) => excess(graph.source(length), middle)),
          )
    const linked = (place: SprocketColumns | undefined): Known<SprocketColumns> =>
      place ? known(place) : unknown(`${name}: how many links it has`)
    const [fresh, worn] = [linked(ends[0]), linked(ends[1])]
    const leftMm = mapKnown(allKnown([fresh, worn] as const), ([one, other]) => {
      const places = [one.at, one.overMm, other.at, other.overMm]
      const left = scalarStep(graph, ROOM_LEFT, places, lever.range)
      graph.name([left], `${name}: room left in its adjuster`, 'mm')
      return left
    })
    return { lever, right, taut, fresh, worn, leftMm }
  })
}

/** The adjuster as the levers stand. */
export const adjusterAt = (
  { lever, right, taut, fresh, worn, leftMm }: AdjusterColumns,
  settings: LeverSettings,
  figure: FigureOf,
): AdjusterTravel => {
  const place = ({ at, overMm }: SprocketColumns) => placeOf(figure(at), figure(overMm))
  return {
    lever,
    standsMm: settings[lever.id] ?? 0,
    right: place(right),
    taut: place(taut),
    fresh: mapKnown(fresh, place),
    worn: mapKnown(worn, place),
    leftMm: mapKnown(leftMm, figure),
  }
}

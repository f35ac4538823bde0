import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { allKnown, mapKnown, type Known } from '../base/known'
import type { Id } from '../file/parts/id'
import type { CopedTube, TubeEnd } from '../file/kinds/copedTubeKinds'
import { LESS_BOTH, TUBE_AXIS, TUBE_CUT, TUBE_END, TUBE_TWIST } from '../making/copes/tubeKernels'

/** Figures of one end of a tube, by their names in the published result; a square end has none. */
export const TUBE_END_FIGURES = ['angleDeg', 'offsetMm', 'footMm', 'tipMm', 'rootMm', 'roomMm'] as const
export type TubeEndFigure = (typeof TUBE_END_FIGURES)[number]

/** Figures of a whole tube: from axis to axis, the turn between its ends, its length at the match line and for the saw. */
export const TUBE_FIGURES = ['axisMm', 'twistDeg', 'matchMm', 'sawMm'] as const
export type TubeFigure = (typeof TUBE_FIGURES)[number]

/** The end of a tube, by columns; a place that no other tube is at has only where it is. */
export interface TubeEndColumns {
  readonly at: VectorColumns
  /** Of the main tube's axis. */
  readonly main: readonly [VectorColumns, VectorColumns] | null
  readonly figures: Readonly<Partial<Record<TubeEndFigure, Column>>>
}

export interface TubeColumns {
  readonly ends: readonly TubeEndColumns[]
  readonly figures: Readonly<Partial<Record<TubeFigure, Column>>>
}

type PointOf = (id: Id) => Known<VectorColumns>

/** All that is worked out of a tube. */
export function tubeColumns(graph: Graph, tube: CopedTube, point: PointOf): Known<TubeColumns> {
  const places = allKnown(tube.ends.map((end) => endPlaces(end, point)))
  return mapKnown(places, (ends) => columnsOf(graph, tube, ends))
}

interface EndPlaces {
  readonly at: VectorColumns
  readonly main: readonly [VectorColumns, VectorColumns] | null
}

function endPlaces({ point: id, main }: TubeEnd, point: PointOf): Known<EndPlaces> {
  if (!main) return mapKnown(point(id), (at) => ({ at, main: null }))
  const all = allKnown([point(id), point(main.a), point(main.b)] as const)
  return mapKnown(all, ([at, a, b]) => ({ at, main: [a, b] }))
}

function columnsOf(graph: Graph, tube: CopedTube, places: readonly EndPlaces[]): TubeColumns {
  const nought = graph.source(0)
  const [first, second] = places as readonly [EndPlaces, EndPlaces]
  const meet = ({ at, main }: EndPlaces, far: VectorColumns): MeetsMain | null => {
    if (!main) return null
    const [angle, offset, foot, ...across] = graph.step(TUBE_END, [...at, ...far, ...main[0], ...main[1]])
    return { angle, offset, foot, across } as unknown as MeetsMain
  }
  const meets = [meet(first, second.at), meet(second, first.at)] as const
  const [from, to] = meets
  const twistDeg =
    from && to
      ? scalarStep(graph, TUBE_TWIST, [...first.at, ...second.at, ...from.across, ...to.across])
      : undefined
  // The match line faces the first end's main tube, or the second's where the first is square.
  const cuts = meets.map((meet, k) => {
    const main = tube.ends[k]?.main
    if (!meet || !main) return null
    const match = k === 1 && twistDeg !== undefined ? twistDeg : nought
    return graph.step(
      TUBE_CUT,
      [meet.angle, meet.offset, match],
      [tube.outerMm, tube.wallMm, main.outerMm],
    ) as Cut
  })
  const of = (k: 0 | 1, which: 0 | 1) => cuts[k]?.[which] ?? nought
  const axisMm = scalarStep(graph, TUBE_AXIS, [
    ...first.at,
    ...second.at,
    from?.foot ?? nought,
    to?.foot ?? nought,
  ])
  const matchMm = scalarStep(graph, LESS_BOTH, [axisMm, of(0, 0), of(1, 0)], [0])
  const sawMm = scalarStep(graph, LESS_BOTH, [axisMm, of(0, 1), of(1, 1)], [tube.spareMm])
  graph.name([axisMm], `${tube.name}, axis to axis`, 'mm')
  graph.name([matchMm], `${tube.name}, length at the match line`, 'mm')
  return {
    ends: [first, second].map(({ at, main }, k) => {
      const [meet, cut] = [meets[k], cuts[k]]
      if (!meet || !cut) return { at, main, figures: {} }
      const [, tipMm, rootMm, roomMm] = cut
      const { angle: angleDeg, offset: offsetMm, foot: footMm } = meet
      return { at, main, figures: { angleDeg, offsetMm, footMm, tipMm, rootMm, roomMm } }
    }),
    figures: { axisMm, matchMm, sawMm, ...(twistDeg !== undefined && { twistDeg }) },
  }
}

interface MeetsMain {
  readonly angle: Column
  readonly offset: Column
  readonly foot: Column
  readonly across: VectorColumns
}
type Cut = readonly [Column, Column, Column, Column]

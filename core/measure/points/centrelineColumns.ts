import { HALFWAY } from '../../base/columns/arithmetic'
import { scalarStep, type Column } from '../../base/columns/graph'
import { known, mapKnown, unknown, type Known } from '../../base/known'
import type { Setup } from '../../file/build/setup'
import type { CentrePair } from '../../file/parts/named'
import type { Reading } from '../../file/build/reading'
import type { PointOffsetReading, PointStationReading } from '../../file/kinds/vehicleReadings'
import { FIT_CENTRELINE, offsetFromCentreline, type Centreline } from '../attitude/centrelineFit'
import { lastReading } from '../targets/chosen'
import type { CentrelineColumns, ReadingContext } from '../figures/context'
import { measuredOffset, measuredStation } from './pointReading'

/** One pair of frame holes: where its middle lies, and how far that is from the line through all middles. */
export interface PairMisfit {
  readonly pair: CentrePair
  readonly station: number
  /** Offset of the middle from the string, in mm left. */
  readonly middle: number
  /** How far the middle lies left of the fitted centreline, in mm. */
  readonly misfit: number
}

/** The line through the middles of a setup's frame-hole pairs, with what each pair misses it by. */
export interface CentrelineFit {
  readonly line: Centreline
  readonly pairs: readonly PairMisfit[]
  /** Largest misfit in size, in mm. */
  readonly worst: number
}

interface Middle {
  readonly pair: CentrePair
  readonly station: Column
  readonly offset: Column
}

/** Pairs closer together than this, in mm, show no direction. */
const CLOSEST = 100

/** The centreline of a setup against its string, from frame-hole pairs; null when the build names none. */
export function centrelineColumns(context: ReadingContext, setup: Setup): Known<CentrelineColumns> | null {
  if ((context.build.centrePairs?.length ?? 0) === 0) return null
  const middles = middlesOf(context, setup)
  if (middles.length < 2) return unknown(`${setup.name}: the centreline needs two pairs of frame holes read`)
  const stations = middles.map(({ station }) => context.graph.at(station))
  if (Math.max(...stations) - Math.min(...stations) < CLOSEST)
    return unknown(`${setup.name}: the pairs of frame holes stand too close together to show a centreline`)
  const [start, slope] = context.graph.step(
    FIT_CENTRELINE,
    middles.flatMap(({ station, offset }) => [station, offset]),
    [middles.length],
  ) as [Column, Column]
  return known({ start, slope })
}

/**
 * The centreline that the frame-hole pairs of a setup tell, and the misfit of each pair.
 *
 * @returns unknown with what is missing, fewer than two pairs included
 */
export function centrelineFit(context: ReadingContext, setup: Setup): Known<CentrelineFit> {
  const columns = context.centreline(setup)
  if (columns === null) return unknown('no pairs of frame holes are named yet')
  const { at } = context.graph
  return mapKnown(columns, ({ start, slope }) => {
    const line = { start: at(start), slope: at(slope) }
    const pairs = middlesOf(context, setup).map(({ pair, station, offset }) => {
      const [along, middle] = [at(station), at(offset)]
      return { pair, station: along, middle, misfit: offsetFromCentreline(line, along, middle) }
    })
    return { line, pairs, worst: Math.max(...pairs.map(({ misfit }) => Math.abs(misfit))) }
  })
}

/** Middles of the pairs both of whose holes have station and offset read in this setup. */
function middlesOf(context: ReadingContext, setup: Setup): Middle[] {
  return (context.build.centrePairs ?? []).flatMap((pair) => {
    const left = holePlace(context, setup, pair.left)
    const right = holePlace(context, setup, pair.right)
    if (!left || !right) return []
    const halfway = (a: Column, b: Column) => scalarStep(context.graph, HALFWAY, [a, b])
    return [
      { pair, station: halfway(left.station, right.station), offset: halfway(left.offset, right.offset) },
    ]
  })
}

function holePlace(context: ReadingContext, setup: Setup, id: string) {
  const point = context.build.points.find((one) => one.id === id)
  const inSetup = <R extends Reading>(kind: R['kind']) =>
    lastReading(
      context.build,
      (reading): reading is R =>
        reading.kind === kind &&
        'point' in reading &&
        reading.point === id &&
        'setup' in reading &&
        reading.setup === setup.id,
    )
  const station = inSetup<PointStationReading>('point-station')
  const offset = inSetup<PointOffsetReading>('point-offset')
  if (!point || !station || !offset) return null
  const along = measuredStation(context, point, station)
  const across = measuredOffset(context, point, offset)
  return along.known && across.known ? { station: along.value, offset: across.value } : null
}

import { TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column, type VectorColumns } from '../../base/columns/graph'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { NamedPoint } from '../../file/parts/named'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import type { GivenPointReading } from '../../file/kinds/givenReadings'
import type {
  PointHeightReading,
  PointOffsetReading,
  PointStationReading,
} from '../../file/kinds/vehicleReadings'
import { OFFSET_FROM_CENTRELINE } from '../attitude/centrelineFit'
import { lastReading, type PlacedReading } from '../targets/chosen'
import type { CentrelineColumns, PointColumns, ReadingContext } from '../figures/context'
import { givenFigure } from '../figures/figure'
import { lengthParser, measuredLength, measuredOffset, measuredStation } from './pointReading'

/** A point's place in the chassis frame from its three figures. */
export const placeColumns = (
  { graph }: ReadingContext,
  { station, offset, height }: PointColumns,
): Known<VectorColumns> =>
  // Stations count rearward, X forward.
  mapKnown(allKnown<[Column, Column, Column]>([station, offset, height]), ([s, o, h]) => [
    scalarStep(graph, TIMES, [s], [-1]),
    o,
    h,
  ])

/**
 * Figures of a point that were taken against the chassis itself, or given.
 *
 * @param trial - as it stood in another trial; the first when null
 */
export function chassisFigures(
  context: ReadingContext,
  point: NamedPoint,
  trial: Id | null = null,
): PointColumns {
  const { build } = context
  const given = lastReading(build, isOf<GivenPointReading>('given-point', point), trial)
  const station = lastReading(build, isOf<PointStationReading>('point-station', point), trial)
  const offset = lastReading(build, isOf<PointOffsetReading>('point-offset', point), trial)
  const height = lastReading(build, isOf<PointHeightReading>('point-height', point), trial)
  return {
    station: station
      ? marked(measuredLength(context, point, station), station, point)
      : givenLength(context, point, given, 'station'),
    offset: offset
      ? marked(centredOffset(context, point, offset, trial), offset, point)
      : givenLength(context, point, given, 'offset'),
    height: height
      ? marked(measuredLength(context, point, height), height, point)
      : givenLength(context, point, given, 'height'),
  }
}

const isOf =
  <R extends Reading>(kind: R['kind'], point: NamedPoint) =>
  (reading: Reading): reading is R =>
    reading.kind === kind && 'point' in reading && reading.point === point.id

/** Adds the mark of a provisional reading to whatever rests on it. */
function marked<T>(figure: Known<T>, { reading }: PlacedReading, point: NamedPoint): Known<T> {
  if (!figure.known || !reading.provisional) return figure
  return known(figure.value, [
    ...figure.assumptions,
    `${point.name}: provisional, read it again when the part is there`,
  ])
}

/** Offset from the chassis centreline; from the string, less the string's own place, where frame-hole pairs tell it. */
function centredOffset(
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<PointOffsetReading>,
  trial: Id | null,
): Known<Column> {
  const offset = measuredOffset(context, point, placed)
  const setup = context.build.setups.find((one) => one.id === placed.reading.setup)
  const line = setup?.centreline === 'pairs' ? context.centreline(setup) : null
  if (!setup || !line) return offset
  const station = lastReading(context.build, isOf<PointStationReading>('point-station', point), trial)
  const along = station
    ? measuredStation(context, point, station)
    : unknown(`${point.name}: station not read`)
  const all = allKnown<[Column, Column, CentrelineColumns]>([offset, along, line])
  return mapKnown(all, ([read, stationRead, { start, slope }]) =>
    scalarStep(context.graph, OFFSET_FROM_CENTRELINE, [read, stationRead, start, slope]),
  )
}

function givenLength(
  context: ReadingContext,
  point: NamedPoint,
  given: PlacedReading<GivenPointReading> | null,
  which: 'station' | 'offset' | 'height',
): Known<Column> {
  if (!given) return unknown(`${point.name}: ${which} not read`)
  const { reading, path } = given
  const label = `${point.name}, ${which}`
  const directions = {
    station: { word: reading.stationWay, positive: 'rearward', fallback: 'rearward', key: 'stationWay' },
    offset: { word: reading.side, positive: 'left', fallback: null, key: 'side' },
    height: { word: reading.heightWay, positive: 'above', fallback: 'above', key: 'heightWay' },
  } as const
  const { key, ...direction } = directions[which]
  const figure = givenFigure(context, reading, {
    field: which,
    label,
    unit: 'mm',
    texts: [reading[which]],
    textPath: `${path}.${which}`,
    isSingle: true,
    parse: lengthParser(context.build, reading.unit),
    direction: {
      ...direction,
      question: `${label}: left or right of the centreline?`,
      path: `${path}.${key}`,
    },
  })
  return marked(figure, given, point)
}

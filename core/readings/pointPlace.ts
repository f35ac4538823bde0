import { fromStation } from '../frame/station'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build, NamedPoint } from '../project/build'
import type {
  GivenPointReading,
  PointHeightReading,
  PointOffsetReading,
  PointStationReading,
  Reading,
} from '../project/reading'
import { parseLength } from '../units/parseLength'
import type { LengthUnit } from '../units/unitSettings'
import { lastReading, type PlacedReading } from './chosen'
import { offsetFromPlumb } from './plumb'
import { readRepeats } from './readingValue'
import { setupAttitude } from './setupAttitude'
import { signed } from './signed'

/** The three figures that place a point, each known or not: mm rearward, left, up. */
export interface PointFigures {
  readonly station: Known<number>
  readonly offset: Known<number>
  readonly height: Known<number>
}

/**
 * A point's place in the chassis frame as measured, in mm.
 *
 * @param anyOffset - the offset does not matter; when it was not read the point is put on the centreline
 */
export function pointPlace(build: Build, point: NamedPoint, anyOffset = false): Known<Vec3> {
  const { station, offset, height } = pointFigures(build, point)
  const across = anyOffset && !offset.known ? known(0) : offset
  return mapKnown(allKnown<[number, number, number]>([station, across, height]), ([s, o, h]) =>
    fromStation({ station: s, offsetLeft: o, height: h }),
  )
}

/** Station, offset and height of a point, measured figures before given ones. */
export function pointFigures(build: Build, point: NamedPoint): PointFigures {
  const is =
    <R extends Reading>(kind: R['kind']) =>
    (reading: Reading): reading is R =>
      reading.kind === kind && 'point' in reading && reading.point === point.id
  const given = lastReading<GivenPointReading>(build, is('given-point'))
  const station = lastReading<PointStationReading>(build, is('point-station'))
  const offset = lastReading<PointOffsetReading>(build, is('point-offset'))
  const height = lastReading<PointHeightReading>(build, is('point-height'))
  return {
    station: station
      ? marked(measuredLength(build, point, station), station, point)
      : givenFigure(build, point, given, 'station'),
    offset: offset
      ? marked(measuredOffset(build, point, offset), offset, point)
      : givenFigure(build, point, given, 'offset'),
    height: height
      ? marked(measuredLength(build, point, height), height, point)
      : givenFigure(build, point, given, 'height'),
  }
}

/** Adds the mark of a provisional reading to whatever rests on it. */
function marked(figure: Known<number>, { reading }: PlacedReading, point: NamedPoint): Known<number> {
  if (!figure.known || !reading.provisional) return figure
  return known(figure.value, [
    ...figure.assumptions,
    `${point.name}: provisional, read it again when the part is there`,
  ])
}

const lengthParser = (build: Build, unit: LengthUnit | undefined) => (text: string) =>
  parseLength(text, unit ?? build.units.length)

function measuredLength(
  build: Build,
  point: NamedPoint,
  { reading, path }: PlacedReading<PointStationReading | PointHeightReading>,
): Known<number> {
  const isStation = reading.kind === 'point-station'
  const name = `${point.name}, ${isStation ? 'station' : 'height'}`
  const size = readRepeats(reading.values, lengthParser(build, reading.unit), name, `${path}.values`)
  if (!size.known) return size
  const positive = isStation ? 'rearward' : 'above'
  return signed(size.value.mean, reading.way, positive, positive, name, `${path}.way`)
}

function measuredOffset(
  build: Build,
  point: NamedPoint,
  { reading, path }: PlacedReading<PointOffsetReading>,
): Known<number> {
  const name = `${point.name}, offset`
  const parse = lengthParser(build, reading.unit)
  const size = readRepeats(reading.values, parse, name, `${path}.values`)
  if (!size.known) return size
  const left = signed(
    size.value.mean,
    reading.side,
    'left',
    null,
    `${name}: left or right of the centreline?`,
    `${path}.side`,
  )
  if (!left.known || reading.by !== 'plumb') return left

  const setup = build.setups.find((one) => one.id === reading.setup)
  if (!setup) return unknown(`${name}: its setup is missing`, `${path}.setup`)
  if (reading.aboveCentreline === undefined) {
    return unknown(
      `${name}: dropped plumb, so the height above the centreline points is needed`,
      `${path}.aboveCentreline`,
    )
  }
  const above = readRepeats(
    [reading.aboveCentreline],
    parse,
    `${name}, height above the centreline`,
    `${path}.aboveCentreline`,
  )
  const lift = above.known
    ? signed(
        above.value.mean,
        reading.aboveCentrelineWay,
        'above',
        'above',
        name,
        `${path}.aboveCentrelineWay`,
      )
    : above
  return mapKnown(
    allKnown<[number, { up: Vec3 }]>([lift, setupAttitude(build, setup)]),
    ([height, attitude]) => offsetFromPlumb(left.value, height, attitude.up),
  )
}

function givenFigure(
  build: Build,
  point: NamedPoint,
  given: PlacedReading<GivenPointReading> | null,
  which: 'station' | 'offset' | 'height',
): Known<number> {
  if (!given) return unknown(`${point.name}: ${which} not read`)
  const { reading, path } = given
  const name = `${point.name}, ${which}`
  const size = readRepeats([reading[which]], lengthParser(build, reading.unit), name, `${path}.${which}`)
  if (!size.known)
    return { known: false, missing: size.missing.map((one) => ({ ...one, path: `${path}.${which}` })) }
  const word =
    which === 'station' ? reading.stationWay : which === 'offset' ? reading.side : reading.heightWay
  const positive = which === 'station' ? 'rearward' : which === 'offset' ? 'left' : 'above'
  const wordKey = which === 'station' ? 'stationWay' : which === 'offset' ? 'side' : 'heightWay'
  const fallback = which === 'offset' ? null : positive
  const question = `${name}: left or right of the centreline?`
  return marked(
    signed(size.value.mean, word, positive, fallback, question, `${path}.${wordKey}`),
    given,
    point,
  )
}

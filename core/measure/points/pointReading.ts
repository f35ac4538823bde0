import { scalarStep, type Column, type VectorColumns } from '../../base/columns/graph'
import { allKnown, mapKnown, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { NamedPoint } from '../../file/parts/named'
import type {
  PointHeightReading,
  PointOffsetReading,
  PointStationReading,
} from '../../file/kinds/vehicleReadings'
import { parseLength } from '../../base/units/parseLength'
import type { LengthUnit } from '../../base/units/unitSettings'
import type { PlacedReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { measuredFigure, type FigureSpec } from '../figures/figure'
import { worldUp } from '../attitude/worldUp'
import { OFFSET_FROM_PLUMB } from '../attitude/plumb'

/** Reads a length in a reading's own unit, else the build's. */
export const lengthParser = (build: Build, unit: LengthUnit | undefined) => (text: string) =>
  parseLength(text, unit ?? build.units.length)

/** Station as read. */
export const measuredStation = (
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<PointStationReading>,
): Known<Column> => measuredLength(context, point, placed)

/** Station or height as read, in mm rearward or up. */
export function measuredLength(
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<PointStationReading | PointHeightReading>,
): Known<Column> {
  const { reading, path } = placed
  const isStation = reading.kind === 'point-station'
  const label = `${point.name}, ${isStation ? 'station' : 'height'}`
  const positive = isStation ? 'rearward' : 'above'
  return measuredFigure(context, placed, {
    ...lengthSpec(context, placed, label),
    direction: { word: reading.way, positive, fallback: positive, question: label, path: `${path}.way` },
  })
}

const lengthSpec = (
  { build }: ReadingContext,
  { reading, path }: PlacedReading<PointStationReading | PointHeightReading | PointOffsetReading>,
  label: string,
): Omit<FigureSpec, 'direction'> => ({
  field: 'value',
  label,
  unit: 'mm',
  texts: reading.values,
  textPath: `${path}.values`,
  parse: lengthParser(build, reading.unit),
})

/** Offset as read, square to the chassis: to the string or the centreline. */
export function measuredOffset(
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<PointOffsetReading>,
): Known<Column> {
  const { reading, path } = placed
  const label = `${point.name}, offset`
  const spec = lengthSpec(context, placed, label)
  const left = measuredFigure(context, placed, {
    ...spec,
    direction: {
      word: reading.side,
      positive: 'left',
      fallback: null,
      question: `${label}: left or right of the centreline?`,
      path: `${path}.side`,
    },
  })
  if (!left.known || reading.by !== 'plumb') return left
  const setup = context.build.setups.find((one) => one.id === reading.setup)
  if (!setup) return unknown(`${label}: its setup is missing`, `${path}.setup`)
  if (reading.aboveCentreline === undefined) {
    return unknown(
      `${label}: dropped plumb, so the height above the centreline points is needed`,
      `${path}.aboveCentreline`,
    )
  }
  const lift = measuredFigure(context, placed, {
    ...spec,
    field: 'above',
    label: `${label}, height above the centreline`,
    texts: [reading.aboveCentreline],
    textPath: `${path}.aboveCentreline`,
    isSingle: true,
    direction: {
      word: reading.aboveCentrelineWay,
      positive: 'above',
      fallback: 'above',
      question: label,
      path: `${path}.aboveCentrelineWay`,
    },
  })
  const all = allKnown<[Column, Column, VectorColumns]>([left, lift, worldUp(context, setup)])
  return mapKnown(all, ([floor, above, up]) =>
    scalarStep(context.graph, OFFSET_FROM_PLUMB, [floor, above, ...up]),
  )
}

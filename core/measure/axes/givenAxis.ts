import { TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column } from '../../base/columns/graph'
import { mapKnown, type Known } from '../../base/known'
import type { NamedAxis } from '../../file/parts/named'
import type { GivenAxisReading, GivenCrossAxisReading } from '../../file/kinds/givenReadings'
import { radians } from '../../base/units/angle'
import { parseAngle } from '../../base/units/parseAngle'
import type { PlacedReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { givenFigure } from '../figures/figure'

/** An axis from a drawing, along the vehicle or across it. */
export type GivenReading = GivenAxisReading | GivenCrossAxisReading

/** An angle in degrees in radians. */
export const inRadians = ({ graph }: ReadingContext, angleDeg: Column): Column =>
  scalarStep(graph, TIMES, [angleDeg], [radians(1)])

/** One of the two angles of a given axis, in radians, as it is in the frame the axis is read in. */
export function givenAngle(
  context: ReadingContext,
  axis: NamedAxis,
  { reading, path }: PlacedReading<GivenReading>,
  which: 'fall' | 'plan',
): Known<Column> {
  if (reading.kind === 'given-cross-axis') return givenCrossAngle(context, axis, { reading, path }, which)
  const isFall = which === 'fall'
  const figure = givenFigure(context, reading, {
    field: which,
    label: `${axis.name}, ${which}`,
    unit: 'deg',
    texts: [reading[which] ?? ''],
    textPath: `${path}.${which}`,
    isSingle: true,
    parse: parseAngle,
    direction: isFall
      ? {
          word: reading.low,
          positive: 'rear',
          fallback: null,
          question: `${axis.name}: which end is lower?`,
          path: `${path}.low`,
        }
      : {
          word: reading.rearPoints,
          positive: 'left',
          fallback: null,
          question: `${axis.name}: to which side does the rear end point?`,
          path: `${path}.rearPoints`,
        },
  })
  return mapKnown(figure, (column) => inRadians(context, column))
}

/** The text of a given axis' angle in top view. */
export const planText = (reading: GivenReading): string | undefined =>
  reading.kind === 'given-axis' ? reading.plan : reading.sweep

/** Rise and sweep as what they are in the frame turned aside: a left end that is high is a rear end that is not low. */
function givenCrossAngle(
  context: ReadingContext,
  axis: NamedAxis,
  { reading, path }: PlacedReading<GivenCrossAxisReading>,
  which: 'fall' | 'plan',
): Known<Column> {
  const isFall = which === 'fall'
  const field = isFall ? 'rise' : 'sweep'
  const figure = givenFigure(context, reading, {
    field,
    label: `${axis.name}, ${field}`,
    unit: 'deg',
    texts: [reading[field] ?? ''],
    textPath: `${path}.${field}`,
    isSingle: true,
    parse: parseAngle,
    direction: isFall
      ? {
          word: reading.high,
          positive: 'right',
          fallback: null,
          question: `${axis.name}: which end is higher?`,
          path: `${path}.high`,
        }
      : {
          word: reading.leftPoints,
          positive: 'forward',
          fallback: null,
          question: `${axis.name}: which way does the left end point?`,
          path: `${path}.leftPoints`,
        },
  })
  return mapKnown(figure, (column) => inRadians(context, column))
}

import { scalarStep, vectorStep, type Column, type VectorColumns } from '../../base/columns/graph'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { ChassisFallReading, ChassisRollReading } from '../../file/kinds/vehicleReadings'
import { parseAngle } from '../../base/units/parseAngle'
import { REAR_LOW_FOR_LEVEL_AXIS, SLOPES_OF_UP, UP_OF_CHASSIS } from '../attitude/attitude'
import { lastReading, type PlacedReading } from '../targets/chosen'
import type { AttitudeColumns, AxisColumns, ReadingContext } from '../figures/context'
import { assumedFigure, measuredFigure } from '../figures/figure'
import { levelledByHand } from '../attitude/levelledByHand'
import { USUAL_DOUBT } from '../figures/usualTool'

/**
 * The attitude of the chassis in a setup: from its own fall and roll readings; without them from its registration, or
 * from the axis whose face was made plumb; a chassis made level is level.
 *
 * @returns unknown when the fall was not read; a missing roll is taken as 0 and said so
 * @see docs/methods/readings.md
 */
export function attitudeColumns(context: ReadingContext, setup: Setup): Known<AttitudeColumns> {
  const fall = slopeColumn(context, setup, 'chassis-fall')
  const roll = slopeColumn(context, setup, 'chassis-roll')
  if (!fall && setup.datum !== 'levelled') {
    const registered = context.registration(setup)
    // Its last column is where the setup's own up goes.
    if (registered?.known)
      return mapKnown(registered, (move) => attitudeOf(context, [move[2], move[5], move[8]]))
  }
  const across = roll ?? missingRoll(context, setup)
  const along = fall ?? missingFall(context, setup, across)
  const attitude = mapKnown(allKnown<[Column, Column]>([along, across]), ([rearLowDeg, leftLowDeg]) => ({
    up: vectorStep(context.graph, UP_OF_CHASSIS, [rearLowDeg, leftLowDeg]),
    rearLowDeg,
    leftLowDeg,
  }))
  return attitude.known && Number.isNaN(context.graph.at(attitude.value.up[2]))
    ? unknown(`${setup.name}: chassis fall and roll cannot both be true`)
    : attitude
}

function attitudeOf({ graph }: ReadingContext, up: VectorColumns): AttitudeColumns {
  const [rearLowDeg, leftLowDeg] = graph.step(SLOPES_OF_UP, up) as [Column, Column]
  return { up, rearLowDeg, leftLowDeg }
}

function missingRoll(context: ReadingContext, setup: Setup): Known<Column> {
  if (setup.datum === 'levelled')
    return known(
      levelledByHand(context, {
        id: setup.id,
        field: 'roll-levelled',
        label: `${setup.name}: chassis made level across`,
      }),
    )
  return known(takenRoll(context, setup), [`${setup.name}: chassis roll not read, taken as none`])
}

/** Roll of a chassis that nobody read: none, with the usual doubt about a workshop floor. */
export const takenRoll = (context: ReadingContext, setup: Setup): Column =>
  assumedFigure(
    context,
    { id: setup.id, field: 'roll-assumed', label: `${setup.name}: chassis roll, not read` },
    USUAL_DOUBT.roll,
  )

function missingFall(context: ReadingContext, setup: Setup, roll: Known<Column>): Known<Column> {
  if (setup.datum === 'levelled')
    return known(
      levelledByHand(context, {
        id: setup.id,
        field: 'fall-levelled',
        label: `${setup.name}: chassis made level fore and aft`,
      }),
    )
  const axis = context.build.axes.find((one) => one.id === setup.plumbAxis)
  if (setup.datum !== 'face-plumb' || !axis)
    return unknown(`${setup.name}: how the chassis falls was not read`)
  const place = context.axis(axis, { exceptSetup: setup.id })
  if (!place.known) {
    return unknown(
      `${setup.name}: read the chassis too, or ${axis.name} in another setup, to know how the vehicle was pitched`,
    )
  }
  return mapKnown(allKnown<[AxisColumns, Column]>([place, roll]), ([lie, leftLowDeg]) =>
    scalarStep(context.graph, REAR_LOW_FOR_LEVEL_AXIS, [...lie.direction, leftLowDeg]),
  )
}

function slopeColumn(
  context: ReadingContext,
  setup: Setup,
  kind: 'chassis-fall' | 'chassis-roll',
): Known<Column> | null {
  const isIt = (reading: Build['readings'][number]): reading is ChassisFallReading | ChassisRollReading =>
    reading.kind === kind && reading.setup === setup.id
  const placed = lastReading(context.build, isIt)
  return placed ? slopeReading(context, placed) : null
}

function slopeReading(
  context: ReadingContext,
  placed: PlacedReading<ChassisFallReading | ChassisRollReading>,
): Known<Column> {
  const { reading, path } = placed
  const isFall = reading.kind === 'chassis-fall'
  const label = isFall ? 'chassis fall' : 'chassis roll'
  return measuredFigure(context, placed, {
    field: 'value',
    label,
    unit: 'deg',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: parseAngle,
    direction: {
      word: reading.low,
      positive: isFall ? 'rear' : 'left',
      fallback: null,
      question: `${label}: which ${isFall ? 'end' : 'side'} is lower?`,
      path: `${path}.low`,
    },
  })
}

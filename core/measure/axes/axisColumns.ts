import { axleById } from '../../file/parts/bodies'
import { PLUS_TIMES, TIMES } from '../../base/columns/arithmetic'
import { scalarStep, vectorStep, type Column, type VectorColumns } from '../../base/columns/graph'
import { axisDirection, DIRECTION_OF_AXIS, FALL_PLAN } from '../../base/frame/axis'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { Setup } from '../../file/build/setup'
import type { NamedAxis } from '../../file/parts/named'
import type { Reading } from '../../file/build/reading'
import type { AxisFaceReading, AxisLevelReading } from '../../file/kinds/vehicleReadings'
import { asRadians, degrees, radians } from '../../base/units/angle'
import { parseAngle } from '../../base/units/parseAngle'
import { DIRECTION_FROM_SLOPE, SLOPE_OVER_SURFACE, UP_OF_CHASSIS } from '../attitude/attitude'
import { takenRoll } from '../setups/attitudeColumns'
import { lastReading, type PlacedReading } from '../targets/chosen'
import { farthestPair, tooClose } from './axisEnds'
import { FALL_THROUGH_POINTS, PLAN_THROUGH_POINTS } from '../attitude/axisThroughPoints'
import { endsOf, fromFrameOf, intoFrameOf, isAcross } from './aside'
import type { AxisColumns, AxisSources, ReadingContext } from '../figures/context'
import { assumedFigure, measuredFigure, signedFigure, type FigureSpec } from '../figures/figure'
import { givenAngle, inRadians, planText, type GivenReading } from './givenAxis'
import { plumbFaceSlope } from '../setups/plumbFace'
import { USUAL_DOUBT } from '../figures/usualTool'
import { worldUp } from '../attitude/worldUp'

type LevelReading = AxisLevelReading | AxisFaceReading

/**
 * How a named axis lies as measured, in the chassis frame. One across the vehicle is read in a frame turned aside.
 *
 * Plan comes from two points on the axis, else from a given axis, else it is taken as straight ahead and said so. Fall
 * comes from the level, else from a setup in which its face was made plumb, else from the heights of two points, else
 * from a given axis.
 *
 * @see docs/methods/readings.md
 */
export function axisColumns(
  context: ReadingContext,
  axis: NamedAxis,
  sources: AxisSources = {},
): Known<AxisColumns> {
  const { build } = context
  const of = (reading: Reading): boolean =>
    'axis' in reading &&
    reading.axis === axis.id &&
    !('setup' in reading && reading.setup === sources.exceptSetup)
  const level = lastReading<LevelReading>(
    build,
    (reading): reading is LevelReading =>
      (reading.kind === 'axis-level' || reading.kind === 'axis-face') && of(reading),
  )
  const given = lastReading<GivenReading>(
    build,
    (reading): reading is GivenReading =>
      (reading.kind === 'given-axis' || reading.kind === 'given-cross-axis') && of(reading),
  )
  const plan = planColumn(context, axis, given)
  const sloped = level
    ? levelDirection(context, axis, level, plan)
    : plumbDirection(context, axis, plan, sources)
  const fall = () =>
    fallThroughPoints(context, axis) ??
    (given ? givenAngle(context, axis, given, 'fall') : unknown(`${axis.name}: level not read`))
  const both = sloped
    ? mapKnown(sloped, (direction) => lieOf(context, direction))
    : lieBy(context, axis, fall(), plan)
  const source = level ?? given
  if (!both.known || !source?.reading.provisional) return both
  return known(both.value, [
    ...both.assumptions,
    `${axis.name}: provisional, read it again when the part is there`,
  ])
}

/** Fall and plan of an axis whose direction is known. */
function lieOf({ graph }: ReadingContext, direction: VectorColumns): AxisColumns {
  const [fall, plan] = graph.step(FALL_PLAN, direction) as unknown as [Column, Column]
  return { fall, fallDeg: scalarStep(graph, TIMES, [fall], [degrees(1)]), plan, direction }
}

/** The direction of an axis whose fall and plan are known. */
function lieBy(
  context: ReadingContext,
  axis: NamedAxis,
  fall: Known<Column>,
  plan: Known<Column>,
): Known<AxisColumns> {
  const { graph } = context
  return mapKnown(allKnown<[Column, Column]>([fall, plan]), ([f, p]) => {
    const direction = vectorStep(graph, DIRECTION_OF_AXIS, [f, p])
    if (isAcross(axis)) return lieOf(context, fromFrameOf(axis, graph, direction))
    return { fall: f, fallDeg: scalarStep(graph, TIMES, [f], [degrees(1)]), plan: p, direction }
  })
}

/** The slope a level reading tells, in degrees, positive when the rear end of the axis is low. */
export const readSlope = (axis: NamedAxis, placed: PlacedReading<LevelReading>): Known<number> =>
  signedFigure(levelSpec(axis, placed))

function levelSpec(axis: NamedAxis, { reading, path }: PlacedReading<LevelReading>): FigureSpec {
  const isFace = reading.kind === 'axis-face'
  return {
    field: 'value',
    label: `${axis.name}, level`,
    unit: 'deg',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: parseAngle,
    magnitude: (shown) => slopeShown(axis, reading, shown, `${path}.values`),
    direction: {
      word: isFace ? reading.lean : reading.low,
      positive: endsOf(axis)[0],
      fallback: null,
      question: isFace
        ? `${axis.name}: where does the top of the face lean?`
        : `${axis.name}: which end is lower?`,
      path: isFace ? `${path}.lean` : `${path}.low`,
    },
  }
}

/** The axis' slope behind what the display shows; a figure that belongs to the other way of reading is refused. */
function slopeShown(axis: NamedAxis, reading: LevelReading, shown: number, path: string): Known<number> {
  if (reading.kind === 'axis-level') {
    return shown > 90
      ? unknown(`${axis.name}: a level laid along an axis shows no more than 90°`, path)
      : known(shown)
  }
  // A face square to the axis stands plumb when the axis is level, whatever the display calls plumb.
  const fromPlumb = reading.from === 'level' ? Math.abs(90 - shown) : shown
  return fromPlumb > 60
    ? unknown(
        `${axis.name}: ${shown}° is far from plumb for a face; was the level laid along the axis?`,
        path,
      )
    : known(fromPlumb)
}

function levelDirection(
  context: ReadingContext,
  axis: NamedAxis,
  placed: PlacedReading<LevelReading>,
  plan: Known<Column>,
): Known<VectorColumns> {
  const setup = context.build.setups.find((one) => one.id === placed.reading.setup)
  if (!setup) return unknown(`${axis.name}: its setup is missing`, `${placed.path}.setup`)
  const isRezeroed = placed.reading.zero === 'chassis'
  const up = isRezeroed ? upOfRezeroed(context, setup) : worldUp(context, setup)
  const read = measuredFigure(context, placed, levelSpec(axis, placed))
  const slope = isRezeroed ? toGravity(context, axis, setup, onZeroSurface(context, setup, read), up) : read
  return solvedDirection(context, axis, placed.path, slope, plan, up)
}

/** Straight across the vehicle, to the left. */
const ACROSS = [0, 1, 0] as const

/** The slope to the horizontal behind what a level shows that was zeroed on a surface of the chassis. */
function toGravity(
  { graph }: ReadingContext,
  axis: NamedAxis,
  setup: Setup,
  shown: Known<Column>,
  up: Known<VectorColumns>,
): Known<Column> {
  const surface = isAcross(axis)
    ? ACROSS
    : axisDirection({ fall: radians(setup.zeroSurfaceFallDeg ?? 0), plan: asRadians(0) })
  return mapKnown(allKnown<[Column, VectorColumns]>([shown, up]), ([slope, world]) =>
    scalarStep(graph, SLOPE_OVER_SURFACE, [slope, ...world], surface),
  )
}

/** What a level shows that was zeroed on a chassis surface: off by as much as the surface lies off the datum plane. */
function onZeroSurface(context: ReadingContext, setup: Setup, read: Known<Column>): Known<Column> {
  if (!read.known || setup.zeroSurfaceFallDeg !== undefined) return read
  const label = `${setup.name}: surface the level was zeroed on`
  const surface = assumedFigure(
    context,
    { id: setup.id, field: 'zero-surface', label },
    USUAL_DOUBT.zeroSurface,
  )
  return known(scalarStep(context.graph, PLUS_TIMES, [read.value, surface], [1]), [
    ...read.assumptions,
    `${label}, taken to lie along the datum plane`,
  ])
}

/** Direction of an axis whose face was made plumb in some setup whose chassis was read. */
function plumbDirection(
  context: ReadingContext,
  axis: NamedAxis,
  plan: Known<Column>,
  { exceptSetup }: AxisSources,
): Known<VectorColumns> | null {
  const found = plumbFaceSlope(context, axis, exceptSetup)
  return (
    found && solvedDirection(context, axis, '', known(found.slopeDeg), plan, worldUp(context, found.setup))
  )
}

function solvedDirection(
  context: ReadingContext,
  axis: NamedAxis,
  path: string,
  slopeDeg: Known<Column>,
  plan: Known<Column>,
  up: Known<VectorColumns>,
): Known<VectorColumns> {
  const all = allKnown<[Column, Column, VectorColumns]>([slopeDeg, plan, up])
  const direction = mapKnown(all, ([slope, planAngle, world]) =>
    fromFrameOf(
      axis,
      context.graph,
      vectorStep(context.graph, DIRECTION_FROM_SLOPE, [
        slope,
        planAngle,
        ...intoFrameOf(axis, context.graph, world),
      ]),
    ),
  )
  if (direction.known && Number.isNaN(context.graph.at(direction.value[2])))
    return unknown(`${axis.name}: no axis can show this slope in this attitude`, path)
  return direction
}

/** A level zeroed on the chassis carries the attitude in its zero; unread, the chassis is taken as level. */
function upOfRezeroed(context: ReadingContext, setup: Setup): Known<VectorColumns> {
  const up = worldUp(context, setup)
  if (up.known) return up
  const roll = takenRoll(context, setup)
  return known(vectorStep(context.graph, UP_OF_CHASSIS, [context.graph.source(0), roll]), [
    `${setup.name}: level zeroed on the chassis, whose own roll was not read`,
  ])
}

function planColumn(
  context: ReadingContext,
  axis: NamedAxis,
  given: PlacedReading<GivenReading> | null,
): Known<Column> {
  const ends = farthestPair(context, axis, ['station', 'offset'])
  if (ends === 'too-close') return tooClose(axis)
  if (ends) {
    return known(
      scalarStep(
        context.graph,
        PLAN_THROUGH_POINTS,
        ends.flatMap(({ station, offset }) => [station, offset]),
      ),
    )
  }
  if (given && planText(given.reading) !== undefined) return givenAngle(context, axis, given, 'plan')
  if (given) return known(context.graph.source(0))
  const isOnAxle = axleById(context.build, axis.body) !== undefined
  const plan = assumedFigure(
    context,
    { id: axis.id, field: 'plan-assumed', label: `${axis.name}: direction in top view, not read` },
    isOnAxle ? USUAL_DOUBT.axlePlan : USUAL_DOUBT.powertrainPlan,
  )
  return known(inRadians(context, plan), [
    `${axis.name}: direction in top view not read, taken as straight ${isAcross(axis) ? 'across' : 'ahead'}`,
  ])
}

function fallThroughPoints(context: ReadingContext, axis: NamedAxis): Known<Column> | null {
  const ends = farthestPair(context, axis, ['station', 'offset', 'height'])
  if (!ends) return null
  if (ends === 'too-close') return tooClose(axis)
  return known(
    scalarStep(
      context.graph,
      FALL_THROUGH_POINTS,
      ends.flatMap(({ station, offset, height }) => [station, offset, height]),
    ),
  )
}

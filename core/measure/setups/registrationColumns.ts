import { deviationOf } from '../../base/chance/spread'
import { PLUS_TIMES, TIMES } from '../../base/columns/arithmetic'
import {
  moveStep,
  scalarStep,
  vectorStep,
  type Column,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import { MOVED_POINT } from '../../base/linalg/moveKernels'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Setup } from '../../file/build/setup'
import type { NamedPoint } from '../../file/parts/named'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import type { SetupPointReading } from '../../file/kinds/vehicleReadings'
import { lastReading, type PlacedReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { measuredFigure } from '../figures/figure'
import { chassisFigures, placeColumns } from '../points/chassisPoint'
import { lengthParser } from '../points/pointReading'
import { registration, type DatumPair, type Registration } from '../attitude/registration'
import { REGISTERED_MOVE } from '../attitude/registeredMove'
import { studentFactor } from '../figures/studentFactor'

interface DatumColumns {
  readonly point: NamedPoint
  readonly readingId: Id
  readonly setup: VectorColumns
  readonly chassis: VectorColumns
}

/**
 * The move from a setup's own frame to the chassis, from the datum points measured in it.
 *
 * Datum points that miss each other by more than their readings may be off bring that misfit along as a doubt of their own.
 *
 * @returns null when nothing was measured in the setup's own frame; unknown with the reason when the points do not fix it
 * @see docs/methods/registration.md
 */
export function registrationColumns(context: ReadingContext, setup: Setup): Known<MoveColumns> | null {
  const result = setupRegistration(context, setup)
  if (result === null) return null
  if (!result.known) return result
  const datums = datumsOf(context, setup)
  const doubt = misfitDeviation(context, datums, result.value)
  const strayed = doubt > 0 ? datums.map((datum) => withMisfit(context, setup, datum, doubt)) : datums
  const { rotation } = result.value.move
  return known(
    moveStep(
      context.graph,
      REGISTERED_MOVE,
      strayed.flatMap(({ setup: own, chassis }) => [...own, ...chassis]),
      [strayed.length, ...rotation.flat()],
    ),
    misfitWords(context, setup, result.value),
  )
}

/**
 * What a registration's misfit says beyond the readings' own doubt, as a standard deviation of each coordinate in mm:
 * √(rms² − σ²), widened for the few differences it rests on.
 */
function misfitDeviation(
  { list }: ReadingContext,
  datums: readonly DatumColumns[],
  { rmsFreedom }: Registration,
): number {
  const freedom = 3 * datums.length - 6
  if (freedom < 1) return 0
  const ours = new Set(datums.map(({ readingId }) => readingId))
  const variances = list.inputs
    .filter(({ readingId, source }) => ours.has(readingId) && source === undefined)
    .map((input) => deviationOf(input) ** 2)
  const expected = variances.reduce((sum, one) => sum + one, 0) / Math.max(1, variances.length)
  const excess = rmsFreedom ** 2 - expected
  // Within what chance makes of the readings' own doubt there is nothing to add.
  return excess > expected ? Math.sqrt(excess) * studentFactor(freedom) : 0
}

const COORDINATES = ['along', 'across', 'up'] as const

function withMisfit(
  { graph, list }: ReadingContext,
  setup: Setup,
  datum: DatumColumns,
  deviation: number,
): DatumColumns {
  const [along, across, up] = COORDINATES.map((coordinate) =>
    list.add({
      readingId: datum.readingId,
      source: 'misfit',
      field: `misfit-${coordinate}`,
      label: `${setup.name}, misfit of ${datum.point.name}`,
      unit: 'mm',
      mean: 0,
      halfWidth: 0,
      scatter: deviation,
      count: 1,
    }),
  ) as [Column, Column, Column]
  const strayed = (figure: Column, misfit: Column) => scalarStep(graph, PLUS_TIMES, [figure, misfit], [1])
  const [x, y, z] = datum.setup
  return {
    ...datum,
    setup: [strayed(x, along), strayed(y, across), strayed(z, up)],
  }
}

/** What is said with every figure that rests on a registration with a suspect or an unreadable datum. */
function misfitWords(context: ReadingContext, setup: Setup, { suspect, rms }: Registration): string[] {
  const name = context.build.points.find((point) => point.id === suspect)?.name
  const unread = unreadDatums(context, setup)
  return [
    ...(name
      ? [
          `${setup.name}: ${name} does not fit the other datum points (rms ${rms.toFixed(1)} mm); look at it again`,
        ]
      : []),
    ...unread.map((what) => `${setup.name}: a datum point is left out, ${what}`),
  ]
}

/** The registration of a setup at the means of its readings, with residuals and suspect; null when nothing was measured for it. */
export function setupRegistration(context: ReadingContext, setup: Setup): Known<Registration> | null {
  const { readings } = context.build
  if (!readings.some((reading) => reading.kind === 'setup-point' && reading.setup === setup.id)) return null
  const datums = datumsOf(context, setup)
  const { at } = context.graph
  const placeOf = ([x, y, z]: VectorColumns): Vec3 => [at(x), at(y), at(z)]
  const pairs: DatumPair[] = datums.map(({ point, setup: own, chassis }) => ({
    id: point.id,
    setup: placeOf(own),
    chassis: placeOf(chassis),
  }))
  const result = registration(pairs)
  if (!result.ok) {
    const unread = unreadDatums(context, setup)
    return unknown(`${setup.name}: ${[result.message, ...unread].join('; ')}`)
  }
  if (result.value.isMirrored) {
    return unknown(
      `${setup.name}: the datum points fit only as a mirror image: left and right, or up and down, were swapped`,
    )
  }
  if (result.value.isUpsideDown) {
    return unknown(
      `${setup.name}: the datum points fit only upside down: left and right, or front and rear, were swapped`,
    )
  }
  return result.value.isFlat
    ? known(result.value, [
        `${setup.name}: the datum points lie in one plane, so which side is up is taken from the setup`,
      ])
    : known(result.value)
}

/** Datum points with both a known place on the chassis and one in the setup's own frame. */
function datumsOf(context: ReadingContext, setup: Setup): DatumColumns[] {
  return datumReadings(context, setup).flatMap(({ point, placed, own, chassis }) =>
    own.known && chassis.known
      ? [{ point, readingId: placed.reading.id, setup: own.value, chassis: chassis.value }]
      : [],
  )
}

/** Why datum points that were measured in a setup do not count: a text nobody can read, a place that was not given. */
export const unreadDatums = (context: ReadingContext, setup: Setup): string[] =>
  datumReadings(context, setup).flatMap(({ own, chassis }) =>
    [own, chassis].flatMap((place) => (place.known ? [] : (place.missing[0]?.what ?? []))).slice(0, 1),
  )

function datumReadings(context: ReadingContext, setup: Setup) {
  return context.build.points.flatMap((point) => {
    if (!point.datum) return []
    const placed = lastReading(context.build, isShot(point, setup))
    if (!placed) return []
    const own = shotColumns(context, point, placed)
    const chassis = placeColumns(context, chassisFigures(context, point))
    return [{ point, placed, own, chassis }]
  })
}

const isShot =
  (point: NamedPoint, setup?: Setup) =>
  (reading: Reading): reading is SetupPointReading =>
    reading.kind === 'setup-point' &&
    reading.point === point.id &&
    (setup === undefined || reading.setup === setup.id)

/** A point's place on the chassis from the last registered setup that measured it; null for datum points and unmeasured ones. */
export function registeredPoint(
  context: ReadingContext,
  point: NamedPoint,
): { readonly place: Known<VectorColumns>; readonly index: number } | null {
  if (point.datum) return null
  const placed = lastReading(context.build, isShot(point))
  const setup = context.build.setups.find((one) => one.id === placed?.reading.setup)
  if (!placed || !setup) return null
  const move = context.registration(setup) ?? unknown(`${setup.name}: its datum points were not measured`)
  const both = allKnown<[MoveColumns, VectorColumns]>([move, shotColumns(context, point, placed)])
  const place = mapKnown(both, ([by, own]) => vectorStep(context.graph, MOVED_POINT, [...by, ...own]))
  return { place, index: context.build.readings.indexOf(placed.reading) }
}

/** A point's place in the setup's own frame: X forward, Y left, Z up of whatever line and level were used. */
function shotColumns(
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<SetupPointReading>,
): Known<VectorColumns> {
  const { reading, path } = placed
  const figure = (
    index: number,
    name: string,
    key: 'alongWay' | 'acrossSide' | 'upWay',
    positive: string,
    fallback: string | null,
  ) =>
    measuredFigure(context, placed, {
      field: name,
      label: `${point.name}, ${name} in ${setupName(context, reading)}`,
      unit: 'mm',
      texts: [reading.values[index] ?? ''],
      textPath: `${path}.values[${index}]`,
      isSingle: true,
      parse: lengthParser(context.build, reading.unit),
      direction: {
        word: reading[key],
        positive,
        fallback,
        question: `${point.name}, ${name}: left or right of the line?`,
        path: `${path}.${key}`,
      },
    })
  const all = allKnown<[Column, Column, Column]>([
    figure(0, 'along', 'alongWay', 'rearward', 'rearward'),
    figure(1, 'across', 'acrossSide', 'left', null),
    figure(2, 'up', 'upWay', 'above', 'above'),
  ])
  return mapKnown(all, ([along, across, up]) => [scalarStep(context.graph, TIMES, [along], [-1]), across, up])
}

const setupName = ({ build }: ReadingContext, reading: SetupPointReading): string =>
  build.setups.find((one) => one.id === reading.setup)?.name ?? reading.setup

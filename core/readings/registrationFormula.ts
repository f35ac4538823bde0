import { deviationOf } from '../uncertainty/spread'
import { movePoint, type RigidMove } from '../linalg/mat3'
import { known, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { NamedPoint, Setup } from '../project/build'
import type { Id } from '../project/id'
import type { Reading, SetupPointReading } from '../project/reading'
import { lastReading, type PlacedReading } from './chosen'
import type { ReadingContext } from './context'
import { measuredFigure } from './figure'
import { combined, meansOf, type Formula } from './formula'
import { chassisFigures, placeFormula } from './chassisPoint'
import { lengthParser } from './pointReading'
import { registration, rigidFit, type DatumPair, type Registration } from './registration'
import { studentFactor } from './studentFactor'

interface DatumFormula {
  readonly point: NamedPoint
  readonly readingId: Id
  readonly setup: Formula<Vec3>
  readonly chassis: Formula<Vec3>
}

/**
 * The move from a setup's own frame to the chassis, from the datum points measured in it.
 *
 * Datum points that miss each other by more than their readings may be off bring that misfit along as a doubt of their own.
 *
 * @returns null when nothing was measured in the setup's own frame; unknown with the reason when the points do not fix it
 * @see docs/methods/registration.md
 */
export function registrationFormula(context: ReadingContext, setup: Setup): Known<Formula<RigidMove>> | null {
  const result = setupRegistration(context, setup)
  if (result === null) return null
  if (!result.known) return result
  const datums = datumsOf(context, setup)
  const doubt = misfitDeviation(context, datums, result.value)
  const strayed = doubt > 0 ? datums.map((datum) => withMisfit(context, setup, datum, doubt)) : datums
  return known(
    rememberingLast((values) =>
      strayed.map(({ setup: own, chassis }) => ({ setup: own(values), chassis: chassis(values) })),
    ),
    misfitWords(context, setup, result.value),
  )
}

type Placed = Pick<DatumPair, 'setup' | 'chassis'>

/** A fit that is made again only when a datum point has moved: every point and attitude of a setup asks for it. */
function rememberingLast(placesAt: Formula<Placed[]>): Formula<RigidMove> {
  let last: { readonly places: Placed[]; readonly move: RigidMove } | null = null
  return (values) => {
    const places = placesAt(values)
    if (last && samePlaces(last.places, places)) return last.move
    last = { places, move: rigidFit(places) }
    return last.move
  }
}

const samePlaces = (a: readonly Placed[], b: readonly Placed[]): boolean =>
  a.every((one, i) => {
    const other = b[i]
    return (
      other !== undefined &&
      one.setup.every((figure, k) => figure === other.setup[k]) &&
      one.chassis.every((figure, k) => figure === other.chassis[k])
    )
  })

/**
 * What a registration's misfit says beyond the readings' own doubt, as a standard deviation of each coordinate in mm:
 * √(rms² − σ²), widened for the few differences it rests on.
 */
function misfitDeviation(
  { list }: ReadingContext,
  datums: readonly DatumFormula[],
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
  { list }: ReadingContext,
  setup: Setup,
  datum: DatumFormula,
  deviation: number,
): DatumFormula {
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
  ) as [Formula<number>, Formula<number>, Formula<number>]
  return {
    ...datum,
    setup: (values) => {
      const [x, y, z] = datum.setup(values)
      return [x + along(values), y + across(values), z + up(values)]
    },
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
  const means = meansOf(context.list.inputs)
  const pairs: DatumPair[] = datums.map(({ point, setup: own, chassis }) => ({
    id: point.id,
    setup: own(means),
    chassis: chassis(means),
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
function datumsOf(context: ReadingContext, setup: Setup): DatumFormula[] {
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
    const own = shotFormula(context, point, placed)
    const chassis = placeFormula(chassisFigures(context, point))
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
): { readonly place: Known<Formula<Vec3>>; readonly index: number } | null {
  if (point.datum) return null
  const placed = lastReading(context.build, isShot(point))
  const setup = context.build.setups.find((one) => one.id === placed?.reading.setup)
  if (!placed || !setup) return null
  const move = context.registration(setup) ?? unknown(`${setup.name}: its datum points were not measured`)
  const place = combined<[RigidMove, Vec3], Vec3>([move, shotFormula(context, point, placed)], movePoint)
  return { place, index: context.build.readings.indexOf(placed.reading) }
}

/** A point's place in the setup's own frame: X forward, Y left, Z up of whatever line and level were used. */
function shotFormula(
  context: ReadingContext,
  point: NamedPoint,
  placed: PlacedReading<SetupPointReading>,
): Known<Formula<Vec3>> {
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
  return combined<[number, number, number], Vec3>(
    [
      figure(0, 'along', 'alongWay', 'rearward', 'rearward'),
      figure(1, 'across', 'acrossSide', 'left', null),
      figure(2, 'up', 'upWay', 'above', 'above'),
    ],
    (along, across, up) => [-along, across, up],
  )
}

const setupName = ({ build }: ReadingContext, reading: SetupPointReading): string =>
  build.setups.find((one) => one.id === reading.setup)?.name ?? reading.setup

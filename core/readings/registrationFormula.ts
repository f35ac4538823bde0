import { movePoint, type RigidMove } from '../linalg/mat3'
import { known, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { NamedPoint, Setup } from '../project/build'
import type { Reading, SetupPointReading } from '../project/reading'
import { lastReading, type PlacedReading } from './chosen'
import type { ReadingContext } from './context'
import { measuredFigure } from './figure'
import { combined, meansOf, type Formula } from './formula'
import { chassisFigures, placeFormula } from './chassisPoint'
import { lengthParser } from './pointReading'
import { fitted, registration, type DatumPair, type Registration } from './registration'

interface DatumFormula {
  readonly point: NamedPoint
  readonly setup: Formula<Vec3>
  readonly chassis: Formula<Vec3>
}

/**
 * The move from a setup's own frame to the chassis, from the datum points measured in it.
 *
 * @returns null when nothing was measured in the setup's own frame; unknown with the reason when the points do not fix it
 * @see docs/methods/registration.md
 */
export function registrationFormula(context: ReadingContext, setup: Setup): Known<Formula<RigidMove>> | null {
  const result = setupRegistration(context, setup)
  if (result === null) return null
  if (!result.known) return result
  const datums = datumsOf(context, setup)
  const fallback = result.value.move
  return known((values) => {
    const fit = fitted(
      datums.map(({ point, setup: own, chassis }) => ({
        id: point.id,
        setup: own(values),
        chassis: chassis(values),
      })),
    )
    return fit?.move ?? fallback
  })
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
  if (!result.ok) return unknown(`${setup.name}: ${result.message}`)
  if (result.value.isMirrored) {
    return unknown(
      `${setup.name}: the datum points fit only as a mirror image: left and right, or up and down, were swapped`,
    )
  }
  return known(result.value)
}

/** Datum points with both a known place on the chassis and one in the setup's own frame. */
function datumsOf(context: ReadingContext, setup: Setup): DatumFormula[] {
  return context.build.points.flatMap((point) => {
    if (!point.datum) return []
    const placed = lastReading(context.build, isShot(point, setup))
    if (!placed) return []
    const own = shotFormula(context, point, placed)
    const chassis = placeFormula(chassisFigures(context, point))
    return own.known && chassis.known ? [{ point, setup: own.value, chassis: chassis.value }] : []
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

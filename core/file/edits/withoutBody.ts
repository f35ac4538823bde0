import type { BodyId, BodyKind } from '../parts/body'
import { bodyById } from '../parts/bodies'
import type { Build } from '../build/build'
import { withoutLever } from './withoutLever'
import { liveAxlePoints } from '../parts/body'
import { sprocketsOf } from '../parts/chainLine'
import { linePoints } from '../parts/lineSpec'
import { pointsMovedBy } from '../parts/motionPoints'

/** Kinds of body that may go when no line runs to them. */
const GOES: readonly BodyKind[] = ['item', 'transfer-case', 'bearing-bracket', 'live-axle']

/** Why a body has to stay; null for one that may go. */
export function staysBecause(build: Build, id: BodyId): string | null {
  const body = bodyById(build, id)
  if (!body) return 'it is not in the build'
  if (!GOES.includes(body.kind)) return 'the line is built on it'
  const on = build.bodies.find(({ standsOn }) => standsOn === id)
  if (on) return `${on.name} stands on it`
  const points = new Set(build.points.filter((point) => point.body === id).map((point) => point.id))
  const axes = new Set(build.axes.filter((axis) => axis.body === id).map((axis) => axis.id))
  const line = build.lines.find(
    (one) =>
      linePoints(one).some((point) => points.has(point)) ||
      one.shafts.some(({ bearing }) => bearing && points.has(bearing.point)) ||
      axes.has(one.driving) ||
      axes.has(one.driven),
  )
  if (line) return `${line.name} runs to it`
  const chain = build.chains?.find(({ sprockets }) => sprockets.some(({ point }) => points.has(point)))
  if (chain) return `${chain.name} runs round a sprocket on it`
  if (build.axes.some((axis) => axis.body === id || axis.through?.some((point) => points.has(point))))
    return 'an axis lies on it'
  if (build.shiftLever && points.has(build.shiftLever.point)) return 'the shift lever stands on it'
  if ((build.centrePairs ?? []).some(({ left, right }) => points.has(left) || points.has(right)))
    return 'the centreline is taken from it'
  return null
}

/** What goes away with a body: its gaps, by their names. */
export const gapsOfBody = (build: Build, id: BodyId): string[] =>
  build.gaps.flatMap((gap) => (touches(build, id)(gap) ? [gap.name] : []))

const touches =
  (build: Build, id: BodyId) =>
  (gap: Build['gaps'][number]): boolean =>
    gap.obstacle === id || build.points.some((point) => point.id === gap.point && point.body === id)

/**
 * A build without a body: its points, levers, gaps and their readings go with it, wherever they are named.
 *
 * @returns the same build where the body has to stay
 */
export function withoutBody(build: Build, id: BodyId): Build {
  if (staysBecause(build, id) !== null) return build
  const isGone = touches(build, id)
  const goneGaps = new Set(build.gaps.filter(isGone).map((gap) => gap.id))
  const gaps = build.gaps
    .filter((gap) => !isGone(gap))
    .map(({ opposite, ...gap }) =>
      opposite === undefined || goneGaps.has(opposite) ? gap : { ...gap, opposite },
    )
  const needed = new Set(gaps.map(({ point }) => point))
  const isOwnTouch = (point: string) =>
    build.gaps.some((gap) => gap.point === point && goneGaps.has(gap.id)) && !needed.has(point)
  const gonePoints = new Set(
    build.points
      .filter((point) => point.body === id || (isOwnTouch(point.id) && !isUsed(build, point.id)))
      .map((one) => one.id),
  )
  const rest = build.levers
    .filter((lever) => lever.body === id)
    .reduce((left, lever) => withoutLever(left, lever.id), build)
  return {
    ...rest,
    bodies: build.bodies.filter((body) => body.id !== id),
    points: build.points.filter((point) => !gonePoints.has(point.id)),
    gaps,
    readings: build.readings.filter(
      (reading) =>
        !(reading.kind === 'gap' && goneGaps.has(reading.gap)) &&
        !('point' in reading && gonePoints.has(reading.point)),
    ),
    ...(build.services && { services: build.services.filter((service) => service.body !== id) }),
    ...(build.weight && {
      weight: {
        ...build.weight,
        masses: build.weight.masses.map(({ body, ...mass }) =>
          body === id || body === undefined ? mass : { ...mass, body },
        ),
      },
    }),
  }
}

/** True for a point that something besides gaps rests on. */
export function isUsed(build: Build, point: string): boolean {
  return (
    build.lines.some((line) => linePoints(line).includes(point)) ||
    build.lines.some((line) => line.shafts.some(({ bearing }) => bearing?.point === point)) ||
    sprocketsOf(build).some((sprocket) => sprocket.point === point) ||
    build.axes.some((axis) => axis.through?.includes(point)) ||
    build.bodies.some(
      (body) =>
        ('mounts' in body && Object.values(body.mounts ?? {}).includes(point)) ||
        (body.kind === 'live-axle' && liveAxlePoints(body).includes(point)) ||
        pointsMovedBy(body).includes(point),
    ) ||
    (build.centrePairs ?? []).some(({ left, right }) => left === point || right === point) ||
    build.shiftLever?.point === point ||
    build.points.some((one) => one.id === point && one.datum === true)
  )
}

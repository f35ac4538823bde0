import type { BodyId, BodyKind } from '../parts/body'
import { bodyById } from '../parts/bodies'
import type { Build } from '../build/build'
import { listsOf } from '../build/listsOf'
import { unmetTarget } from '../build/targets'
import type { NamedList } from '../kinds/listFacts'
import { withoutLever } from './withoutLever'
import { liveAxlePoints } from '../parts/body'
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
  const things = { bodies: new Set([id]), points, axes }
  for (const { facts, entries } of listsOf(build)) {
    const held = facts.holds && entries.find((entry) => namesAny(facts, entry, things))
    if (held) return `${held.name} ${facts.holds}`
  }
  if (build.axes.some((axis) => axis.body === id || axis.through?.some((point) => points.has(point))))
    return 'an axis lies on it'
  if (build.shiftLever && points.has(build.shiftLever.point)) return 'the shift lever stands on it'
  if ((build.centrePairs ?? []).some(({ left, right }) => points.has(left) || points.has(right)))
    return 'the centreline is taken from it'
  return null
}

type NamedThings = Readonly<Partial<Record<NamedList, ReadonlySet<string>>>>
type AnyList = ReturnType<typeof listsOf>[number]

const namesAny = (facts: AnyList['facts'], entry: AnyList['entries'][number], things: NamedThings): boolean =>
  facts.names(entry).some(({ in: list, id }) => id !== undefined && things[list]?.has(id) === true)

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
  const levers = build.levers.filter((lever) => lever.body === id)
  const gone = {
    bodies: new Set([id]),
    points: gonePoints,
    gaps: goneGaps,
    levers: new Set(levers.map((lever) => lever.id)),
  }
  const rest = levers.reduce((left, lever) => withoutLever(left, lever.id), build)
  const left = {
    ...rest,
    ...goneAlong(rest, gone),
    bodies: build.bodies.filter((body) => body.id !== id),
    points: build.points.filter((point) => !gonePoints.has(point.id)),
    gaps,
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
  return { ...left, readings: left.readings.filter((reading) => !unmetTarget(left, reading)) }
}

/** The lists without entries that go along with what they name. */
const goneAlong = (build: Build, things: NamedThings): Partial<Build> =>
  Object.fromEntries(
    listsOf(build).flatMap(({ key, facts, entries }) =>
      facts.holds || !build[key] ? [] : [[key, entries.filter((entry) => !namesAny(facts, entry, things))]],
    ),
  )

/** True for a point that something besides gaps rests on. */
export function isUsed(build: Build, point: string): boolean {
  return (
    listsOf(build).some(
      ({ facts, entries }) =>
        facts.holds && entries.some((entry) => namesAny(facts, entry, { points: new Set([point]) })),
    ) ||
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

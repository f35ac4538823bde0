import { hubById } from '../parts/bodies'
import type { BodyId, HubBody } from '../parts/body'
import type { Build } from '../build/build'
import type { NamedPoint } from '../parts/named'
import {
  SUSPENSION_KINDS,
  SUSPENSION_POINTS,
  type HubMotion,
  type LengthRow,
  type SuspensionMotion,
} from '../parts/hubMotion'
import type { Id } from '../parts/id'
import { pointOfJoint, type Line } from '../parts/lineSpec'
import { motionPoints } from '../parts/motionPoints'
import { isUsed } from './withoutBody'
import { omit } from './omit'
import { idsOf } from './withLayout'

/** Ways to say how a hub moves: its halfshaft measured at heights, or by the points of its suspension. */
export const HUB_WAYS = ['lengths', ...SUSPENSION_KINDS] as const
export type HubWay = (typeof HUB_WAYS)[number]

/** What the points of a suspension are called. */
const POINT_NAMES: Readonly<Record<string, string>> = {
  lowerFront: 'lower arm, front pivot',
  lowerRear: 'lower arm, rear pivot',
  lowerBall: 'lower ball joint',
  upperFront: 'upper arm, front pivot',
  upperRear: 'upper arm, rear pivot',
  upperBall: 'upper ball joint',
  tieInner: 'tie rod, inner end',
  tieOuter: 'tie rod, outer end',
  strutTop: 'strut, top mount',
  onStrut: 'strut, low on its line',
  pivot: 'arm, outer pivot',
  pivot2: 'arm, inner pivot',
}

const withHub = (build: Build, id: BodyId, edit: (hub: HubBody) => HubBody): Build => ({
  ...build,
  bodies: build.bodies.map((body) => (body.id === id && body.kind === 'hub' ? edit(body) : body)),
})

/** The line that drives a hub, and the points of its first and last joint. */
function halfshaftOf(
  { lines, axes }: Build,
  hub: BodyId,
): { readonly line: Line; readonly inner: Id; readonly outer: Id } | null {
  const line = lines.find(({ driven }) => axes.some(({ id, body }) => id === driven && body === hub))
  const [inner, outer] = line ? [pointOfJoint(line, 0), pointOfJoint(line, line.joints.length - 1)] : []
  return line && inner !== undefined && outer !== undefined ? { line, inner, outer } : null
}

/**
 * Says anew how a hub moves, with the points that takes, still to be read; points of the old way that nothing else needs go.
 *
 * @returns the same build where there is no such hub, or no halfshaft to be measured
 */
export function withHubMotion(build: Build, hubId: BodyId, way: HubWay): Build {
  const hub = hubById(build, hubId)
  const chassis = build.bodies.find(({ kind }) => kind === 'chassis')
  if (!hub || !chassis || hub.motion?.kind === way) return build
  // What was read of the wheel's middle stays, whichever suspension holds it.
  const bare = withoutHubMotion(build, hubId, way !== 'lengths')
  if (way === 'lengths') {
    const shaft = halfshaftOf(bare, hubId)
    if (!shaft) return build
    const { inner, outer } = shaft
    return withHub(bare, hubId, (one) => ({ ...one, motion: { kind: 'lengths', inner, outer, rows: [] } }))
  }
  const ids = idsOf(bare)
  const points: NamedPoint[] = []
  const point = (name: string, body: BodyId): Id => {
    const id = ids(`${hub.name} ${name}`)
    points.push({ id, name: `${hub.name}, ${name}`, body })
    return id
  }
  const centre = hub.centre ?? point('middle of the wheel', hubId)
  const motion = {
    kind: way,
    points: Object.fromEntries(
      SUSPENSION_POINTS[way].map(({ key, isOnHub }) => [
        key,
        point(POINT_NAMES[key] ?? key, isOnHub ? hubId : chassis.id),
      ]),
    ),
  } as SuspensionMotion
  return {
    ...withHub(bare, hubId, (one) => ({ ...one, centre, motion })),
    points: [...bare.points, ...points],
  }
}

/** A hub of which nobody says how it moves; points that nothing else needs go with it. */
export function withoutHubMotion(build: Build, hubId: BodyId, keepsCentre = false): Build {
  const hub = hubById(build, hubId)
  if (!hub?.motion) return build
  const bare = withHub(
    build,
    hubId,
    (one) => (keepsCentre ? omit(one, 'motion') : omit(one, 'motion', 'centre')) as HubBody,
  )
  const all = [...motionPoints(hub.motion), ...(hub.centre === undefined ? [] : [hub.centre])]
  const gone = new Set(all.filter((id) => !isUsed(bare, id)))
  return {
    ...bare,
    points: bare.points.filter(({ id }) => !gone.has(id)),
    readings: bare.readings.filter((reading) => !('point' in reading && gone.has(reading.point))),
  }
}

const lengthsOf = (build: Build, hubId: BodyId): Extract<HubMotion, { kind: 'lengths' }> | null => {
  const motion = hubById(build, hubId)?.motion
  return motion?.kind === 'lengths' ? motion : null
}

/** Takes the distance of a halfshaft's joints at a height of the wheel, or measures one anew; the same build where it is not told so. */
export function withLength(build: Build, hubId: BodyId, row: LengthRow): Build {
  const motion = lengthsOf(build, hubId)
  if (!motion) return build
  const rows = [...motion.rows.filter(({ wheelUpMm }) => wheelUpMm !== row.wheelUpMm), row].toSorted(
    (a, b) => a.wheelUpMm - b.wheelUpMm,
  )
  return withHub(build, hubId, (hub) => ({ ...hub, motion: { ...motion, rows } }))
}

/** Takes a height out again. */
export function withoutLength(build: Build, hubId: BodyId, wheelUpMm: number): Build {
  const motion = lengthsOf(build, hubId)
  if (!motion) return build
  const rows = motion.rows.filter((row) => row.wheelUpMm !== wheelUpMm)
  return withHub(build, hubId, (hub) => ({ ...hub, motion: { ...motion, rows } }))
}

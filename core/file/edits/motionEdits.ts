import { axleById } from '../parts/bodies'
import {
  ARRANGEMENTS,
  type Arrangement,
  type AxleHolding,
  type AxleMotion,
  type AxleTravel,
} from '../parts/axleMotion'
import type { AxleBody, BodyId, WheeledBody } from '../parts/body'
import type { Build } from '../build/build'
import type { NamedPoint } from '../parts/named'
import type { HubTravel } from '../parts/hubMotion'
import type { Id } from '../parts/id'
import { motionPoints } from '../parts/motionPoints'
import { isUsed } from './withoutBody'
import { omit } from './omit'
import { idsOf, type Ids } from './withLayout'

/** Ways to say how an axle moves: read at heights, by its springs' arc, or by one of the usual arrangements of links. */
export const MOTION_WAYS = ['table', 'arc', ...ARRANGEMENTS] as const
export type MotionWay = (typeof MOTION_WAYS)[number]

/** What holds an axle in each of the usual arrangements. */
const HELD_BY: Readonly<Record<Arrangement, readonly (readonly [AxleHolding['kind'], string])[]>> = {
  'four-link': [
    ['link', 'left lower link'],
    ['link', 'right lower link'],
    ['link', 'left upper link'],
    ['link', 'right upper link'],
  ],
  'three-link': [
    ['link', 'left lower link'],
    ['link', 'right lower link'],
    ['link', 'upper link'],
    ['link', 'lateral bar'],
  ],
  'torque-arm': [
    ['link', 'left lower link'],
    ['link', 'right lower link'],
    ['link', 'drop link of the torque arm'],
    ['link', 'lateral bar'],
  ],
  'torque-tube': [
    ['ball', 'ball of the torque tube'],
    ['link', 'lateral bar'],
  ],
  trailing: [['hinge', 'trailing arms']],
}

const withAxle = (build: Build, id: BodyId, edit: (axle: AxleBody) => AxleBody): Build => ({
  ...build,
  bodies: build.bodies.map((body) => (body.id === id && body.kind === 'axle' ? edit(body) : body)),
})

/**
 * Says anew how an axle moves, with the points that takes, still to be read; points of the old way that nothing else needs go.
 *
 * @returns the same build where there is no such axle
 */
export function withMotion(build: Build, axleId: BodyId, way: MotionWay): Build {
  const axle = axleById(build, axleId)
  const chassis = build.bodies.find(({ kind }) => kind === 'chassis')
  if (!axle || !chassis) return build
  const bare = withoutMotion(build, axleId)
  const points: NamedPoint[] = []
  const motion = newMotion(axle, way, idsOf(bare), (id, name, isOnAxle) => {
    points.push({ id, name, body: isOnAxle ? axleId : chassis.id })
    return id
  })
  return { ...withAxle(bare, axleId, (one) => ({ ...one, motion })), points: [...bare.points, ...points] }
}

type NewPoint = (id: Id, name: string, isOnAxle: boolean) => Id

function newMotion(axle: AxleBody, way: MotionWay, ids: Ids, point: NewPoint): AxleMotion {
  if (way === 'table') return { kind: 'table', rows: [{ wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 }] }
  const named = (name: string, isOnAxle: boolean) =>
    point(ids(`${axle.name} ${name}`), `${axle.name}, ${name}`, isOnAxle)
  if (way === 'arc') return { kind: 'arc', seat: named('spring seat', true), eye: named('spring eye', false) }
  return {
    kind: 'links',
    like: way,
    holdings: HELD_BY[way].map(([kind, name]) => newHolding(kind, name, ids, named)),
  }
}

function newHolding(
  kind: AxleHolding['kind'],
  name: string,
  ids: Ids,
  named: (name: string, isOnAxle: boolean) => Id,
): AxleHolding {
  const id = ids(name)
  switch (kind) {
    case 'link':
      return {
        id,
        kind,
        name,
        chassis: named(`${name}, chassis end`, false),
        axle: named(`${name}, axle end`, true),
      }
    case 'hinge':
      return {
        id,
        kind,
        name,
        axle: named(`${name}, left pivot`, true),
        axle2: named(`${name}, right pivot`, true),
      }
    case 'slider':
      return { id, kind, name, axle: named(name, true), stays: 'aside' }
    case 'ball':
      return { id, kind, name, axle: named(name, true) }
  }
}

/** An axle of which nobody says how it moves; levers of its links and points that nothing else needs go with it. */
export function withoutMotion(build: Build, axleId: BodyId): Build {
  const axle = axleById(build, axleId)
  if (!axle?.motion) return build
  const bare = withAxle(build, axleId, (one) => omit(one, 'motion') as AxleBody)
  const links = bare.levers.filter(({ kind, body }) => kind === 'link-length' && body === axleId)
  const gone = new Set(motionPoints(axle.motion).filter((point) => !isUsed(bare, point)))
  return {
    ...bare,
    levers: bare.levers.filter((lever) => !links.includes(lever)),
    positions: bare.positions.map((position) => ({
      ...position,
      settings: Object.fromEntries(
        Object.entries(position.settings).filter(([id]) => !links.some((lever) => lever.id === id)),
      ),
    })),
    points: bare.points.filter(({ id }) => !gone.has(id)),
    readings: bare.readings.filter((reading) => !('point' in reading && gone.has(reading.point))),
  }
}

/** How far wheels go, figure by figure; one that is taken out is undefined. */
export type TravelChange = {
  readonly [K in keyof AxleTravel | keyof HubTravel]?: number | undefined
}

/** Says how far the wheels of an axle, or the wheel of a hub, go. */
export function withTravel(build: Build, bodyId: BodyId, changed: TravelChange): Build {
  return {
    ...build,
    bodies: build.bodies.map((body) => {
      if (body.id !== bodyId || (body.kind !== 'axle' && body.kind !== 'hub')) return body
      const told = Object.entries({ bumpMm: 0, droopMm: 0, ...body.travel, ...changed })
      const travel = Object.fromEntries(told.filter(([, value]) => value !== undefined))
      return { ...body, travel } as unknown as WheeledBody
    }),
  }
}

/** A height at which it was read how an axle stands: against ride height, as the rows of its table are told. */
export interface HeightRead {
  readonly wheelUpMm: number
  readonly stationMm: number
  readonly noseDeg: number
}

/**
 * Takes a height into the table of an axle, or reads one anew; rows count from what was read at ride height.
 *
 * @returns the same build where the axle has no table, or ride height was not read first
 */
export function withHeight(
  build: Build,
  axleId: BodyId,
  { wheelUpMm, stationMm, noseDeg }: HeightRead,
): Build {
  const motion = axleById(build, axleId)?.motion
  if (motion?.kind !== 'table') return build
  if (wheelUpMm === 0) {
    const before = motion.ride
    const [further, turned] = [
      stationMm - (before?.stationMm ?? stationMm),
      noseDeg - (before?.noseDeg ?? noseDeg),
    ]
    // What was read at the other heights stays as it was read.
    const rows = motion.rows.map((row) =>
      row.wheelUpMm === 0
        ? row
        : { ...row, forwardMm: row.forwardMm + further, noseUpDeg: row.noseUpDeg - turned },
    )
    return withAxle(build, axleId, (axle) => ({
      ...axle,
      motion: { ...motion, rows, ride: { stationMm, noseDeg } },
    }))
  }
  const { stationMm: rideMm, noseDeg: rideDeg } = motion.ride ?? {}
  if (rideMm === undefined || rideDeg === undefined) return build
  const row = { wheelUpMm, forwardMm: rideMm - stationMm, noseUpDeg: noseDeg - rideDeg }
  const rows = [...motion.rows.filter((one) => one.wheelUpMm !== wheelUpMm), row].toSorted(
    (a, b) => a.wheelUpMm - b.wheelUpMm,
  )
  return withAxle(build, axleId, (axle) => ({ ...axle, motion: { ...motion, rows } }))
}

/** Takes a height out of the table again; ride height stays. */
export function withoutHeight(build: Build, axleId: BodyId, wheelUpMm: number): Build {
  const motion = axleById(build, axleId)?.motion
  if (motion?.kind !== 'table' || wheelUpMm === 0) return build
  const rows = motion.rows.filter((row) => row.wheelUpMm !== wheelUpMm)
  return withAxle(build, axleId, (axle) => ({ ...axle, motion: { ...motion, rows } }))
}

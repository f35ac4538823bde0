import { BODY_KIND_NAMES } from '../parts/body'
import { BODY_KINDS } from '../parts/bodyKinds'
import type { AxleBody, Body, BodyKind, HubBody } from '../parts/body'
import { bodyById } from '../parts/bodies'
import type { Build } from '../build/build'
import { SUSPENSION_POINTS } from '../parts/hubMotion'
import type { Id } from '../parts/id'
import { isLeverOn } from '../build/lever'

type Complain = (path: string, message: string) => void

/** Every name that points at no body or at one of the wrong kind, in bodies, levers, states and drivetrain. */
export function bodyReferences(build: Build, complain: Complain): void {
  const points = new Set(build.points.map((point) => point.id))
  if (build.bodies.filter((body) => body.kind === 'chassis').length !== 1)
    complain('bodies', 'must hold one chassis')
  for (const kind of BODY_KIND_NAMES)
    if (BODY_KINDS[kind].isOnly && build.bodies.filter((body) => body.kind === kind).length > 1)
      complain('bodies', `must hold no more than one ${kind}`)
  build.bodies.forEach((body, i) => {
    standProblem(build, body, (message) => complain(`bodies[${i}].standsOn`, message))
    for (const [key, id] of namedPoints(body))
      if (!points.has(id)) complain(`bodies[${i}].${key}`, `there is no point "${id}"`)
    if ('centre' in body && body.centre !== undefined && !points.has(body.centre))
      complain(`bodies[${i}].centre`, `there is no point "${body.centre}"`)
    const inMotion: Complain = (path, message) => complain(`bodies[${i}].motion.${path}`, message)
    if (body.kind === 'axle') motionProblems(build, body, inMotion)
    if (body.kind === 'hub') hubMotionProblems(build, body, inMotion)
  })
  const requireKind = (id: string, kind: BodyKind, path: string) => {
    if (bodyById(build, id)?.kind !== kind) complain(path, `there is no ${kind} "${id}"`)
  }
  build.levers.forEach((lever, i) => {
    const body = bodyById(build, lever.body)
    if (!body) complain(`levers[${i}].body`, `there is no body "${lever.body}"`)
    else if (!isLeverOn(lever.kind, body.kind))
      complain(`levers[${i}].body`, `"${lever.kind}" does not move a ${body.kind}`)
    const holdings = body?.kind === 'axle' && body.motion?.kind === 'links' ? body.motion.holdings : []
    const isLink = holdings.some(({ id, kind }) => id === lever.holding && kind === 'link')
    if ((lever.kind === 'link-length' || lever.holding !== undefined) && !isLink)
      complain(`levers[${i}].holding`, `there is no link "${lever.holding ?? ''}" on this axle`)
    if (lever.range[0] > lever.range[1])
      complain(`levers[${i}].range`, 'must run from the lower to the higher figure')
  })
  build.states.forEach((state, i) =>
    state.wheels.forEach(({ axle }, k) => {
      requireKind(axle, 'axle', `states[${i}].wheels[${k}].axle`)
      if (state.wheels.findIndex((other) => other.axle === axle) < k)
        complain(`states[${i}].wheels[${k}].axle`, `"${axle}" is already told in this state`)
    }),
  )
  build.drivetrain.axleRatios?.forEach(({ axle }, i) =>
    requireKind(axle, 'axle', `drivetrain.axleRatios[${i}].axle`),
  )
  build.drivetrain.outputs?.forEach(({ axis }, i) => {
    if (!build.axes.some(({ id }) => id === axis))
      complain(`drivetrain.outputs[${i}].axis`, `there is no axis "${axis}"`)
  })
}

/** Points that a body names in lists of its own, by their places. */
function namedPoints(body: Body): (readonly [string, Id])[] {
  const inList = (name: string, list: object | undefined) =>
    Object.entries(list ?? {}).map(([key, id]) => [`${name}.${key}`, id as Id] as const)
  if (body.kind === 'live-axle')
    return [
      ...inList('bearings', body.bearings),
      ...inList('hubs', body.hubs),
      ...(body.brake === undefined ? [] : [['brake', body.brake] as const]),
    ]
  return 'mounts' in body ? inList('mounts', body.mounts) : []
}

/** What a body stands on must be there, be another, and not stand on it in turn. */
function standProblem(build: Build, body: Body, complain: (message: string) => void): void {
  if (body.standsOn === undefined) return
  if (!bodyById(build, body.standsOn)) return complain(`there is no body "${body.standsOn}"`)
  const seen = new Set([body.id])
  for (let on = bodyById(build, body.standsOn); on; on = bodyById(build, on.standsOn)) {
    if (seen.has(on.id)) return complain('bodies stand on each other in a circle')
    seen.add(on.id)
  }
}

/** Says what is wrong with a point that is to go along with a body, or not to. */
const sidedPoint =
  ({ points }: Build, body: Id, what: string, complain: Complain) =>
  (id: Id | undefined, path: string, isOnBody: boolean) => {
    if (id === undefined) return
    const point = points.find((one) => one.id === id)
    if (!point) complain(path, `there is no point "${id}"`)
    else if ((point.body === body) !== isOnBody)
      complain(
        path,
        isOnBody ? `"${id}" is no point of this ${what}` : `"${id}" goes along with the ${what} itself`,
      )
  }

/** Points that a hub's motion is told by must be there, each on its side of what moves. */
function hubMotionProblems(build: Build, { id, motion }: HubBody, complain: Complain): void {
  if (!motion) return
  const requirePoint = sidedPoint(build, id, 'hub', complain)
  if (motion.kind === 'lengths') {
    requirePoint(motion.inner, 'inner', false)
    requirePoint(motion.outer, 'outer', true)
    return
  }
  const points: Readonly<Record<string, Id>> = motion.points
  for (const { key, isOnHub } of SUSPENSION_POINTS[motion.kind])
    requirePoint(points[key], `points.${key}`, isOnHub)
}

/** Points that an axle's motion is told by must be there, each on its side of what moves. */
function motionProblems(build: Build, { id: axle, motion }: AxleBody, complain: Complain): void {
  const requirePoint = sidedPoint(build, axle, 'axle', complain)
  if (motion?.kind === 'table') requirePoint(motion.at, 'at', true)
  if (motion?.kind === 'arc') {
    requirePoint(motion.seat, 'seat', true)
    requirePoint(motion.eye, 'eye', false)
  }
  if (motion?.kind !== 'links') return
  motion.holdings.forEach((holding, i) => {
    const at = `holdings[${i}]`
    if (motion.holdings.findIndex(({ id }) => id === holding.id) < i)
      complain(`${at}.id`, `"${holding.id}" is already the id of another`)
    requirePoint(holding.axle, `${at}.axle`, true)
    if (holding.kind === 'link') requirePoint(holding.chassis, `${at}.chassis`, false)
    if (holding.kind === 'hinge') requirePoint(holding.axle2, `${at}.axle2`, true)
  })
}

import type { Body, BodyKind } from './body'
import { bodyById } from './bodies'
import type { Build } from './build'
import { isLeverOn } from './lever'

type Complain = (path: string, message: string) => void

/** Every name that points at no body or at one of the wrong kind, in bodies, levers, states and drivetrain. */
export function bodyReferences(build: Build, complain: Complain): void {
  const points = new Set(build.points.map((point) => point.id))
  if (build.bodies.filter((body) => body.kind === 'chassis').length !== 1)
    complain('bodies', 'must hold one chassis')
  if (build.bodies.filter((body) => body.kind === 'powertrain').length > 1)
    complain('bodies', 'must hold no more than one powertrain')
  build.bodies.forEach((body, i) => {
    standProblem(build, body, (message) => complain(`bodies[${i}].standsOn`, message))
    const pointsOf = 'mounts' in body ? Object.entries(body.mounts ?? {}) : []
    for (const [key, id] of pointsOf)
      if (!points.has(id)) complain(`bodies[${i}].mounts.${key}`, `there is no point "${id}"`)
    if (body.kind === 'axle' && body.centre !== undefined && !points.has(body.centre))
      complain(`bodies[${i}].centre`, `there is no point "${body.centre}"`)
  })
  const requireKind = (id: string, kind: BodyKind, path: string) => {
    if (bodyById(build, id)?.kind !== kind) complain(path, `there is no ${kind} "${id}"`)
  }
  build.levers.forEach((lever, i) => {
    const body = bodyById(build, lever.body)
    if (!body) complain(`levers[${i}].body`, `there is no body "${lever.body}"`)
    else if (!isLeverOn(lever.kind, body.kind))
      complain(`levers[${i}].body`, `"${lever.kind}" does not move a ${body.kind}`)
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

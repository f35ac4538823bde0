import { allKnown } from '../base/known'
import { middle, type Vec3 } from '../base/linalg/vec3'
import type { Evaluation } from '../model/evaluateBuild'
import { axleById, bodyById } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import type { Lever, LeverKind } from '../file/build/lever'
import { pointOf } from '../measure/geometry/geometry'
import { seen, type View, type ViewPoint } from './shape'
import { linePoints } from '../file/parts/lineSpec'

/** A thing in the drawing that can be taken hold of to move a lever. */
export interface SceneHandle {
  readonly leverId: string
  readonly view: View
  readonly at: ViewPoint
  /** The way it goes in its view when the lever's amount grows: right, up. */
  readonly along: ViewPoint
  /** Station distance from the point the lever turns about, in mm; 0 for a straight lever. */
  readonly arm: number
}

type MountKey = 'frontLeft' | 'frontRight' | 'tail'

/** Where a lever of a body on mounts is taken hold of: at the middle of these mounts, in this view, this way. */
const GRIPS: Readonly<
  Partial<
    Record<LeverKind, { readonly at: readonly MountKey[]; readonly view: View; readonly along: ViewPoint }>
  >
> = {
  'tail-up': { at: ['tail'], view: 'side', along: [0, 1] },
  'front-up': { at: ['frontLeft', 'frontRight'], view: 'side', along: [0, 1] },
  'front-left-up': { at: ['frontLeft'], view: 'front', along: [0, 1] },
  'front-right-up': { at: ['frontRight'], view: 'front', along: [0, 1] },
  fore: { at: ['frontLeft', 'frontRight', 'tail'], view: 'side', along: [-1, 0] },
  sideways: { at: ['frontLeft', 'frontRight'], view: 'front', along: [1, 0] },
  'tail-sideways': { at: ['tail'], view: 'top', along: [0, 1] },
}

/** Handles of all levers that have a place to be taken hold of. */
export const sceneHandles = (build: Build, now: Evaluation): SceneHandle[] =>
  build.levers.flatMap((lever): SceneHandle[] =>
    lever.kind === 'wedge'
      ? wedgeHandle(build, now, lever)
      : bodyById(build, lever.body)?.kind === 'bearing-bracket'
        ? bearingHandle(build, now, lever)
        : mountHandle(build, now, lever),
  )

/** Below the bearing, where its spacers go. */
const UNDER_BEARING_MM = 90

/** A centre bearing is packed up and down where it stands. */
function bearingHandle(build: Build, now: Evaluation, lever: Lever): SceneHandle[] {
  const held = new Set(build.points.flatMap(({ id, body }) => (body === lever.body ? [id] : [])))
  const bearing = build.lines
    .flatMap(({ shafts }) => shafts)
    .flatMap((shaft) => shaft.bearing?.point ?? [])
    .find((point) => held.has(point))
  const place = bearing === undefined ? null : pointOf(now.placed, bearing)
  if (lever.kind !== 'up' || !place?.known) return []
  const [right, up] = seen(place.value, 'side')
  return [{ leverId: lever.id, view: 'side', at: [right, up - UNDER_BEARING_MM], along: [0, 1], arm: 0 }]
}

function mountHandle(build: Build, now: Evaluation, lever: Lever): SceneHandle[] {
  const body = bodyById(build, lever.body)
  const grip = GRIPS[lever.kind]
  if (!grip || !body || !('mounts' in body) || !body.mounts) return []
  const { mounts } = body
  const points = grip.at.map((key) => pointOf(now.placed, mounts[key]))
  const all = allKnown<Vec3[]>(points)
  if (!all.known) return []
  const [first, ...rest] = all.value
  if (!first) return []
  const place = rest.reduce((sum, point) => middle(sum, point), first)
  return [{ leverId: lever.id, view: grip.view, at: seen(place, grip.view), along: grip.along, arm: 0 }]
}

function wedgeHandle(build: Build, now: Evaluation, lever: Lever): SceneHandle[] {
  const axle = axleById(build, lever.body)
  const isNose = (point: string) => build.points.some(({ id, body }) => id === point && body === axle?.id)
  const nose = build.lines.flatMap(linePoints).find(isNose)
  if (!axle?.centre || nose === undefined) return []
  const ends = allKnown<[Vec3, Vec3]>([pointOf(now.placed, axle.centre), pointOf(now.placed, nose)])
  if (!ends.known) return []
  const [centre, tip] = ends.value
  return [
    {
      leverId: lever.id,
      view: 'side',
      at: seen(tip, 'side'),
      along: [0, 1],
      arm: Math.abs(tip[0] - centre[0]),
    },
  ]
}

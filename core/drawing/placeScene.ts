import type { Check } from '../check/check'
import type { Evaluation } from '../model/evaluateBuild'
import type { GapEvaluation } from '../model/gaps'
import { known } from '../base/known'
import { NO_MOVE } from '../base/linalg/mat3'
import { add, dot, norm, scale, type Vec3 } from '../base/linalg/vec3'
import { axlesOf, powertrainOf } from '../file/parts/bodies'
import { BODY_KINDS } from '../file/parts/bodyKinds'
import type { Build } from '../file/build/build'
import { axleSweep } from './axles'
import { chainShapes, liveAxleShapes } from './chainShapes'
import { sceneHandles, type SceneHandle } from './handles'
import { bodyShapes, mountPoints, usualChassis } from './lineScene'
import { inViews, seen, VIEW_AXES, type Shape, type View, type ViewPoint } from './shape'

/** A gap in the view that shows it best: from the touch point to the obstacle. */
export interface SceneGap {
  readonly id: string
  readonly name: string
  readonly check: Check
  readonly view: View
  readonly from: ViewPoint
  readonly to: ViewPoint
}

/** The board of trials: three views on common scales, everything in mm. */
export interface PlaceScene {
  readonly shapes: Readonly<Record<View, readonly Shape[]>>
  readonly mounts: Readonly<Record<View, readonly ViewPoint[]>>
  readonly gaps: readonly SceneGap[]
  readonly handles: readonly SceneHandle[]
}

/** A gap to the ground and its room, lowest first: what strikes first. */
export interface LowPoint {
  readonly id: string
  readonly name: string
  readonly gapMm: number
  readonly check: Check
}

/** Ids of the bodies that stand elsewhere than measured. */
export const movedBodies = (build: Build, now: Evaluation): string[] =>
  build.bodies.flatMap(({ id }) => {
    const move = now.moves.get(id)
    const isSet = now.setBack !== null && powertrainOf(build)?.id === id
    return isSet || (move && !(move.known && move.value === NO_MOVE)) ? [id] : []
  })

/**
 * Everything on the board that stands as measured: chassis, ground, and the bodies that no lever has moved. It stays the same while
 * a lever is in the hand.
 *
 * @param span - stations that are shown, in mm rearward
 * @param moved - ids of the bodies that have moved
 */
export const placeBackdrop = (
  build: Build,
  now: Evaluation,
  span: readonly [number, number],
  moved: readonly string[],
): Readonly<Record<View, readonly Shape[]>> =>
  inViews((view) => [
    ...usualChassis(build, view, view === 'front' ? ACROSS : [span[0] - FAR, span[1] + FAR], span),
    ...bodyShapes(build, { ...now, setBack: null }, view, () => known(NO_MOVE), {
      hasItems: true,
      shows: ({ id }) => !moved.includes(id),
    }),
    ...axlesOf(build).flatMap((axle) => axleSweep(build, now, view, axle)),
  ])

/** What was moved, as it stood in the first trial. */
export const placeGhosts = (
  build: Build,
  now: Evaluation,
  moved: readonly string[],
): Readonly<Record<View, readonly Shape[]>> =>
  inViews((view) =>
    bodyShapes(build, { ...now, setBack: null }, view, () => known(NO_MOVE), {
      hasItems: false,
      shows: ({ id }) => moved.includes(id),
    }),
  )

/** What the levers have moved, and everything that goes by it. */
export function placeScene(build: Build, now: Evaluation, moved: readonly string[]): PlaceScene {
  const mounts = mountPoints(build, now)
  return {
    shapes: inViews((view) => [
      ...bodyShapes(build, now, view, (body) => now.moves.get(body) ?? known(NO_MOVE), {
        hasItems: true,
        shows: ({ id }) => moved.includes(id),
      }),
      ...liveAxleShapes(build, now, view),
      ...chainShapes(now, view),
    ]),
    mounts: inViews((view) => mounts.map((point) => seen(point, view))),
    gaps: now.gaps.flatMap(sceneGap),
    handles: sceneHandles(build, now).filter(({ arm }) => arm === 0),
  }
}

/** Farther than any view reaches, in mm. */
const FAR = 10_000
const ACROSS = [-FAR, FAR] as const

function sceneGap({ gap, check, ride }: GapEvaluation): SceneGap[] {
  if (!ride.known) return []
  const { point, toward, gapMm } = ride.value
  const view = bestView(point, toward)
  // An overlap is drawn back into the body, as deep as it is.
  const end = add(point, scale(toward, gapMm))
  return [{ id: gap.id, name: gap.name, check, view, from: seen(point, view), to: seen(end, view) }]
}

/** Behind this station what lies sideways is told from above, ahead of it from the front, in mm. */
const FRONT_VIEW_ENDS = 450

/** The view in which a direction is seen longest; what runs across is told from the front or from above. */
function bestView(point: Vec3, toward: Vec3): View {
  const length = (view: View) =>
    norm([dot(toward, VIEW_AXES[view].right), dot(toward, VIEW_AXES[view].up), 0])
  if (length('side') >= 0.75) return 'side'
  return -point[0] > FRONT_VIEW_ENDS ? 'top' : 'front'
}

/** What touches the ground first, lowest first. */
export const lowPoints = ({ gaps }: Evaluation): LowPoint[] =>
  gaps
    .flatMap(({ gap, check, ride }): LowPoint[] =>
      gap.kind === 'ground' && ride.known
        ? [{ id: gap.id, name: gap.name, gapMm: ride.value.gapMm, check }]
        : [],
    )
    .sort((one, other) => one.gapMm - other.gapMm)

/** Where the name of an overlaid position stands: behind the rearmost corner of its powertrain; null where nothing of it is drawn. */
export function nameSpot(shapes: readonly Shape[]): ViewPoint | null {
  const corners = shapes.flatMap((shape) =>
    shape.part === 'powertrain' && shape.form !== 'circle' ? shape.points : [],
  )
  return corners.reduce<ViewPoint | null>((last, at) => (last && last[0] >= at[0] ? last : at), null)
}

/** Room left about everything that is shown, in mm. */
const MARGIN = 120

/** How far the powertrain reaches to either side by its outlines and mounts, in mm; 0 where nothing tells. */
export function placeReach(build: Build, now: Evaluation): number {
  const powertrain = powertrainOf(build)
  if (!powertrain) return 0
  const { box, outlines = [], mounts } = powertrain
  const corners = outlines.flatMap(({ view, corners: list }) =>
    view === 'side' ? [] : list.map((corner) => corner[view === 'top' ? 1 : 0]),
  )
  const held = Object.values(mounts ?? {}).flatMap((id) => {
    const place = now.measured.points.get(id)
    return place?.known ? [place.value[1]] : []
  })
  return Math.max(0, ...[...corners, ...held, ...(box?.offsets ?? [])].map(Math.abs))
}

/** Stations of the engine's bay: everything that can touch, and the powertrain itself. */
export function placeSpan(build: Build, now: Evaluation): readonly [number, number] {
  const shown = new Set(build.bodies.filter(({ kind }) => BODY_KINDS[kind].isInBay).map(({ id }) => id))
  const stations = [
    ...build.points.flatMap(({ id, body }) => {
      const place = now.measured.points.get(id)
      return shown.has(body) && place?.known ? [-place.value[0]] : []
    }),
    ...now.gaps.flatMap(({ ride }) => (ride.known ? [-ride.value.point[0]] : [])),
    ...build.bodies.flatMap(({ box }) => (box ? [...box.stations] : [])),
    ...sprocketReach(now, (place) => -place[0]),
  ]
  return stations.length === 0
    ? [-300, 1500]
    : [Math.min(...stations) - MARGIN, Math.max(...stations) + MARGIN]
}

/** Heights that the chains of a build reach to: they are shown wherever they stand. */
export const chainLevels = (now: Pick<Evaluation, 'chains'>): number[] =>
  sprocketReach(now, (place) => place[2])

const sprocketReach = ({ chains }: Pick<Evaluation, 'chains'>, along: (place: Vec3) => number): number[] =>
  chains.flatMap(({ sprockets }) =>
    (sprockets.known ? sprockets.value : []).flatMap(({ place, outerMm }) => [
      along(place) - outerMm / 2,
      along(place) + outerMm / 2,
    ]),
  )

import { axlesOf, powertrainOf } from '../file/parts/bodies'
import type { Check } from '../check/check'
import type { Evaluation } from '../model/evaluateBuild'
import { axisDirection } from '../base/frame/axis'
import { allKnown, known, type Known } from '../base/known'
import { NO_MOVE, type RigidMove } from '../base/linalg/mat3'
import { add, middle, norm, scale, type Vec3 } from '../base/linalg/vec3'
import type { Verdict } from '../file/build/limit'
import { gravest } from '../file/limits/verdict'
import type { Body } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { pointOfJoint, type Line } from '../file/parts/lineSpec'
import { outputOf } from '../file/open/output'
import { axisOf, pointOf } from '../measure/geometry/geometry'
import { chainShapes, liveAxleShapes } from './chainShapes'
import { sceneHandles, type SceneHandle } from './handles'
import { hasOutline, outlineShapes, type SetBack } from './outlines'
import { axleOf } from './axles'
import { chassisShapes, powertrainShapes, shaftShape } from './bodies'
import { axleWithSizes, chassisSizes, powertrainSizes } from './usualSizes'
import { asUsual, inViews, seen, type Shape, type View, type ViewPoint } from './shape'

/** A joint of the drawing, numbered along the power flow and ringed with its verdict. */
export interface SceneJoint {
  readonly lineId: string
  readonly number: number
  readonly verdict: Verdict
  readonly at: Readonly<Record<View, ViewPoint>>
}

/** A remark in the drawing on what is not well: at a joint, or in the middle of a shaft. */
export interface SceneCallout {
  readonly id: string
  readonly at: ViewPoint
  readonly checks: readonly Check[]
}

/** Everything drawn, in mm, both views on the same stations. */
export interface LineScene {
  readonly shapes: Readonly<Record<View, readonly Shape[]>>
  /** Powertrain, axle and shafts as measured, when a lever has moved them. */
  readonly ghosts: Readonly<Record<View, readonly Shape[]>>
  readonly joints: readonly SceneJoint[]
  readonly mounts: readonly Readonly<Record<View, ViewPoint>>[]
  readonly handles: readonly SceneHandle[]
  readonly callouts: readonly SceneCallout[]
}

/** The scene of a build at one setting, beside the measured one. */
export function lineScene(build: Build, now: Evaluation): LineScene {
  const isMoved = Object.values(now.settings).some((amount) => amount !== 0)
  const [front, rear] = stationSpan(build, now)
  // The ground goes on beyond whatever stretch of the vehicle is shown.
  const span = [front - FAR, rear + FAR] as const
  return {
    shapes: inViews((view) => [
      ...usualChassis(build, view, span, [front, rear]),
      ...bodyShapes(build, now, view, (body) => now.moves.get(body) ?? known(NO_MOVE)),
      ...liveAxleShapes(build, now, view),
      ...chainShapes(now, view),
      ...lineShapes(now, view),
    ]),
    ghosts: inViews((view) =>
      isMoved ? bodyShapes(build, { ...now, setBack: null }, view, () => known(NO_MOVE)) : [],
    ),
    joints: sceneJoints(now),
    mounts: mountPoints(build, now).map((point) => inViews((view) => seen(point, view))),
    handles: sceneHandles(build, now).filter(({ view }) => view === 'side'),
    callouts: sceneCallouts(now),
  }
}

/** Which bodies of a build are drawn; the lines of a drawing show no items. */
export interface BodyChoice {
  readonly hasItems: boolean
  readonly shows: (body: Body) => boolean
}

const ALL_BUT_ITEMS: BodyChoice = { hasItems: false, shows: () => true }

/** The bodies of a build in one view: by their outlines or boxes where those were entered, else powertrain and axles in usual sizes. */
export function bodyShapes(
  build: Build,
  now: Evaluation,
  view: View,
  moveOf: (body: string) => Known<RigidMove>,
  { hasItems, shows }: BodyChoice = ALL_BUT_ITEMS,
): Shape[] {
  const powertrain = powertrainOf(build)
  const drawn = (body: Body) => {
    const move = moveOf(body.id)
    return move.known ? outlineShapes(body, move.value, view, setBackOf(body, now)) : []
  }
  // What stands on the chassis lies behind the powertrain, what stands on the powertrain before it.
  const others = hasItems ? build.bodies.filter((body) => body !== powertrain && shows(body)) : []
  const isBefore = (body: Body) => powertrain !== undefined && body.standsOn === powertrain.id
  const isEntered = powertrain !== undefined && hasOutline(powertrain, view)
  const engine = isEntered ? drawn : () => usualPowertrain(build, now, view, moveOf)
  return [
    ...others.filter((body) => !isBefore(body)).flatMap(drawn),
    ...(powertrain && shows(powertrain) ? engine(powertrain) : []),
    ...axlesOf(build)
      .filter(shows)
      .flatMap((axle) => axleOf(build, now, view, moveOf(axle.id), axle)),
    ...others.filter(isBefore).flatMap(drawn),
  ]
}

/** What an adapter has set back of a body. */
function setBackOf(body: Body, { setBack }: Pick<Evaluation, 'setBack'>): SetBack | null {
  if (body.kind !== 'powertrain' || body.faceStationMm === undefined || !setBack?.known) return null
  return { stationMm: body.faceStationMm, shift: setBack.value }
}

/** Engine and gearbox around their axis, by their sizes. */
function usualPowertrain(
  build: Build,
  now: Evaluation,
  view: View,
  moveOf: (body: string) => Known<RigidMove>,
): Shape[] {
  const output = outputOf(build)
  if (!output) return []
  const all = allKnown([
    pointOf(now.measured, output.point),
    axisOf(now.measured, output.axis),
    moveOf(output.body),
  ] as const as [Known<Vec3>, ReturnType<typeof axisOf>, Known<RigidMove>])
  if (!all.known) return []
  const { sizes, isUsual } = powertrainSizes(build)
  const shift = now.setBack?.known ? now.setBack.value : null
  const longer = shift ? -Math.sign(shift[0]) * norm(shift) : 0
  const grown = {
    ...sizes,
    lengthMm: (sizes.lengthMm ?? 0) + longer,
    gearboxLengthMm: (sizes.gearboxLengthMm ?? 0) + longer,
  }
  const end = shift ? add(all.value[0], shift) : all.value[0]
  return asUsual(powertrainShapes(grown, end, all.value[1], all.value[2], view), isUsual)
}

/** Rails and ground; usual sizes where none were entered. */
export function usualChassis(
  build: Build,
  view: View,
  span: readonly [number, number],
  drawn: readonly [number, number],
): Shape[] {
  const { sizes, isUsual } = chassisSizes(build, drawn)
  return chassisShapes(sizes, view, span).map((shape) =>
    shape.part === 'rail' && isUsual ? { ...shape, isUsual } : shape,
  )
}

/** Farther than any view reaches, in mm. */
const FAR = 10_000

/** How far an axis is drawn beyond its joint, in mm: into its own body, and past the joint for comparison. */
const AXIS_BEFORE = 420
const AXIS_PAST = 260

/** About as large as the rubber of a centre bearing, in mm. */
const BEARING_RADIUS = 62

function lineShapes(now: Evaluation, view: View): Shape[] {
  return now.lines.flatMap(({ line, ride }) => {
    if (!ride.known) return knownStretches(line, now, view)
    const { centres, axes } = ride.value.geometry
    const shafts = line.shafts.map((shaft, index) =>
      shaftShape(centres[index] as Vec3, centres[index + 1] as Vec3, shaft.tube, view),
    )
    const axisLine = (at: Vec3, along: Vec3, before: number, past: number): Shape => ({
      form: 'polyline',
      part: 'axis-line',
      points: [seen(add(at, scale(along, -before)), view), seen(add(at, scale(along, past)), view)],
    })
    const bearings = line.shafts.flatMap(({ bearing }): Shape[] => {
      const place = bearing && pointOf(now.placed, bearing.point)
      if (!place?.known) return []
      return [{ form: 'circle', part: 'axle', centre: seen(place.value, view), radius: BEARING_RADIUS }]
    })
    return [
      ...bearings,
      ...shafts,
      axisLine(centres[0] as Vec3, axes[0] as Vec3, AXIS_BEFORE, AXIS_PAST),
      axisLine(centres.at(-1) as Vec3, axes.at(-1) as Vec3, AXIS_PAST, AXIS_BEFORE),
    ]
  })
}

/** Shafts of a line that is not settled: those whose two joints were read. */
function knownStretches(line: Line, now: Evaluation, view: View): Shape[] {
  return line.shafts.flatMap(({ tube }, index): Shape[] => {
    const ids = [pointOfJoint(line, index), pointOfJoint(line, index + 1)]
    const [from, to] = ids.map((id) => (id === undefined ? null : pointOf(now.placed, id)))
    return from?.known && to?.known ? [shaftShape(from.value, to.value, tube, view)] : []
  })
}

function sceneJoints(now: Evaluation): SceneJoint[] {
  return now.lines.flatMap(({ line, ride, checks }) => {
    if (!ride.known) return []
    return ride.value.geometry.centres.map((centre, index) => ({
      lineId: line.id,
      number: index + 1,
      verdict: gravest(
        checks
          .filter(({ subject }) => subject.of === 'joint' && subject.index === index)
          .map((check) => check.verdict),
      ),
      at: inViews((view) => seen(centre, view)),
    }))
  })
}

/** The mounts of the powertrain where they stand. */
export function mountPoints(build: Build, now: Evaluation): Vec3[] {
  const mounts = powertrainOf(build)?.mounts
  if (!mounts) return []
  return [mounts.frontLeft, mounts.frontRight, mounts.tail].flatMap((id) => {
    const point = pointOf(now.placed, id)
    return point.known ? [point.value] : []
  })
}

function sceneCallouts(now: Evaluation): SceneCallout[] {
  return now.lines.flatMap(({ line, ride, checks }) => {
    if (!ride.known) return []
    const { centres } = ride.value.geometry
    const wrong = checks.filter((check) => check.verdict === 'out' || check.verdict === 'tight')
    const anchors = new Map<string, { at: Vec3; checks: Check[] }>()
    for (const check of wrong) {
      const { subject } = check
      if (subject.of === 'thing' || subject.of === 'gap' || subject.of === 'chain') continue
      const isJoint = subject.of === 'joint'
      const from = subject.of === 'line' ? centres.length - 2 : subject.index
      const at = isJoint
        ? (centres[subject.index] as Vec3)
        : middle(centres[Math.max(0, from)] as Vec3, (centres[from + 1] ?? centres[0]) as Vec3)
      const key = isJoint ? `${line.id}/joint/${subject.index}` : `${line.id}/shaft/${from}`
      const anchor = anchors.get(key) ?? { at, checks: [] }
      anchor.checks.push(check)
      anchors.set(key, anchor)
    }
    return [...anchors].map(([id, { at, checks: list }]) => ({
      id,
      at: seen(at, 'side'),
      checks: [...list].sort((a, b) => (a.verdict === b.verdict ? 0 : a.verdict === 'out' ? -1 : 1)),
    }))
  })
}

/** Room left in front of and behind everything drawn, in mm. */
const MARGIN = 180

/** Stations from the front of what is drawn to its rear. */
export function stationSpan(build: Build, now: Evaluation): readonly [number, number] {
  const stations: number[] = []
  for (const place of now.measured.points.values()) if (place.known) stations.push(-place.value[0])
  const output = outputOf(build)
  const end = output ? pointOf(now.measured, output.point) : null
  const { lengthMm } = powertrainSizes(build).sizes
  if (output && end?.known && lengthMm) {
    const place = axisOf(now.measured, output.axis)
    if (place.known) stations.push(-(end.value[0] - axisDirection(place.value)[0] * lengthMm))
  }
  const wheel =
    Math.max(0, ...axlesOf(build).map((axle) => axleWithSizes(axle).axle.sizes?.tyreDiameterMm ?? 0)) / 2
  if (stations.length === 0) return [0, 3000]
  return [Math.min(...stations) - MARGIN, Math.max(...stations) + Math.max(MARGIN, wheel + 60)]
}

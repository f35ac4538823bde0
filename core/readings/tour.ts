import { axlesOf, hubsOf, powertrainOf } from '../project/bodies'
import type { Build } from '../project/build'
import type { Gap } from '../project/gap'
import type { Id } from '../project/id'
import { motionPoints, pointsMovedBy } from '../project/motionPoints'
import { liveAxlePoints, type BodyKind } from '../project/body'
import { sprocketsOf, type ChainSprocket } from '../project/chainLine'
import { FACE_PLACES, type Reading } from '../project/reading'
import { askedBody, askedKey, askedName, readingOf, type Asked, type PointQuantity } from './asked'
import { isGiven } from '../project/readingKinds'
import { isReadable } from './scatter'
import { linePoints } from '../project/lineSpec'

/** What a point on the vehicle is there for. */
export type PointRole =
  | 'joint'
  | 'on-axis'
  | 'link-end'
  | 'axle-centre'
  | 'front-mount'
  | 'tail-mount'
  | 'frame-hole'
  | 'touch-point'
  | 'sprocket'
  | 'bearing'

/** One reading to take, in the order in which one works under the vehicle. */
export type TourStep = Asked & {
  /** Stable: quantity and target. */
  readonly id: string
  readonly group: TourGroup
  readonly targetName: string
  readonly role: PointRole | null
  /** Not needed for the verdict: it refines the top view or lets a lever move. */
  readonly optional: boolean
  /** Kind of body the target belongs to, for the picture of where the tool goes. */
  readonly body: BodyKind
  /** Of a gap: the way from its touch point to what stands against it, chassis frame; null for all else. */
  readonly toward: Gap['toward'] | null
  /** The axis lies across the vehicle: its ends are left and right. */
  readonly isAcross: boolean
  readonly reading: Reading | null
  /** It was read, and what was written down can be understood. */
  readonly isRead: boolean
}

export type TourGroup = 'attitude' | 'levels' | 'joints' | 'chains' | 'checks' | 'levers' | 'gaps'

type MakeStep = (group: TourGroup, asked: Asked, role: PointRole | null, optional: boolean) => TourStep
type MakePlace = (
  group: TourGroup,
  point: Id,
  role: PointRole,
  optional: boolean,
  quantities?: readonly PointQuantity[],
) => TourStep[]

/**
 * The readings a build wants, attitude of the chassis first, then the levels, the joints, and what the levers turn about.
 *
 * @param setupId - the setup being taken; attitude readings belong to it, others count whichever setup they came from
 */
export function measuringTour(build: Build, setupId: Id): TourStep[] {
  const step: MakeStep = (group, asked, role, optional) => {
    const reading = readingOf(build, setupId, asked)
    return {
      ...asked,
      id: askedKey(asked),
      group,
      targetName: askedName(build, asked),
      role,
      optional,
      body: askedBody(build, asked),
      isAcross:
        asked.quantity === 'axis-level' &&
        build.axes.some(({ id, lies }) => id === asked.axis && lies === 'across'),
      toward:
        asked.quantity === 'gap' ? (build.gaps.find(({ id }) => id === asked.gap)?.toward ?? null) : null,
      reading,
      isRead: reading !== null && isReadable(build, reading),
    }
  }
  const place: MakePlace = (group, point, role, optional, quantities = ALL_THREE) =>
    quantities.map((quantity) => step(group, { quantity, point }, role, optional))
  const level = (axis: Id) => step('levels', { quantity: 'axis-level', axis }, null, false)

  const joints = [...new Set(build.lines.flatMap(linePoints).reverse())]
  const axes = [
    ...new Set([
      ...build.lines.flatMap((line) => [line.driven, line.driving]),
      ...sprocketsOf(build).flatMap(({ axis }) =>
        axis === undefined || isAxisGiven(build, axis) ? [] : [axis],
      ),
    ]),
  ]
  const seats = build.lines.flatMap(({ shafts }) => shafts.flatMap(({ bearing }) => bearing?.axis ?? []))
  const onAxes = build.axes.flatMap((axis) => axis.through ?? []).filter((id) => !joints.includes(id))
  const centres = axlesOf(build).flatMap((axle) => (axle.centre === undefined ? [] : [axle.centre]))
  const ends = [
    ...axlesOf(build).flatMap(({ motion }) => motionPoints(motion)),
    ...hubsOf(build).flatMap(pointsMovedBy),
  ].filter((id) => !joints.includes(id))
  const mounts = powertrainOf(build)?.mounts
  const holes = (build.centrePairs ?? []).flatMap((pair) => [pair.left, pair.right])
  const steps = [
    step('attitude', { quantity: 'chassis-fall' }, null, false),
    step('attitude', { quantity: 'chassis-roll' }, null, true),
    ...[...axes, ...seats].map(level),
    ...joints.flatMap((id) => place('joints', id, 'joint', false)),
    ...[...new Set(onAxes)].flatMap((id) =>
      place('joints', id, 'on-axis', true, ['point-station', 'point-offset']),
    ),
    ...chainSteps(build, step, place),
    // A shaft's own angle can be held against its joint points.
    ...build.lines.flatMap((line) =>
      line.shafts.map((_, shaft) =>
        step('checks', { quantity: 'shaft-level', line: line.id, shaft }, null, true),
      ),
    ),
    ...holes.flatMap((id) => place('checks', id, 'frame-hole', true, ['point-station', 'point-offset'])),
    ...centres.flatMap((id) => place('levers', id, 'axle-centre', true, ['point-station', 'point-height'])),
    ...[...new Set(ends)].flatMap((id) => place('levers', id, 'link-end', true)),
    ...(mounts
      ? [
          ...place('levers', mounts.frontLeft, 'front-mount', true),
          ...place('levers', mounts.frontRight, 'front-mount', true),
          ...place('levers', mounts.tail, 'tail-mount', true),
        ]
      : []),
    ...build.gaps.flatMap(({ id, point }) => [
      step('gaps', { quantity: 'gap', gap: id }, null, true),
      ...place('gaps', point, 'touch-point', true),
    ]),
  ]
  return steps.filter((one, index) => steps.findIndex((other) => other.id === one.id) === index)
}

/** True for an axis that a drawing tells. */
const isAxisGiven = ({ readings }: Build, axis: Id): boolean =>
  readings.some((one) => isGiven(one) && 'axis' in one && one.axis === axis)

/** The places of a chain's sprockets, then their faces from one line, then its slack. */
function chainSteps(build: Build, step: MakeStep, place: MakePlace): TourStep[] {
  return [
    ...sprocketsOf(build).flatMap(({ point }) => place('chains', point, 'sprocket', false)),
    ...build.bodies.flatMap((body) =>
      body.kind === 'live-axle'
        ? liveAxlePoints(body).flatMap((point) => place('chains', point, 'bearing', true))
        : [],
    ),
    ...(build.chains ?? []).flatMap(({ id, sprockets }) => [
      ...(isAcrossChain(build, sprockets[0])
        ? sprockets.flatMap((sprocket) =>
            FACE_PLACES.map((at) =>
              step(
                'chains',
                { quantity: 'sprocket-face', sprocket: sprocket.id, place: at },
                null,
                sprocket.idler === true,
              ),
            ),
          )
        : []),
      step('chains', { quantity: 'chain-slack', chain: id }, null, true),
    ]),
  ]
}

/** A laser along the vehicle shows faces only of sprockets that turn about an axis across it. */
const isAcrossChain = ({ axes }: Build, first: ChainSprocket | undefined): boolean =>
  first?.axis === undefined || axes.some(({ id, lies }) => id === first.axis && lies === 'across')

const ALL_THREE: readonly PointQuantity[] = ['point-station', 'point-offset', 'point-height']

/**
 * The next step that is not read yet, in the order of the tour, optional ones included; at its end back to the first needed
 * one that was left out.
 *
 * @returns null when nothing is left but what was passed over on purpose
 */
export function nextOpenStep(steps: readonly TourStep[], fromId: string | null): TourStep | null {
  const start = steps.findIndex((step) => step.id === fromId) + 1
  const isOpen = (step: TourStep) => !step.isRead && step.id !== fromId
  return (
    steps.slice(start).find(isOpen) ??
    steps.slice(0, start).find((step) => isOpen(step) && !step.optional) ??
    null
  )
}

/** The next step beyond a group: for who passes over all that is left of it. */
export function stepBeyond(steps: readonly TourStep[], group: TourGroup): TourStep | null {
  const last = steps.findLast((step) => step.group === group)
  return last ? nextOpenStep(steps, last.id) : null
}

/** True when all that is left open of a group may be left out. */
export const maySkipGroup = (steps: readonly TourStep[], group: TourGroup): boolean => {
  const open = steps.filter((step) => step.group === group && !step.isRead)
  return open.length > 1 && open.every((step) => step.optional)
}

import { axleById, axlesOf, hubsOf, isChassis, powertrainOf } from '../project/bodies'
import type { Build } from '../project/build'
import type { Gap } from '../project/gap'
import type { Id } from '../project/id'
import { motionPoints, pointsMovedBy } from '../project/motionPoints'
import { liveAxlePoints } from '../project/body'
import { sprocketName, sprocketsOf, type ChainSprocket } from '../project/chainLine'
import { FACE_PLACES, type FacePlace, type Reading } from '../project/reading'
import { isOfFirstTrial } from './trial'
import { isReadable } from './scatter'
import { linePoints } from '../project/lineSpec'

/** What a step of the tour asks for. */
export type TourQuantity =
  | 'chassis-fall'
  | 'chassis-roll'
  | 'axis-level'
  | 'point-station'
  | 'point-offset'
  | 'point-height'
  | 'shaft-level'
  | 'gap'
  | 'sprocket-face'
  | 'chain-slack'

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
export interface TourStep {
  /** Stable: quantity and target. */
  readonly id: string
  readonly group: 'attitude' | 'levels' | 'joints' | 'chains' | 'checks' | 'levers' | 'gaps'
  readonly quantity: TourQuantity
  /** Axis or point, or line and shaft as `line/0`; empty for the chassis. */
  readonly target: Id
  readonly targetName: string
  readonly role: PointRole | null
  /** Not needed for the verdict: it refines the top view or lets a lever move. */
  readonly optional: boolean
  /** Kind of body the target belongs to, for the picture of where the tool goes. */
  readonly body: 'chassis' | 'powertrain' | 'axle'
  /** Of a gap: the way from its touch point to what stands against it, chassis frame; null for all else. */
  readonly toward: Gap['toward'] | null
  /** The axis lies across the vehicle: its ends are left and right. */
  readonly isAcross: boolean
  readonly reading: Reading | null
  /** It was read, and what was written down can be understood. */
  readonly isRead: boolean
}

/**
 * The readings a build wants, attitude of the chassis first, then the levels, the joints, and what the levers turn about.
 *
 * @param setupId - the setup being taken; attitude readings belong to it, others count whichever setup they came from
 */
export function measuringTour(build: Build, setupId: Id): TourStep[] {
  const step = (
    group: TourStep['group'],
    quantity: TourQuantity,
    target: Id,
    role: PointRole | null,
    optional: boolean,
  ): TourStep => {
    const reading = findReading(build, setupId, quantity, target)
    return {
      id: target === '' ? quantity : `${quantity}-${target.replace('/', '-')}`,
      group,
      quantity,
      target,
      targetName: nameOf(build, target),
      role,
      optional,
      body: bodyKind(build, target),
      isAcross: build.axes.some(({ id, lies }) => id === target && lies === 'across'),
      toward: build.gaps.find(({ id }) => quantity === 'gap' && id === target)?.toward ?? null,
      reading,
      isRead: reading !== null && isReadable(build, reading),
    }
  }
  const place = (
    group: TourStep['group'],
    id: Id,
    role: PointRole,
    optional: boolean,
    quantities = ALL_THREE,
  ) => quantities.map((quantity) => step(group, quantity, id, role, optional))

  const joints = [...new Set(build.lines.flatMap(linePoints).reverse())]
  const axes = [
    ...new Set([
      ...build.lines.flatMap((line) => [line.driven, line.driving]),
      ...sprocketsOf(build).flatMap(({ axis }) => (axis === undefined || isGiven(build, axis) ? [] : [axis])),
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
    step('attitude', 'chassis-fall', '', null, false),
    step('attitude', 'chassis-roll', '', null, true),
    ...axes.map((id) => step('levels', 'axis-level', id, null, false)),
    ...seats.map((id) => step('levels', 'axis-level', id, null, false)),
    ...joints.flatMap((id) => place('joints', id, 'joint', false)),
    ...[...new Set(onAxes)].flatMap((id) =>
      place('joints', id, 'on-axis', true, ['point-station', 'point-offset']),
    ),
    ...chainSteps(build, step, place),
    ...shaftTargets(build).map((target) => step('checks', 'shaft-level', target, null, true)),
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
      step('gaps', 'gap', id, null, true),
      ...place('gaps', point, 'touch-point', true),
    ]),
  ]
  return steps.filter((one, index) => steps.findIndex((other) => other.id === one.id) === index)
}

/** True for an axis that a drawing tells. */
const isGiven = ({ readings }: Build, axis: Id): boolean =>
  readings.some((one) => one.kind.startsWith('given') && 'axis' in one && one.axis === axis)

/** The places of a chain's sprockets, then their faces from one line, then its slack. */
function chainSteps(
  build: Build,
  step: (
    group: TourStep['group'],
    quantity: TourQuantity,
    target: Id,
    role: PointRole | null,
    optional: boolean,
  ) => TourStep,
  place: (group: TourStep['group'], id: Id, role: PointRole, optional: boolean) => TourStep[],
): TourStep[] {
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
              step('chains', 'sprocket-face', `${sprocket.id}/${at}`, null, sprocket.idler === true),
            ),
          )
        : []),
      step('chains', 'chain-slack', id, null, true),
    ]),
  ]
}

/** A laser along the vehicle shows faces only of sprockets that turn about an axis across it. */
const isAcrossChain = ({ axes }: Build, first: ChainSprocket | undefined): boolean =>
  first?.axis === undefined || axes.some(({ id, lies }) => id === first.axis && lies === 'across')

/** The sprocket and the place of a step that reads a face. */
export function faceOf(target: string): { readonly sprocket: Id; readonly place: FacePlace } {
  const [sprocket = '', place] = target.split('/')
  return { sprocket, place: FACE_PLACES.find((one) => one === place) ?? 'front' }
}

const ALL_THREE: readonly TourQuantity[] = ['point-station', 'point-offset', 'point-height']

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
export function stepBeyond(steps: readonly TourStep[], group: TourStep['group']): TourStep | null {
  const last = steps.findLast((step) => step.group === group)
  return last ? nextOpenStep(steps, last.id) : null
}

/** True when all that is left open of a group may be left out. */
export const maySkipGroup = (steps: readonly TourStep[], group: TourStep['group']): boolean => {
  const open = steps.filter((step) => step.group === group && !step.isRead)
  return open.length > 1 && open.every((step) => step.optional)
}

/** Shafts whose own angle can be held against their joint points. */
const shaftTargets = (build: Build): string[] =>
  build.lines.flatMap((line) => line.shafts.map((_, index) => `${line.id}/${index}`))

/** The line and shaft of a shaft-level step. */
export function shaftOf(target: string): { readonly line: Id; readonly shaft: number } {
  const [line = '', shaft = '0'] = target.split('/')
  return { line, shaft: Number(shaft) }
}

function bodyKind(build: Build, id: Id): TourStep['body'] {
  const target = build.points.find((one) => one.id === id) ?? build.axes.find((one) => one.id === id)
  if (!target || isChassis(build, target.body)) return 'chassis'
  return axleById(build, target.body) ? 'axle' : 'powertrain'
}

const nameOf = (build: Build, id: Id): string =>
  nameOfShaft(build, id) ??
  build.points.find((point) => point.id === id)?.name ??
  build.axes.find((axis) => axis.id === id)?.name ??
  build.gaps.find((gap) => gap.id === id)?.name ??
  build.chains?.find((chain) => chain.id === id)?.name ??
  nameOfFace(build, id) ??
  'chassis'

/** Of several shafts of a line each has its number. */
function nameOfShaft({ lines }: Build, target: Id): string | undefined {
  const { line: lineId, shaft } = shaftOf(target)
  const line = lines.find(({ id }) => id === lineId)
  return line && line.shafts.length > 1 ? `${line.name}, shaft ${shaft + 1}` : line?.name
}

function nameOfFace(build: Build, target: Id): string | undefined {
  const { sprocket } = faceOf(target)
  const found = sprocketsOf(build).find(({ id }) => id === sprocket)
  return found && sprocketName(found)
}

function findReading(build: Build, setupId: Id, quantity: TourQuantity, target: Id): Reading | null {
  const matches = (reading: Reading): boolean => {
    if (quantity === 'chassis-fall' || quantity === 'chassis-roll') {
      return reading.kind === quantity && reading.setup === setupId
    }
    if (quantity === 'axis-level') {
      const isLevel =
        reading.kind === 'axis-level' || reading.kind === 'axis-face' || reading.kind.startsWith('given')
      return isLevel && 'axis' in reading && reading.axis === target
    }
    if (quantity === 'shaft-level') {
      const { line, shaft } = shaftOf(target)
      return reading.kind === 'shaft-level' && reading.line === line && reading.shaft === shaft
    }
    if (quantity === 'sprocket-face') {
      const { sprocket, place } = faceOf(target)
      return reading.kind === 'sprocket-face' && reading.sprocket === sprocket && reading.place === place
    }
    if (quantity === 'chain-slack') return reading.kind === 'chain-slack' && reading.chain === target
    if (quantity === 'gap') return reading.kind === 'gap' && reading.gap === target
    return (
      (reading.kind === quantity || reading.kind === 'given-point') &&
      'point' in reading &&
      reading.point === target
    )
  }
  // A measured reading is in force before a given one, and the last of several.
  const found = build.readings.filter((reading) => matches(reading) && isOfFirstTrial(build, reading))
  return found.filter((reading) => !reading.kind.startsWith('given')).at(-1) ?? found.at(-1) ?? null
}

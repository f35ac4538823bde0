import type { BodyKind } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Gap } from '../../file/parts/gap'
import type { Id } from '../../file/parts/id'
import { TOUR_GROUPS, type Ask, type PointRole, type TourGroup } from '../../file/kinds/ask'
import { KINDS } from '../../file/kinds/kinds'
import type { Asked, Reading } from '../../file/build/reading'
import { askedBody, askedKey, askedName, readingOf } from '../targets/asked'
import { isReadable } from '../figures/scatter'
import { targetOf } from '../../file/build/targets'
import { vehicleAsks } from './vehicleAsks'

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

/**
 * The readings a build wants, attitude of the chassis first, then the levels, the joints, and what the levers turn about.
 *
 * @param setupId - the setup being taken; attitude readings belong to it, others count whichever setup they came from
 */
export function measuringTour(build: Build, setupId: Id): TourStep[] {
  const wanted = [...KINDS.flatMap(({ asks }): readonly Ask<Asked>[] => asks(build)), ...vehicleAsks(build)]
  const groups = TOUR_GROUPS.map((group) => wanted.filter((ask) => ask.group === group))
  const steps = groups.flat().map((ask) => tourStep(build, setupId, ask))
  return steps.filter((one, index) => steps.findIndex((other) => other.id === one.id) === index)
}

function tourStep(build: Build, setupId: Id, { asked, group, role, optional }: Ask<Asked>): TourStep {
  const reading = readingOf(build, setupId, asked)
  const target = targetOf(asked.quantity)
  return {
    ...asked,
    id: askedKey(asked),
    group,
    targetName: askedName(build, asked),
    role,
    optional,
    body: askedBody(build, asked),
    isAcross: target.isAcross?.(build, asked) ?? false,
    toward: target.toward?.(build, asked) ?? null,
    reading,
    isRead: reading !== null && isReadable(build, reading),
  }
}

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

import { allKnown, mapKnown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Place2 } from '../base/outline/polygon'
import { MAKING_STATES, type Crossmember } from '../file/kinds/memberKinds'
import type { ItemBody } from '../file/parts/body'
import type { Outline } from '../file/parts/outline'
import type { MemberEvaluation } from '../model/memberSubject'
import type { WayFound } from '../model/memberWork'
import { memberLayout } from './memberLayout'

/** Corners are kept to this, in mm: finer than anybody sets a bar. */
const STEP_MM = 0.1
/** True once the part itself is there, no longer only its place. */
const isCut = ({ state }: Crossmember): boolean =>
  state !== undefined && MAKING_STATES.indexOf(state) >= MAKING_STATES.indexOf('cut')

/** Id of the body that a crossmember is in the bay. */
export const memberBodyId = (memberId: string): string => `bar-${memberId}`.slice(0, 64)

/**
 * A crossmember as a body of the bay, where it hangs at the present setting: its bar from behind, from above and from the side. It lies as
 * straight in plan as the line between its rails.
 *
 * @returns unknown with what is missing for its bar
 */
export function memberBody(found: MemberEvaluation, way: WayFound): Known<ItemBody> {
  const { member } = found
  return mapKnown(allKnown([found.seats, way.figures] as const), ([seats]) => {
    const { shapes } = memberLayout(found, way, seats)
    const bar = shapes.find(({ part }) => part === 'bar')?.points ?? []
    return {
      id: memberBodyId(member.id),
      name: member.name,
      kind: 'item',
      ...(!isCut(member) && { provisional: true }),
      outlines: outlinesOf(bar, seats.left, seats.right, way.way.widthMm ?? way.way.heightMm),
    }
  })
}

/** A bar along a line from rail to rail: x along it from the left rail's seat, z up. */
function outlinesOf(bar: readonly Place2[], left: Vec3, right: Vec3, wideMm: number): Outline[] {
  const [dx, dy] = [right[0] - left[0], right[1] - left[1]]
  const span = Math.hypot(dx, dy)
  // Forward and left along the bar, and square to it.
  const [ux, uy] = [dx / span, dy / span]
  const at = (x: number, ahead: number): Place2 => [
    -(left[0] + ux * x - uy * ahead),
    left[1] + uy * x + ux * ahead,
  ]
  const along = bar.map(([x]) => x)
  const [from, to] = [Math.min(...along), Math.max(...along)]
  const half = wideMm / 2
  const plan = [at(from, half), at(to, half), at(to, -half), at(from, -half)]
  const stations = plan.map(([station]) => station)
  const heights = bar.map(([, z]) => z)
  const [front, rear, low, high] = [
    Math.min(...stations),
    Math.max(...stations),
    Math.min(...heights),
    Math.max(...heights),
  ]
  const outline = (view: Outline['view'], corners: readonly Place2[]): Outline => ({
    view,
    corners: corners.map(([x, y]) => [stepped(x), stepped(y)] as const),
  })
  return [
    outline('side', [
      [front, low],
      [rear, low],
      [rear, high],
      [front, high],
    ]),
    outline('top', plan),
    outline(
      'front',
      bar.map(([x, z]) => [at(x, 0)[1], z]),
    ),
  ]
}

const stepped = (mm: number): number => Math.round(mm / STEP_MM) / (1 / STEP_MM)

/** True where a body of the bay is no longer as the bar hangs. */
export const isOtherwise = ({ outlines = [] }: Pick<ItemBody, 'outlines'>, now: ItemBody): boolean =>
  outlines.length !== now.outlines?.length ||
  outlines.some(({ view, corners }, k) => {
    const own = now.outlines?.[k]
    return (
      view !== own?.view ||
      corners.length !== own.corners.length ||
      corners.some((corner, at) =>
        corner.some(
          (mm, axis) => !(Math.abs(mm - (own.corners[at]?.[axis as 0 | 1] ?? NaN)) < 1.5 * STEP_MM),
        ),
      )
    )
  })

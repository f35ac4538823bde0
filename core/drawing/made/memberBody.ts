import { allKnown, mapKnown, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Place2 } from '../../base/outline/polygon'
import type { ItemBody } from '../../file/parts/body'
import type { Outline } from '../../file/parts/outline'
import type { MemberEvaluation } from '../../model/memberSubject'
import type { WayFound } from '../../model/memberWork'
import { memberLayout } from '../memberLayout'
import { madeBody } from './madeBody'

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
    return madeBody('bar', member, outlinesOf(bar, seats, way.way.widthMm ?? way.way.heightMm))
  })
}

/** A bar along a line from rail to rail: x along it from the left rail's seat, z up. */
function outlinesOf(
  bar: readonly Place2[],
  { left, right }: { readonly left: Vec3; readonly right: Vec3 },
  wideMm: number,
): Outline[] {
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
  const side: Place2[] = [
    [front, low],
    [rear, low],
    [rear, high],
    [front, high],
  ]
  return [
    { view: 'side', corners: side },
    { view: 'top', corners: plan },
    { view: 'front', corners: bar.map(([x, z]) => [at(x, 0)[1], z]) },
  ]
}

import { powertrainOf } from '../parts/bodies'
import type { BodyId } from '../parts/body'
import type { Build } from '../build/build'
import type { Id } from '../parts/id'

/** The output of the powertrain: the axis that drives a line, and the line's first joint; null when it drives none. */
export function outputOf(
  build: Build,
): { readonly body: BodyId; readonly axis: Id; readonly point: Id } | null {
  const body = powertrainOf(build)?.id
  for (const { driving, joints } of build.lines) {
    const isOwn = build.axes.some((axis) => axis.id === driving && axis.body === body)
    const point = joints[0]?.point
    if (body !== undefined && isOwn && point !== undefined) return { body, axis: driving, point }
  }
  return null
}

import type { Joint } from '../../file/parts/lineSpec'
import { crossesOf } from '../../file/parts/stock'
import { fixed } from '../../base/units/format'
import { JOINT_NAMES } from './jointNames'
import type { Build } from '../../file/build/build'

/** A joint by its kind and the size of its cross: "universal joint, middle: span 68.0 × trunnion 15.0 mm". */
export function jointText(build: Pick<Build, 'crosses'>, { kind, cross }: Joint): string {
  const size = crossesOf(build).find(({ id }) => id === cross)
  if (!size) return JOINT_NAMES[kind]
  return `${JOINT_NAMES[kind]}, ${size.name}: span ${fixed(size.spanMm, 1)} × trunnion ${fixed(size.trunnionMm, 1)} mm`
}

import type { Joint, JointKind } from '../../file/parts/lineSpec'
import { crossesOf } from '../../file/parts/stock'
import { fixed } from '../../base/units/format'
import type { Build } from '../../file/build/build'

const JOINT_NAMES: Readonly<Record<JointKind, string>> = {
  cross: 'cross joint',
  'double-cardan': 'double-cardan joint',
  cv: 'joint of constant velocity',
  'flex-disc': 'flexible disc',
}

/** A joint by its kind and the size of its cross: "cross joint, middle: span 68.0 × trunnion 15.0 mm". */
export function jointText(build: Pick<Build, 'crosses'>, { kind, cross }: Joint): string {
  const size = crossesOf(build).find(({ id }) => id === cross)
  if (!size) return JOINT_NAMES[kind]
  return `${JOINT_NAMES[kind]}, ${size.name}: span ${fixed(size.spanMm, 1)} × trunnion ${fixed(size.trunnionMm, 1)} mm`
}

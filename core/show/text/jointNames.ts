import type { JointKind } from '../../file/parts/joints'

/** What each kind of joint is called. */
export const JOINT_NAMES = {
  cross: 'universal joint',
  'double-cardan': 'double-cardan joint',
  cv: 'constant-velocity joint',
  'flex-disc': 'flexible disc',
} as const satisfies Record<JointKind, string>

/** All that a kind of joint is. */
export interface JointFacts {
  /** Hands a steady turn on as a steady turn; a single universal joint quickens and slows it twice a turn. */
  readonly isConstant: boolean
  /** Turns on one cross, whose trunnions bear its load. */
  readonly hasCross: boolean
  /** Flexes of itself, and needs a pilot that keeps it centred. */
  readonly needsPilot: boolean
  /** What bounds its angle. */
  readonly angle: 'joint-angle' | 'flex-disc-angle'
  /** Takes a steady angle by itself, so that the far end of its shaft may be pointed along it. */
  readonly isAimed: boolean
}

/** Every kind of joint: one row each, and whoever needs to know reads it here. */
export const JOINTS = {
  cross: { isConstant: false, hasCross: true, needsPilot: false, angle: 'joint-angle', isAimed: false },
  'double-cardan': {
    isConstant: true,
    hasCross: false,
    needsPilot: false,
    angle: 'joint-angle',
    isAimed: true,
  },
  cv: { isConstant: true, hasCross: false, needsPilot: false, angle: 'joint-angle', isAimed: true },
  'flex-disc': {
    isConstant: true,
    hasCross: false,
    needsPilot: true,
    angle: 'flex-disc-angle',
    isAimed: false,
  },
} as const satisfies Readonly<Record<string, JointFacts>>

export type JointKind = keyof typeof JOINTS
export const JOINT_KINDS = Object.keys(JOINTS) as JointKind[]

/** Whether a joint quickens and slows what it drives; false for none. */
export const isUneven = (joint: { readonly kind: JointKind } | undefined): boolean =>
  joint !== undefined && !JOINTS[joint.kind].isConstant

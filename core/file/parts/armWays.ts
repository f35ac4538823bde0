/** How the axis of an arm lies, with the two ways in the plane that it turns in: read from the first, toward the second. */
export const ARM_LIES = {
  across: ['forward', 'up'],
  along: ['left', 'up'],
  upright: ['forward', 'left'],
} as const
export type ArmLies = keyof typeof ARM_LIES

/** Ways that an arm can point or lean. */
export const ARM_WAYS = ['forward', 'back', 'left', 'right', 'up', 'down'] as const
export type ArmWay = (typeof ARM_WAYS)[number]

export const OPPOSITE: Readonly<Record<ArmWay, ArmWay>> = {
  ...{ forward: 'back', back: 'forward', left: 'right', right: 'left', up: 'down', down: 'up' },
}

/** Where a way points, chassis frame: forward, left, up. */
export const WAY_POINTS: Readonly<Record<ArmWay, readonly [number, number, number]>> = {
  ...{ forward: [1, 0, 0], back: [-1, 0, 0] },
  ...{ left: [0, 1, 0], right: [0, -1, 0] },
  ...{ up: [0, 0, 1], down: [0, 0, -1] },
}

/** Quarter turns from the first way of its plane to a way; null for one that is not in it. */
export function quarterOf(lies: ArmLies, way: ArmWay): 0 | 1 | 2 | 3 | null {
  const [from, toward] = ARM_LIES[lies]
  if (way === from) return 0
  if (way === toward) return 1
  if (OPPOSITE[way] === from) return 2
  return OPPOSITE[way] === toward ? 3 : null
}

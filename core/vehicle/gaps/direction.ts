import { degrees } from '../../base/units/angle'
import type { Gap } from '../../file/parts/gap'

/** Ways along the chassis, each as forward, left, up. */
export const WAYS = {
  forward: [1, 0, 0],
  rearward: [-1, 0, 0],
  left: [0, 1, 0],
  right: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
} as const satisfies Readonly<Record<string, Gap['toward']>>
export type GapWay = keyof typeof WAYS
export const WAY_NAMES = Object.keys(WAYS) as readonly GapWay[]

/** A direction in words: mostly one way, leaning another by some degrees. */
export interface DirectionWords {
  readonly main: GapWay
  /** Null where it does not lean. */
  readonly lean: GapWay | null
  readonly leanDeg: number
}

/**
 * A unit direction from its words, chassis frame.
 *
 * @example directionOf({ main: 'up', lean: 'forward', leanDeg: 45 }).map((x) => Math.round(x * 100) / 100) // [0.71, 0, 0.71]
 */
export function directionOf({ main, lean, leanDeg }: DirectionWords): Gap['toward'] {
  const angle = lean === null ? 0 : (leanDeg * Math.PI) / 180
  const aside = lean === null ? WAYS[main] : WAYS[lean]
  const along = WAYS[main]
  const part = (i: 0 | 1 | 2) => {
    const mixed = along[i] * Math.cos(angle) + (lean === null ? 0 : aside[i] * Math.sin(angle))
    return Math.round(mixed * 1e6) / 1e6
  }
  return [part(0), part(1), part(2)]
}

/** The words nearest to a direction; what leans two ways at once is told by the greater. */
export function directionWords([fore, left, up]: Gap['toward']): DirectionWords {
  const parts = [
    { way: fore >= 0 ? 'forward' : 'rearward', size: Math.abs(fore) },
    { way: left >= 0 ? 'left' : 'right', size: Math.abs(left) },
    { way: up >= 0 ? 'up' : 'down', size: Math.abs(up) },
  ] as const
  const [first, second] = [...parts].sort((a, b) => b.size - a.size)
  const leanDeg = first && second ? degrees(Math.atan2(second.size, first.size)) : 0
  return {
    main: first?.way ?? 'up',
    lean: second && leanDeg >= 0.5 ? second.way : null,
    leanDeg: Math.round(leanDeg * 10) / 10,
  }
}

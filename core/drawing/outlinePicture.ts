import { isSimple } from '../base/outline/polygon'
import type { Outline } from '../file/parts/outline'

/** An outline alone, as large as it will go. */
export interface OutlinePicture {
  readonly viewBox: string
  readonly path: string
  /** Its sides cross each other. */
  readonly crosses: boolean
}

/** Share of its size left free about it. */
const ROOM = 0.08

/** @returns null for fewer than two corners */
export function outlinePicture({ corners, open }: Outline): OutlinePicture | null {
  if (corners.length < 2) return null
  const along = (i: 0 | 1) => corners.map((corner) => corner[i])
  const [left, right] = [Math.min(...along(0)), Math.max(...along(0))]
  const [low, high] = [Math.min(...along(1)), Math.max(...along(1))]
  const room = Math.max(right - left, high - low, 1) * ROOM
  // Heights count up, a picture's rows down.
  const path = `M${corners.map(([x, y]) => `${x} ${-y}`).join('L')}${open ? '' : 'Z'}`
  return {
    viewBox: [left - room, -high - room, right - left + 2 * room, high - low + 2 * room].join(' '),
    path,
    crosses: !open && !isSimple(corners),
  }
}

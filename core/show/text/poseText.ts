import { formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Pose } from '../../bay/swing/scene'

/** Words a pose is told in. */
export interface PoseWords {
  readonly ahead: (mm: string) => string
  readonly behind: (mm: string) => string
  readonly above: (mm: string) => string
  readonly below: (mm: string) => string
  readonly tailDown: (angle: string) => string
  readonly noseDown: (angle: string) => string
  readonly level: string
  readonly inPlace: string
}

/** Smaller than this, in mm and in degrees, is nothing to speak of. */
const LEAST_MM = 0.5
const LEAST_DEG = 0.05

/** Where the unit hangs, from where it is installed: "320 mm ahead, 280 mm up, 46° tail down". */
export function poseText({ x, z, tiltDeg }: Pose, units: UnitSettings, words: PoseWords): string {
  const isThere = Math.abs(x) < LEAST_MM && Math.abs(z) < LEAST_MM && Math.abs(tiltDeg) < LEAST_DEG
  if (isThere) return words.inPlace
  const length = (mm: number) => formatLength(Math.abs(mm), units)
  const parts = [
    ...(Math.abs(x) < LEAST_MM ? [] : [x > 0 ? words.ahead(length(x)) : words.behind(length(x))]),
    ...(Math.abs(z) < LEAST_MM ? [] : [z > 0 ? words.above(length(z)) : words.below(length(z))]),
    Math.abs(tiltDeg) < LEAST_DEG
      ? words.level
      : (tiltDeg > 0 ? words.tailDown : words.noseDown)(formatAngle(Math.abs(tiltDeg), units, 1)),
  ]
  return parts.join(', ')
}

import { formatAngle, formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** What a builder calls the ends of an axis: an engine has a tail, an axle's pinion a nose at its front or rear. */
export type AxisRole = 'tail' | 'nose-front' | 'nose-rear'

/** Below half the last shown digit an axis is called level or straight. */
const SHOWN_ZERO_DEG = 0.05

/**
 * The fall of an axis in words, never with a bare sign.
 *
 * @param fallDeg - positive when the rear end is lower
 * @example fallWords(3.2, 'tail', units) // 'tail down 3.2°'
 */
export function fallWords(fallDeg: number, role: AxisRole, units: UnitSettings, decimals = 1): string {
  if (Math.abs(fallDeg) < SHOWN_ZERO_DEG) return 'level'
  const size = formatAngle(Math.abs(fallDeg), units, decimals)
  const rearIsDown = fallDeg > 0
  if (role === 'tail') return `tail ${rearIsDown ? 'down' : 'up'} ${size}`
  const noseIsUp = role === 'nose-front' ? rearIsDown : !rearIsDown
  return `nose ${noseIsUp ? 'up' : 'down'} ${size}`
}

/**
 * The plan angle of an axis in words.
 *
 * @param planDeg - positive when the rear end lies to the left
 * @example planWords(0.4, units) // 'rear points left 0.4°'
 */
export function planWords(planDeg: number, units: UnitSettings, decimals = 1): string {
  if (Math.abs(planDeg) < SHOWN_ZERO_DEG) return 'straight ahead'
  return `rear points ${planDeg > 0 ? 'left' : 'right'} ${formatAngle(Math.abs(planDeg), units, decimals)}`
}

/**
 * An offset in words.
 *
 * @param offsetLeft - in mm, positive to the left
 * @example offsetWords(-12, units) // '12.0 mm right'
 */
export function offsetWords(offsetLeft: number, units: UnitSettings): string {
  if (Math.abs(offsetLeft) < 0.05) return 'on the centreline'
  return `${formatLength(Math.abs(offsetLeft), units)} ${offsetLeft > 0 ? 'left' : 'right'}`
}

/**
 * A lift in words.
 *
 * @param lift - in mm, positive up
 * @example liftWords(9, units) // '9.0 mm up'
 */
export function liftWords(lift: number, units: UnitSettings): string {
  if (Math.abs(lift) < 0.05) return 'as it stands'
  return `${formatLength(Math.abs(lift), units)} ${lift > 0 ? 'up' : 'down'}`
}

/**
 * The rise of an axis across the vehicle in words, never with a bare sign.
 *
 * @param riseDeg - positive when the left end is higher
 * @example riseWords(1.2, units) // 'left end up 1.2°'
 */
export function riseWords(riseDeg: number, units: UnitSettings, decimals = 1): string {
  if (Math.abs(riseDeg) < SHOWN_ZERO_DEG) return 'level'
  return `left end ${riseDeg > 0 ? 'up' : 'down'} ${formatAngle(Math.abs(riseDeg), units, decimals)}`
}

/**
 * The sweep of an axis across the vehicle in words.
 *
 * @param sweepDeg - positive when the left end is further forward
 * @example sweepWords(-0.4, units) // 'left end rearward 0.4°'
 */
export function sweepWords(sweepDeg: number, units: UnitSettings, decimals = 1): string {
  if (Math.abs(sweepDeg) < SHOWN_ZERO_DEG) return 'straight across'
  return `left end ${sweepDeg > 0 ? 'forward' : 'rearward'} ${formatAngle(Math.abs(sweepDeg), units, decimals)}`
}

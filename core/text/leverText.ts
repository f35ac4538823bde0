import type { Axle, Build, Lever, LeverKind } from '../project/build'
import type { LeverChange } from '../solver/cure'
import { spacerStack } from '../placement/spacers'
import { fixed, formatAngle, formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** What a lever is called on screen. */
export const LEVER_NAMES: Readonly<Record<LeverKind, string>> = {
  'tail-up': 'tail at the crossmember',
  'front-left-up': 'front left mount',
  'front-right-up': 'front right mount',
  fore: 'fore and aft',
  sideways: 'sideways',
  'tail-sideways': 'tail sideways',
  wedge: 'wedge at the spring seat',
}

const WAYS: Readonly<Record<Exclude<LeverKind, 'wedge'>, readonly [string, string]>> = {
  'tail-up': ['up', 'down'],
  'front-left-up': ['up', 'down'],
  'front-right-up': ['up', 'down'],
  fore: ['forward', 'rearward'],
  sideways: ['left', 'right'],
  'tail-sideways': ['left', 'right'],
}

/** Amount of a lever in words, never with a bare sign: "9.0 mm up", "2.0° nose up". */
export function leverAmount(lever: Lever, amount: number, units: UnitSettings): string {
  if (Math.abs(amount) < 1e-9) return 'as measured'
  if (lever.kind === 'wedge')
    return `${formatAngle(Math.abs(amount), units)} nose ${amount > 0 ? 'up' : 'down'}`
  return `${formatLength(Math.abs(amount), units)} ${WAYS[lever.kind][amount > 0 ? 0 : 1]}`
}

/** The words for a lever's two directions, positive first. */
export const leverWays = (lever: Lever): readonly [string, string] =>
  lever.kind === 'wedge' ? ['nose up', 'nose down'] : WAYS[lever.kind]

/**
 * A change of one lever as an instruction: "Pack the tail up 9 mm (6 + 3)", "2° wedge, thick end to the rear".
 */
export function leverInstruction(build: Build, lever: Lever, change: number): string {
  const { units } = build
  if (lever.kind === 'wedge') return wedgeInstruction(build, lever, change)
  const size = formatLength(Math.abs(change), units)
  const raises = change > 0
  if (lever.kind === 'tail-up')
    return raises ? `Pack the tail up ${size}${stackText(lever, change)}` : `Lower the tail ${size}`
  if (lever.kind === 'front-left-up' || lever.kind === 'front-right-up') {
    const side = lever.kind === 'front-left-up' ? 'left' : 'right'
    return raises
      ? `Pack the front ${side} mount up ${size}${stackText(lever, change)}`
      : `Lower the front ${side} mount ${size}`
  }
  const what = lever.kind === 'tail-sideways' ? 'the tail' : 'the powertrain'
  return `Move ${what} ${size} ${WAYS[lever.kind][raises ? 0 : 1]}`
}

/**
 * What to do at a lever that may stand elsewhere than measured already: of a wedge in place the new one is told, not the
 * difference, which nobody can fit.
 */
export function changeInstruction(build: Build, { lever, amount, change }: LeverChange): string {
  if (Math.abs(amount - change) < 1e-9) return leverInstruction(build, lever, change)
  if (lever.kind !== 'wedge') {
    const inAll =
      Math.abs(amount) < 1e-9 ? 'back to as measured' : `to ${leverAmount(lever, amount, build.units)} in all`
    return `${leverInstruction(build, lever, change)}, ${inAll}`
  }
  return Math.abs(amount) < 1e-9
    ? 'Take the wedge out'
    : `Change the wedge: ${leverInstruction(build, lever, amount)}`
}

/** The same in few words, for a button: "Pack the tail up 5.0 mm", "1.5° wedge, nose down". */
export function changeBrief(build: Build, { lever, amount, change }: LeverChange): string {
  if (lever.kind === 'wedge')
    return Math.abs(amount) < 1e-9
      ? 'wedge out'
      : `${leverAmount(lever, amount, build.units).replace(' ', ' wedge, ')}`
  return leverInstruction(build, { ...lever, stock: undefined }, change)
}

function wedgeInstruction(build: Build, lever: Lever, change: number): string {
  const axle = build.axles.find((one) => one.id === lever.axle)
  const size = formatAngle(Math.abs(change), build.units)
  const nose = `nose ${change > 0 ? 'up' : 'down'}`
  const thick = axle ? thickEnd(axle, change) : null
  return `${size} wedge, ${nose}${thick ? `: thick end to the ${thick}` : ''}`
}

/**
 * Which way the thick end of a wedge goes.
 *
 * Between an axle and a spring above it the thick end pushes its end of the axle pad down; with the spring below, up.
 *
 * @returns null when it is not known where the spring lies
 */
export function thickEnd(axle: Axle, noseUpDeg: number): 'front' | 'rear' | null {
  if (!axle.spring || noseUpDeg === 0) return null
  const noseEnd = axle.noseFaces === 'forward' ? 'front' : 'rear'
  const farEnd = noseEnd === 'front' ? 'rear' : 'front'
  const pushedDown = noseUpDeg > 0 ? farEnd : noseEnd
  return axle.spring === 'above' ? pushedDown : pushedDown === 'front' ? 'rear' : 'front'
}

function stackText(lever: Lever, change: number): string {
  const stack = lever.stock ? spacerStack(Math.abs(change), lever.stock) : null
  return stack ? ` (${stack.map((size) => fixed(size, Number.isInteger(size) ? 0 : 1)).join(' + ')})` : ''
}

import { radians } from '../base/units/angle'

/** A place on a clock face as shares of its width from left and from above: clockwise from 12, at a share of the width from the middle. */
export function clockPlace(clockDeg: number, reach: number): { readonly x: number; readonly y: number } {
  const turn = radians(clockDeg)
  return { x: 0.5 + reach * Math.sin(turn), y: 0.5 - reach * Math.cos(turn) }
}

import type { Kernel, Row } from '../base/columns/kernel'
import { veeExcess } from './slack'

/** Where an adjuster stands for a chain: in its range, or how the chain is to it all along. */
export type AdjusterPlace =
  | { readonly at: number }
  | {
      readonly never: 'too-short' | 'too-long'
      /** Way that the range lacks, roundly: half the length that is missing, for a shaft that moves pulls two runs. */
      readonly lacksMm: number
    }
  | { readonly never: 'not-closed' }

/**
 * Length of a chain beyond what it needs and what it is to hang: from its length, the length needed, its slack run, and how much
 * more it needs where it is tightest, in mm. Parameters: movement of the slack run, in percent of it; 1 where it counts at the
 * tightest place.
 */
export const EXCESS: Kernel = {
  name: 'length of a chain beyond what it is to have',
  page: 'chains',
  outputs: 1,
  run: (count, [length, needed, span, more], [excess], [percent, isTightest]) => {
    for (let i: Row = 0; i < count; i++) {
      const keeps = span[i] > 0 ? veeExcess(span[i], (percent * span[i]) / 200) : NaN
      excess[i] = length[i] - needed[i] - isTightest * more[i] - keeps
    }
  },
}

/**
 * Room left at the nearer end of an adjuster's range, for both of two places: from each place and the excess that is left where
 * there is none, in mm; below nought, how much is missing. Parameters: the ends of the range.
 */
export const ROOM_LEFT: Kernel = {
  name: 'room left in the range of an adjuster',
  page: 'chains',
  outputs: 1,
  run: (count, [one, oneOver, other, otherOver], [left], [low, high]) => {
    for (let i: Row = 0; i < count; i++)
      left[i] = Math.min(roomOf(one[i], oneOver[i], low, high), roomOf(other[i], otherOver[i], low, high))
  },
}

const roomOf = (at: number, over: number, low: number, high: number): number =>
  Number.isNaN(at) ? -lackOf(over) : Math.min(at - low, high - at)

const lackOf = (overMm: number): number => Math.abs(overMm) / 2

/** A place of an adjuster by its figures: where it stands, and what of the chain is left over where that is nowhere. */
export function placeOf(at: number, overMm: number): AdjusterPlace {
  if (!Number.isNaN(at)) return { at }
  if (Number.isNaN(overMm)) return { never: 'not-closed' }
  return { never: overMm < 0 ? 'too-short' : 'too-long', lacksMm: lackOf(overMm) }
}

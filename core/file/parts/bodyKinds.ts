import type { BodyKind } from './body'

/** All that is known of a kind of body. */
export interface BodyKindFacts {
  /** What it looks like where its own outlines are drawn. */
  readonly drawnAs: 'shell' | 'axle' | 'powertrain' | 'item'
  /** A build has one at the most. */
  readonly isOnly?: true
  /** Its axes are turned through the gears. */
  readonly hasGears?: true
  /** It goes in and out: what is read of it belongs to a trial. */
  readonly isLiftedIn?: true
  /** It stands in the engine's bay, so that the board shows all of it. */
  readonly isInBay?: true
  /** It may stand on another body than the chassis. */
  readonly mayStandOn?: true
  /** A box or outlines of its own can be entered. */
  readonly hasBox?: true
  readonly hasOutlines?: true
  /** It holds what is fastened to it and is nothing without it. */
  readonly isBracket?: true
}

/** Every kind of body: one row each, and whoever needs to know reads it here. */
export const BODY_KINDS: Readonly<Record<BodyKind, BodyKindFacts>> = {
  chassis: { drawnAs: 'shell', hasOutlines: true },
  powertrain: {
    drawnAs: 'powertrain',
    isOnly: true,
    hasGears: true,
    isLiftedIn: true,
    isInBay: true,
    hasBox: true,
    hasOutlines: true,
  },
  'transfer-case': {
    drawnAs: 'powertrain',
    hasGears: true,
    isLiftedIn: true,
    mayStandOn: true,
    hasBox: true,
    hasOutlines: true,
  },
  axle: { drawnAs: 'axle' },
  'bearing-bracket': { drawnAs: 'item', hasBox: true, hasOutlines: true, isBracket: true },
  hub: { drawnAs: 'item', hasBox: true, hasOutlines: true },
  'live-axle': { drawnAs: 'item', hasBox: true, hasOutlines: true },
  item: {
    drawnAs: 'item',
    isInBay: true,
    mayStandOn: true,
    hasBox: true,
    hasOutlines: true,
    isBracket: true,
  },
}

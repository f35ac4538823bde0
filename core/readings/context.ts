import type { FallPlan } from '../frame/axis'
import type { Known } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Build, NamedAxis, NamedPoint, Setup } from '../project/build'
import type { Id } from '../project/id'
import type { Attitude } from './attitude'
import type { Centreline } from './centrelineFit'
import type { Formula, InputList } from './formula'
import type { Squares } from './scatter'

/** The three figures that place a point, each known or not: mm rearward, left, up. */
export interface PointFormulas {
  readonly station: Known<Formula<number>>
  readonly offset: Known<Formula<number>>
  readonly height: Known<Formula<number>>
}

/** Which readings an axis may rest on. */
export interface AxisSources {
  /** Readings of this setup do not count. */
  readonly exceptSetup?: Id
}

/**
 * What is shared while the formulas of one build are put together, and how one asks for another: an axis wants the
 * attitude of its setup, which may rest on a registration, which rests on points.
 */
export interface ReadingContext {
  readonly build: Build
  readonly list: InputList
  readonly scatter: ReadonlyMap<string, Squares>
  readonly attitude: (setup: Setup) => Known<Formula<Attitude>>
  readonly axis: (axis: NamedAxis, sources?: AxisSources) => Known<Formula<FallPlan>>
  readonly point: (point: NamedPoint) => PointFormulas
  /** Setup frame to chassis frame; null when nothing was measured to register it by. */
  readonly registration: (setup: Setup) => Known<Formula<RigidMove>> | null
  /** Null when the build has no pairs of frame holes. */
  readonly centreline: (setup: Setup) => Known<Formula<Centreline>> | null
}

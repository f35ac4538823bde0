import type { Column, Graph, MoveColumns, VectorColumns } from '../../base/columns/graph'
import type { Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { NamedAxis, NamedPoint } from '../../file/parts/named'
import type { Id } from '../../file/parts/id'
import type { InputList } from './inputs'
import type { Squares } from './scatter'

/** The three figures that place a point, each known or not: mm rearward, left, up. */
export interface PointColumns {
  readonly station: Known<Column>
  readonly offset: Known<Column>
  readonly height: Known<Column>
}

/** How the vehicle stood: world up in the chassis frame, and the slopes of the chassis in degrees. */
export interface AttitudeColumns {
  readonly up: VectorColumns
  readonly rearLowDeg: Column
  readonly leftLowDeg: Column
}

/** How an axis lies in the chassis frame: fall and plan in radians, and its rearward unit vector. */
export interface AxisColumns {
  readonly fall: Column
  readonly fallDeg: Column
  readonly plan: Column
  readonly direction: VectorColumns
}

/** The chassis centreline against the string: its offset at station 0 in mm, and what it gains a mm rearward. */
export interface CentrelineColumns {
  readonly start: Column
  readonly slope: Column
}

/** Which readings an axis may rest on. */
export interface AxisSources {
  /** Readings of this setup do not count. */
  readonly exceptSetup?: Id
}

/**
 * What is shared while the graph of one build's readings is put together, and how one quantity asks for another: an axis
 * wants the attitude of its setup, which may rest on a registration, which rests on points.
 */
export interface ReadingContext {
  readonly build: Build
  readonly graph: Graph
  readonly list: InputList
  readonly scatter: ReadonlyMap<string, Squares>
  readonly attitude: (setup: Setup) => Known<AttitudeColumns>
  readonly axis: (axis: NamedAxis, sources?: AxisSources) => Known<AxisColumns>
  readonly point: (point: NamedPoint) => PointColumns
  /** Setup frame to chassis frame; null when nothing was measured to register it by. */
  readonly registration: (setup: Setup) => Known<MoveColumns> | null
  /** Null when the build has no pairs of frame holes. */
  readonly centreline: (setup: Setup) => Known<CentrelineColumns> | null
}

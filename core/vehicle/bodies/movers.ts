import type { Column, Graph, VectorColumns } from '../../base/columns/graph'
import type { Known } from '../../base/known'
import type { Body, BodyId } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { WheelColumns } from '../wheels/axleMotion'
import type { BodyMove, LeverColumns } from '../moves/bodyMove'
import type { HeightInputs } from '../wheels/heightInputs'

/** What moves bodies in one state of the vehicle. */
export interface Movers {
  readonly graph: Graph
  readonly build: Build
  readonly levers: LeverColumns
  /** Points as measured. */
  readonly point: (id: Id) => Known<VectorColumns>
  /** How far the nose of an axle turns up by its torque, in degrees; null where it does not wind up. */
  readonly rise: (axle: BodyId) => Column | null
  /** How a body gives on its mounts under torque; null where it stands firm. */
  readonly gives: (body: BodyId) => BodyMove | null
  /** Where the wheels of an axle stand; null at ride height. */
  readonly wheels: (axle: BodyId) => WheelColumns | null
  /** A body whose pose was read itself: that is how it stands, whatever its levers say; null for all others. */
  readonly read?: (body: BodyId) => BodyMove | null
  /** A body whose levers count from how it stood in a trial: that move, and its levers and points from there; null for all others. */
  readonly from?: (body: BodyId) => CountedFrom | null
  /** What was read at heights of the wheels, as inputs. */
  readonly heights: HeightInputs
  /** Of the torque, to follow a name: ", under drive". */
  readonly when: string
  /** Of the wheels, to follow a name: ", at droop". */
  readonly place: string
}

/** Where a body stood when its levers began to count. */
export interface CountedFrom {
  readonly move: BodyMove
  /** What each lever has been moved since. */
  readonly levers: LeverColumns
  readonly point: (id: Id) => Known<VectorColumns>
}

export type MovesOf<B extends Body> = (movers: Movers, body: B) => readonly (BodyMove | null)[]

import type { FallPlan } from '../frame/axis'
import type { Known } from '../known'
import type { RigidMove } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { BodyId } from '../project/body'
import type { Id } from '../project/id'

/** Points and axes of one state of the vehicle; unknown where they were not read or their body cannot go there. */
export interface PlacesAt {
  readonly point: (id: Id) => Known<Vec3>
  readonly axis: (id: Id) => Known<FallPlan>
  readonly move: (body: BodyId) => Known<RigidMove>
  /** How far what lies behind the block face was set back on the powertrain; null for not at all. */
  readonly setBack: Known<Vec3> | null
}

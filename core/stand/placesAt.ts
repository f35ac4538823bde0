import type { FallPlan } from '../base/frame/axis'
import type { Known } from '../base/known'
import type { RigidMove } from '../base/linalg/mat3'
import type { Vec3 } from '../base/linalg/vec3'
import type { BodyId } from '../file/parts/body'
import type { Id } from '../file/parts/id'

/** Points and axes of one state of the vehicle; unknown where they were not read or their body cannot go there. */
export interface PlacesAt {
  readonly point: (id: Id) => Known<Vec3>
  readonly axis: (id: Id) => Known<FallPlan>
  readonly move: (body: BodyId) => Known<RigidMove>
  /** How far what lies behind the block face was set back on the powertrain; null for not at all. */
  readonly setBack: Known<Vec3> | null
}

import type { Column, VectorColumns } from '../base/columns/graph'
import type { ArmPlane } from '../measure/points/armReading'

/** An arm where it stands: its bearing and its plane. */
export interface StandingArm extends ArmPlane {
  readonly pivot: VectorColumns
  readonly armMm: Column
}

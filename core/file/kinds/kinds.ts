import { CHAIN_KINDS, type ChainTypes } from './chainKinds'
import { GAP_KINDS, type GapTypes } from './gapKinds'
import { LINE_KINDS, type LineTypes } from './lineKinds'
import { VEHICLE_KINDS } from './vehicleKinds'
import type { VehicleTypes } from './vehicleReadings'

/** What subjects add to a build, each its own: kinds of readings, of quantities, of levers. Two lines a subject. */
export const KINDS = [VEHICLE_KINDS, LINE_KINDS, GAP_KINDS, CHAIN_KINDS] as const

/** Their types. */
export type Kinds = VehicleTypes & LineTypes & GapTypes & ChainTypes

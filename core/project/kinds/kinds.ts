import { CHAIN_KINDS, type ChainTypes } from './chainKinds'
import { GAP_KINDS, type GapTypes } from './gapKinds'
import { LINE_KINDS, type LineTypes } from './lineKinds'
import { VEHICLE_KINDS } from './vehicleKinds'
import type { VehicleTypes } from './vehicleReadings'

/** What subjects add to a build, each its own: kinds of readings, of quantities, of levers. Two lines a subject. */
export const KINDS = [VEHICLE_KINDS, LINE_KINDS, GAP_KINDS, CHAIN_KINDS] as const

/** Their types. */
export type Kinds = VehicleTypes & LineTypes & GapTypes & ChainTypes

type Together<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer I) => void ? I : never

/** One table of all subjects' rows. */
export type Merged<K extends keyof (typeof KINDS)[number]> = Together<(typeof KINDS)[number][K]>

/** @returns the rows of all subjects as one table */
export const merged = <K extends 'readings' | 'shapes' | 'targets' | 'quantities' | 'levers'>(
  table: K,
): Merged<K> => Object.assign({}, ...KINDS.map((kinds) => kinds[table])) as Merged<K>

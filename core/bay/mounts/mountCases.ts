import type { Vec3 } from '../../base/linalg/vec3'
import { torqueReaction, weightLoad, type Load, type ShaftTorque } from '../../making/mounts/load'

/** A case that mounts are looked at in: weight by its shares, and the shaft's torque by a part of the highest. */
export interface MountCase {
  readonly key: string
  readonly name: string
  /** Of the weight: forward, left, up. */
  readonly shares: Vec3
  /** Of the torque in the gear that turns the unit most; below nought it is turned over. */
  readonly torque: number
  readonly hasShock: boolean
}

/** Part of the torque that an engine holds back with. */
const OVERRUN = 0.3
const STANDING: Vec3 = [0, 0, -1]

/** Cases in their order; the first is what all others are told against. */
export const MOUNT_CASES: readonly MountCase[] = [
  { key: 'standing', name: 'standing', shares: STANDING, torque: 0, hasShock: false },
  { key: 'drive', name: 'pulling away, with its shock', shares: STANDING, torque: 1, hasShock: true },
  { key: 'overrun', name: 'overrun', shares: STANDING, torque: -OVERRUN, hasShock: false },
  { key: 'bump', name: 'bump of 3 g, pulling', shares: [0, 0, -3], torque: 1, hasShock: false },
  { key: 'crest', name: 'thrown up by 1 g', shares: [0, 0, 1], torque: 0, hasShock: false },
  { key: 'braking', name: 'braking by 1 g', shares: [1, 0, -1], torque: 0, hasShock: false },
  { key: 'left', name: 'cornering, 1 g to the left', shares: [0, 1, -1], torque: 0, hasShock: false },
  { key: 'right', name: 'cornering, 1 g to the right', shares: [0, -1, -1], torque: 0, hasShock: false },
]

/** In reverse the reaction is turned over, by that gear's own ratio. */
export const REVERSE_CASE: MountCase = {
  key: 'reverse',
  name: 'reverse, with its shock',
  shares: STANDING,
  torque: 1,
  hasShock: true,
}
/** A clutch is let go more gently backwards. */
export const REVERSE_SHOCK = 1.5

/** What is carried, and what turns it. */
export interface MountedUnit {
  readonly massKg: number
  readonly centre: Vec3
  readonly torque: ShaftTorque
}

/** What acts in a case. */
export function loadsOf({ shares, torque, hasShock }: MountCase, unit: MountedUnit): readonly Load[] {
  const weight = weightLoad(unit.massKg, unit.centre, shares)
  if (torque === 0) return [weight]
  const given = {
    ...unit.torque,
    engineNm: unit.torque.engineNm * torque,
    shock: hasShock ? unit.torque.shock : 1,
  }
  return [weight, torqueReaction(given)]
}

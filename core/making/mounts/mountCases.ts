import { GRAVITY } from '../../base/gravity'
import { add, scale, type Vec3 } from '../../base/linalg/vec3'
import { forceAt, outputTorque, together, type GivenTorque } from './load'
import type { ChainRuns } from './chainRuns'

/** A case that mounts are looked at in: weight by its shares, and the shaft's torque by a part of the highest. */
export interface MountCase {
  readonly key: MountCaseKey
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

const CASES = {
  standing: { name: 'standing', shares: STANDING, torque: 0, hasShock: false },
  pulling: { name: 'pulling steadily', shares: STANDING, torque: 1, hasShock: false },
  drive: { name: 'pulling away, with its shock', shares: STANDING, torque: 1, hasShock: true },
  overrun: { name: 'overrun', shares: STANDING, torque: -OVERRUN, hasShock: false },
  bump: { name: 'bump of 3 g, pulling', shares: [0, 0, -3], torque: 1, hasShock: false },
  crest: { name: 'thrown up by 1 g', shares: [0, 0, 1], torque: 0, hasShock: false },
  braking: { name: 'braking by 1 g', shares: [1, 0, -1], torque: 0, hasShock: false },
  left: { name: 'cornering, 1 g to the left', shares: [0, 1, -1], torque: 0, hasShock: false },
  right: { name: 'cornering, 1 g to the right', shares: [0, -1, -1], torque: 0, hasShock: false },
  /** As it stands once everything hangs on it. */
  complete: { name: 'standing, with what is still to come', shares: STANDING, torque: 0, hasShock: false },
  /** The reaction is turned over, by that gear's own ratio. */
  reverse: { name: 'reverse, with its shock', shares: STANDING, torque: 1, hasShock: true },
} as const satisfies Readonly<Record<string, Omit<MountCase, 'key'>>>
export type MountCaseKey = keyof typeof CASES

/** Cases in their order; the first is what all others are told against, reverse only where there is a gear for it. */
export function casesFor({ reverse, later = [] }: MountedUnit): MountCase[] {
  const isThere: Readonly<Partial<Record<MountCaseKey, boolean>>> = {
    reverse: reverse !== null,
    complete: later.length > 0,
  }
  return (Object.keys(CASES) as MountCaseKey[]).flatMap((key) =>
    isThere[key] === false ? [] : [{ key, ...CASES[key] }],
  )
}

/** What each N·m that goes out does to the unit that it goes through, in N·m. */
export interface Reaction {
  /** About the way in which its shafts point to the rear. */
  readonly along: number
  /** Forward, left and up, whichever way its shafts lie. */
  readonly fixed: Vec3
}

/** What is carried, and what turns it. */
export interface MountedUnit {
  readonly massKg: number
  readonly torque: GivenTorque
  /** In reverse, with the shock of a clutch that is let go more gently; null without such a gear. */
  readonly reverse: GivenTorque | null
  readonly reaction: Reaction
  /** Still to be hung on it, each so far from its centre of gravity. */
  readonly later?: readonly { readonly kg: number; readonly aside: Vec3 }[]
  /** A chain that it drives, from its centre of gravity, with what it pulls in the gear that pulls most; absent where a shaft goes out. */
  readonly chain?: ChainRuns & { readonly pullN: number }
}

/** What acts in a case: the weight's force where its centre is, a moment in N·mm, and one about the way in which its shafts point to the rear. */
export interface CaseLoad {
  readonly force: Vec3
  readonly moment: Vec3
  readonly alongNmm: number
}

/** The load of a case. */
export function loadOf(at: MountCase, unit: MountedUnit): CaseLoad {
  const weight = scale(at.shares, unit.massKg * GRAVITY)
  if (at.key === 'complete') {
    const loads = (unit.later ?? []).map(({ kg, aside }) => forceAt(aside, scale(STANDING, kg * GRAVITY)))
    const { force, moment } = together(loads)
    return { force: add(weight, force), moment, alongNmm: 0 }
  }
  if (at.torque === 0) return { force: weight, moment: [0, 0, 0], alongNmm: 0 }
  const of = at.key === 'reverse' && unit.reverse ? unit.reverse : unit.torque
  const shock = at.hasShock ? (of.shock ?? 1) : 1
  if (unit.chain) {
    const turns = (at.torque * shock * of.gearRatio) / unit.torque.gearRatio
    const { at: place, toward } = turns > 0 ? unit.chain.driving : unit.chain.holding
    const { force, moment } = forceAt(place, scale(toward, unit.chain.pullN * Math.abs(turns)))
    return { force: add(weight, force), moment, alongNmm: 0 }
  }
  const outNmm = outputTorque({ ...of, engineNm: of.engineNm * at.torque, shock }) * 1000
  const { along, fixed } = unit.reaction
  return { force: weight, moment: scale(fixed, outNmm), alongNmm: along * outNmm }
}

import { CoreError } from '../../base/errors'
import { radians } from '../../base/units/angle'
import { rodFor, type Arms } from './bestRod'
import { branchNear, requireLinkage, standAt, turnWithin } from './linkage'
import type { ShiftGate } from './gates'

/** Gates of a linkage whose rod is set to length in one of them. */
export interface Aligned {
  readonly rodMm: number
  /** Of each gate; null where the rod does not reach it. */
  readonly errorsDeg: readonly (number | null)[]
}

/**
 * A linkage whose rod is set in the gate at which both ends read 0, as one does it under the vehicle.
 *
 * @throws CoreError as `requireLinkage`; `unknown` without such a gate, `degenerate` for pins that then lie at one place
 */
export function aligned(arms: Arms, gates: readonly ShiftGate[]): Aligned {
  const set = gates.find(({ leverDeg, boxDeg }) => leverDeg === 0 && boxDeg === 0)
  if (!set) throw new CoreError('unknown', 'gates', 'none is the one that the rod is set in')
  const rodMm = rodFor(arms, set)
  if (!(rodMm > 0)) throw new CoreError('degenerate', 'pins', 'lie at one place')
  const linkage = { ...arms, rodMm }
  requireLinkage(linkage)
  const branch = branchNear(linkage, 0, 0)
  const errorsDeg = gates.map(({ leverDeg, boxDeg }) => {
    const { boxDeg: reached, shortMm } = standAt(linkage, leverDeg, branch)
    return shortMm === 0 ? turnWithin(reached - boxDeg) : null
  })
  return { rodMm, errorsDeg }
}

/** The largest error; null where a gate is not reached. */
export const largest = (errors: Aligned['errorsDeg']): number | null =>
  whole(errors) ? Math.max(...errors.map(Math.abs)) : null

/** The root of the mean of their squares; null where a gate is not reached. */
export const rootMean = (errors: Aligned['errorsDeg']): number | null =>
  whole(errors) ? Math.sqrt(errors.reduce((sum, one) => sum + one * one, 0) / errors.length) : null

const whole = (errors: Aligned['errorsDeg']): errors is readonly number[] => !errors.includes(null)

/** What an error of the gearbox's arm is at its pin. */
export const atPin = (armMm: number, errorDeg: number): number => armMm * Math.abs(radians(errorDeg))

/** `Σ(lever·box)/Σ(lever²)`: the ratio of arms by which small angles would fit best, where both stand square to the rod; a first guess. */
export const smallAngleRatio = (gates: readonly ShiftGate[]): number =>
  gates.reduce((sum, { leverDeg, boxDeg }) => sum + leverDeg * boxDeg, 0) /
  gates.reduce((sum, { leverDeg }) => sum + leverDeg * leverDeg, 0)

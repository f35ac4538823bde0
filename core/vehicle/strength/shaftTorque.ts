import { GRAVITY } from '../../base/gravity'
import { CoreError } from '../../base/errors'
import type { DriveKind } from '../../file/parts/drivetrain'

/** The two ends of a vehicle that a shaft can go to. */
export type DrivenEnd = 'front' | 'rear'

/** What drives, and what the tyres hold. */
export interface TorqueTrain {
  /** Of the engine, in Nm, and what multiplies it at the most. */
  readonly engineNm: number
  readonly converter: number
  /** Greatest gear and every range, without their signs. */
  readonly gear: number
  readonly ranges: readonly number[]
  /** Engine to shaft. */
  readonly efficiency: number
  readonly drive: DriveKind
  /** Of an open centre differential: share of the torque that goes to the front. */
  readonly frontShare: number
  /** At its propshaft in Nm; null where it is not known. */
  readonly gripNm: Readonly<Record<DrivenEnd, number | null>>
}

/** Torque of one shaft in Nm. */
export interface EndTorque {
  readonly limitedNm: number
  readonly limitedBy: 'engine' | 'grip'
}

export interface ShaftTorques {
  /** What the engine would give in its slowest gear and range. */
  readonly grossNm: number
  readonly ends: Readonly<Partial<Record<DrivenEnd, EndTorque>>>
  /** Between gearbox and transfer case: before the ranges, and no more than the axles hold. */
  readonly jackshaftNm: number
}

/**
 * What an axle's tyres hold, at its propshaft in Nm: μ·load·g·radius / axle ratio.
 *
 * @see docs/methods/strength.md
 */
export function gripNm(mu: number, loadKg: number, tyreRadiusMm: number, axleRatio: number): number {
  if (!(mu > 0 && loadKg >= 0 && tyreRadiusMm > 0) || axleRatio === 0)
    throw new CoreError('out-of-range', 'grip', 'expected positive friction, load and radius, and a ratio')
  return (mu * loadKg * GRAVITY * tyreRadiusMm) / 1000 / Math.abs(axleRatio)
}

/**
 * The most torque of each shaft: engine × converter × gear × range, but no more than its tyres hold. Locked together, either axle may have
 * to bear it all alone while the other hangs in the air; an open differential shares it out, and the weaker axle limits both.
 *
 * @see docs/methods/strength.md
 */
export function shaftTorques(train: TorqueTrain): ShaftTorques {
  const { engineNm, converter, gear, ranges, efficiency, drive, frontShare, gripNm: grip } = train
  if (drive === 'open' && !(frontShare > 0 && frontShare < 1))
    throw new CoreError('out-of-range', 'frontShare', 'expected a share between nought and one')
  const ahead = engineNm * converter * gear * efficiency
  const each = ranges.length > 0 ? ranges : [1]
  const grossNm = ahead * Math.max(...each)
  const held = (end: DrivenEnd) => grip[end] ?? Infinity
  const limited = (most: number, share = 1): EndTorque =>
    most < grossNm
      ? { limitedNm: share * most, limitedBy: 'grip' }
      : { limitedNm: share * grossNm, limitedBy: 'engine' }
  if (drive === 'open') {
    const most = Math.min(held('front') / frontShare, held('rear') / (1 - frontShare))
    return {
      grossNm,
      ends: { front: limited(most, frontShare), rear: limited(most, 1 - frontShare) },
      jackshaftNm: jackshaft(ahead, each, most),
    }
  }
  const ends: DrivenEnd[] = drive === 'locked' ? ['front', 'rear'] : [drive]
  return {
    grossNm,
    ends: Object.fromEntries(ends.map((end) => [end, limited(held(end))])),
    jackshaftNm: jackshaft(
      ahead,
      each,
      ends.reduce((sum, end) => sum + held(end), 0),
    ),
  }
}

/** Greatest over the ranges of what comes out of the gearbox and what the axles hold, through the range. */
const jackshaft = (ahead: number, ranges: readonly number[], most: number): number =>
  Math.max(...ranges.map((range) => Math.min(ahead, most / range)))

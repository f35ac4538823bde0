import type { Evaluation } from '../model/evaluateBuild'
import type { GapEvaluation } from '../model/gaps'
import type { Verdict } from '../file/build/limit'
import { gravest } from '../file/limits/verdict'
import type { Id } from '../file/parts/id'

/** One thing between two others: a manifold between frame and bar. */
export interface TwoSidedGap {
  readonly gaps: readonly [Id, Id]
  readonly names: readonly [string, string]
  readonly verdict: Verdict
  /** Both gaps together: all the room there is, in mm. */
  readonly windowMm: number
  /** From the first side, in mm. */
  readonly atMm: number
  /** What each side needs, its warning limit where it has one, in mm. */
  readonly needMm: readonly [number, number]
  /** How far it would have to go toward the second side to have as much to spare on both, in mm; negative toward the first. */
  readonly toMiddleMm: number
  /** What is to spare on both sides there, in mm; negative where the window is too narrow. */
  readonly spareMm: number
}

/** All gaps that have another side, as they stand; those of which a side was not read are left out. */
export function twoSidedGaps({ gaps }: Pick<Evaluation, 'gaps'>): TwoSidedGap[] {
  const byId = new Map(gaps.map((one) => [one.gap.id, one]))
  const told = new Set<Id>()
  return gaps.flatMap((one): TwoSidedGap[] => {
    const other = byId.get(one.gap.opposite ?? '')
    if (!other || told.has(one.gap.id) || told.has(other.gap.id)) return []
    told.add(one.gap.id)
    told.add(other.gap.id)
    if (!one.ride.known || !other.ride.known) return []
    const [near, far] = [one.ride.value.gapMm, other.ride.value.gapMm]
    const needMm = [need(one), need(other)] as const
    const [spareNear, spareFar] = [near - needMm[0], far - needMm[1]]
    return [
      {
        gaps: [one.gap.id, other.gap.id],
        names: [one.gap.name, other.gap.name],
        verdict: gravest([one.check.verdict, other.check.verdict]),
        windowMm: near + far,
        atMm: near,
        needMm,
        toMiddleMm: (spareFar - spareNear) / 2,
        spareMm: (spareNear + spareFar) / 2,
      },
    ]
  })
}

const need = ({ check }: GapEvaluation): number =>
  Math.max(0, check.window.warnLow ?? check.window.failLow ?? 0)

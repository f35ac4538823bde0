import type { Evaluation } from '../model/evaluateBuild'
import type { Vec3 } from '../base/linalg/vec3'
import type { GapKind } from '../file/parts/gap'
import type { Id } from '../file/parts/id'

/** Where two things lie in each other: what has to be cut or dented. */
export interface Cut {
  readonly gap: Id
  readonly name: string
  readonly kind: GapKind
  /** The touch point, chassis frame, in mm. */
  readonly at: Vec3
  /** So deep that they just touch no more, in mm. */
  readonly depthMm: number
  /** What the gap has to keep: its warning, else its failing limit, else nothing. */
  readonly keepMm: number
  /** So deep that it keeps that, in whole mm. */
  readonly depthToKeepMm: number
  /** Room over what it has to keep once that is done, in mm. */
  readonly marginAfterMm: number
  /** Effort of cutting it; null until somebody has said it. */
  readonly cost: number | null
  /** It carries load; null until somebody has said it. */
  readonly isStructural: boolean | null
}

/** A figure that stands on a whole mm but for the arithmetic is not rounded up to the next, in mm. */
const SAME_MM = 1e-9

/** All cuts and dents at a setting of the levers, the deepest first. */
export const cutList = ({ gaps }: Pick<Evaluation, 'gaps'>): Cut[] =>
  gaps
    .flatMap(({ gap, check, ride }): Cut[] => {
      if (!ride.known || ride.value.gapMm >= 0) return []
      const { gapMm, point } = ride.value
      const { warnLow, failLow } = check.window
      const keepMm = Math.max(0, warnLow ?? failLow ?? 0)
      const depthToKeepMm = Math.ceil(keepMm - gapMm - SAME_MM)
      return [
        {
          gap: gap.id,
          name: gap.name,
          kind: gap.kind,
          at: point,
          depthMm: -gapMm,
          keepMm,
          depthToKeepMm,
          marginAfterMm: gapMm + depthToKeepMm - keepMm,
          cost: gap.cutting?.cost ?? null,
          isStructural: gap.cutting?.structural ?? null,
        },
      ]
    })
    .sort((one, other) => other.depthMm - one.depthMm)

/** Effort of all cuts together, and of how many nobody has said it. */
export const cutCost = (cuts: readonly Cut[]): { readonly cost: number; readonly unsaid: number } => ({
  cost: cuts.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
  unsaid: cuts.filter(({ cost }) => cost === null).length,
})

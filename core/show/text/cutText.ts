import { cutCost, cutList, type Cut } from '../../bay/cutList'
import { toStation } from '../../base/frame/station'
import { offsetWords } from '../../base/frame/words'
import type { Evaluation } from '../../model/evaluateBuild'
import { formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'

/** A cut in a builder's words. */
export interface CutRow {
  readonly gap: string
  readonly name: string
  /** "station 497.0 mm, 40.0 mm left, 390.0 mm up". */
  readonly where: string
  readonly depth: string
  /** "15.0 mm deep keeps its 8.0 mm, 0.4 mm over". */
  readonly toKeep: string
  readonly cost: string | null
  readonly isStructural: boolean | null
}

const cutRow =
  (units: UnitSettings) =>
  (cut: Cut): CutRow => {
    const { station, offsetLeft, height } = toStation(cut.at)
    const length = (mm: number) => formatLength(mm, units)
    return {
      gap: cut.gap,
      name: cut.name,
      where: `station ${length(station)}, ${offsetWords(offsetLeft, units)}, ${length(Math.abs(height))} ${height < 0 ? 'below' : 'above'} the plane`,
      depth: length(cut.depthMm),
      toKeep:
        cut.keepMm > 0
          ? `${length(cut.depthToKeepMm)} deep keeps its ${length(cut.keepMm)}, ${length(cut.marginAfterMm)} over`
          : `${length(cut.depthToKeepMm)} deep leaves ${length(cut.marginAfterMm)}`,
      cost: cut.cost === null ? null : String(cut.cost),
      isStructural: cut.isStructural,
    }
  }

/** All cuts and dents at a setting of the levers. */
export const cutRows = (now: Pick<Evaluation, 'gaps'>, units: UnitSettings): CutRow[] =>
  cutList(now).map(cutRow(units))

/** What all cuts take: "effort 6, and 2 of them not said"; null without any. */
export function cutCostText(now: Pick<Evaluation, 'gaps'>): string | null {
  const cuts = cutList(now)
  if (cuts.length === 0) return null
  const { cost, unsaid } = cutCost(cuts)
  if (unsaid === cuts.length) return 'effort not said'
  return unsaid === 0 ? `effort ${cost}` : `effort ${cost}, and ${unsaid} not said`
}

import { formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Place2 } from '../../base/outline/polygon'
import type { CutoutAnswer, TouchCut } from '../../making/cutouts/cutoutAnswer'

/** A touch and its cut, in words. */
export interface CutRow {
  readonly id: string
  readonly side: string
  readonly overlap: string
  readonly depth: string
}

/** Seen from above, the front up: a side by the way in which it is cut. */
export const sideText = ([right, back]: Place2): string =>
  Math.abs(right) > Math.abs(back) ? (right > 0 ? 'right' : 'left') : back > 0 ? 'rear' : 'front'

export const cutRows = ({ cuts }: CutoutAnswer, units: UnitSettings): CutRow[] =>
  cuts.map(({ touch, outward, depthMm }) => ({
    id: touch.id,
    side: `${sideText(outward)} side`,
    overlap: formatLength(touch.overlapMm, units),
    depth: formatLength(depthMm, units),
  }))

/** The next cut: which side, how deep as large as it goes, and the two marks that one line is taped between. */
export interface NextCut {
  readonly name: string
  readonly figure: string
  readonly marks: readonly string[]
}

export function nextCut({ outward, depthMm, marks }: TouchCut, units: UnitSettings): NextCut {
  const length = (mm: number) => formatLength(mm, units)
  return {
    name: `Cut the ${sideText(outward)} side back by`,
    figure: length(depthMm),
    marks: marks.map(
      ({ at, beyondMm }) =>
        `${length(at[0])} from the left edge, ${length(at[1])} from the front: ${length(beyondMm)} beyond the corner`,
    ),
  }
}

/** What a larger cut saves; null while that is not known. */
export function largerText({ larger }: CutoutAnswer, units: UnitSettings): string | null {
  if (!larger.known) return null
  const { depthMm, lowerings, saves } = larger.value
  if (saves === 0) return 'It stands after the next lowering if it goes on widening as it did.'
  const times = (count: number) => `${count} ${count === 1 ? 'lowering' : 'lowerings'}`
  return `With cuts like this one it takes ${times(lowerings)} more. Cut back by ${formatLength(depthMm, units)} at once, if what lies behind the sheet lets you, and ${times(saves)} are saved.`
}

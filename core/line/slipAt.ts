import type { Line } from '../project/lineSpec'
import type { LineFigures } from './lineFigures'
import { slidesAtYoke } from './lineColumns'

/** How what grows longer and shorter in a line stands, in mm. */
export interface SlipAt {
  /** Way left before it bottoms. */
  readonly leftMm: number
  /** Null where it is not told how much spline is engaged at ride height. */
  readonly engagedMm: number | null
}

/** The slip of a line where its figures stand; null for a line without one, or one whose sizes are not told. */
export function slipAt(line: Line, figures: Pick<LineFigures, 'shafts' | 'slideMm'>): SlipAt | null {
  const end = line.shafts[0]?.drivingEnd
  if (slidesAtYoke(line) && end?.kind === 'slip-yoke') {
    const out = figures.slideMm ?? 0
    return end.setInMm === undefined
      ? null
      : { leftMm: end.setInMm + out, engagedMm: end.engagedMm === undefined ? null : end.engagedMm - out }
  }
  const index = line.shafts.findIndex(({ slip }) => slip?.closedMm !== undefined)
  const { closedMm, engagedMm } = line.shafts[index]?.slip ?? {}
  const length = figures.shafts[index]?.lengths.all[0]?.length
  if (closedMm === undefined || length === undefined) return null
  const leftMm = length - closedMm
  return { leftMm, engagedMm: engagedMm === undefined ? null : engagedMm - leftMm }
}

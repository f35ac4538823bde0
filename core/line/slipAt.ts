import type { Line } from '../project/lineSpec'
import type { LineFigures } from './lineFigures'
import { slidesAtYoke } from './lineColumns'

/** How what grows longer and shorter in a shaft stands, in mm. */
export interface SlipAt {
  /** Way left before it bottoms. */
  readonly leftMm: number
  /** Null where it is not told how much spline is engaged at ride height. */
  readonly engagedMm: number | null
  /** Of the spline; null where it is not told. */
  readonly diameterMm: number | null
}

/** The slip of a shaft where its figures stand; null for one without, or whose sizes are not told. */
export function slipAt(
  line: Line,
  index: number,
  figures: Pick<LineFigures, 'shafts' | 'slideMm'>,
): SlipAt | null {
  const shaft = line.shafts[index]
  const end = shaft?.drivingEnd
  if (index === 0 && slidesAtYoke(line) && end?.kind === 'slip-yoke') {
    const out = figures.slideMm ?? 0
    const { setInMm, engagedMm, splineDiameterMm = null } = end
    if (setInMm === undefined) return null
    return {
      leftMm: setInMm + out,
      engagedMm: engagedMm === undefined ? null : engagedMm - out,
      diameterMm: splineDiameterMm,
    }
  }
  const { closedMm, engagedMm, diameterMm = null } = shaft?.slip ?? {}
  const length = figures.shafts[index]?.lengths.all[0]?.length
  if (closedMm === undefined || length === undefined) return null
  const leftMm = length - closedMm
  return { leftMm, engagedMm: engagedMm === undefined ? null : engagedMm - leftMm, diameterMm }
}

/** Way that a plunging joint of a shaft has left either way, in mm; null for one without, or whose sizes are not told. */
export function plungeLeftAt(
  line: Line,
  index: number,
  { shafts }: Pick<LineFigures, 'shafts'>,
): number | null {
  const { middleMm, reachMm } = line.shafts[index]?.plunge ?? {}
  const length = shafts[index]?.lengths.all[0]?.length
  return middleMm === undefined || reachMm === undefined || length === undefined
    ? null
    : reachMm - Math.abs(length - middleMm)
}

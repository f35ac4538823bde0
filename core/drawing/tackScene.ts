import type { WeldEntry } from '../file/kinds/weldKinds'
import { tackPlan } from '../making/welds/tacks'

/** A seam with its tacks, px: numbered in the order of their making. */
export interface TackScene {
  readonly width: number
  readonly tacks: readonly {
    readonly number: number
    readonly x: number
    readonly long: number
    readonly isDone: boolean
    readonly isNext: boolean
  }[]
}

const EDGE_PX = 26
const LEAST_PX = 7

/** The picture of a seam as far as it is tacked. */
export function tackScene({ lengthMm, thicknessMm, tacked = 0 }: WeldEntry, width: number): TackScene {
  const plan = tackPlan(lengthMm, thicknessMm)
  const pxPerMm = (width - 2 * EDGE_PX) / lengthMm
  const tacks = plan.atMm.map((mm, i) => ({
    number: i + 1,
    x: EDGE_PX + mm * pxPerMm,
    long: Math.max(LEAST_PX, plan.lengthMm * pxPerMm),
    isDone: i < tacked,
    isNext: i === tacked,
  }))
  return { width, tacks }
}

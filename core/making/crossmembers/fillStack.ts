import { sum } from '../../base/numbers'
import { nearestStacks, type SpacerStock } from '../../vehicle/moves/spacers'

/** Spacers between a pad and what it carries. */
export interface FillStack {
  readonly gapMm: number
  readonly sumMm: number
  readonly pieces: number
  /** Of each piece, thickest first. */
  readonly thicknessesMm: readonly number[]
}

/** Under a crossmember's pad they lie between two flat faces: eight hold as well as one. */
const MOST_PIECES = 8

/** The stack nearest to a gap, none among them; of those as near the fewest pieces. */
export function fillStack(gapMm: number, stock: readonly SpacerStock[], most = MOST_PIECES): FillStack {
  const found = nearestStacks(gapMm, stock, most)
  const counts = found?.stacks[0]
  if (!found || !counts || Math.abs(gapMm) <= found.off)
    return { gapMm, sumMm: 0, pieces: 0, thicknessesMm: [] }
  const thicknessesMm = counts
    .flatMap((count, i) => Array<number>(count).fill(stock[i]?.thickness ?? NaN))
    .sort((a, b) => b - a)
  return { gapMm, sumMm: sum(thicknessesMm), pieces: found.pieces, thicknessesMm }
}

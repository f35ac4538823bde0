import type { SeamKind, WeldEntry } from '../../file/kinds/weldKinds'

/** How much a seam draws, mm: from, to, and of how many own welds that is known; none for a guide. */
export interface SeamShrink {
  readonly fromMm: number
  readonly toMm: number
  readonly ownWelds: number
}

interface SeamGuide {
  /** For each run, or for each metre of its length. */
  readonly per: 'run' | 'metre'
  readonly from: number
  readonly to: number
}

/** Starting figures of steel by the arc, until the shop has its own. */
const GUIDES: Readonly<Record<SeamKind, SeamGuide>> = {
  'fillet-across': { per: 'run', from: 0.5, to: 1 },
  'butt-across': { per: 'run', from: 1.5, to: 3 },
  'fillet-along': { per: 'metre', from: 0.25, to: 0.25 },
  'butt-along': { per: 'metre', from: 1, to: 1 },
}

type Seam = Pick<WeldEntry, 'seam' | 'runs' | 'lengthMm'>
const sizeOf = ({ seam, runs, lengthMm }: Seam): number =>
  GUIDES[seam].per === 'run' ? runs : lengthMm / 1000

/** What a weld drew over its seam, for each run or metre; empty until it is read before and after. */
const drawnBy = (weld: WeldEntry): number[] =>
  weld.readings.flatMap(({ isOverSeam, isAngle, before, after }) =>
    isOverSeam && !isAngle && before !== undefined && after !== undefined
      ? [(before - after) / sizeOf(weld)]
      : [],
  )

/**
 * How much a seam is likely to draw: by the shop's own welds of its kind, two standard deviations to each side, else by a guide.
 *
 * @param others - welds that were read before and after
 */
export function seamShrink(weld: Seam, others: readonly WeldEntry[]): SeamShrink {
  const own = others
    .filter(({ seam }) => seam === weld.seam)
    .map(drawnBy)
    .filter((drawn) => drawn.length > 0)
  const drawn = own.flat()
  const size = sizeOf(weld)
  if (drawn.length === 0) {
    const { from, to } = GUIDES[weld.seam]
    return { fromMm: from * size, toMm: to * size, ownWelds: 0 }
  }
  const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length
  const spread =
    drawn.length < 2
      ? 0
      : Math.sqrt(drawn.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (drawn.length - 1))
  return { fromMm: (mean - 2 * spread) * size, toMm: (mean + 2 * spread) * size, ownWelds: own.length }
}

/** What a reading of a weld says once both figures are there. */
export interface WeldChange {
  readonly by: number
  /** Null where nobody said how much it may. */
  readonly isWithin: boolean | null
}

export const weldChange = ({ before, after, most }: WeldEntry['readings'][number]): WeldChange | null =>
  before === undefined || after === undefined
    ? null
    : { by: after - before, isWithin: most === undefined ? null : Math.abs(after - before) <= most + 1e-9 }

/** A length of steel that is so much warmer than the shop is longer by so much, mm: readings are cold ones. */
export const warmLongerMm = (lengthMm: number, warmerK: number): number => 12e-6 * lengthMm * warmerK

import { CoreError } from '../base/errors'
import { add, scale } from '../base/linalg/vec3'
import type { KeptOff } from '../file/parts/cable'
import { holeBand, lengthThrough, type BulkheadCable, type Stretch } from '../shift/cable/band'
import type { BulkheadFound, CableEvaluation, CableFound } from './cableSubject'

/** A place on a bulkhead, from its mark. */
export interface HolePlace {
  readonly leftMm: number
  readonly upMm: number
}

/** Where on its bulkhead the hole of a cable may be. */
export interface CableBand {
  /** From low to high: so far to the left of the mark, from and to. */
  readonly rows: readonly { readonly upMm: number; readonly stretches: readonly Stretch[] }[]
  readonly rowMm: number
  /** Where the adjuster stands in its middle, nearest to where the hole is; null where it is nowhere. */
  readonly best: HolePlace | null
}

const ROWS = 24
const LOOKS = 60

/** Where the hole may be; null for a cable without a bulkhead or a length, or one whose way is not known. */
export function cableBand({ cable, found }: CableEvaluation): CableBand | null {
  if (!found.known) return null
  const { bulkhead } = found.value
  const { hole, lengthMm } = cable
  if (!bulkhead || !hole || lengthMm === undefined) return null
  const { room, keepOff = [] } = bulkhead.bulkhead
  const rowMm = (room.upMm + room.downMm) / ROWS
  const half = (hole.holeMm ?? 0) / 2
  const rows = Array.from({ length: ROWS }, (_, k) => {
    const upMm = -room.downMm + (k + 0.5) * rowMm
    const { stretches, bestMm } = rowBand(cable, found.value, bulkhead, upMm)
    const free = keepOff.reduce((left, one) => withoutKept(left, one, upMm, half), stretches)
    const isFree = bestMm !== null && free.some(([from, to]) => bestMm >= from && bestMm <= to)
    return { upMm, stretches: free, bestMm: isFree ? bestMm : null }
  })
  const exact = rows.flatMap(({ upMm, bestMm }) => (bestMm === null ? [] : [{ leftMm: bestMm, upMm }]))
  const from = ({ leftMm, upMm }: HolePlace) => Math.hypot(leftMm - hole.leftMm, upMm - hole.upMm)
  const best = exact.sort((a, b) => from(a) - from(b))[0] ?? null
  return { rows: rows.map(({ upMm, stretches }) => ({ upMm, stretches })), rowMm, best }
}

/** What a cable takes between its fixings through a hole elsewhere; null where its bends do not fit. */
export function cableThrough({ cable, found }: CableEvaluation, { leftMm, upMm }: HolePlace): number | null {
  if (!found.known || !found.value.bulkhead) return null
  const laid = throughRow(cable, found.value, found.value.bulkhead, upMm)
  return laid && lengthThrough(laid, leftMm)
}

function rowBand(cable: CableEvaluation['cable'], found: CableFound, bulkhead: BulkheadFound, upMm: number) {
  const { room } = bulkhead.bulkhead
  const laid = throughRow(cable, found, bulkhead, upMm)
  const none = { stretches: [] as readonly Stretch[], bestMm: null }
  if (!laid) return none
  try {
    return holeBand(laid, [-room.rightMm, room.leftMm], LOOKS)
  } catch (error) {
    if (error instanceof CoreError) return none
    throw error
  }
}

/** A cable whose hole moves along a row of its bulkhead; null without a hole. */
function throughRow(
  { hole, radiusMm, lengthMm = NaN, adjustMm = 0 }: CableEvaluation['cable'],
  { points, radiiMm, before, figures, hot }: CableFound,
  { mark, left, up, through }: BulkheadFound,
  upMm: number,
): BulkheadCable | null {
  if (!hole) return null
  return {
    before: points.slice(0, before),
    behind: points.slice(before + 2),
    bulkhead: { point: add(mark, scale(up, upMm)), along: left, normal: through, stubMm: hole.stubMm },
    ...{ radiusMm, radiiMm, lengthMm: lengthMm - (figures.looseMm ?? 0), adjustMm },
    hot: hot.map(({ at, gapMm }) => ({ at, gapMm })),
  }
}

/** Stretches of a row without those where a hole would touch what is kept free. */
function withoutKept(
  stretches: readonly Stretch[],
  { leftMm, rightMm, upMm, downMm }: KeptOff,
  rowMm: number,
  half: number,
): Stretch[] {
  if (rowMm > upMm + half || rowMm < -downMm - half) return [...stretches]
  const [from, to] = [-rightMm - half, leftMm + half]
  return stretches.flatMap(([low, high]): Stretch[] => [
    ...(low < from ? [[low, Math.min(high, from)] as const] : []),
    ...(high > to ? [[Math.max(low, to), high] as const] : []),
  ])
}

import { CoreError, requireFinite } from '../../base/errors'

/** Pieces of one length that are cut from one section; what is coped counts from tip to tip. */
export interface CutPiece {
  readonly id: string
  readonly lengthMm: number
  readonly count: number
}

/** Bars of one length; as many as are wanted where there is no count, remnants a few. */
export interface CutBar {
  readonly id: string
  readonly lengthMm: number
  readonly cost: number
  readonly count?: number | undefined
}

export interface CutOrder {
  readonly pieces: readonly CutPiece[]
  readonly bars: readonly CutBar[]
  /** Width of a cut. */
  readonly kerfMm: number
  /** Cut off the first end of every bar, with that cut's own width. */
  readonly trimMm: number
}

/** Lengths that differ by less are alike. */
export const SAME_MM = 1e-9

/**
 * Length that a bar offers when a piece takes its own length and a cut: the last cut may fall on the bar's end.
 */
export const offered = ({ lengthMm }: CutBar, { kerfMm, trimMm }: CutOrder): number =>
  lengthMm - trimMm + kerfMm
/** Length that a piece takes of it. */
export const taken = ({ lengthMm }: Pick<CutPiece, 'lengthMm'>, { kerfMm }: CutOrder): number =>
  lengthMm + kerfMm

/**
 * Refuses what cannot be cut.
 *
 * @throws CoreError `out-of-range` for a length or a count not above nought, a kerf, trim or cost below it, a piece longer than every bar;
 * `degenerate` for no pieces or one named twice; `not-finite`
 */
export function requireCutOrder(order: CutOrder): void {
  const { pieces, bars, kerfMm, trimMm } = order
  if (pieces.length === 0) throw new CoreError('degenerate', 'pieces', 'there are none')
  for (const { id, lengthMm } of [...pieces, ...bars]) requireAbove(lengthMm, id)
  for (const { id, count } of pieces) requireCount(count, id)
  for (const { id, count, cost } of bars) {
    if (count !== undefined) requireCount(count, id)
    requireLeast(cost, `cost of ${id}`)
  }
  requireLeast(kerfMm, 'kerf')
  requireLeast(trimMm, 'trim')
  for (const all of [pieces, bars])
    if (new Set(all.map(({ id }) => id)).size < all.length)
      throw new CoreError('degenerate', 'pieces', 'one is named twice')
  const long = pieces.find(
    (piece) => !bars.some((bar) => taken(piece, order) <= offered(bar, order) + SAME_MM),
  )
  if (long) throw new CoreError('out-of-range', long.id, 'is longer than every bar')
}

function requireAbove(figure: number, subject: string): void {
  requireFinite(figure, subject)
  if (figure <= 0) throw new CoreError('out-of-range', subject, 'must be above 0')
}

function requireLeast(figure: number, subject: string): void {
  requireFinite(figure, subject)
  if (figure < 0) throw new CoreError('out-of-range', subject, 'is below nought')
}

function requireCount(count: number, subject: string): void {
  requireAbove(count, subject)
  if (!Number.isInteger(count)) throw new CoreError('out-of-range', subject, 'is counted in whole pieces')
}

/**
 * The least cost by material alone: pieces as if they could be cut over bars' ends, from the bars that offer the cheapest length first.
 *
 * @param needMm - length that all pieces take, a cut each
 * @param left - of each bar how many are there, in their order; infinite for as many as are wanted
 * @returns infinite where there is not enough
 */
export function boundCost(order: CutOrder, needMm: number, left: readonly number[]): number {
  const cheap = order.bars
    .map((bar, k) => ({ cost: bar.cost, offers: offered(bar, order), count: left[k] ?? 0 }))
    .filter(({ offers }) => offers > 0)
    .sort((a, b) => a.cost / a.offers - b.cost / b.offers)
  let rest = needMm
  let cost = 0
  for (const bar of cheap) {
    const used = Math.min(bar.count, rest / bar.offers)
    cost += used * bar.cost
    rest -= used * bar.offers
    if (rest <= SAME_MM) return cost
  }
  return Infinity
}

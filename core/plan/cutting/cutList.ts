import { CoreError } from '../../base/errors'
import { sum } from '../../base/numbers'
import { boundCost, offered, requireCutOrder, SAME_MM, taken, type CutOrder, type CutPiece } from './cutStock'

/** A bar with what is cut from it, the longest first. */
export interface FilledBar {
  readonly bar: string
  readonly pieces: readonly string[]
  /** Left at its end. */
  readonly restMm: number
}

export interface CutList {
  readonly bars: readonly FilledBar[]
  readonly cost: number
  /** No way is cheaper than this. */
  readonly boundCost: number
  /** All ways were looked through, or the bound is reached. */
  readonly isProven: boolean
}

/** Ways that are looked through before the best so far has to do. */
const MOST_WAYS = 200_000

/**
 * The cheapest way to cut pieces from bars, of equally cheap ones that of fewest bars: branch and bound. The longest piece that is left goes
 * into some bar, and a bar is filled until nothing more fits, for what fits there is in nobody's way elsewhere.
 *
 * @throws CoreError as `requireCutOrder`, and `out-of-range` where the bars do not do
 */
export function cutList(order: CutOrder, mostWays = MOST_WAYS): CutList {
  requireCutOrder(order)
  const pieces = order.pieces.toSorted((a, b) => b.lengthMm - a.lengthMm)
  const search = searchOf(order, pieces, mostWays)
  const left = order.bars.map(({ count }) => count ?? Infinity)
  const counts = pieces.map(({ count }) => count)
  search.from(counts, left, [], 0)
  const { best, ways } = search.state
  if (!best) throw new CoreError('out-of-range', 'bars', 'do not do for all pieces')
  const bound = boundCost(order, needOf(order, pieces, counts), left)
  return {
    bars: best.filled.map((one) => told(order, pieces, one)),
    cost: best.cost,
    boundCost: bound,
    isProven: ways < mostWays || best.cost <= bound + SAME_COST,
  }
}

const SAME_COST = 1e-9
const needOf = (order: CutOrder, pieces: readonly CutPiece[], counts: readonly number[]): number =>
  sum(pieces.map((piece, k) => (counts[k] ?? 0) * taken(piece, order)))

/** A bar by its place, with how many of each piece are cut from it. */
interface Filling {
  readonly bar: number
  readonly counts: readonly number[]
}

function told(order: CutOrder, pieces: readonly CutPiece[], { bar, counts }: Filling): FilledBar {
  const { id = '', lengthMm = NaN } = order.bars[bar] ?? {}
  const cut = needOf(order, pieces, counts)
  return {
    bar: id,
    pieces: pieces.flatMap((piece, k) => Array<string>(counts[k] ?? 0).fill(piece.id)),
    restMm: Math.max(0, lengthMm - order.trimMm - cut),
  }
}

interface Found {
  readonly cost: number
  readonly filled: readonly Filling[]
}

function searchOf(order: CutOrder, pieces: readonly CutPiece[], mostWays: number) {
  const state: { best: Found | null; ways: number } = { best: null, ways: 0 }
  /** The least that a rest was come to with: dearer ways to the same rest lead nowhere. */
  const seen = new Map<string, readonly [cost: number, bars: number]>()
  const sizes = pieces.map((piece) => taken(piece, order))
  const longest = Math.max(...order.bars.map((bar) => offered(bar, order)))
  const isWorse = (cost: number, bars: number, than: readonly [number, number]) =>
    cost > than[0] + SAME_COST || (cost > than[0] - SAME_COST && bars >= than[1])

  function from(
    counts: readonly number[],
    left: readonly number[],
    filled: readonly Filling[],
    cost: number,
  ): void {
    const first = counts.findIndex((count) => count > 0)
    if (first < 0) {
      if (!state.best || !isWorse(cost, filled.length, [state.best.cost, state.best.filled.length]))
        state.best = { cost, filled }
      return
    }
    if (state.ways >= mostWays && state.best) return
    state.ways++
    const need = needOf(order, pieces, counts)
    const least = cost + boundCost(order, need, left)
    const bars = filled.length + Math.ceil(need / longest - SAME_MM)
    if (least === Infinity) return
    if (state.best && isWorse(least, bars, [state.best.cost, state.best.filled.length])) return
    const key = `${counts.join()}|${left.join()}`
    const before = seen.get(key)
    if (before && isWorse(cost, filled.length, before)) return
    seen.set(key, [cost, filled.length])
    for (const [k, bar] of order.bars.entries()) {
      if ((left[k] ?? 0) <= 0) continue
      const rest = left.map((count, at) => (at === k ? count - 1 : count))
      for (const fill of fillings({ sizes, counts, first }, offered(bar, order))) {
        if (state.ways >= mostWays && state.best) return
        const now = counts.map((count, at) => count - (fill[at] ?? 0))
        from(now, rest, [...filled, { bar: k, counts: fill }], cost + bar.cost)
      }
    }
  }
  return { state, from }
}

/** A bar that is being filled. */
interface Bar {
  /** What each piece takes, and how many of it are left. */
  readonly sizes: readonly number[]
  readonly counts: readonly number[]
  /** The piece that goes into it in any case. */
  readonly first: number
}

/** All ways to fill a bar with a piece and whatever else goes in, so that nothing more does; the longest first. */
function* fillings(
  bar: Bar,
  rest: number,
  at = bar.first,
  fill: readonly number[] = bar.counts.map(() => 0),
): Generator<readonly number[]> {
  const { sizes, counts, first } = bar
  if (at === sizes.length) {
    if (sizes.every((size, k) => fill[k] === counts[k] || size > rest + SAME_MM)) yield fill
    return
  }
  const size = sizes[at] ?? NaN
  const most = Math.min(counts[at] ?? 0, Math.floor((rest + SAME_MM) / size))
  for (let count = most; count >= (at === first ? 1 : 0); count--)
    yield* fillings(bar, rest - count * size, at + 1, count === 0 ? fill : fill.with(at, count))
}

import { CoreError } from '../../base/errors'
import { known, unknown, type Known, type Missing } from '../../base/known'
import type { BarEntry } from '../../file/kinds/barKinds'
import type { Cutting } from '../../file/parts/cutting'
import { cutList } from '../../plan/cutting/cutList'
import type { CutBar } from '../../plan/cutting/cutStock'
import { kgPerM, sectionKey, type Section } from './section'
import type { Piece } from './cutPieces'

/** A piece on its bar: saw marks are from the first end of the bar. */
export interface PlacedPiece {
  readonly piece: Piece
  /** Where it begins, the end being trimmed, and where the saw cuts it off. */
  readonly fromMm: number
  readonly toMm: number
}

/** A bar with its saw marks. */
export interface SawnBar {
  readonly bar: BarEntry
  readonly pieces: readonly PlacedPiece[]
  readonly restMm: number
}

/** All of one section. */
export interface SectionCuts {
  readonly key: string
  readonly section: Section
  readonly pieces: readonly Piece[]
  readonly plan: Known<{
    readonly bars: readonly SawnBar[]
    readonly cost: number
    readonly boundCost: number
    readonly isProven: boolean
    /** Steel of the pieces, and what is left over of the bars. */
    readonly massKg: number
    readonly restMm: number
  }>
}

export interface CutPlan {
  readonly sections: readonly SectionCuts[]
  /** Pieces that cannot be laid out, each with what is missing for it. */
  readonly waiting: readonly { readonly piece: Piece; readonly missing: readonly Missing[] }[]
}

/** All pieces laid out on bars of their section, at the least cost; remnants cost nothing and are cut first. */
export function cutPlan(
  pieces: readonly Piece[],
  bars: readonly BarEntry[],
  cutting: Cutting | undefined,
): CutPlan {
  const keyed = pieces.map((piece) => ({ piece, key: keyOf(piece) }))
  const waiting = keyed.flatMap(({ piece, key }) => (key.known ? [] : [{ piece, missing: key.missing }]))
  const ready = keyed.flatMap(({ piece, key }) => (key.known ? [{ piece, key: key.value }] : []))
  const keys = [...new Set(ready.map(({ key }) => key))]
  return {
    sections: keys.map((key): SectionCuts => {
      const own = ready.filter((one) => one.key === key).map(({ piece }) => piece)
      const [first] = own
      return { key, section: first as Section, pieces: own, plan: planOf(own, barsOf(bars, key), cutting) }
    }),
    waiting,
  }
}

const keyOf = (piece: Piece): Known<string> =>
  piece.lengthMm === null || piece.lengthMm <= 0 ? unknown(piece.lacks ?? 'its length') : sectionKey(piece)

const barsOf = (bars: readonly BarEntry[], key: string): BarEntry[] =>
  bars.filter((bar) => {
    const own = sectionKey(bar)
    return own.known && own.value === key
  })

function planOf(
  pieces: readonly Piece[],
  bars: readonly BarEntry[],
  cutting: Cutting | undefined,
): SectionCuts['plan'] {
  if (!cutting) return unknown('how wide a cut is', 'cutting')
  if (bars.length === 0) return unknown('a bar of this section', 'bars')
  const order = {
    pieces: pieces.map(({ id, lengthMm, count }) => ({ id, lengthMm: lengthMm ?? NaN, count })),
    bars: bars.map(({ id, lengthMm, count, cost = 0 }): CutBar => ({ id, lengthMm, cost, count })),
    ...cutting,
  }
  try {
    const { bars: filled, cost, boundCost, isProven } = cutList(order)
    const sawn = filled.map(({ bar, pieces: ids, restMm }): SawnBar => {
      const entry = bars.find(({ id }) => id === bar) as BarEntry
      return { bar: entry, pieces: marks(ids, pieces, cutting), restMm }
    })
    const lengthMm = pieces.reduce((all, piece) => all + (piece.lengthMm ?? 0) * piece.count, 0)
    return known({
      bars: sawn,
      cost,
      boundCost,
      isProven,
      massKg: (kgPerM(pieces[0] as Section) * lengthMm) / 1000,
      restMm: sawn.reduce((all, { restMm }) => all + restMm, 0),
    })
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return unknown(reasonOf(error, pieces), 'bars')
  }
}

/** Why it cannot be cut, in the name of the piece. */
function reasonOf({ message, subject }: CoreError, pieces: readonly Piece[]): string {
  const name = pieces.find(({ id }) => id === subject)?.name ?? subject
  return `bars that do: ${name}${message.slice(subject.length).replace(/^:/, '')}`
}

/** Each piece takes its length and a cut, the end of the bar first. */
function marks(ids: readonly string[], pieces: readonly Piece[], { kerfMm, trimMm }: Cutting): PlacedPiece[] {
  let at = trimMm
  return ids.flatMap((id) => {
    const piece = pieces.find((one) => one.id === id)
    if (!piece) return []
    const fromMm = at
    const toMm = at + (piece.lengthMm ?? 0)
    at = toMm + kerfMm
    return [{ piece, fromMm, toMm }]
  })
}

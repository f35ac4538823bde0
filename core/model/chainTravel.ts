import { peakAlong } from '../check/peakAlong'
import type { LeverSettings } from '../placement/settings'
import type { CompiledBuild } from './compile'
import type { CompiledChain } from './compiledChain'
import { between, heightsInRow, rowName, SWEEP_WAYS, type Sweep } from './sweep'

/** A chain where it is tightest, or slackest, along its travel. */
export interface ChainExtreme {
  readonly neededMm: number
  readonly spanMm: number
  /** Of the first wheels, from ride height. */
  readonly upMm: number
  /** In words: "35.0 mm down". */
  readonly place: string
}

/** A chain through the travel of its wheels. */
export interface ChainTravel {
  readonly tightest: ChainExtreme
  readonly slackest: ChainExtreme
}

/** The chain where it is tightest and where it is slackest, along the travel of its wheels. */
export function chainTravel(
  { build, travel }: CompiledBuild,
  { chain }: CompiledChain,
  sweep: Sweep | null,
  settings: LeverSettings,
): ChainTravel | null {
  const swept = travel?.chains.find(({ chainId }) => chainId === chain.id)
  const [body] = travel?.axles ?? []
  if (!swept || !sweep || !body) return null
  const needed = sweep.cells(swept.neededMm).subarray(0, sweep.rows.length)
  const spans = sweep.cells(swept.spanMm)
  const extreme = (sign: 1 | -1): ChainExtreme | null => {
    const peaks = sweepWays(sweep.rows).flatMap(({ way, from, to }) => {
      const rows = sweep.rows.slice(from, to)
      const heights = rows.map((row) => heightsInRow(build, body, row, settings)[0])
      const found = peakAlong(
        heights,
        rows.map((_, i) => sign * (needed[from + i] ?? NaN)),
      )
      if (!found) return []
      const shares = rows.map(({ share }) => share)
      const spanMm = between(heights, [...spans.subarray(from, to)], found.atMm)
      const row = { way, share: between(heights, shares, found.atMm) }
      return [
        {
          neededMm: sign * found.value,
          upMm: found.atMm,
          spanMm,
          place: rowName(build, body, row, settings),
        },
      ]
    })
    return peaks.toSorted((a, b) => sign * (b.neededMm - a.neededMm))[0] ?? null
  }
  const [tightest, slackest] = [extreme(1), extreme(-1)]
  return tightest && slackest ? { tightest, slackest } : null
}

/** Rows of a sweep by its ways. */
const sweepWays = (rows: Sweep['rows']) =>
  SWEEP_WAYS.flatMap((way) => {
    const from = rows.findIndex((row) => row.way === way)
    return from < 0 ? [] : [{ way, from, to: rows.findLastIndex((row) => row.way === way) + 1 }]
  })

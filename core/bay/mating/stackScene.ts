import type { StackAnswer } from './matingOf'
import type { Stack } from '../../file/parts/mating'

/** A part of a chain as a bar: where it begins and how long it is, as shares of the picture's width, and its figures in mm. */
export interface StackBar {
  readonly id: string
  readonly name: string
  readonly left: number
  readonly width: number
  /** Where the chain stands after it, as a share. */
  readonly end: number
  readonly adds: boolean
}

/** A chain drawn to scale, part after part, each beginning where the last one ended. */
export interface StackScene {
  readonly bars: readonly StackBar[]
  /** What is left, from nought. */
  readonly result: { readonly left: number; readonly width: number; readonly isNegative: boolean }
  /** Where nought lies. */
  readonly zero: number
}

/** Share of the width that is left free at each end. */
const ROOM = 0.02

/** A stack of sizes to scale; null until every part has its size. */
export function stackScene({ parts }: Stack): StackScene | null {
  if (parts.length === 0 || parts.some(({ nominalMm }) => nominalMm === undefined)) return null
  const ends = parts.reduce<number[]>(
    (sofar, { counts, nominalMm = 0 }) => [
      ...sofar,
      (sofar.at(-1) ?? 0) + (counts === 'adds' ? nominalMm : -nominalMm),
    ],
    [0],
  )
  const [least, most] = [Math.min(...ends), Math.max(...ends)]
  const span = most - least || 1
  const at = (mm: number) => ROOM + ((mm - least) / span) * (1 - 2 * ROOM)
  const bar = (from: number, to: number) => ({
    left: at(Math.min(from, to)),
    width: at(Math.max(from, to)) - at(Math.min(from, to)),
  })
  const total = ends.at(-1) ?? 0
  return {
    zero: at(0),
    bars: parts.map(({ id, name, counts }, index) => ({
      id,
      name,
      adds: counts === 'adds',
      end: at(ends[index + 1] ?? 0),
      ...bar(ends[index] ?? 0, ends[index + 1] ?? 0),
    })),
    result: { ...bar(0, total), isNegative: total < 0 },
  }
}

/** What a chain may come to, on a scale of its own: shares of its width. */
export interface StackScale {
  readonly worst: readonly [number, number]
  readonly likely: readonly [number, number]
  readonly nominal: number
  readonly window: readonly [number, number] | null
  /** Ends of the window that are drawn, with their places. */
  readonly marks: readonly { readonly mm: number; readonly at: number }[]
}

/** The result of a chain against its window. */
export function stackScale({ minMm, maxMm }: Stack, { worst, quantiles, nominal }: StackAnswer): StackScale {
  const places = [...worst, nominal, ...[minMm, maxMm].filter((mm): mm is number => mm !== undefined)]
  const [least, most] = [Math.min(...places), Math.max(...places)]
  const span = most - least || 1
  const [low, high] = [least - 0.15 * span, most + 0.15 * span]
  const at = (mm: number) => (mm - low) / (high - low)
  const hasWindow = minMm !== undefined || maxMm !== undefined
  return {
    worst: [at(worst[0]), at(worst[1])],
    likely: [at(quantiles[0]), at(quantiles[2])],
    nominal: at(nominal),
    window: hasWindow ? [minMm === undefined ? 0 : at(minMm), maxMm === undefined ? 1 : at(maxMm)] : null,
    marks: [minMm, maxMm].flatMap((mm) => (mm === undefined ? [] : [{ mm, at: at(mm) }])),
  }
}

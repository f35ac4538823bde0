import { sum } from '../../base/numbers'
import type { Place2 } from '../../base/outline/polygon'

/** A distance of two holes, by their places in the list. */
export interface Span {
  readonly from: number
  readonly to: number
  readonly mm: number
}

/** Distances of a number of holes. */
export interface HoleDistances {
  readonly count: number
  readonly spans: readonly Span[]
}

/** From one hole to another, and how far; never quite nought, so that it has a direction. */
export function between(places: readonly Place2[], from: number, to: number): [number, number, number] {
  const [[ax, ay], [bx, by]] = [places[from] as Place2, places[to] as Place2]
  const [dx, dy] = [bx - ax, by - ay]
  return [dx, dy, Math.max(Math.hypot(dx, dy), 1e-9)]
}

/** Read less fitted, in the order of the distances. */
export const residualsOf = ({ spans }: HoleDistances, places: readonly Place2[]): number[] =>
  spans.map(({ from, to, mm }) => mm - between(places, from, to)[2])

export const squaresOf = (taped: HoleDistances, places: readonly Place2[]): number =>
  sum(residualsOf(taped, places).map((one) => one * one))

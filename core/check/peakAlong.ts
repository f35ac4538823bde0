/** Where a figure is greatest along a way. */
export interface PeakAlong {
  readonly atMm: number
  readonly value: number
}

/**
 * Where a figure is greatest along a way: of its rows, and inside the way by the parabola through the three about it.
 *
 * @param atMm - rising places of the rows
 * @returns null where it is known at no row
 */
export function peakAlong(atMm: readonly number[], figures: ArrayLike<number>): PeakAlong | null {
  let at = -1
  for (let i = 0; i < atMm.length; i++) {
    const value = figures[i] ?? NaN
    if (!Number.isNaN(value) && (at < 0 || value > (figures[at] ?? NaN))) at = i
  }
  if (at < 0) return null
  const here = { atMm: atMm[at] ?? NaN, value: figures[at] ?? NaN }
  if (at === 0 || at === atMm.length - 1) return here
  const [x0 = NaN, x1 = NaN, x2 = NaN] = atMm.slice(at - 1, at + 2)
  const [y0, y1, y2] = [figures[at - 1] ?? NaN, here.value, figures[at + 1] ?? NaN]
  const place = vertexOf([x0, x1, x2], [-y0, -y1, -y2])
  if (place === null) return here
  const [a, b] = [(y1 - y0) / (x1 - x0), (y2 - y1) / (x2 - x1)]
  const bend = (b - a) / (x2 - x0)
  return { atMm: place, value: y0 + a * (place - x0) + bend * (place - x0) * (place - x1) }
}

/** Where the parabola through three points, the middle one lowest, is lowest; null where it is none. */
export function vertexOf(
  x: readonly [number, number, number],
  y: readonly [number, number, number],
): number | null {
  const [a, b] = [(y[1] - y[0]) / (x[1] - x[0]), (y[2] - y[1]) / (x[2] - x[1])]
  const bend = (b - a) / (x[2] - x[0])
  if (!(bend > 0)) return null
  const at = (x[0] + x[1]) / 2 - a / (2 * bend)
  return at > x[0] && at < x[2] ? at : null
}

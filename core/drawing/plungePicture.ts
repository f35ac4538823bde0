/** Way of an inner joint, pushed in to the left, pulled out to the right, in pixels. */
export interface PlungePicture {
  readonly width: number
  /** Where it bottoms and where it comes apart. */
  readonly stops: readonly [number, number]
  /** What is kept clear of them. */
  readonly clear: readonly [number, number]
  readonly middle: number
  /** What the travel uses, and where it stands at ride height. */
  readonly used: readonly [number, number]
  readonly ride: number
  /** Every 10 mm from the middle. */
  readonly ticks: readonly number[]
}

/** What it takes to draw it, all in mm; a reach of null for a joint whose plunge is not told. */
export interface PlungeDrawn {
  readonly reachMm: number | null
  readonly spareMm: number
  /** Length at mid plunge, and those that the travel asks for. */
  readonly lengthMm: number
  readonly longestMm: number
  readonly shortestMm: number
  readonly rideMm: number
}

/** A bar of the plunge of a joint, the middle of its range in the middle. */
export function plungePicture(drawn: PlungeDrawn, width: number): PlungePicture {
  const { reachMm, spareMm, lengthMm, longestMm, shortestMm, rideMm } = drawn
  const [out, inward] = [longestMm - lengthMm, shortestMm - lengthMm]
  const reach = reachMm ?? Math.max(Math.abs(out), Math.abs(inward))
  const most = Math.max(reach, Math.abs(out), Math.abs(inward), 1) * 1.06
  const at = (mm: number): number => ((mm + most) / (2 * most)) * width
  const tens = Math.floor(most / 10)
  return {
    width,
    stops: [at(-reach), at(reach)],
    clear: [at(-Math.max(0, reach - spareMm)), at(Math.max(0, reach - spareMm))],
    middle: at(0),
    used: [at(inward), at(out)],
    ride: at(rideMm - lengthMm),
    ticks: Array.from({ length: 2 * tens + 1 }, (_, i) => at((i - tens) * 10)),
  }
}

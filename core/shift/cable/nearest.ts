type Place = Float64Array

/** A bend of a cable, filled anew for each row so that nothing is made on the way. */
export interface Bend {
  /** The corner, and those before and behind it. */
  readonly before: Place
  readonly corner: Place
  readonly after: Place
  /** Unit vectors back to the corner before and on to the one behind. */
  readonly back: Place
  readonly on: Place
  /** Where its arc begins and ends. */
  readonly start: Place
  readonly end: Place
}

const at = (place: Place, part: number): number => place[part] as number
const dot = (a: Place, b: Place): number => at(a, 0) * at(b, 0) + at(a, 1) * at(b, 1) + at(a, 2) * at(b, 2)

/** From a place to a straight between two places, in their unit. */
export function straightGap(place: Place, from: Place, to: Place): number {
  let square = 0
  let along = 0
  for (let k = 0; k < 3; k++) {
    const way = at(to, k) - at(from, k)
    square += way * way
    along += way * (at(place, k) - at(from, k))
  }
  const share = square === 0 ? 0 : Math.min(1, Math.max(0, along / square))
  let gap = 0
  for (let k = 0; k < 3; k++) {
    const off = at(place, k) - at(from, k) - share * (at(to, k) - at(from, k))
    gap += off * off
  }
  return Math.sqrt(gap)
}

function towards(from: Place, to: Place, way: Place): void {
  let square = 0
  for (let k = 0; k < 3; k++) {
    way[k] = at(to, k) - at(from, k)
    square += at(way, k) * at(way, k)
  }
  const size = Math.sqrt(square)
  for (let k = 0; k < 3; k++) way[k] = at(way, k) / size
}

/** Straighter than this a corner is no bend. */
const STRAIGHT = 1e-9

/**
 * From a place to the arc that rounds a corner, and where that arc begins and ends: on the arc where the place lies before it, else to its nearer end.
 *
 * @param bend - its three corners are read, all else is filled
 */
export function arcGap(place: Place, bend: Bend, radius: number): number {
  const { before, corner, after, back, on, start, end } = bend
  towards(corner, before, back)
  towards(corner, after, on)
  const turn = Math.PI - Math.acos(Math.min(1, Math.max(-1, dot(back, on))))
  const cut = radius * Math.tan(turn / 2)
  for (let k = 0; k < 3; k++) {
    start[k] = at(corner, k) + cut * at(back, k)
    end[k] = at(corner, k) + cut * at(on, k)
  }
  if (turn < STRAIGHT) return straightGap(place, corner, corner)
  // The middle of the arc lies on the line that halves the corner.
  const toMiddle = radius / Math.cos(turn / 2)
  const halving = 2 * Math.sin(turn / 2)
  let along = 0
  let aside = 0
  let square = 0
  for (let k = 0; k < 3; k++) {
    const inward = (at(back, k) + at(on, k)) / halving
    const across = (at(on, k) - at(back, k)) / (2 * Math.cos(turn / 2))
    const off = at(place, k) - at(corner, k) - toMiddle * inward
    along -= off * inward
    aside += off * across
    square += off * off
  }
  if (Math.abs(Math.atan2(aside, along)) <= turn / 2) {
    const flat = Math.sqrt(along * along + aside * aside)
    return Math.sqrt((flat - radius) ** 2 + Math.max(0, square - flat * flat))
  }
  return Math.min(straightGap(place, start, start), straightGap(place, end, end))
}

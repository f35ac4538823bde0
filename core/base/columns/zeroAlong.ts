import type { Column } from './graph'
import { copied, type InnerPart } from './innerPart'
import type { Kernel } from './kernel'

/** A source that is moved through its range until a quantity is nought. */
export interface Way {
  readonly part: InnerPart
  readonly range: readonly [number, number]
  /** Quantities whose noughts are looked for, each by itself. */
  readonly wanted: readonly Column[]
}

/** Steps along the range between which a nought is looked for. */
const STEPS = 12
/** So little of a quantity is nought. */
const NEAR = 1e-7
const MOST_TURNS = 60
/** Columns that are filled for each quantity. */
export const ZERO_OUTPUTS = 2

/** Cells of the kernel for so many rows: every quantity at each step, and the two ends that close in on a nought. */
const roomFor = (rows: number, quantities: number) => {
  const column = () => new Float64Array(rows)
  return {
    rows,
    steps: Array.from({ length: STEPS + 1 }, () => Array.from({ length: quantities }, column)),
    ...{ a: column(), b: column(), fa: column(), fb: column(), x: column() },
    /** The step that is looked at next. */
    step: new Uint8Array(rows),
    /** Which end stayed put: 1 the lower, 2 the upper. */
    stayed: new Uint8Array(rows),
    /** 1 while the ends close in, 2 once they have met. */
    isOpen: new Uint8Array(rows),
  }
}
type Room = ReturnType<typeof roomFor>

const stepAt = ([low, high]: Way['range'], k: number): number => low + ((high - low) * k) / STEPS

/**
 * Where along the range of a source quantities are nought; of several places the one nearest to where the source stands. From
 * what the part rests on, then where the source stands; for each quantity to the place, and to what is least of it all along the
 * range where it is nought nowhere. NaN stands for no place and for nothing left; both for a quantity without an answer anywhere.
 *
 * @param name - what it is, in a builder's words
 * @param page - of docs/methods
 * @see docs/methods/chains.md (Illinois method)
 */
export function zeroKernel(name: string, page: string, way: Way): Kernel {
  let room = roomFor(1, way.wanted.length)
  return {
    name,
    page,
    isSlow: true,
    outputs: ZERO_OUTPUTS * way.wanted.length,
    run: (rows, from, to) => {
      const stands = (from as unknown as Float64Array[])[way.part.given.length] as Float64Array
      const out = to as unknown as readonly Float64Array[]
      if (room.rows < rows) room = roomFor(rows, way.wanted.length)
      way.part.take(rows, from)
      for (let k = 0; k <= STEPS; k++) lookAt(way, room, rows, k)
      for (let of = 0; of < way.wanted.length; of++) {
        const at = out[ZERO_OUTPUTS * of] as Float64Array
        placesInto(way, room, rows, { of, stands, at })
        leastInto(room, rows, of, at, out[ZERO_OUTPUTS * of + 1] as Float64Array)
      }
    },
  }
}

/** Every quantity with the source at one step of its range. */
function lookAt({ part, range, wanted }: Way, { steps }: Room, rows: number, k: number): void {
  const moved = part.moved()
  for (let row = 0; row < rows; row++) moved[row] = stepAt(range, k)
  part.work()
  const there = steps[k] as Float64Array[]
  for (let of = 0; of < wanted.length; of++)
    copied(part.cells(wanted[of] as Column), there[of] as Float64Array, rows)
}

/** The places of one quantity that are looked for. */
interface Sought {
  readonly of: number
  readonly stands: Float64Array
  readonly at: Float64Array
}

function placesInto(way: Way, room: Room, rows: number, { of, stands, at }: Sought): void {
  for (let row = 0; row < rows; row++) {
    at[row] = NaN
    room.step[row] = 0
  }
  for (let k = 0; k <= STEPS; k++) {
    const here = (room.steps[k] as Float64Array[])[of] as Float64Array
    for (let row = 0; row < rows; row++)
      if (here[row] === 0) takeNearer(at, row, stepAt(way.range, k), stands[row] as number)
  }
  // Each row at its own next change of sign: there are seldom two.
  while (bracket(way, room, rows, of)) {
    closeIn(way, room, rows, of)
    for (let row = 0; row < rows; row++)
      if (room.isOpen[row] === 2) takeNearer(at, row, room.x[row] as number, stands[row] as number)
  }
}

/** Of several places the one nearest to where the source stands; of equals the first. */
function takeNearer(at: Float64Array, row: number, place: number, stands: number): void {
  const there = at[row] as number
  if (Number.isNaN(there) || Math.abs(place - stands) < Math.abs(there - stands)) at[row] = place
}

/** Opens each row at the next step behind which a quantity changes its sign; false where none does so any more. */
function bracket(
  { range }: Way,
  { steps, step, a, b, fa, fb, stayed, isOpen }: Room,
  rows: number,
  of: number,
) {
  let isAny = false
  for (let row = 0; row < rows; row++) {
    isOpen[row] = 0
    stayed[row] = 0
    while ((step[row] as number) < STEPS && isOpen[row] === 0) {
      const k = step[row] as number
      const here = ((steps[k] as Float64Array[])[of] as Float64Array)[row] as number
      const next = ((steps[k + 1] as Float64Array[])[of] as Float64Array)[row] as number
      step[row] = k + 1
      if (!(here * next < 0)) continue
      isOpen[row] = 1
      isAny = true
      a[row] = stepAt(range, k)
      b[row] = stepAt(range, k + 1)
      fa[row] = here
      fb[row] = next
    }
  }
  return isAny
}

/** Closes in on the noughts of all rows that are open: by the straight line, an end that stays put counting half. */
function closeIn({ part, wanted }: Way, room: Room, rows: number, of: number): void {
  const { a, b, fa, fb, x, isOpen } = room
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    let isAny = false
    for (let row = 0; row < rows; row++) {
      if (isOpen[row] !== 1) continue
      isAny = true
      const end = b[row] as number
      const ofEnd = fb[row] as number
      x[row] = end - (ofEnd * (end - (a[row] as number))) / (ofEnd - (fa[row] as number))
    }
    if (!isAny) return
    copied(x, part.moved(), rows)
    part.work()
    const found = part.cells(wanted[of] as Column)
    for (let row = 0; row < rows; row++) if (isOpen[row] === 1) narrow(room, row, found[row] as number)
  }
  for (let row = 0; row < rows; row++)
    if (isOpen[row] === 1) {
      x[row] = ((a[row] as number) + (b[row] as number)) / 2
      isOpen[row] = 2
    }
}

/** Takes what was found between the ends of a row. */
function narrow({ a, b, fa, fb, x, stayed, isOpen }: Room, row: number, f: number): void {
  if (Number.isNaN(f) || Math.abs(f) < NEAR) isOpen[row] = 2
  else if (f > 0 === (fb[row] as number) > 0) {
    b[row] = x[row] as number
    fb[row] = f
    if (stayed[row] === 1) fa[row] = (fa[row] as number) / 2
    stayed[row] = 1
  } else {
    a[row] = x[row] as number
    fa[row] = f
    if (stayed[row] === 2) fb[row] = (fb[row] as number) / 2
    stayed[row] = 2
  }
}

/** The least of a quantity at any step, where it is nought nowhere. */
function leastInto({ steps }: Room, rows: number, of: number, at: Float64Array, least: Float64Array): void {
  for (let row = 0; row < rows; row++) {
    let nearest = NaN
    for (let k = 0; k <= STEPS && Number.isNaN(at[row] as number); k++) {
      const here = ((steps[k] as Float64Array[])[of] as Float64Array)[row] as number
      if (!Number.isNaN(here) && !(Math.abs(here) >= Math.abs(nearest))) nearest = here
    }
    least[row] = nearest
  }
}

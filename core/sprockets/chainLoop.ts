import { degrees } from '../base/units/angle'
import { CoreError } from '../base/errors'
import { loopRoom, wind, woundLength } from './loopRoom'
import { requireSprocket } from './sprocket'

/** A sprocket of a chain, seen from the vehicle's right: x forward, z up, in mm. */
export interface LoopSprocket {
  readonly x: number
  readonly z: number
  readonly teeth: number
  /** Inside the loop, or pressing on it from outside, where it turns the other way. */
  readonly side: 'inside' | 'outside'
}

/** A place on the loop, in mm. */
export type LoopPlace = readonly [number, number]

/** A run of chain between two sprockets. */
export interface LoopSpan {
  readonly lengthMm: number
  /** Where it leaves one and meets the next. */
  readonly from: LoopPlace
  readonly to: LoopPlace
}

/** A sprocket with the chain round it. */
export interface LoopContact {
  readonly radiusMm: number
  readonly wrapDeg: number
  readonly teethInMesh: number
  /** 1 with the first sprocket, -1 against it. */
  readonly rotation: 1 | -1
  /** Turns for one of the first. */
  readonly speedRatio: number
}

/** A chain round its sprockets. */
export interface ChainLoop {
  /** From each sprocket to the next. */
  readonly spans: readonly LoopSpan[]
  readonly contacts: readonly LoopContact[]
  /** As a chain lies, in chords: wrapped chain counted in links. */
  readonly lengthMm: number
  /** With arcs on the pitch circles, which are longer than chords; for comparison alone. */
  readonly arcLengthMm: number
  readonly linksNeeded: number
}

const TURN = 2 * Math.PI
/**
 * A chain round two sprockets or more, in the order it visits them, anticlockwise.
 *
 * A chain lies in chords, so that a wrap of w takes N·w/360 links.
 *
 * @throws CoreError `not-finite`, `out-of-range` for overlapping circles, `degenerate` where a sprocket is not touched or the order is reversed
 * @see docs/methods/chains.md
 */
export function chainLoop(sprockets: readonly LoopSprocket[], pitchMm: number): ChainLoop {
  if (sprockets.length < 2)
    throw new CoreError('out-of-range', 'sprockets', 'a chain runs round two sprockets or more')
  sprockets.forEach(({ x, z, teeth }, i) => {
    requireSprocket(teeth, pitchMm, `sprockets[${i}].teeth`)
    if (!Number.isFinite(x + z))
      throw new CoreError('not-finite', `sprockets[${i}]`, 'expected the place of its middle')
  })
  const room = loopRoom(sprockets, pitchMm)
  room.x.set(sprockets.map(({ x }) => x))
  room.z.set(sprockets.map(({ z }) => z))
  const winding = wind(room)
  if (winding === 'overlaps') throw overlapOf(sprockets, room.signed)
  if (winding === 'open')
    throw new CoreError(
      'degenerate',
      'sprockets',
      'a sprocket is not touched by the chain, or the order is reversed: no simple loop anticlockwise',
    )
  const { signed, direction, spanMm, wrap } = room
  const touch = (i: number, angle: number): LoopPlace => {
    const radius = signed[i] ?? NaN
    // Inside sprockets lie to the left of the chain.
    return [(room.x[i] ?? NaN) + radius * Math.sin(angle), (room.z[i] ?? NaN) - radius * Math.cos(angle)]
  }
  const straight = spanMm.reduce((all, long) => all + long, 0)
  const arcs = wrap.reduce((all, one, i) => all + one * Math.abs(signed[i] ?? NaN), 0)
  const lengthMm = woundLength(room, pitchMm)
  const [first] = sprockets
  return {
    spans: sprockets.map((_, i): LoopSpan => {
      const angle = direction[i] ?? NaN
      const to = (i + 1) % sprockets.length
      return { lengthMm: spanMm[i] ?? NaN, from: touch(i, angle), to: touch(to, angle) }
    }),
    contacts: sprockets.map(({ teeth, side }, i) => ({
      radiusMm: Math.abs(signed[i] ?? NaN),
      wrapDeg: degrees(wrap[i] ?? NaN),
      teethInMesh: (teeth * (wrap[i] ?? NaN)) / TURN,
      rotation: side === first?.side ? 1 : -1,
      speedRatio: (first?.teeth ?? NaN) / teeth,
    })),
    lengthMm,
    arcLengthMm: straight + arcs,
    linksNeeded: lengthMm / pitchMm,
  }
}

/** Which sprockets overlap, in words. */
function overlapOf(sprockets: readonly LoopSprocket[], signed: Float64Array): CoreError {
  for (const [i, one] of sprockets.entries())
    for (const [j, other] of sprockets.entries()) {
      const least = Math.abs(signed[i] ?? NaN) + Math.abs(signed[j] ?? NaN)
      if (j > i && !(Math.hypot(one.x - other.x, one.z - other.z) >= least))
        return new CoreError('out-of-range', 'sprockets', `sprockets ${i + 1} and ${j + 1} overlap`)
    }
  return new CoreError('out-of-range', 'sprockets', 'two sprockets overlap')
}

/** A need that is a whole number of links but for a rounding is that number. */
const ROUNDING = 1e-6

/**
 * Links to order for a need: the next even number, for an odd one takes a half link.
 *
 * @example linksToOrder(60.0000001) // 60
 */
export const linksToOrder = (needed: number, hasHalfLink = false): number => {
  const step = hasHalfLink ? 1 : 2
  return step * Math.ceil((needed - ROUNDING) / step)
}

/** A sprocket that slides: which one, along which direction, how far either way, in mm. */
export interface ChainSlot {
  readonly index: number
  readonly direction: LoopPlace
  readonly range: readonly [number, number]
}

/** Steps along a slot between which a length is looked for. */
const SLOT_STEPS = 400

/**
 * How far a sprocket is to slide so that a chain of so many mm is taut: every place in its slot where it is, in mm.
 *
 * Places where the chain does not touch every sprocket count for none.
 */
export function slotPlaces(
  sprockets: readonly LoopSprocket[],
  pitchMm: number,
  lengthMm: number,
  { index, direction: [dx, dz], range: [from, to] }: ChainSlot,
): number[] {
  const size = Math.hypot(dx, dz)
  if (!(size > 0)) throw new CoreError('degenerate', 'slot', 'the slot points nowhere')
  if (!(from <= to))
    throw new CoreError('out-of-range', 'slot', 'must run from the lower to the higher figure')
  const excess = (s: number): number => {
    const moved = sprockets.map((one, i) =>
      i === index ? { ...one, x: one.x + (s * dx) / size, z: one.z + (s * dz) / size } : one,
    )
    try {
      return chainLoop(moved, pitchMm).lengthMm - lengthMm
    } catch (error) {
      if (error instanceof CoreError) return NaN
      throw error
    }
  }
  const step = (to - from) / SLOT_STEPS
  const found: number[] = []
  for (let i = 0; i < SLOT_STEPS; i++) {
    const [low, high] = [from + step * i, from + step * (i + 1)]
    const [a, b] = [excess(low), excess(high)]
    if (a === 0) found.push(low)
    else if (a * b < 0) found.push(bisected(excess, low, high, a))
  }
  if (excess(to) === 0) found.push(to)
  return found
}

/** Where a figure that changes its sign between two places is nought. */
export function bisected(of: (x: number) => number, from: number, to: number, atFrom: number): number {
  let [low, high] = [from, to]
  for (let i = 0; i < 100 && high - low > 1e-12 * Math.max(1, Math.abs(high)); i++) {
    const middle = (low + high) / 2
    if (of(middle) > 0 === atFrom > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

import { pitchRadius } from './sprocket'

/**
 * Room for one chain round its sprockets: where their middles stand goes in, what the chain does comes out. It is made once and
 * filled as often as wanted, so that thousands of loops are worked without a single new object.
 */
export interface LoopRoom {
  readonly teeth: readonly number[]
  /** Pitch radii in mm, below nought for a sprocket that presses on the chain from outside. */
  readonly signed: Float64Array
  /** Middles, in mm, to be filled in the order of the file. */
  readonly x: Float64Array
  readonly z: Float64Array
  /** Of the run from each sprocket to the next in the order walked: its direction in radians, its length in mm. */
  readonly direction: Float64Array
  readonly spanMm: Float64Array
  /** Of each sprocket in the order walked, in radians. */
  readonly wrap: Float64Array
}

/** How winding a chain round its sprockets ended. */
export type Winding = 'closed' | 'overlaps' | 'open'

const TURN = 2 * Math.PI
/** Wraps of a loop that runs round once add up to a turn but for rounding, in radians. */
const ROUND_ONCE = 1e-6
/** A wrap so little short of a whole turn is a rounding below nought, in radians. */
const ROUNDING = 1e-9

/** @throws CoreError as `pitchRadius` does */
export const loopRoom = (
  sprockets: readonly { readonly teeth: number; readonly side: 'inside' | 'outside' }[],
  pitchMm: number,
): LoopRoom => {
  const figures = () => new Float64Array(sprockets.length)
  return {
    teeth: sprockets.map(({ teeth }) => teeth),
    signed: Float64Array.from(
      sprockets,
      ({ teeth, side }) => (side === 'inside' ? 1 : -1) * pitchRadius(teeth, pitchMm),
    ),
    x: figures(),
    z: figures(),
    direction: figures(),
    spanMm: figures(),
    wrap: figures(),
  }
}

/** The sprocket at a place of the way round: in the order of the file, or the other way from the first. */
export const visited = (place: number, many: number, isReversed: boolean): number =>
  isReversed && place > 0 ? many - place : place

/**
 * Winds the chain anticlockwise round its sprockets in the order of the file, or the other way round.
 *
 * Runs are tangents of the pitch circles: with the run's direction u, its left l and k the difference of the signed radii, the way
 * from middle to middle is t·u + k·l.
 *
 * @see docs/methods/chains.md
 */
export function wind({ signed, x, z, direction, spanMm, wrap }: LoopRoom, isReversed = false): Winding {
  const many = signed.length
  const at = (figures: Float64Array, index: number): number => figures[index] as number
  for (let i = 0; i < many; i++)
    for (let j = i + 1; j < many; j++) {
      const dx = at(x, i) - at(x, j)
      const dz = at(z, i) - at(z, j)
      const least = Math.abs(at(signed, i)) + Math.abs(at(signed, j))
      if (!(dx * dx + dz * dz >= least * least)) return 'overlaps'
    }
  for (let place = 0; place < many; place++) {
    const from = visited(place, many, isReversed)
    const to = visited((place + 1) % many, many, isReversed)
    const dx = at(x, to) - at(x, from)
    const dz = at(z, to) - at(z, from)
    const k = at(signed, to) - at(signed, from)
    const straight = Math.sqrt(dx * dx + dz * dz - k * k)
    direction[place] = Math.atan2(dz, dx) - Math.atan2(k, straight)
    spanMm[place] = straight
  }
  let turned = 0
  for (let place = 0; place < many; place++) {
    const turn = at(direction, place) - at(direction, (place + many - 1) % many)
    const isInside = at(signed, visited(place, many, isReversed)) > 0
    const wrapped = onwards(isInside ? turn : -turn)
    wrap[place] = wrapped
    turned += isInside ? wrapped : -wrapped
  }
  return Math.abs(turned - TURN) > ROUND_ONCE ? 'open' : 'closed'
}

/** An angle from 0 up to a whole turn; a rounding below a whole turn is nought. */
function onwards(angle: number): number {
  const turned = ((angle % TURN) + TURN) % TURN
  return TURN - turned < ROUNDING ? 0 : turned
}

/** What a wound chain needs as it lies, in mm: straight runs, and wrapped chain counted in links, for it lies in chords. */
export function woundLength({ teeth, spanMm, wrap }: LoopRoom, pitchMm: number, isReversed = false): number {
  const many = teeth.length
  let straight = 0
  let links = 0
  for (let place = 0; place < many; place++) {
    straight += spanMm[place] as number
    links += ((teeth[visited(place, many, isReversed)] as number) * (wrap[place] as number)) / TURN
  }
  return straight + pitchMm * links
}

/** A stream of chance that depends on its seed alone. */
export interface Random {
  /** Evenly between 0 (included) and 1 (excluded). */
  readonly uniform: () => number
  /** Normal with mean 0 and standard deviation 1. */
  readonly normal: () => number
}

/** Draws thrown away first, so that near seeds part company. */
const WARM_UP = 12

/** Three words of chance and a counter, 32 bits each. */
export type RandomState = Record<0 | 1 | 2 | 3, number>

/**
 * A seeded generator: small fast counter of 128 bits.
 *
 * @param seed - a whole number; its lower 32 bits count
 * @see docs/methods/uncertainty.md (sfc32, Doty-Humphrey; normal deviates by the ziggurat, Marsaglia and Tsang 2000)
 */
export function seededRandom(seed: number): Random {
  const state = seededState(seed)
  return { uniform: () => nextUniform(state), normal: () => nextNormal(state) }
}

/** The state of a generator, for loops that draw very often. */
export function seededState(seed: number): RandomState {
  const state = Int32Array.of(seed, 0x9e3779b9, 0x243f6a88, 1) as unknown as RandomState
  for (let i = 0; i < WARM_UP; i++) nextBits(state)
  return state
}

/** A whole number of 32 bits, with its sign. */
function nextBits(state: RandomState): number {
  const b = state[1]
  const c = state[2]
  const sum = (((state[0] + b) | 0) + state[3]) | 0
  state[3] = (state[3] + 1) | 0
  state[0] = b ^ (b >>> 9)
  state[1] = (c + (c << 3)) | 0
  state[2] = (((c << 21) | (c >>> 11)) + sum) | 0
  return sum
}

/** Evenly between 0 (included) and 1 (excluded). */
export const nextUniform = (state: RandomState): number => (nextBits(state) >>> 0) / 4294967296

/** Layers of equal area under the bell curve, the lowest with the tail beyond `TAIL`. */
const LAYERS = 128
const TAIL = 3.442619855899
const AREA = 9.91256303526217e-3

const bell = (x: number): number => Math.exp(-0.5 * x * x)
const EDGES = layerEdges()
/** Share of each layer that lies under the curve for certain. */
const SURE = EDGES.slice(0, LAYERS).map((edge, layer) => (EDGES[layer + 1] as number) / edge)

/** Outer edges of the layers from the lowest up, and the top. */
function layerEdges(): Float64Array {
  const edges = new Float64Array(LAYERS + 1)
  edges[0] = AREA / bell(TAIL)
  edges[1] = TAIL
  for (let layer = 2; layer < LAYERS; layer++) {
    const below = edges[layer - 1] as number
    edges[layer] = Math.sqrt(-2 * Math.log(AREA / below + bell(below)))
  }
  return edges
}

/** Normal with mean 0 and standard deviation 1. */
export function nextNormal(state: RandomState): number {
  // One draw serves twice: seven bits tell the layer, the others where in it.
  const bits = nextBits(state)
  const layer = bits & (LAYERS - 1)
  const share = (bits >> 7) / 16777216
  return Math.abs(share) < (SURE[layer] as number)
    ? share * (EDGES[layer] as number)
    : unsureNormal(state, layer, share)
}

/** One draw in forty does not lie under the curve for certain. */
function unsureNormal(state: RandomState, layer: number, share: number): number {
  if (layer === 0) return share < 0 ? -nextTail(state) : nextTail(state)
  const x = share * (EDGES[layer] as number)
  const low = bell(EDGES[layer] as number)
  const high = bell(EDGES[layer + 1] as number)
  return low + nextUniform(state) * (high - low) < bell(x) ? x : nextNormal(state)
}

/**
 * Errors of a tool and its hand, one a row: evenly within ± `halfWidth`, and normal with the deviation `scatter`; the same draws as
 * one by one.
 *
 * The state is kept in variables while the rows run, which halves the time of the draws.
 */
export function drawErrors(
  state: RandomState,
  errors: Float64Array,
  rows: number,
  halfWidth: number,
  scatter: number,
): void {
  let [a, b, c, d] = [state[0], state[1], state[2], state[3]]
  for (let row = 0; row < rows; row++) {
    let error = 0
    if (halfWidth > 0) {
      const sum = (((a + b) | 0) + d) | 0
      d = (d + 1) | 0
      a = b ^ (b >>> 9)
      b = (c + (c << 3)) | 0
      c = (((c << 21) | (c >>> 11)) + sum) | 0
      error = halfWidth * ((2 * (sum >>> 0)) / 4294967296 - 1)
    }
    if (scatter > 0) {
      const bits = (((a + b) | 0) + d) | 0
      d = (d + 1) | 0
      a = b ^ (b >>> 9)
      b = (c + (c << 3)) | 0
      c = (((c << 21) | (c >>> 11)) + bits) | 0
      const layer = bits & (LAYERS - 1)
      const share = (bits >> 7) / 16777216
      if (Math.abs(share) < (SURE[layer] as number)) error += scatter * share * (EDGES[layer] as number)
      else {
        keep(state, a, b, c, d)
        error += scatter * unsureNormal(state, layer, share)
        ;[a, b, c, d] = [state[0], state[1], state[2], state[3]]
      }
    }
    errors[row] = error
  }
  keep(state, a, b, c, d)
}

function keep(state: RandomState, a: number, b: number, c: number, d: number): void {
  state[0] = a
  state[1] = b
  state[2] = c
  state[3] = d
}

/** Normal deviate beyond `TAIL`. */
function nextTail(state: RandomState): number {
  for (;;) {
    // One less a uniform is never nought.
    const x = Math.log(1 - nextUniform(state)) / TAIL
    const y = Math.log(1 - nextUniform(state))
    if (-2 * y >= x * x) return TAIL - x
  }
}

import type { Cells, Kernel, Row } from '../../base/columns/kernel'
import { LEAST_COSINE } from './route'

const DEGREES = 180 / Math.PI
type Numbers = readonly number[]

/** The corner that a straight goes to from an end, along a direction by its sense: from both. Parameters: the way meant, and how far, below nought against it. */
export const STRAIGHT_END: Kernel = {
  name: 'the straight end of a cable',
  page: 'shift',
  outputs: 3,
  run: (count, [x, y, z, dx, dy, dz], [cx, cy, cz], [wx, wy, wz, straightMm]) => {
    for (let i: Row = 0; i < count; i++) {
      const sense = wx * dx[i] + wy * dy[i] + wz * dz[i] < 0 ? -straightMm : straightMm
      cx[i] = x[i] + sense * dx[i]
      cy[i] = y[i] + sense * dy[i]
      cz[i] = z[i] + sense * dz[i]
    }
  },
}

/** A place on a bulkhead, so far through it: from its mark, its left, its up and the way through. Parameters: left, up, through. */
export const ON_BULKHEAD: Kernel = {
  name: 'a hole in a bulkhead',
  page: 'shift',
  outputs: 3,
  run: (count, [x, y, z, lx, ly, lz, ux, uy, uz, tx, ty, tz], [px, py, pz], [left, up, through]) => {
    for (let i: Row = 0; i < count; i++) {
      px[i] = x[i] + left * lx[i] + up * ux[i] + through * tx[i]
      py[i] = y[i] + left * ly[i] + up * uy[i] + through * ty[i]
      pz[i] = z[i] + left * lz[i] + up * uz[i] + through * tz[i]
    }
  },
}

/** Between two corners as columns, three a corner. */
function between(cells: readonly Cells[], corner: number, row: Row, to: Float64Array): number {
  let square = 0
  for (let part = 0; part < 3; part++) {
    const way = (cells[3 * corner + 3 + part] as Cells)[row] - (cells[3 * corner + part] as Cells)[row]
    to[part] = way
    square += way * way
  }
  return Math.sqrt(square)
}

const turnOf = (first: Float64Array, second: Float64Array, one: number, other: number): number => {
  const cosine =
    ((first[0] as number) * (second[0] as number) +
      (first[1] as number) * (second[1] as number) +
      (first[2] as number) * (second[2] as number)) /
    (one * other)
  return cosine < LEAST_COSINE ? NaN : Math.acos(Math.min(1, cosine))
}

/**
 * A cable along its corners, as `laidRoute` tells it: a string's length, its own, its whole turn in degrees, and the shortest straight between two arcs. From three
 * columns a corner. Parameters: the radius at each inner one.
 */
export const laidCable = (corners: number): Kernel => {
  const [first, second] = [new Float64Array(3), new Float64Array(3)]
  return {
    name: 'a cable along its way',
    page: 'shift',
    outputs: 4,
    run: (count, from, [string, cable, turn, straight], parameters) => {
      const cells = from as unknown as readonly Cells[]
      const radii = parameters as unknown as Numbers
      for (let i: Row = 0; i < count; i++) {
        let long = 0
        let saved = 0
        let turned = 0
        let least = Infinity
        let cutBefore = 0
        let here = between(cells, 0, i, first)
        for (let k = 0; k < corners - 1; k++) {
          let cut = 0
          let next = 0
          if (k < corners - 2) {
            next = between(cells, k + 1, i, second)
            const psi = turnOf(first, second, here, next)
            const radius = radii[k] as number
            cut = radius * Math.tan(psi / 2)
            saved += 2 * cut - radius * psi
            turned += psi
          }
          long += here
          least = Math.min(least, here - cutBefore - cut)
          cutBefore = cut
          here = next
          for (let part = 0; part < 3; part++) first[part] = second[part] as number
        }
        string[i] = long
        cable[i] = long - saved
        turn[i] = turned * DEGREES
        straight[i] = least
      }
    },
  }
}

/** The share of an effort that passes a turn (capstan equation): from the turn in degrees. Parameter: friction. */
export const EFFORT_PASSES: Kernel = {
  name: 'the effort that passes a cable',
  page: 'shift',
  outputs: 1,
  run: (count, [turn], [passes], [friction]) => {
    for (let i: Row = 0; i < count; i++) passes[i] = Math.exp((-friction * turn[i]) / DEGREES)
  },
}

/** What a cable loses at each reversal: from its turn in degrees. Parameter: play in its liner. */
export const TURN_LOSES: Kernel = {
  name: 'lost motion of a cable',
  page: 'shift',
  outputs: 1,
  run: (count, [turn], [lost], [playMm]) => {
    for (let i: Row = 0; i < count; i++) lost[i] = (turn[i] / DEGREES) * playMm
  },
}

/** What it takes more than at rest, at the most: from what it takes at rest, and in each case. */
export const mostMore = (cases: number): Kernel => ({
  name: 'loose length for the rock of the engine',
  page: 'shift',
  outputs: 1,
  run: (count, from, [more]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let most = 0
      for (let k = 1; k <= cases; k++) most = Math.max(most, (cells[k] as Cells)[i] - (cells[0] as Cells)[i])
      more[i] = most
    }
  },
})

/** What is left of an adjuster: from what the way takes and the loose length wanted. Parameters: the cable's length, and what its adjuster takes up either way. */
export const LEFT_OF_ADJUSTER: Kernel = {
  name: 'what is left of an adjuster',
  page: 'shift',
  outputs: 1,
  run: (count, [cable, loose], [left], [lengthMm, adjustMm]) => {
    for (let i: Row = 0; i < count; i++) left[i] = adjustMm - Math.abs(lengthMm - cable[i] - loose[i])
  },
}

/** A string as it reads, less what the bends save: from the reading, and what a string and the cable come to by their corners. */
export const STRING_CORRECTED: Kernel = {
  name: 'a string less what its corners save',
  page: 'shift',
  outputs: 1,
  run: (count, [read, string, cable], [length]) => {
    for (let i: Row = 0; i < count; i++) length[i] = read[i] - (string[i] - cable[i])
  },
}

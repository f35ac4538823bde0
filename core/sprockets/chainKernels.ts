import type { Kernel, Row } from '../base/columns/kernel'
import { CoreError } from '../base/errors'
import { dot, type Vec3 } from '../base/linalg/vec3'
import { angleTo, degrees } from '../base/units/angle'
import { toothPlane, type FacePoint } from './alignment'
import { chainLoop, type ChainLoop, type LoopSprocket } from './chainLoop'
import { loopRoom, visited, wind, woundLength } from './loopRoom'
import { veeExcess, veePlay } from './slack'

/** A chain by its sprockets' teeth and sides, in the order in which it visits them. */
export interface ChainShape {
  readonly pitchMm: number
  readonly sprockets: readonly Pick<LoopSprocket, 'teeth' | 'side'>[]
  /** Number of the sprocket that the first one drives. */
  readonly driven: number
}

/** The plane of a chain: ways on the picture to the right and up, by the direction that its first sprocket turns on. */
export interface ChainPlane {
  readonly right: Vec3
  readonly up: Vec3
}

/** The plane square to an axis that does not stand upright, seen along it, up on the vehicle upward. */
export function chainPlane([ax, ay, az]: Vec3): ChainPlane {
  const plane = new Float64Array(6)
  planeInto(plane, ax, ay, az)
  const [rx = NaN, ry = NaN, rz = NaN, ux = NaN, uy = NaN, uz = NaN] = plane
  return { right: [rx, ry, rz], up: [ux, uy, uz] }
}

/** The same into a place of its own: right, then up. */
function planeInto(plane: Float64Array, ax: number, ay: number, az: number): void {
  const long = Math.sqrt(ax * ax + ay * ay + az * az)
  const nx = ax / long
  const ny = ay / long
  const nz = az / long
  const level = Math.sqrt(nx * nx + ny * ny)
  const ux = (-nz * nx) / level
  const uy = (-nz * ny) / level
  plane[0] = ny * level - nz * uy
  plane[1] = nz * ux - nx * level
  plane[2] = nx * uy - ny * ux
  plane[3] = ux
  plane[4] = uy
  plane[5] = level
}

/** Middles of sprockets in the plane of their chain, from the first one, in mm. */
export const inChainPlane = ({ right, up }: ChainPlane, places: readonly Vec3[]): [number, number][] => {
  const [first = [0, 0, 0]] = places
  return places.map((place): [number, number] => {
    const way: Vec3 = [place[0] - first[0], place[1] - first[1], place[2] - first[2]]
    return [dot(way, right), dot(way, up)]
  })
}

/** A loop in the order of the file, which may run clockwise. */
export interface ToldLoop extends ChainLoop {
  readonly isClockwise: boolean
}

/**
 * A chain round its sprockets as they stand, anticlockwise; told the other way round it is turned where nothing presses on it from outside: there the
 * order says which run is pressed.
 *
 * @throws CoreError as `chainLoop` does
 */
export function loopOf(
  { pitchMm, sprockets }: Pick<ChainShape, 'pitchMm' | 'sprockets'>,
  middles: readonly (readonly [number, number])[],
): ToldLoop {
  const stand = sprockets.map(({ teeth, side }, i) => ({
    x: middles[i]?.[0] ?? NaN,
    z: middles[i]?.[1] ?? NaN,
    teeth,
    side,
  }))
  try {
    return { ...chainLoop(stand, pitchMm), isClockwise: false }
  } catch (error) {
    const isTold = stand.length < 3 || stand.some(({ side }) => side === 'outside')
    if (isTold || !(error instanceof CoreError) || error.code !== 'degenerate') throw error
    const [first, ...rest] = stand
    const turned = first ? [first, ...rest.toReversed()] : stand
    try {
      return asTold(chainLoop(turned, pitchMm))
    } catch {
      throw error
    }
  }
}

/** A loop that was walked the other way, in the order of the file: each run starts from its sprocket again. */
function asTold({ spans, contacts, ...loop }: ChainLoop): ToldLoop {
  const [first, ...others] = contacts
  return {
    ...loop,
    isClockwise: true,
    contacts: first ? [first, ...others.toReversed()] : contacts,
    spans: spans.toReversed().map(({ lengthMm, from, to }) => ({ lengthMm, from: to, to: from })),
  }
}

/** Angle of a run against level, in degrees from 0 to 90. */
export const lieDeg = ({
  from,
  to,
}: {
  readonly from: readonly number[]
  readonly to: readonly number[]
}): number =>
  degrees(
    Math.atan2(Math.abs((to[1] ?? NaN) - (from[1] ?? NaN)), Math.abs((to[0] ?? NaN) - (from[0] ?? NaN))),
  )

/**
 * A chain round its sprockets: from the direction of the first axis and the middle of each sprocket, the length that is needed, the way from the
 * first to the driven one, then the wrap of each sprocket and the length of each run; NaN where no loop closes.
 */
export function roundKernel({ pitchMm, sprockets, driven }: ChainShape): Kernel {
  const many = sprockets.length
  const room = loopRoom(sprockets, pitchMm)
  const plane = new Float64Array(6)
  // As `loopOf` does: told the other way round it is turned, where nothing presses on it from outside.
  const mayTurn = many > 2 && sprockets.every(({ side }) => side === 'inside')
  return {
    name: 'a chain round its sprockets',
    page: 'chains',
    isSlow: true,
    outputs: 2 + 2 * many,
    run: (count, columns, out) => {
      const from = columns as unknown as readonly Float64Array[]
      const to = out as unknown as readonly Float64Array[]
      const { x, z, spanMm, wrap } = room
      for (let i = 0; i < count; i++) {
        planeInto(plane, cell(from, 0, i), cell(from, 1, i), cell(from, 2, i))
        for (let k = 0; k < many; k++) {
          const dx = cell(from, 3 + 3 * k, i) - cell(from, 3, i)
          const dy = cell(from, 4 + 3 * k, i) - cell(from, 4, i)
          const dz = cell(from, 5 + 3 * k, i) - cell(from, 5, i)
          x[k] = dx * at(plane, 0) + dy * at(plane, 1) + dz * at(plane, 2)
          z[k] = dx * at(plane, 3) + dy * at(plane, 4) + dz * at(plane, 5)
        }
        let winding = wind(room)
        const isTurned = winding === 'open' && mayTurn
        if (isTurned) winding = wind(room, true)
        const isClosed = winding === 'closed'
        put(to, 0, i, isClosed ? woundLength(room, pitchMm, isTurned) : NaN)
        put(to, 1, i, isClosed ? Math.sqrt(at(x, driven) ** 2 + at(z, driven) ** 2) : NaN)
        for (let place = 0; place < many; place++) {
          const sprocket = visited(place, many, isTurned)
          // Turned, the run that comes to a sprocket in the order walked starts from it in the order of the file.
          const run = isTurned ? many - 1 - place : place
          put(to, 2 + sprocket, i, isClosed ? degrees(at(wrap, place)) : NaN)
          put(to, 2 + many + run, i, isClosed ? at(spanMm, place) : NaN)
        }
      }
    },
  }
}

const at = (figures: Float64Array, index: number): number => figures[index] as number
const cell = (columns: readonly Float64Array[], column: number, row: number): number =>
  (columns[column] as Float64Array)[row] as number
const put = (columns: readonly Float64Array[], column: number, row: number, figure: number): void => {
  ;(columns[column] as Float64Array)[row] = figure
}

/** Length of a chain by the movement of one of its runs: from the length needed, the run, and its total movement up and down, all in mm. */
export const LENGTH_BY_SLACK: Kernel = {
  name: 'length of a chain by its slack',
  page: 'chains',
  outputs: 1,
  run: (count, [needed, span, play], [length]) => {
    for (let i: Row = 0; i < count; i++) {
      const isReal = span[i] > 0 && play[i] >= 0
      length[i] = isReal ? needed[i] + veeExcess(span[i], play[i] / 2) : NaN
    }
  },
}

/**
 * Slack of a chain: from its length, the one needed, and the run that hangs, in mm, to what it has beyond need, the movement of that run with all
 * slack in it, both in mm, and the movement in percent of the run; below nought it is too short.
 */
export const SLACK: Kernel = {
  name: 'slack of a chain',
  page: 'chains',
  outputs: 3,
  run: (count, [length, needed, span], [excess, play, percent]) => {
    for (let i: Row = 0; i < count; i++) {
      const over = length[i] - needed[i]
      const size = span[i] > 0 && !Number.isNaN(over) ? veePlay(span[i], Math.abs(over)) : NaN
      excess[i] = over
      play[i] = Math.sign(over) * size
      percent[i] = (100 * Math.sign(over) * size) / span[i]
    }
  },
}

/**
 * Movement of a run at ride height that leaves a share of it where the chain is tightest: from the length needed and the run at ride height, then the
 * same at the tightest place, all in mm; parameter: the share, in percent. Where it is tightest its slack run may be gone: it cannot hang there at all.
 */
export const KEPT_PLAY: Kernel = {
  name: 'slack that is wanted of a chain',
  page: 'chains',
  outputs: 1,
  run: (count, [needed, span, tightest, tightestSpan], [play], [percent]) => {
    for (let i: Row = 0; i < count; i++) {
      const kept =
        tightestSpan[i] > 0
          ? tightest[i] - needed[i] + veeExcess(tightestSpan[i], (percent * tightestSpan[i]) / 200)
          : veeExcess(span[i], (percent * span[i]) / 200)
      play[i] = span[i] > 0 ? veePlay(span[i], Math.max(0, kept)) : NaN
    }
  },
}

/** Turn of the first sprocket from taut one way to taut the other, in degrees: from the chain's length and the one needed, in mm; parameter: pitch radius. */
export const BACKLASH_DEG: Kernel = {
  name: 'play of a chain at its first sprocket',
  page: 'chains',
  outputs: 1,
  run: (count, [length, needed], [play], [radius]) => {
    for (let i: Row = 0; i < count; i++) play[i] = Math.max(0, degrees((length[i] - needed[i]) / radius))
  },
}

/**
 * Least room between the teeth of a sprocket and those of others: from its middle and theirs, in mm, below nought where teeth meet; parameters: how far
 * the tips of both together reach, one for each of the others.
 */
export const ROOM_BETWEEN: Kernel = {
  name: 'room between the teeth of sprockets',
  page: 'chains',
  outputs: 1,
  run: (count, columns, [room], parameters) => {
    const from = columns as unknown as readonly Float64Array[]
    const reaches = parameters as readonly number[]
    for (let i: Row = 0; i < count; i++) {
      let least = Infinity
      for (let k = 0; k < reaches.length; k++) {
        const x = cell(from, 3 * k + 3, i) - cell(from, 0, i)
        const y = cell(from, 3 * k + 4, i) - cell(from, 1, i)
        const z = cell(from, 3 * k + 5, i) - cell(from, 2, i)
        least = Math.min(least, Math.sqrt(x * x + y * y + z * z) - (reaches[k] as number))
      }
      room[i] = least
    }
  },
}

/** A size in percent of another one. */
export const PERCENT_OF: Kernel = {
  name: 'share of another length',
  page: 'chains',
  outputs: 1,
  isPlain: true,
  run: (count, [figure, whole], [percent]) => {
    for (let i: Row = 0; i < count; i++) percent[i] = (100 * Math.abs(figure[i])) / whole[i]
  },
}

/**
 * Two sprockets against each other: from middle and direction of the first and of the second, and the direction that the largest of the chain turns
 * on, how far the second stands to the left of the first along that in mm, its yaw and its tilt against the first, and the angle between both, in
 * degrees; parameter: their axes run along the vehicle.
 *
 * A large sprocket shows its plane best: over a small face a tenth of a millimetre turns the line by as much as the chain may be out.
 */
export const SPROCKETS_ALIGNED: Kernel = {
  name: 'a sprocket against the first one',
  page: 'chains',
  outputs: 4,
  run: (
    count,
    [px, py, pz, ax, ay, az, qx, qy, qz, bx, by, bz, cx, cy, cz],
    [offset, yaw, tilt, angle],
    [isLengthwise],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const along = Math.sqrt(cx[i] * cx[i] + cy[i] * cy[i] + cz[i] * cz[i])
      offset[i] = ((qx[i] - px[i]) * cx[i] + (qy[i] - py[i]) * cy[i] + (qz[i] - pz[i]) * cz[i]) / along
      yaw[i] = yawOf(bx[i], by[i], isLengthwise) - yawOf(ax[i], ay[i], isLengthwise)
      tilt[i] = tiltOf(bx[i], by[i], bz[i], isLengthwise) - tiltOf(ax[i], ay[i], az[i], isLengthwise)
      const nx = ay[i] * bz[i] - az[i] * by[i]
      const ny = az[i] * bx[i] - ax[i] * bz[i]
      const nz = ax[i] * by[i] - ay[i] * bx[i]
      const sine = Math.sqrt(nx * nx + ny * ny + nz * nz)
      angle[i] = degrees(angleTo(sine, ax[i] * bx[i] + ay[i] * by[i] + az[i] * bz[i]))
    }
  },
}

/** Front edge to the left; seen along an axis that runs rearward, left edge to the rear. */
const yawOf = (x: number, y: number, isLengthwise: number): number =>
  degrees(isLengthwise === 1 ? Math.atan2(-y, -x) : Math.atan2(-x, y))
/** Top to the right; of an axis that runs rearward, top to the front. */
const tiltOf = (x: number, y: number, z: number, isLengthwise: number): number =>
  degrees(Math.atan2(z, isLengthwise === 1 ? -x : y))

/**
 * The tooth plane of a sprocket by readings of its face: how far its middle stands to the left of the line it was read from, in mm, and the
 * direction it turns on, to the left.
 *
 * @param places - where it was read, in mm from its middle, forward and up
 * @param toothMm - from that face to the middle of its teeth, to the left
 */
export function faceKernel(places: readonly Pick<FacePoint, 'x' | 'z'>[], toothMm: number): Kernel {
  const planeOf = (readings: readonly number[]) =>
    toothPlane({
      points: places.map((place, k) => ({ ...place, readingMm: readings[k] ?? 0 })),
      centre: [0, 0],
      toothMm: 0,
    })
  // The plane by least squares goes with each reading in proportion: by how much is known from the places alone.
  const shares = places.map((_, k) => planeOf(places.map((_one, i) => (i === k ? 1 : 0))))
  const ofLeft = Float64Array.from(shares, ({ leftMm }) => leftMm)
  const ofX = Float64Array.from(shares, ({ slopeX }) => slopeX ?? 0)
  const ofZ = Float64Array.from(shares, ({ slopeZ }) => slopeZ ?? 0)
  return {
    name: 'a sprocket by readings of its face',
    page: 'chains',
    outputs: 4,
    run: (count, columns, [left, x, y, z]) => {
      const read = columns as unknown as readonly Float64Array[]
      for (let i: Row = 0; i < count; i++) {
        let middle = 0
        let sx = 0
        let sz = 0
        for (let k = 0; k < ofLeft.length; k++) {
          const reading = (read[k] as Float64Array)[i] as number
          middle += at(ofLeft, k) * reading
          sx += at(ofX, k) * reading
          sz += at(ofZ, k) * reading
        }
        const long = Math.sqrt(1 + sx * sx + sz * sz)
        left[i] = middle + toothMm * long
        x[i] = -sx / long
        y[i] = 1 / long
        z[i] = -sz / long
      }
    },
  }
}

import type { ChainEvaluation, SprocketStand } from '../chain/chainEvaluation'
import type { Build } from '../file/build/build'
import { drivenIndex, largestIndex, type ChainSprocket } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import type { Lever, LeverKind } from '../file/build/lever'
import { pinsOf, type PicturePlace } from './chainWay'
import type { ToldLoop } from '../sprockets/chainKernels'

/** A sprocket in the picture: the outline of its teeth, its pitch circle, its bore. */
export interface PictureSprocket {
  readonly sprocket: ChainSprocket
  readonly name: string
  readonly at: PicturePlace
  readonly radiusMm: number
  readonly outerMm: number
  /** Corners of its teeth. */
  readonly teeth: readonly PicturePlace[]
  readonly role: 'driving' | 'driven' | 'guide'
}

/** A run of chain in the picture. */
export interface PictureRun {
  readonly span: number
  readonly from: PicturePlace
  readonly to: PicturePlace
  readonly isTight: boolean
  readonly isSlack: boolean
}

/** The window of movement at the middle of the slack run, square to it. */
export interface PictureSlack {
  readonly middle: PicturePlace
  /** Unit way square to the run, downward. */
  readonly square: PicturePlace
  /** How far either way the run goes when it is pushed; null where it is too short. */
  readonly halfMm: number | null
  readonly wantedMm: readonly [number, number] | null
}

/** A thing that is taken hold of to move a lever. */
export interface PictureHandle {
  readonly leverId: Id
  readonly at: PicturePlace
  /** The way it goes for each mm of the lever: right, up. */
  readonly along: PicturePlace
  /** It stands over its sprocket, not under it. */
  readonly isAbove: boolean
}

/** A chain from the side, with its real links. */
export interface ChainPicture {
  readonly sprockets: readonly PictureSprocket[]
  /** Its pins, all the way round. */
  readonly pins: readonly PicturePlace[]
  readonly runs: readonly PictureRun[]
  readonly slack: PictureSlack | null
  readonly handles: readonly PictureHandle[]
}

/** A sprocket from above: where its teeth stand across, and which way they look. */
export interface PictureBar {
  readonly sprocket: ChainSprocket
  readonly at: PicturePlace
  /** Half of its way across the picture, along its plane. */
  readonly half: PicturePlace
}

const TURN = 2 * Math.PI

/** The plane of a chain as it is drawn: mirrored, so that the front of the vehicle is to the left. */
const drawn = ([x, z]: PicturePlace): PicturePlace => [-x, z]

/** Corners of a sprocket's teeth about its middle, a gap at each angle of a pin. */
function teethOf({
  at,
  radiusMm,
  outerMm,
  teeth,
  phase,
}: {
  readonly at: PicturePlace
  readonly radiusMm: number
  readonly outerMm: number
  readonly teeth: number
  readonly phase: number
}): PicturePlace[] {
  const step = TURN / teeth
  const root = radiusMm - (outerMm - radiusMm) * 0.9
  return Array.from({ length: teeth }, (_, i) => phase + i * step).flatMap((gap) =>
    (
      [
        [gap - step * 0.16, root],
        [gap + step * 0.16, root],
        [gap + step * 0.4, outerMm],
        [gap + step * 0.6, outerMm],
      ] as const
    ).map(([angle, radius]): PicturePlace => [
      at[0] + radius * Math.cos(angle),
      at[1] + radius * Math.sin(angle),
    ]),
  )
}

/**
 * A chain from the side at the setting on screen: sprockets, its links one by one, which run is pulled and how far the other hangs.
 *
 * @returns null while its sprockets have no places
 */
export function chainPicture(build: Build, now: ChainEvaluation): ChainPicture | null {
  if (!now.sprockets.known) return null
  const { chain } = now
  const stands = now.sprockets.value
  const middles = stands.map(({ middle }) => middle)
  const real = now.loop.known ? now.loop.value : null
  const pins = real ? pinsOf(now, real, middles) : []
  return {
    sprockets: stands.map((stand, i) => pictured(stand, i, pins, drivenIndex(chain), chain.pitchMm)),
    pins: pins.map(drawn),
    runs: (real?.spans ?? []).map(({ from, to }, span) => ({
      span,
      from: drawn(from),
      to: drawn(to),
      isTight: now.tight[span] === true && chain.duty === 'drive',
      isSlack: span === now.slackSpan,
    })),
    slack: real ? slackMark(now, real) : null,
    handles: build.levers.flatMap((lever) => handleOf(build, now, stands, lever)),
  }
}

function pictured(
  { sprocket, name, middle, outerMm }: SprocketStand,
  index: number,
  pins: readonly PicturePlace[],
  driven: number,
  pitchMm: number,
): PictureSprocket {
  const at = drawn(middle)
  const radiusMm = pitchMm / (2 * Math.sin(Math.PI / sprocket.teeth))
  // The pin that lies nearest to the pitch circle sits in a gap.
  const near = pins.reduce<{ readonly off: number; readonly phase: number }>(
    (best, pin) => {
      const [x, y] = [pin[0] - middle[0], pin[1] - middle[1]]
      const off = Math.abs(Math.hypot(x, y) - radiusMm)
      return off < best.off ? { off, phase: Math.atan2(y, -x) } : best
    },
    { off: Infinity, phase: 0 },
  )
  return {
    sprocket,
    name,
    at,
    radiusMm,
    outerMm: outerMm / 2,
    teeth: teethOf({ at, radiusMm, outerMm: outerMm / 2, teeth: sprocket.teeth, phase: near.phase }),
    role: index === 0 ? 'driving' : index === driven ? 'driven' : 'guide',
  }
}

function slackMark({ slack, slackSpan }: ChainEvaluation, { spans }: ToldLoop): PictureSlack | null {
  const span = slackSpan === null ? undefined : spans[slackSpan]
  if (!span || !slack.known) return null
  const [from, to] = [drawn(span.from), drawn(span.to)]
  const [dx, dy] = [(to[0] - from[0]) / span.lengthMm, (to[1] - from[1]) / span.lengthMm]
  const square: PicturePlace = dx > 0 ? [dy, -dx] : [-dy, dx]
  const { playMm, wantedMm } = slack.value
  return {
    middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
    square,
    halfMm: playMm === null ? null : playMm / 2,
    wantedMm: wantedMm && [wantedMm[0] / 2, wantedMm[1] / 2],
  }
}

/** The way a lever moves what it is on, seen from the side: right, up. */
const WAYS: Readonly<Partial<Record<LeverKind, PicturePlace>>> = {
  fore: [-1, 0],
  'left-fore': [-1, 0],
  'right-fore': [-1, 0],
  up: [0, 1],
  'left-up': [0, 1],
  'right-up': [0, 1],
  'front-up': [0, 1],
  'tail-up': [0, 1],
}

/** A lever that moves a sprocket of the chain in the picture, taken hold of under that sprocket. */
function handleOf(
  build: Build,
  { chain, loop }: ChainEvaluation,
  stands: readonly SprocketStand[],
  lever: Lever,
): PictureHandle[] {
  const along = WAYS[lever.kind]
  const isAdjuster = lever.id === chain.adjuster
  const own = stands.find(
    ({ sprocket }) => build.points.find(({ id }) => id === sprocket.point)?.body === lever.body,
  )
  // One handle each sprocket: what tightens the chain, and any guide that can be moved.
  if (!along || !own || !(isAdjuster || own.sprocket.idler) || !loop) return []
  const [x, y] = drawn(own.middle)
  const isAcross = along[0] !== 0
  const off = own.outerMm / 2 + 12
  const middle = stands.reduce((sum, { middle: [, up] }) => sum + up, 0) / stands.length
  const isAbove = isAcross || y > middle
  return [{ leverId: lever.id, at: [x, isAbove ? y + off : y - off], along, isAbove }]
}

/** How far a plane goes to the left for each mm forward, by what turns on it; nought for one that runs along the vehicle. */
const slopeOf = ([ax, ay]: SprocketStand['direction']): number => (Math.abs(ay) > Math.abs(ax) ? -ax / ay : 0)

/** The line from above: each sprocket as a bar, its teeth along its plane, the vehicle's left upward. */
export function linePicture(now: ChainEvaluation): readonly PictureBar[] | null {
  if (!now.sprockets.known) return null
  const [first] = now.sprockets.value
  const line = now.sprockets.value[largestIndex(now.chain)]
  if (!first || !line) return null
  return now.sprockets.value.map(({ sprocket, place, middle, direction, outerMm }) => {
    const left = place.map((one, i) => one - (first.place[i] ?? NaN))
    const across = left.reduce((sum, one, i) => sum + one * (line.direction[i] ?? NaN), 0)
    const half = outerMm / 2
    // Its plane is square to what it turns on: for each mm forward it goes to the left by the slope.
    const slope = slopeOf(direction) - slopeOf(line.direction)
    return { sprocket, at: [-middle[0], across], half: [half, -slope * half] }
  })
}

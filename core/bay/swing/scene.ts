import { CoreError } from '../../base/errors'
import { requireSimple, type Place2, type Polygon } from '../../base/outline/polygon'
import { radians } from '../../base/units/angle'
import { FlatShape, isNearer, type Corners } from './flatShape'

/** A place of the body on its way: moved from where it stands when installed, and turned about its pivot, tail down positive. */
export interface Pose {
  readonly x: number
  readonly z: number
  readonly tiltDeg: number
}

/** The floor under the vehicle: a tyre's contact in front, and how the rear is lifted. */
export interface Floor {
  readonly frontContactX: number
  readonly z: number
  readonly wheelbaseMm: number
  /** `rear`: the rear wheels go up and the ground turns about the front contact; `whole`: the vehicle goes up level. */
  readonly lifted: 'rear' | 'whole'
}

export interface Obstacle {
  readonly name: string
  readonly outline: Polygon
  /** A line that does not close, such as a floor or a firewall. */
  readonly isOpen?: boolean
}

/** What a body has to be brought through, seen from the right: x forward, z up. */
export interface SwingSetup {
  /** Outlines of what goes in as one, as it stands installed. */
  readonly pieces: readonly Polygon[]
  readonly pivot: Place2
  readonly obstacles: readonly Obstacle[]
  readonly ground: Floor | null
  readonly start: Pose
  /** Room to be kept all round, in mm; near the two ends as much as they have themselves. 0 when absent. */
  readonly keepMm?: number
  /** Furthest the body may be moved: least and most x, least and most z. */
  readonly bounds: readonly [number, number, number, number]
  readonly tiltRangeDeg: readonly [number, number]
}

/** Where the body stands when it is in. */
export const INSTALLED: Pose = { x: 0, z: 0, tiltDeg: 0 }

/** What is sure of all poses about one: none touches, each collides, or neither is certain. */
export type PoseSureness = 'free' | 'blocked' | 'mixed'

/** Room round a pose. */
export interface Room {
  /** Least distance in mm; 0 where something is touched. */
  readonly mm: number
  /** What is nearest; null for a scene of nothing. */
  readonly obstacle: string | null
}

/** Inner places of long sides are looked at too, in mm between them: a corner can poke through a long edge. */
const BETWEEN = 60

/** Room kept grows from what an end has by this much for each mm of way. */
const KEEP_GROWTH = 0.1
/** Of the room an end has, so much is asked for there. */
const END_SHARE = 0.5

/** Name of the floor among the obstacles. */
export const GROUND = 'ground'

/** A body among obstacles, at one lift, ready to be asked about very many poses. */
export class SwingScene {
  private readonly pieces: readonly Piece[]
  private readonly reach: number
  private readonly places: readonly Place2[]
  private readonly shapes: readonly { readonly shape: FlatShape; readonly places: readonly Place2[] }[]
  private readonly keepMm: number
  private readonly ends: readonly { readonly pose: Pose; readonly room: number }[]
  private endsOnGround: readonly { readonly pose: Pose; readonly room: number }[] = []
  private slope = 0
  private floor = -Infinity
  /** Of the rear, or of the whole vehicle, as last set. */
  liftMm = 0

  /** @throws CoreError `degenerate` for what is no outline, `out-of-range` for a wheelbase or bounds that cannot be */
  constructor(private readonly setup: SwingSetup) {
    requireSetup(setup)
    const { pieces, pivot, obstacles } = setup
    this.pieces = pieces.map((piece) => pieceOf(piece, pivot))
    this.reach = Math.max(...this.pieces.flatMap(({ radius }) => [...radius]))
    this.places = pieces.flatMap((piece) =>
      alongSides(piece).map(([x, z]): Place2 => [x - pivot[0], z - pivot[1]]),
    )
    this.shapes = obstacles.map(({ outline, isOpen = false }) => ({
      shape: new FlatShape(outline, isOpen),
      places: alongSides(outline, isOpen),
    }))
    this.keepMm = setup.keepMm ?? 0
    this.ends = this.atEnds(() => this.among())
    this.lift(0)
  }

  /**
   * Lifts the vehicle off its floor.
   *
   * @throws CoreError `out-of-range` for a lift below nought or beyond the wheelbase
   */
  lift(liftMm: number): void {
    const { ground } = this.setup
    if (!(liftMm >= 0) || (ground?.lifted === 'rear' && !(liftMm < ground.wheelbaseMm)))
      throw new CoreError('out-of-range', 'lift', 'must lie between nought and the wheelbase')
    this.liftMm = liftMm
    if (!ground) return
    this.slope = ground.lifted === 'rear' ? Math.tan(Math.asin(liftMm / ground.wheelbaseMm)) : 0
    this.floor = ground.lifted === 'rear' ? ground.z : ground.z - liftMm
    this.endsOnGround = this.atEnds(() => Math.max(0, this.toGround()))
  }

  private atEnds(room: () => number): { pose: Pose; room: number }[] {
    return [this.setup.start, INSTALLED].map((pose) => {
      this.take(pose)
      return { pose, room: room() }
    })
  }

  /** Room asked for at a pose: what is to be kept, near an end what that has. */
  private kept(pose: Pose, ends: typeof this.ends): number {
    if (this.keepMm === 0) return 0
    return ends.reduce(
      (least, end) => Math.min(least, END_SHARE * end.room + KEEP_GROWTH * this.way(pose, end.pose)),
      this.keepMm,
    )
  }

  /** How finely the poses about one have to be looked at, in mm: at an end that sits close, by a quarter of its room. */
  finestAt(pose: Pose, usual: number): number {
    return [...this.ends, ...this.endsOnGround].reduce(
      (least, end) => Math.min(least, (end.room + this.way(pose, end.pose)) / 4),
      usual,
    )
  }

  /** Furthest that any place of the body moves between two poses, in mm. */
  way(from: Pose, to: Pose): number {
    return (
      Math.hypot(to.x - from.x, to.z - from.z) +
      this.reach * Math.abs(radians(to.tiltDeg) - radians(from.tiltDeg))
    )
  }

  /** Furthest that any place of the body moves per radian of tilt, in mm. */
  get furthest(): number {
    return this.reach
  }

  /**
   * What is sure among the obstacles, the floor aside, of all poses within so much of one.
   *
   * A place at distance r of the pivot moves no further than the shift and r times the turn: what stands clear by more stays
   * clear, and what is buried deeper stays buried.
   *
   * @param shift - mm in any direction
   * @param turn - radians either way
   */
  amongObstacles(pose: Pose, shift: number, turn: number): PoseSureness {
    const [keep, growth] = [this.kept(pose, this.ends), this.growth(shift, turn)]
    this.take(pose)
    const isFree = this.pieces.every(({ corners, gives, sideRadius }) => {
      for (let i = 0; i < gives.length; i++)
        gives[i] = shift + (sideRadius[i] as number) * turn + keep + growth
      return this.shapes.every(({ shape }) => shape.isClearOf(corners, gives))
    })
    if (isFree) return 'free'
    return this.isBuried(pose, shift, turn, keep - growth) ? 'blocked' : 'mixed'
  }

  /** The same of the floor alone. */
  onGround(pose: Pose, shift: number, turn: number): PoseSureness {
    if (this.floor === -Infinity) return 'free'
    const [keep, growth] = [this.kept(pose, this.endsOnGround), this.growth(shift, turn)]
    this.take(pose)
    const cosine = 1 / Math.sqrt(1 + this.slope * this.slope)
    let isFree = true
    for (const { corners, radius } of this.pieces)
      for (let i = 0; i < radius.length; i++) {
        const above = ((corners.ys[i] as number) - this.groundAt(corners.xs[i] as number)) * cosine
        const give = shift + (radius[i] as number) * turn
        if (above < keep - growth - give) return 'blocked'
        if (above <= keep + growth + give) isFree = false
      }
    return isFree ? 'free' : 'mixed'
  }

  /** How much more room may be asked for elsewhere among poses within so much of one. */
  private growth(shift: number, turn: number): number {
    return this.keepMm === 0 ? 0 : KEEP_GROWTH * (shift + this.reach * turn)
  }

  /** Distance to every obstacle in their order, and to the floor where there is one, in mm; 0 where it is touched. */
  rooms(pose: Pose): Room[] {
    this.take(pose)
    const rooms = this.setup.obstacles.map(({ name }, index) => ({
      mm: this.to(this.shapes[index]?.shape),
      obstacle: name,
    }))
    return this.setup.ground ? [...rooms, { mm: Math.max(0, this.toGround()), obstacle: GROUND }] : rooms
  }

  /** Distance to what is nearest. */
  room(pose: Pose): Room {
    return this.rooms(pose).reduce<Room>((nearest, room) => (room.mm < nearest.mm ? room : nearest), {
      mm: Infinity,
      obstacle: null,
    })
  }

  /**
   * True when on the straight way between two poses nothing comes nearer than is to be kept: halved until the room at its ends covers
   * it, or none is left.
   */
  isFreeBetween(from: Pose, to: Pose): boolean {
    return this.isFreeWithin(from, this.spare(from), to, this.spare(to))
  }

  /** Room at a pose beyond what is asked for there. */
  private spare(pose: Pose): number {
    this.take(pose)
    return Math.min(
      this.among() - this.kept(pose, this.ends),
      this.toGround() - this.kept(pose, this.endsOnGround),
    )
  }

  private isFreeWithin(from: Pose, spareFrom: number, to: Pose, spareTo: number): boolean {
    if (!(spareFrom > 0) || !(spareTo > 0)) return false
    // What is to be kept may grow on the way, which takes from the room.
    const way = this.way(from, to) * (this.keepMm === 0 ? 1 : 1 + KEEP_GROWTH)
    if (way < spareFrom + spareTo) return true
    if (way < LEAST_WAY) return false
    const middle = poseBetween(from, to, 0.5)
    const spare = this.spare(middle)
    return this.isFreeWithin(from, spareFrom, middle, spare) && this.isFreeWithin(middle, spare, to, spareTo)
  }

  /** Corners of each piece at a pose. */
  outlinesAt(pose: Pose): Place2[][] {
    this.take(pose)
    return this.pieces.map(({ corners: { xs, ys } }) => [...xs].map((x, i) => [x, ys[i] as number]))
  }

  /** Height of the floor under a place. */
  groundAt(x: number): number {
    const { ground } = this.setup
    return ground ? this.floor - (ground.frontContactX - x) * this.slope : -Infinity
  }

  private take({ x, z, tiltDeg }: Pose): void {
    const { pivot } = this.setup
    const turn = radians(tiltDeg)
    const [sine, cosine] = [Math.sin(turn), Math.cos(turn)]
    const [px, pz] = [pivot[0] + x, pivot[1] + z]
    for (const { relX, relZ, corners } of this.pieces)
      for (let i = 0; i < relX.length; i++) {
        const [rx, rz] = [relX[i] as number, relZ[i] as number]
        corners.xs[i] = px + cosine * rx - sine * rz
        corners.ys[i] = pz + sine * rx + cosine * rz
      }
  }

  /** Distance of the pose last taken to one obstacle, and to all. */
  private to(shape: FlatShape | undefined): number {
    let least = Infinity
    for (const { corners } of this.pieces) least = Math.min(least, shape?.distance(corners) ?? Infinity)
    return least
  }

  private among(): number {
    let least = Infinity
    for (const { shape } of this.shapes) least = Math.min(least, this.to(shape))
    return least
  }

  private toGround(): number {
    if (this.floor === -Infinity) return Infinity
    const cosine = 1 / Math.sqrt(1 + this.slope * this.slope)
    let least = Infinity
    for (const { corners } of this.pieces)
      for (let i = 0; i < corners.xs.length; i++)
        least = Math.min(least, ((corners.ys[i] as number) - this.groundAt(corners.xs[i] as number)) * cosine)
    return least
  }

  /**
   * True when some place of the body lies so deep in an obstacle, or of an obstacle in the body, or so near, that no pose about gives
   * the room that is to be kept.
   */
  private isBuried({ x, z, tiltDeg }: Pose, shift: number, turn: number, keep: number): boolean {
    const angle = radians(tiltDeg)
    const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
    const [px, pz] = [this.setup.pivot[0] + x, this.setup.pivot[1] + z]
    const about = Math.max(0, keep)
    for (const { shape, places } of this.shapes) {
      for (const [rx, rz] of this.places) {
        const [bx, bz] = [px + cosine * rx - sine * rz, pz + sine * rx + cosine * rz]
        if (shape.isFarFrom(bx, bz, about)) continue
        if (isNearer(shape, bx, bz, keep - shift - Math.hypot(rx, rz) * turn)) return true
      }
      for (const [ox, oz] of places) {
        const away = Math.hypot(ox - px, oz - pz)
        if (away > this.reach + about) continue
        const deep = keep - shift - away * turn
        if (this.pieces.some(({ corners }) => isNearer(corners, ox, oz, deep))) return true
      }
    }
    return false
  }
}

/** Ways shorter than this, in mm, are halved no further: there is no room worth the name. */
const LEAST_WAY = 0.002

/** A pose on the straight way between two, at a share of it. */
export const poseBetween = (from: Pose, to: Pose, share: number): Pose => ({
  x: from.x + share * (to.x - from.x),
  z: from.z + share * (to.z - from.z),
  tiltDeg: from.tiltDeg + share * (to.tiltDeg - from.tiltDeg),
})

/** An outline of the body by its pivot, and its corners at the pose last taken. */
interface Piece {
  readonly relX: Float64Array
  readonly relZ: Float64Array
  readonly radius: Float64Array
  /** Of each side: the further of its two ends. */
  readonly sideRadius: Float64Array
  readonly gives: Float64Array
  readonly corners: Corners
}

function pieceOf(piece: Polygon, pivot: Place2): Piece {
  const relX = Float64Array.from(piece, ([x]) => x - pivot[0])
  const relZ = Float64Array.from(piece, ([, z]) => z - pivot[1])
  const radius = relX.map((x, i) => Math.hypot(x, relZ[i] as number))
  return {
    relX,
    relZ,
    radius,
    sideRadius: radius.map((r, i) => Math.max(r, radius[(i + 1) % piece.length] as number)),
    gives: new Float64Array(piece.length),
    corners: { xs: new Float64Array(piece.length), ys: new Float64Array(piece.length) },
  }
}

/** Corners of an outline and places along its longer sides. */
const alongSides = (outline: Polygon, isOpen = false): Place2[] =>
  outline.flatMap(([ax, ay], index) => {
    if (isOpen && index === outline.length - 1) return [[ax, ay]]
    const [bx, by] = outline[(index + 1) % outline.length] as Place2
    const parts = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / BETWEEN))
    return Array.from({ length: parts }, (_, k): Place2 => [
      ax + ((bx - ax) * k) / parts,
      ay + ((by - ay) * k) / parts,
    ])
  })

function requireSetup({ pieces, obstacles, ground, bounds, tiltRangeDeg, start }: SwingSetup): void {
  if (pieces.length === 0) throw new CoreError('degenerate', 'powertrain', 'it has no outline')
  for (const piece of pieces) requireSimple(piece, 'powertrain')
  for (const { name, outline, isOpen } of obstacles) {
    if (!isOpen) requireSimple(outline, name)
    else if (outline.length < 2) throw new CoreError('degenerate', name, 'two corners or more are needed')
  }
  if (ground && !(ground.wheelbaseMm > 0))
    throw new CoreError('out-of-range', 'wheelbase', 'must be above nought')
  const [leastX, mostX, leastZ, mostZ] = bounds
  const [least, most] = tiltRangeDeg
  if (!(leastX < mostX && leastZ < mostZ && least < most && most - least < 360))
    throw new CoreError('out-of-range', 'bounds', 'each must run from a smaller to a larger figure')
  for (const [pose, name] of [
    [start, 'start'],
    [INSTALLED, 'installed place'],
  ] as const) {
    const isIn =
      pose.x >= leastX &&
      pose.x <= mostX &&
      pose.z >= leastZ &&
      pose.z <= mostZ &&
      pose.tiltDeg >= least &&
      pose.tiltDeg <= most
    if (!isIn) throw new CoreError('out-of-range', name, 'lies outside the bounds of the movement')
  }
}

import { CoreError } from '../errors'
import { requireSimple, type Place2, type Polygon } from '../outline/polygon'
import { radians } from '../units/angle'
import { FlatShape, isNearer, type Corners } from './flatShape'

/** A place of the body on its way: moved from where it stands when installed, and turned about its pivot, tail down positive. */
export interface Pose {
  readonly x: number
  readonly z: number
  readonly tiltDeg: number
}

/** The floor under the vehicle: a tyre's contact in front, and how the rear is lifted. */
export interface Ground {
  readonly frontContactX: number
  readonly z: number
  readonly wheelbaseMm: number
  /** `rear`: the rear wheels go up and the ground turns about the front contact; `whole`: the vehicle goes up level. */
  readonly lifted: 'rear' | 'whole'
}

export interface Obstacle {
  readonly name: string
  readonly outline: Polygon
}

/** What a body has to be brought through, seen from the right: x forward, z up. */
export interface SwingSetup {
  readonly body: Polygon
  readonly pivot: Place2
  readonly obstacles: readonly Obstacle[]
  readonly ground: Ground | null
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
export type Standing = 'free' | 'blocked' | 'mixed'

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
  private readonly relX: Float64Array
  private readonly relZ: Float64Array
  private readonly radius: Float64Array
  /** Of each side of the body: the further of its two ends. */
  private readonly sideRadius: Float64Array
  private readonly reach: number
  private readonly places: readonly Place2[]
  private readonly shapes: readonly { readonly shape: FlatShape; readonly places: readonly Place2[] }[]
  /** The body at the pose last taken. */
  private readonly body: Corners
  private readonly gives: Float64Array
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
    const { body, pivot, obstacles } = setup
    this.relX = Float64Array.from(body, ([x]) => x - pivot[0])
    this.relZ = Float64Array.from(body, ([, z]) => z - pivot[1])
    this.radius = this.relX.map((x, i) => Math.hypot(x, this.relZ[i] as number))
    this.sideRadius = this.radius.map((r, i) => Math.max(r, this.radius[(i + 1) % body.length] as number))
    this.reach = Math.max(...this.radius)
    this.places = alongSides(body).map(([x, z]) => [x - pivot[0], z - pivot[1]])
    this.shapes = obstacles.map(({ outline }) => ({
      shape: new FlatShape(outline),
      places: alongSides(outline),
    }))
    this.body = { xs: new Float64Array(body.length), ys: new Float64Array(body.length) }
    this.gives = new Float64Array(body.length)
    this.keepMm = setup.keepMm ?? 0
    this.ends = this.atEnds(() =>
      Math.min(Infinity, ...this.shapes.map(({ shape }) => shape.distance(this.body))),
    )
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
  amongObstacles(pose: Pose, shift: number, turn: number): Standing {
    const [keep, growth] = [this.kept(pose, this.ends), this.growth(shift, turn)]
    this.take(pose)
    for (let i = 0; i < this.gives.length; i++)
      this.gives[i] = shift + (this.sideRadius[i] as number) * turn + keep + growth
    if (this.shapes.every(({ shape }) => shape.isClearOf(this.body, this.gives))) return 'free'
    return this.isBuried(pose, shift, turn, keep - growth) ? 'blocked' : 'mixed'
  }

  /** The same of the floor alone. */
  onGround(pose: Pose, shift: number, turn: number): Standing {
    if (this.floor === -Infinity) return 'free'
    const [keep, growth] = [this.kept(pose, this.endsOnGround), this.growth(shift, turn)]
    this.take(pose)
    const cosine = 1 / Math.sqrt(1 + this.slope * this.slope)
    let isFree = true
    for (let i = 0; i < this.body.xs.length; i++) {
      const above = ((this.body.ys[i] as number) - this.groundAt(this.body.xs[i] as number)) * cosine
      const give = shift + (this.radius[i] as number) * turn
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
      mm: this.shapes[index]?.shape.distance(this.body) ?? NaN,
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
    let among = Infinity
    for (const { shape } of this.shapes) among = Math.min(among, shape.distance(this.body))
    return Math.min(among - this.kept(pose, this.ends), this.toGround() - this.kept(pose, this.endsOnGround))
  }

  private isFreeWithin(from: Pose, spareFrom: number, to: Pose, spareTo: number): boolean {
    if (!(spareFrom > 0) || !(spareTo > 0)) return false
    // What is to be kept may grow on the way, which takes from the room.
    const way = this.way(from, to) * (this.keepMm === 0 ? 1 : 1 + KEEP_GROWTH)
    if (way < spareFrom + spareTo) return true
    if (way < LEAST_WAY) return false
    const middle = between(from, to, 0.5)
    const spare = this.spare(middle)
    return this.isFreeWithin(from, spareFrom, middle, spare) && this.isFreeWithin(middle, spare, to, spareTo)
  }

  /** Corners of the body at a pose. */
  outlineAt(pose: Pose): Place2[] {
    this.take(pose)
    return [...this.body.xs].map((x, i) => [x, this.body.ys[i] as number])
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
    for (let i = 0; i < this.relX.length; i++) {
      const [rx, rz] = [this.relX[i] as number, this.relZ[i] as number]
      this.body.xs[i] = px + cosine * rx - sine * rz
      this.body.ys[i] = pz + sine * rx + cosine * rz
    }
  }

  private toGround(): number {
    if (this.floor === -Infinity) return Infinity
    const cosine = 1 / Math.sqrt(1 + this.slope * this.slope)
    let least = Infinity
    for (let i = 0; i < this.body.xs.length; i++)
      least = Math.min(
        least,
        ((this.body.ys[i] as number) - this.groundAt(this.body.xs[i] as number)) * cosine,
      )
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
        if (isNearer(this.body, ox, oz, keep - shift - away * turn)) return true
      }
    }
    return false
  }
}

/** Ways shorter than this, in mm, are halved no further: there is no room worth the name. */
const LEAST_WAY = 0.002

/** A pose on the straight way between two, at a share of it. */
export const between = (from: Pose, to: Pose, share: number): Pose => ({
  x: from.x + share * (to.x - from.x),
  z: from.z + share * (to.z - from.z),
  tiltDeg: from.tiltDeg + share * (to.tiltDeg - from.tiltDeg),
})

/** Corners of an outline and places along its longer sides. */
const alongSides = (outline: Polygon): Place2[] =>
  outline.flatMap(([ax, ay], index) => {
    const [bx, by] = outline[(index + 1) % outline.length] as Place2
    const parts = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / BETWEEN))
    return Array.from({ length: parts }, (_, k): Place2 => [
      ax + ((bx - ax) * k) / parts,
      ay + ((by - ay) * k) / parts,
    ])
  })

function requireSetup({ body, obstacles, ground, bounds, tiltRangeDeg, start }: SwingSetup): void {
  requireSimple(body, 'powertrain')
  for (const { name, outline } of obstacles) requireSimple(outline, name)
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

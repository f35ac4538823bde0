import TinyQueue from 'tinyqueue'
import { radians } from '../../base/units/angle'
import { INSTALLED, type Pose, type PoseSureness, type SwingScene, type SwingSetup } from './scene'

/** Whether a body can be brought in: a way is proved, none is proved, or it is too tight to tell at the finest boxes. */
export type WayFound = 'way' | 'none' | 'unsure'

/** Halvings of the room of poses in each direction at the most. */
const DEPTH = 13
const SPAN = 2 ** DEPTH
/** A box that is still to be cut counts so many times its way: free ones are preferred, but not at any length. */
const UNCUT_COST = 6

/** A box of poses; corner and size in finest boxes. */
interface Cell {
  readonly at: readonly [number, number, number]
  readonly size: number
  readonly middle: Pose
  /** What is sure of its poses among the obstacles; the floor depends on the lift and is asked anew. */
  readonly standing: PoseSureness
  neighbours: Cell[]
  isFinest: boolean
  /** The lift its floor was looked at for. */
  lift: number
  onGround: PoseSureness
  /** Of the search under way. */
  round: number
  cost: number
  from: Cell | null
}

/**
 * The room of poses cut into boxes: each is free, blocked, or cut into eight (approximate cell decomposition, Brooks and
 * Lozano-Perez 1985).
 *
 * The cheapest chain of boxes that are not blocked is looked for; what in it is not free is cut, and so on. A chain of free boxes is a
 * way; no chain at all is the proof that there is none. Boxes stay from one lift to the next, since only the floor changes.
 */
export class PoseCells {
  private readonly size: readonly [number, number, number]
  private readonly corner: readonly [number, number, number]
  private start: Cell
  private goal: Cell
  private round = 0
  /** Boxes looked at so far. */
  looked = 0

  /**
   * @param finestMm - boxes within which no place of the body moves further than this are not cut
   */
  constructor(
    private readonly scene: SwingScene,
    private readonly setup: SwingSetup,
    private readonly finestMm: number,
  ) {
    const [leastX, mostX, leastZ, mostZ] = setup.bounds
    const [least, most] = setup.tiltRangeDeg
    this.corner = [leastX, leastZ, least]
    this.size = [mostX - leastX, mostZ - leastZ, most - least]
    const root = this.cell([0, 0, 0], SPAN)
    this.start = root
    this.goal = root
  }

  /**
   * Looks for a way at one lift; yields the boxes looked at.
   *
   * @param most - boxes to be looked at for it
   */
  *search(liftMm: number, most: number): Generator<number, WayFound, void> {
    const until = this.looked + most
    this.scene.lift(liftMm)
    while (this.looked < until) {
      const chain = this.chain(false)
      if (!chain) return this.chain(true) ? 'unsure' : 'none'
      const uncut = chain.filter((cell) => this.standing(cell) === 'mixed')
      if (uncut.length === 0) return 'way'
      uncut.forEach((cell) => {
        this.cut(cell)
      })
      yield this.looked
    }
    return 'unsure'
  }

  /** The way that `search` has just proved: middles of free boxes and of the faces they share. */
  route(): Pose[] {
    const cells = this.chain(false) ?? []
    const middles = cells.flatMap((cell, index) => {
      const next = cells[index + 1]
      return next ? [cell.middle, this.shared(cell, next)] : [cell.middle]
    })
    return [this.setup.start, ...middles, INSTALLED]
  }

  /**
   * The cheapest chain of boxes from the start to the installed place that are not blocked.
   *
   * @param withFinest - through boxes too that are not cut any further
   */
  private chain(withFinest: boolean): Cell[] | null {
    const round = ++this.round
    const { start, goal } = this
    const queue = new TinyQueue<readonly [number, Cell]>([], ([a], [b]) => a - b)
    const reach = (cell: Cell, cost: number, from: Cell | null) => {
      const standing = this.standing(cell)
      if (standing === 'blocked' || (standing === 'mixed' && cell.isFinest && !withFinest)) return
      if (cell.round === round && cell.cost <= cost) return
      cell.round = round
      cell.cost = cost
      cell.from = from
      queue.push([cost + this.scene.way(cell.middle, goal.middle), cell])
    }
    reach(start, 0, null)
    for (let next = queue.pop(); next; next = queue.pop()) {
      const cell = next[1]
      if (cell === goal) return chainTo(cell)
      if (next[0] > cell.cost + this.scene.way(cell.middle, goal.middle)) continue
      for (const other of cell.neighbours) {
        const way = this.scene.way(cell.middle, other.middle)
        reach(other, cell.cost + (this.standing(other) === 'mixed' ? UNCUT_COST * way : way), cell)
      }
    }
    return null
  }

  private standing(cell: Cell): PoseSureness {
    if (cell.standing === 'blocked') return 'blocked'
    if (cell.lift !== this.scene.liftMm) {
      cell.lift = this.scene.liftMm
      cell.onGround = this.scene.onGround(cell.middle, ...this.give(cell.size))
    }
    return cell.onGround === 'free' ? cell.standing : cell.onGround
  }

  private cut(cell: Cell): void {
    const half = cell.size / 2
    const children = [0, 1, 2, 3, 4, 5, 6, 7].map((corner) =>
      this.cell(
        [
          cell.at[0] + (corner & 1 ? half : 0),
          cell.at[1] + (corner & 2 ? half : 0),
          cell.at[2] + (corner & 4 ? half : 0),
        ],
        half,
      ),
    )
    for (const child of children)
      child.neighbours = [...children, ...cell.neighbours].filter((other) => doTouch(child, other))
    for (const other of cell.neighbours)
      other.neighbours = [
        ...other.neighbours.filter((one) => one !== cell),
        ...children.filter((child) => doTouch(child, other)),
      ]
    if (cell === this.start) this.start = this.holding(children, this.setup.start)
    if (cell === this.goal) this.goal = this.holding(children, INSTALLED)
  }

  private cell(at: readonly [number, number, number], size: number): Cell {
    this.looked++
    const middle = this.poseAt([at[0] + size / 2, at[1] + size / 2, at[2] + size / 2])
    const [shift, turn] = this.give(size)
    return {
      at,
      size,
      middle,
      standing: this.scene.amongObstacles(middle, shift, turn),
      neighbours: [],
      isFinest: size <= 1 || shift + this.scene.furthest * turn <= this.scene.finestAt(middle, this.finestMm),
      lift: NaN,
      onGround: 'mixed',
      round: 0,
      cost: Infinity,
      from: null,
    }
  }

  /** How far the poses of a box lie from its middle at the most: mm in any direction, and radians. */
  private give(size: number): [number, number] {
    const share = size / SPAN / 2
    return [Math.hypot(share * this.size[0], share * this.size[1]), radians(share * this.size[2])]
  }

  private poseAt([i, j, k]: readonly [number, number, number]): Pose {
    return {
      x: this.corner[0] + (i / SPAN) * this.size[0],
      z: this.corner[1] + (j / SPAN) * this.size[1],
      tiltDeg: this.corner[2] + (k / SPAN) * this.size[2],
    }
  }

  /** The middle of the face that two boxes share. */
  private shared(a: Cell, b: Cell): Pose {
    const place = ([0, 1, 2] as const).map((axis) => {
      const low = Math.max(a.at[axis], b.at[axis])
      const high = Math.min(a.at[axis] + a.size, b.at[axis] + b.size)
      return (low + high) / 2
    }) as [number, number, number]
    return this.poseAt(place)
  }

  /** Of the boxes that another was cut into: the one that holds a pose, which lay in the other. */
  private holding(children: readonly Cell[], { x, z, tiltDeg }: Pose): Cell {
    const { middle, size } = children[7] as Cell
    const share = size / SPAN / 2
    const corner = [x, z, tiltDeg].reduce((sum, one, axis) => {
      const low = [middle.x, middle.z, middle.tiltDeg][axis] as number
      return sum + (one >= low - share * (this.size[axis] as number) ? 1 << axis : 0)
    }, 0)
    return children[corner] as Cell
  }
}

function chainTo(goal: Cell): Cell[] {
  const cells: Cell[] = []
  for (let cell: Cell | null = goal; cell; cell = cell.from) cells.unshift(cell)
  return cells
}

/** True when two boxes share a piece of face. */
function doTouch(a: Cell, b: Cell): boolean {
  if (a === b) return false
  let faces = 0
  for (let axis = 0; axis < 3; axis++) {
    const low = Math.max(a.at[axis] as number, b.at[axis] as number)
    const high = Math.min((a.at[axis] as number) + a.size, (b.at[axis] as number) + b.size)
    if (low > high) return false
    if (low === high) faces++
  }
  return faces === 1
}

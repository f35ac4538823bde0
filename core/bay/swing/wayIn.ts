import { CoreError } from '../../base/errors'
import { PoseCells, type WayFound } from './poseCells'
import { poseBetween, INSTALLED, SwingScene, type Pose, type Room, type SwingSetup } from './scene'

/** A way in, from the start to the installed place; every straight piece of it is proved free. */
export interface WayIn {
  readonly liftMm: number
  readonly poses: readonly Pose[]
  /** How near it comes to each thing and where, the nearest first; the installed place itself aside. */
  readonly nearest: readonly (Room & { readonly pose: Pose })[]
}

/** What is known of one lift. */
export interface LiftAnswer {
  readonly found: WayFound
  readonly way: WayIn | null
}

/** The least lift that lets the body in. */
export interface LeastLift {
  /** A way is proved from here on; null where there is none up to the most. */
  readonly way: WayIn | null
  /** No way is proved up to here; null where not even that is known. */
  readonly noneUpToMm: number | null
}

/** How finely is looked, and how long. */
export interface SwingEffort {
  /** Boxes of poses are not cut below this, in mm. */
  readonly finestMm: number
  /** Boxes looked at for each lift. */
  readonly mostBoxes: number
  /** Between the lift with a way and the next lower one asked, in mm. */
  readonly liftStepMm: number
}

export const USUAL_EFFORT: SwingEffort = { finestMm: 1, mostBoxes: 100_000, liftStepMm: 5 }

/** Progress: lifts asked so far and boxes looked at for this one. */
export interface SwingProgress {
  readonly lifts: number
  readonly boxes: number
}

/**
 * Whether the body can be brought from its start to where it is installed at one lift.
 *
 * @throws CoreError `degenerate` for what is no outline, `out-of-range` for figures that cannot be or an end that is not free
 * @see docs/methods/way-in.md
 */
export function* wayAtLift(
  setup: SwingSetup,
  liftMm: number,
  effort: SwingEffort = USUAL_EFFORT,
): Generator<number, LiftAnswer, void> {
  const scene = new SwingScene(setup)
  scene.lift(liftMm)
  requireFree(scene, setup)
  return yield* search(scene, new PoseCells(scene, setup, effort.finestMm), liftMm, effort)
}

/**
 * The least lift at which the body can be brought in, within the step of the effort: more lift only lowers the ground, so what
 * goes in at one lift goes in at every higher one.
 *
 * @param range - least and most lift to be looked at, in mm
 * @throws CoreError as `wayAtLift`, where even at the most lift an end is not free
 */
export function* leastLift(
  setup: SwingSetup,
  range: readonly [number, number],
  effort: SwingEffort = USUAL_EFFORT,
): Generator<SwingProgress, LeastLift, void> {
  const [least, most] = range
  if (!(least <= most)) throw new CoreError('out-of-range', 'lift', 'the least is above the most')
  const scene = new SwingScene(setup)
  const cells = new PoseCells(scene, setup, effort.finestMm)
  let lifts = 0
  function* at(liftMm: number): Generator<SwingProgress, LiftAnswer, void> {
    lifts++
    scene.lift(liftMm)
    if (liftMm === most) requireFree(scene, setup)
    // Lower down the ends may be under ground: then there is no way, for sure.
    else if (!isFree(scene, setup)) return { found: 'none', way: null }
    const run = search(scene, cells, liftMm, effort)
    for (;;) {
      const step = run.next()
      if (step.done) return step.value
      yield { lifts, boxes: step.value }
    }
  }
  const highest = yield* at(most)
  if (highest.found !== 'way') return { way: null, noneUpToMm: highest.found === 'none' ? most : null }
  let way = highest.way
  let noneUpToMm: number | null = null
  const lowest = most > least ? yield* at(least) : highest
  if (lowest.found === 'way') return { way: lowest.way, noneUpToMm: null }
  if (lowest.found === 'none') noneUpToMm = least
  let [low, high] = [least, most]
  while (high - low > effort.liftStepMm) {
    const middle = (low + high) / 2
    const answer = yield* at(middle)
    if (answer.found === 'way') {
      way = answer.way
      high = middle
      continue
    }
    low = middle
    if (answer.found === 'none') noneUpToMm = middle
  }
  return { way, noneUpToMm }
}

function* search(
  scene: SwingScene,
  cells: PoseCells,
  liftMm: number,
  effort: SwingEffort,
): Generator<number, LiftAnswer, void> {
  const found = yield* cells.search(liftMm, effort.mostBoxes)
  if (found !== 'way') return { found, way: null }
  const poses = shortened(scene, cells.route())
  return { found, way: { liftMm, poses, nearest: nearestOn(scene, poses) } }
}

const isFree = (scene: SwingScene, { start }: SwingSetup): boolean =>
  scene.room(start).mm > 0 && scene.room(INSTALLED).mm > 0

function requireFree(scene: SwingScene, { start }: SwingSetup): void {
  for (const [pose, name] of [
    [start, 'start'],
    [INSTALLED, 'installed place'],
  ] as const) {
    const { mm, obstacle } = scene.room(pose)
    if (!(mm > 0)) throw new CoreError('out-of-range', name, `it is not free: ${obstacle ?? ''}`)
  }
}

/** The same way with what can be left out left out: each piece goes as far as it is proved free. */
function shortened(scene: SwingScene, poses: readonly Pose[]): Pose[] {
  const kept = [poses[0] as Pose]
  for (let at = 0; at < poses.length - 1;) {
    let [next, jump] = [at + 1, 1]
    // Doubling finds how far it goes without asking for every corner.
    while (at + jump < poses.length && scene.isFreeBetween(poses[at] as Pose, poses[at + jump] as Pose)) {
      next = at + jump
      jump *= 2
    }
    for (let step = jump / 4; step >= 1; step /= 2) {
      const further = next + Math.floor(step)
      if (further < poses.length && scene.isFreeBetween(poses[at] as Pose, poses[further] as Pose))
        next = further
    }
    kept.push(poses[next] as Pose)
    at = next
  }
  return kept
}

/** Ways are looked at every so many mm for the tightest places. */
const LOOK_EVERY = 5

function nearestOn(scene: SwingScene, poses: readonly Pose[]): WayIn['nearest'] {
  const nearest = new Map<string | null, Room & { readonly pose: Pose }>()
  for (const pose of alongWay(scene, poses, LOOK_EVERY))
    for (const room of scene.rooms(pose))
      if (room.mm < (nearest.get(room.obstacle)?.mm ?? Infinity))
        nearest.set(room.obstacle, { ...room, pose })
  return [...nearest.values()].sort((a, b) => a.mm - b.mm)
}

/** Poses along a way, no place of the body moving further than so much between two of them; the last one is the installed place. */
export const alongWay = (scene: SwingScene, poses: readonly Pose[], everyMm: number): Pose[] =>
  poses.flatMap((from, index) => {
    const to = poses[index + 1]
    if (!to) return [from]
    const parts = Math.max(1, Math.ceil(scene.way(from, to) / everyMm))
    return Array.from({ length: parts }, (_, k) => poseBetween(from, to, k / parts))
  })

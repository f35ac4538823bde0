import type { Place2, Polygon } from '../../base/outline/polygon'
import { SwingScene, type Pose, type SwingSetup } from './scene'
import { alongWay } from './wayIn'

/** Mm of way between two pictures of the way in. */
const PICTURE_EVERY = 12

/** The way in as pictures, close enough that it runs smoothly; each knows the last step it has passed. */
export interface SwingFrame {
  readonly pose: Pose
  readonly step: number
}

/** Poses between the steps of a way, for showing it. */
export function swingFrames(setup: SwingSetup, poses: readonly Pose[]): SwingFrame[] {
  const scene = new SwingScene(setup)
  return poses.flatMap((from, step) => {
    const to = poses[step + 1]
    if (!to) return [{ pose: from, step }]
    const frames = alongWay(scene, [from, to], PICTURE_EVERY)
    return frames.slice(0, -1).map((pose) => ({ pose, step }))
  })
}

/** What is to be drawn at a pose and a lift: corners of the unit's pieces, and the ground under the picture. */
export interface SwingPicture {
  readonly pieces: readonly (readonly Place2[])[]
  readonly ground: readonly [Place2, Place2]
}

/** The picture at one pose. */
export function swingPicture(
  setup: SwingSetup,
  pose: Pose,
  liftMm: number,
  [left, right]: readonly [number, number],
): SwingPicture {
  const scene = new SwingScene(setup)
  scene.lift(liftMm)
  return {
    pieces: scene.outlinesAt(pose),
    ground: [
      [left, scene.groundAt(left)],
      [right, scene.groundAt(right)],
    ],
  }
}

/** What has to fit into the picture: least and most x, least and most z, in mm. */
export function swingFrame(
  setup: SwingSetup,
  poses: readonly Pose[],
): readonly [number, number, number, number] {
  const scene = new SwingScene(setup)
  const places = [
    ...poses.flatMap((pose) => scene.outlinesAt(pose).flat()),
    ...setup.obstacles.flatMap(({ outline }) => outline),
  ]
  const [xs, zs] = [places.map(([x]) => x), places.map(([, z]) => z)]
  const low = setup.ground ? setup.ground.z : Infinity
  return [Math.min(...xs) - ROOM, Math.max(...xs) + ROOM, Math.min(low, ...zs) - ROOM, Math.max(...zs) + ROOM]
}

/** Room about what is drawn, in mm. */
const ROOM = 60

/** Where the name of an outline is written: over its highest corner, or the middle of several as high. */
export function labelPlace(outline: Polygon): Place2 {
  const top = Math.max(...outline.map(([, z]) => z))
  const highest = outline.filter(([, z]) => z === top)
  return [highest.reduce((sum, [x]) => sum + x, 0) / highest.length, top]
}

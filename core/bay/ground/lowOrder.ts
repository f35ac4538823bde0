import { groundOrder, type LowPlace } from '../../vehicle/gaps/groundOrder'
import { known, unknown, type Known } from '../../base/known'
import type { Evaluation } from '../../model/evaluateBuild'
import { axlesOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import { pointOf } from '../../measure/geometry/geometry'

/** How far the wheels come up against the chassis, in mm. */
export interface Bump {
  readonly front: number
  readonly rear: number
}

/** What would strike the ground, and how much is left under it. */
export interface LowThing {
  readonly gap: Id
  readonly name: string
  /** In mm; below nought it has struck. */
  readonly roomMm: number
}

/**
 * The order in which things strike the ground with the wheels up by so much, the lowest first: what is on the springs comes down
 * to the ground, an axle goes up with its wheels.
 *
 * @returns unknown where the two axles come up unlike and it is not known where they stand
 * @see docs/methods/gaps.md
 */
export function lowOrder(
  build: Build,
  { gaps, placed }: Pick<Evaluation, 'gaps' | 'placed'>,
  bump: Bump,
): Known<LowThing[]> {
  const stands = contactsOf(build, placed)
  if (!stands.known && bump.front !== bump.rear) return stands
  const { front, rear } = stands.known ? stands.value : ANYWHERE
  const axles = new Set(axlesOf(build).map(({ id }) => id))
  const bodyOf = new Map(build.points.map(({ id, body }) => [id, body]))
  const things = gaps.flatMap(({ gap, ride }): (LowPlace & { readonly label: string })[] => {
    if (gap.kind !== 'ground' || !ride.known) return []
    const { point, gapMm } = ride.value
    const isOnAxle = axles.has(bodyOf.get(gap.point) ?? '')
    const axle = Math.abs(point[0] - front) < Math.abs(point[0] - rear) ? 'front-axle' : 'rear-axle'
    return [{ name: gap.id, label: gap.name, x: point[0], z: gapMm, on: isOnAxle ? axle : 'sprung' }]
  })
  const labels = new Map(things.map(({ name, label }) => [name, label]))
  const { rooms } = groundOrder(things, { front: { x: front, z: 0 }, rear: { x: rear, z: 0 } }, bump)
  return known(
    rooms.map(({ name, normalMm }) => ({ gap: name, name: labels.get(name) ?? name, roomMm: normalMm })),
  )
}

/** Where both axles come up alike, it does not matter where they stand. */
const ANYWHERE = { front: 0, rear: -1000 }

/** Stations of the tyres, forward, in mm: as weighed, as told for the way in, else by the rear axle. */
export function contactsOf(
  build: Build,
  placed: Evaluation['placed'],
): Known<{ readonly front: number; readonly rear: number }> {
  const { weight, wayIn } = build
  const frontMm = weight?.frontStationMm ?? wayIn?.frontContactMm
  const axle = axlesOf(build).find(({ centre }) => centre !== undefined)
  const centre = axle?.centre === undefined ? null : pointOf(placed, axle.centre)
  const behind = centre?.known ? -centre.value[0] : undefined
  const along =
    frontMm !== undefined && wayIn?.wheelbaseMm !== undefined ? frontMm + wayIn.wheelbaseMm : undefined
  const rearMm = weight?.rearStationMm ?? along ?? behind
  if (frontMm === undefined) return unknown('the station of the front axle', 'weight.frontStationMm')
  if (rearMm === undefined) return unknown('the station of the rear axle', 'weight.rearStationMm')
  if (rearMm <= frontMm)
    return unknown('a rear axle that stands behind the front one', 'weight.rearStationMm')
  return known({ front: -frontMm, rear: -rearMm })
}

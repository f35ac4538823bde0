import { answered } from '../../base/answered'
import { allKnown, andThen, known, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Hump } from '../../file/kinds/humpKinds'
import { profileOf } from '../../making/ground/humpProfile'
import { breakoverDeg, rollOver, type RolledOver } from '../../making/ground/rollOver'
import type { RollingVehicle } from '../../making/ground/standing'
import type { Evaluation } from '../../model/evaluateBuild'
import { contactsOf, lowOrder } from './lowOrder'

/** A low point of a vehicle: what it is called, and the sharpest crest that it clears. */
export interface NamedLow {
  readonly id: string
  readonly name: string
  /** Null where it is not between the tyres. */
  readonly breakoverDeg: number | null
}

/** A vehicle with its low points, as its levers stand. */
export interface LowVehicle extends RollingVehicle {
  readonly lows: readonly NamedLow[]
}

type Down = Pick<Hump, 'frontDownMm' | 'rearDownMm'>
type Stands = Pick<Evaluation, 'gaps' | 'placed'>

/**
 * The vehicle seen from the side with what hangs low under it: every gap to the ground that was read.
 *
 * @returns unknown with what is missing: where its axles stand, how large its tyres are, a gap to the ground
 */
export function lowVehicle(
  build: Build,
  now: Stands,
  { frontDownMm, rearDownMm }: Down = {},
): Known<LowVehicle> {
  const down = { front: frontDownMm ?? 0, rear: rearDownMm ?? 0 }
  const rooms = lowOrder(build, now, down)
  const stands = contactsOf(build, now.placed)
  const all = allKnown([stands, radiusOf(build, 'front'), radiusOf(build, 'rear'), rooms] as const)
  return andThen(all, ([axles, frontRadiusMm, rearRadiusMm, low]) => {
    const heights = new Map(low.map(({ gap, roomMm }) => [gap, roomMm]))
    const sizes = { wheelbaseMm: axles.front - axles.rear, frontRadiusMm, rearRadiusMm }
    const found = now.gaps.flatMap(({ gap, ride }) => {
      if (gap.kind !== 'ground' || !ride.known) return []
      const point = {
        id: gap.id,
        backMm: axles.front - ride.value.point[0],
        heightMm: heights.get(gap.id) ?? NaN,
      }
      const crest = answered(() => breakoverDeg(sizes, point))
      // Beside a tyre no crest reaches it.
      const deg = crest.known && Number.isFinite(crest.value) ? crest.value : null
      return [{ point, low: { id: gap.id, name: gap.name, breakoverDeg: deg } }]
    })
    if (found.length === 0) return unknown('a gap to the ground, read', 'gaps')
    const vehicle = { ...sizes, points: found.map(({ point }) => point), lows: found.map(({ low }) => low) }
    return known(vehicle, all.known ? all.assumptions : [])
  })
}

/** As measured for the height of the centre of gravity, else as large as the wheels that are driven. */
function radiusOf({ weight, drivetrain }: Build, end: 'front' | 'rear'): Known<number> {
  const told = end === 'front' ? weight?.tilt?.radiusFrontMm : weight?.tilt?.radiusRearMm
  if (told !== undefined) return known(told)
  const { tyreRadiusMm } = drivetrain
  if (tyreRadiusMm !== undefined)
    return known(tyreRadiusMm, ['all tyres are taken to be as large as those that are driven'])
  return unknown(`how large the ${end} tyres are`, 'drivetrain.tyreRadiusMm')
}

/** Every hump of a build with what the vehicle does over it. */
export function overHumps(
  build: Build,
  now: Stands,
): { readonly hump: Hump; readonly over: Known<RolledOver> }[] {
  const humps = build.humps ?? []
  return humps.map((hump) => ({
    hump,
    over: andThen(lowVehicle(build, now, hump), (one) => overHump(one, hump)),
  }))
}

/** A vehicle over a hump: the least gap of each low point, and what touches first. */
export const overHump = (vehicle: LowVehicle, hump: Hump): Known<RolledOver> =>
  answered(() => rollOver(vehicle, profileOf(hump)))

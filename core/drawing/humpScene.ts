import type { Place2 } from '../base/outline/polygon'
import type { Hump } from '../file/kinds/humpKinds'
import { profileOf } from '../making/ground/humpProfile'
import { groundOf, type Ground } from '../making/ground/profile'
import { placeOf, standingAt, type RollingVehicle } from '../making/ground/standing'

/** A vehicle on its way over a hump, seen from its right: it drives to the right; px, y down. */
export interface HumpScene {
  readonly width: number
  readonly height: number
  readonly ground: readonly Place2[]
  readonly tyres: readonly { readonly at: Place2; readonly radius: number }[]
  /** From low point to low point, front to rear: what must not come down. */
  readonly belly: readonly Place2[]
  readonly lows: readonly {
    readonly id: string
    readonly at: Place2
    /** Straight below it. */
    readonly ground: Place2
    readonly gapMm: number
  }[]
}

const EDGE_PX = 14
const ROUND_STEPS = 60
/** Above the tyres nothing is drawn. */
const ROOM_SHARE = 0.15

/** From where to where the front axle goes for the whole vehicle to roll over, in mm. */
export function humpWay({ wheelbaseMm, frontRadiusMm, rearRadiusMm }: RollingVehicle, hump: Hump) {
  const { from, to } = groundOf(profileOf(hump))
  return { from: from - 1.5 * frontRadiusMm, to: to + wheelbaseMm + 1.5 * rearRadiusMm }
}

/** The picture of a vehicle with its front axle there. */
export function humpScene(vehicle: RollingVehicle, hump: Hump, frontXMm: number, width: number): HumpScene {
  const ground = groundOf(profileOf(hump))
  const standing = standingAt(vehicle, ground, frontXMm)
  const { wheelbaseMm, frontRadiusMm, rearRadiusMm } = vehicle
  const overhang = 1.3 * Math.max(frontRadiusMm, rearRadiusMm)
  const [left, right] = [frontXMm - wheelbaseMm - overhang, frontXMm + overhang]
  const pxPerMm = (width - 2 * EDGE_PX) / (right - left)
  const top = standing.frontZMm + frontRadiusMm * (1 + ROOM_SHARE)
  const rearX = frontXMm - wheelbaseMm * standing.cosine
  const rearZ = ground.centreAt(rearX, rearRadiusMm)
  const highest = Math.max(top, rearZ + rearRadiusMm * (1 + ROOM_SHARE))
  const lowest = Math.min(0, ground.heightAt(left), ground.heightAt(right)) - 40
  const px = ([x, z]: Place2): Place2 => [EDGE_PX + (x - left) * pxPerMm, EDGE_PX + (highest - z) * pxPerMm]
  const lows = vehicle.points.map((point) => {
    const [x, z] = placeOf(vehicle, standing, point)
    const below = ground.heightAt(x)
    return { id: point.id, at: px([x, z]), ground: px([x, below]), gapMm: z - below }
  })
  return {
    width,
    height: 2 * EDGE_PX + (highest - lowest) * pxPerMm,
    ground: [
      px([left, lowest]),
      ...groundLine(ground, left, right).map((x) => px([x, ground.heightAt(x)])),
      px([right, lowest]),
    ],
    tyres: [
      { at: px([frontXMm, standing.frontZMm]), radius: frontRadiusMm * pxPerMm },
      { at: px([rearX, rearZ]), radius: rearRadiusMm * pxPerMm },
    ],
    belly: lows.map(({ at }) => at).toSorted((a, b) => b[0] - a[0]),
    lows,
  }
}

/** Places along the ground at which it is drawn: closely where it is not level. */
function groundLine({ from, to }: Ground, left: number, right: number): number[] {
  const inner = Array.from({ length: ROUND_STEPS + 1 }, (_, i) => from + ((to - from) * i) / ROUND_STEPS)
  return [left, ...inner.filter((x) => x > left && x < right), right]
}

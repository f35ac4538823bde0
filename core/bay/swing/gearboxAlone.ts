import { known, unknown, type Known } from '../../base/known'
import { outlineGap, wayAlong } from '../../base/outline/outlineGap'
import { areaOf, isSimple, stripOf, type Place2, type Polygon } from '../../base/outline/polygon'
import { powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { GearboxAlone } from '../../file/parts/wayInPlan'
import type { Obstacle } from './scene'

/** Outlines of the powertrain cut at the block's rear face, seen from the right: x forward, z up. */
export interface Halves {
  readonly engine: readonly Polygon[]
  readonly gearbox: readonly Polygon[]
  /** x of the face. */
  readonly faceX: number
}

/**
 * Engine and gearbox apart.
 *
 * @param outlines - of the powertrain from the side
 * @returns unknown without the station of the face, or where the cut leaves no outline on either side
 */
export function halvesOf(build: Build, outlines: readonly Polygon[]): Known<Halves> {
  const faceStationMm = powertrainOf(build)?.faceStationMm
  if (faceStationMm === undefined) return unknown('the station of the face that the gearbox is bolted to')
  const faceX = -faceStationMm
  const cut = (side: 1 | -1) => outlines.flatMap((outline) => clipped(outline, faceX, side))
  const [engine, gearbox] = [cut(1), cut(-1)]
  if (gearbox.length === 0 || engine.length === 0)
    return unknown('an outline of the powertrain on both sides of the block’s rear face')
  const bad = [...engine, ...gearbox].some((outline) => !isSimple(outline))
  return bad
    ? unknown('an outline of the powertrain that the block’s rear face cuts but once')
    : known({ engine, gearbox, faceX })
}

/** What of an outline lies before (1) or behind (-1) an upright line (Sutherland and Hodgman 1974). */
function clipped(outline: Polygon, x: number, side: 1 | -1): Polygon[] {
  const isIn = ([px]: Place2) => (px - x) * side >= 0
  const corners = outline.flatMap((corner, i): Place2[] => {
    const before = outline.at(i - 1) as Place2
    const crossing = (): Place2 => {
      const share = (x - before[0]) / (corner[0] - before[0])
      return [x, before[1] + share * (corner[1] - before[1])]
    }
    if (isIn(corner)) return isIn(before) ? [corner] : [crossing(), corner]
    return isIn(before) ? [crossing()] : []
  })
  const apart = corners.filter((corner, i) => {
    const before = corners.at(i - 1) as Place2
    return Math.hypot(corner[0] - before[0], corner[1] - before[1]) > SAME_MM
  })
  return apart.length >= 3 && Math.abs(areaOf(apart)) > SAME_MM ? [apart] : []
}

const SAME_MM = 1e-6

/** The way straight back off the block. */
const backward = ({ fallDeg }: GearboxAlone): Place2 => {
  const fall = (fallDeg * Math.PI) / 180
  return [-Math.cos(fall), -Math.sin(fall)]
}

/** Outlines drawn straight back, as far as the input shaft is long. */
export function drawnBack(outlines: readonly Polygon[], alone: GearboxAlone): Polygon[] {
  const [dx, dz] = backward(alone)
  return outlines.map((outline) =>
    outline.map(([x, z]): Place2 => [x + dx * alone.drawMm, z + dz * alone.drawMm]),
  )
}

/** What a gearbox meets while it is drawn straight back, and after how far; nearest first. */
export interface StraightDraw {
  readonly meets: readonly { readonly name: string; readonly afterMm: number }[]
}

/** Drawn so near each other, in mm, two things touch. */
const TOUCH_MM = 0.5

/** Whether it comes straight back off the block as far as its input shaft is long. */
export function straightDraw(
  gearbox: readonly Polygon[],
  obstacles: readonly Obstacle[],
  alone: GearboxAlone,
): StraightDraw {
  const direction = backward(alone)
  const meets = obstacles.flatMap(({ name, outline, isOpen }) => {
    const pieces = isOpen ? outline.slice(1).map((to, i) => stripOf(outline[i] as Place2, to)) : [outline]
    const ways = gearbox.flatMap((own) =>
      pieces.map((piece) =>
        outlineGap(own, piece).gapMm < -TOUCH_MM ? 0 : (wayAlong(own, piece, direction) ?? Infinity),
      ),
    )
    const afterMm = Math.min(...ways)
    return afterMm < alone.drawMm ? [{ name, afterMm }] : []
  })
  return { meets: meets.sort((one, other) => one.afterMm - other.afterMm) }
}

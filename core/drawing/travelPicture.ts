import { degrees } from '../base/units/angle'
import { scale, add, type Vec3 } from '../base/linalg/vec3'

/** A line at one place of its travel, seen from the side, in a picture of its own. */
export interface TravelPicture {
  /** Joints along the power flow. */
  readonly joints: readonly (readonly [number, number])[]
  /** Where the driven axis ends: the middle of the axle, or of the wheel of a hub. */
  readonly axle: readonly [number, number]
  /** Seen from behind the wheel stands upright; this is how far it leans, in degrees, its top to the right. */
  readonly leanDeg: number | null
  /** Which way the line sets out: 1 to the right. */
  readonly sense: 1 | -1
  /** Slope of the axle seen from behind, in degrees: left side up is positive. */
  readonly rollDeg: number
}

/** Pictures of several places on one scale, heights drawn larger than lengths so that they are seen. */
export interface TravelPictures {
  readonly width: number
  readonly height: number
  readonly pictures: readonly TravelPicture[]
}

/** One place to draw. */
export interface TravelPlaceDrawn {
  /** In mm, chassis frame. */
  readonly centres: readonly Vec3[]
  /** Driven axis along the power flow. */
  readonly driven: Vec3
  /** Left wheel above the right one over the track. */
  readonly slope: number
}

/** Heights against lengths. */
export const HEIGHTS_LARGER = 2
const WIDTH = 220
const PAD = 34
/** From the last joint to the middle of the axle, in mm: a usual pinion. */
const PINION_MM = 230

/** From the outer joint of a halfshaft to the middle of its wheel, in mm: a usual hub. */
const SPINDLE_MM = 70

/** Places of a line side by side, all on one scale: from the side, rear to the right; from behind, the left to the left. */
export function travelPictures(
  places: readonly TravelPlaceDrawn[],
  view: 'side' | 'behind' = 'side',
): TravelPictures {
  const across = ([x, y]: Vec3): number => (view === 'side' ? -x : -y)
  const nose = view === 'side' ? PINION_MM : SPINDLE_MM
  const drawn = places.map(({ centres, driven, slope }) => {
    const last = centres.at(-1) ?? ([NaN, NaN, NaN] as Vec3)
    return { points: [...centres, add(last, scale(driven, nose))], slope, driven }
  })
  const all = drawn
    .flatMap(({ points }) => points)
    .filter((point) => Number.isFinite(across(point) + point[2]))
  const [left, right] = [Math.min(...all.map(across)), Math.max(...all.map(across))]
  const [low, high] = [Math.min(...all.map(([, , z]) => z)), Math.max(...all.map(([, , z]) => z))]
  const factor = (WIDTH - 2 * PAD) / Math.max(1, right - left)
  const at = (point: Vec3): readonly [number, number] => [
    PAD + (across(point) - left) * factor,
    PAD + (high - point[2]) * factor * HEIGHTS_LARGER,
  ]
  return {
    width: WIDTH,
    height: 2 * PAD + (high - low) * factor * HEIGHTS_LARGER,
    pictures: drawn.map(({ points, slope, driven }) => ({
      sense: across(points[1] ?? [0, 0, 0]) < across(points[0] ?? [0, 0, 0]) ? -1 : 1,
      leanDeg: view === 'side' ? null : leanOf(driven),
      joints: points.slice(0, -1).map(at),
      axle: at(points.at(-1) ?? [NaN, NaN, NaN]),
      rollDeg: degrees(Math.atan(slope)),
    })),
  }
}

/** How far a wheel leans whose spindle points outboard, its top to the right as one looks from behind, in degrees. */
const leanOf = ([, y, z]: Vec3): number => (Math.atan2(z, Math.abs(y)) * 180 * (y < 0 ? -1 : 1)) / Math.PI

/** A curve along a ruler of travel, with the window it is judged by, in pixels. */
export interface DrawnCurve {
  readonly path: string
  /** Where it holds and where it is tight, from top to bottom; null where nothing limits it. */
  readonly allowed: { readonly top: number; readonly bottom: number } | null
  /** ± about the curve; empty while it is not known. */
  readonly band: string
  readonly worst: { readonly x: number; readonly y: number } | null
}

/** What it takes to draw a curve. */
export interface CurveDrawn {
  readonly atMm: readonly number[]
  readonly values: readonly number[]
  /** At each row; NaN where unknown. */
  readonly plusMinus: readonly number[]
  readonly low: number | null
  readonly high: number | null
  readonly worst: { readonly atMm: number; readonly value: number } | null
}

/** Pixels of a place along the ruler. */
export const alongRuler = (atMm: readonly number[], width: number) => {
  const [from, to] = [atMm[0] ?? 0, atMm.at(-1) ?? 1]
  return (mm: number): number => ((mm - from) / (to - from || 1)) * width
}

/** A curve in a strip of so many pixels: its values and the limits near them fill it. */
export function drawnCurve(curve: CurveDrawn, width: number, height: number): DrawnCurve {
  const { atMm, values, plusMinus, low, high, worst } = curve
  const known = values.filter(Number.isFinite)
  const spread = Math.max(...known) - Math.min(...known)
  const near = (limit: number | null): number[] =>
    limit !== null &&
    limit > Math.min(...known) - 3 * spread - 1 &&
    limit < Math.max(...known) + 3 * spread + 1
      ? [limit]
      : []
  const spreads = values.flatMap((value, i) => {
    const size = plusMinus[i] ?? NaN
    return Number.isFinite(value + size) ? [value - size, value + size] : []
  })
  const shown = [...known, ...spreads, ...near(low), ...near(high)]
  const [least, most] = [Math.min(...shown), Math.max(...shown)]
  const room = 0.08 * (most - least || 1)
  const [bottom, top] = [least - room, most + room]
  const x = alongRuler(atMm, width)
  const y = (value: number): number => ((top - value) / (top - bottom)) * height
  const line = (of: readonly number[]): string => {
    let isOn = false
    return atMm
      .flatMap((mm, i) => {
        const value = of[i] ?? NaN
        const begins = !isOn
        isOn = Number.isFinite(value)
        return isOn ? [`${begins ? 'M' : 'L'}${x(mm).toFixed(2)} ${y(value).toFixed(2)}`] : []
      })
      .join('')
  }
  return {
    path: line(values),
    allowed:
      low === null && high === null
        ? null
        : {
            top: Math.max(0, high === null ? 0 : y(high)),
            bottom: Math.min(height, low === null ? height : y(low)),
          },
    band: bandPath(atMm, values, plusMinus, x, y),
    worst: worst ? { x: x(worst.atMm), y: y(worst.value) } : null,
  }
}

function bandPath(
  atMm: readonly number[],
  values: readonly number[],
  plusMinus: readonly number[],
  x: (mm: number) => number,
  y: (value: number) => number,
): string {
  const rows = atMm.flatMap((mm, i) => {
    const [value = NaN, size = NaN] = [values[i], plusMinus[i]]
    return Number.isFinite(value + size) ? [{ at: x(mm), up: y(value + size), down: y(value - size) }] : []
  })
  const up = rows.map(({ at, up: to }) => `${at.toFixed(2)} ${to.toFixed(2)}`)
  const down = rows.toReversed().map(({ at, down: to }) => `${at.toFixed(2)} ${to.toFixed(2)}`)
  return rows.length < 2 ? '' : `M${[...up, ...down].join('L')}Z`
}

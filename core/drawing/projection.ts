import { degrees } from '../base/units/angle'
import type { LineScene } from './lineScene'
import type { LengthUnit } from '../base/units/unitSettings'
import type { Shape, ViewPoint } from './shape'

/** Space for the drawing, in px. */
export interface Frame {
  readonly width: number
  readonly sideHeight: number
  readonly topHeight: number
}

/** What part of the vehicle is looked at, in mm: stations, and the middle height and offset. */
export interface Focus {
  readonly from: number
  readonly to: number
  readonly height: number
  readonly offset: number
}

/** From mm to px: one horizontal scale for both views, heights and offsets stretched by `exaggeration`. */
export interface Projection {
  readonly pxPerMm: number
  readonly exaggeration: number
  readonly x: (station: number) => number
  /** Height above the datum plane to px down from the top of the side view. */
  readonly sideY: (height: number) => number
  /** Offset to the left to px down from the top of the top view; left of the vehicle is up. */
  readonly topY: (offset: number) => number
}

/** The projection that fits a focus into a frame. */
export function projection(frame: Frame, focus: Focus, exaggeration: number): Projection {
  const span = Math.max(1, focus.to - focus.from)
  const pxPerMm = frame.width / span
  const stretch = pxPerMm * exaggeration
  return {
    pxPerMm,
    exaggeration,
    x: (station) => (station - focus.from) * pxPerMm,
    sideY: (height) => frame.sideHeight / 2 - (height - focus.height) * stretch,
    topY: (offset) => frame.topHeight / 2 - (offset - focus.offset) * stretch,
  }
}

/**
 * The focus that shows the whole line.
 *
 * The station span is widened where the drawing would otherwise not fit the frame's height.
 */
export function wholeFocus(scene: LineScene, span: readonly [number, number], frame: Frame): Focus {
  const heights = scene.shapes.side.flatMap(extent)
  const [low, high] = heights.length > 0 ? [Math.min(...heights), Math.max(...heights)] : [-300, 300]
  const needed = ((high - low + 60) / frame.sideHeight) * frame.width
  const middle = (span[0] + span[1]) / 2
  const half = Math.max(span[1] - span[0], needed) / 2
  return { from: middle - half, to: middle + half, height: (low + high) / 2, offset: 0 }
}

/** A picture that fits so nearly stays as it is, in parts of its stretch: it would stir under every step of a lever. */
const STEADY = 0.02

/** The focus that is there as long as it shows about the same; then the picture, its ruler too, is drawn but where something moved. */
export function steadyFocus(before: Focus | undefined, wanted: Focus): Focus {
  if (!before) return wanted
  const most = STEADY * (wanted.to - wanted.from)
  const isNear = (['from', 'to', 'height', 'offset'] as const).every(
    (edge) => Math.abs(before[edge] - wanted[edge]) <= most,
  )
  return isNear ? before : wanted
}

/** Half the stretch of vehicle shown around a joint, in mm. */
const CLOSE_UP = 260

/** The focus on one joint. */
export function jointFocus(scene: LineScene, lineId: string, number: number): Focus | null {
  const joint = scene.joints.find((one) => one.lineId === lineId && one.number === number)
  if (!joint) return null
  const [station, height] = joint.at.side
  return { from: station - CLOSE_UP, to: station + CLOSE_UP, height, offset: joint.at.top[1] }
}

const extent = (shape: Shape): number[] =>
  shape.form === 'circle'
    ? [shape.centre[1] - shape.radius, shape.centre[1] + shape.radius]
    : shape.points.map((point: ViewPoint) => point[1])

/** A mark of the station ruler, in mm. */
export interface RulerMark {
  readonly station: number
  readonly rank: 'long' | 'middle' | 'short'
}

const METRIC_STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000]
/** An inch and its binary parts, then whole inches and feet, in mm. */
const INCH_STEPS = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4, 12, 48].map((inches) => inches * 25.4)
/** Short marks stand at least this far apart, in px. */
const CLOSEST_PX = 9

/** Marks of the ruler for a stretch of stations, in the build's own steps; every tenth (inches: eighth) is numbered. */
export function rulerMarks(focus: Focus, pxPerMm: number, unit: LengthUnit = 'mm'): RulerMark[] {
  const isInch = unit === 'in' || unit === 'ft'
  const steps = isInch ? INCH_STEPS : METRIC_STEPS
  const step = steps.find((size) => size * pxPerMm >= CLOSEST_PX) ?? (steps.at(-1) as number)
  const perLong = isInch ? 8 : 10
  const marks: RulerMark[] = []
  const first = Math.ceil(focus.from / step)
  for (let count = first; count * step <= focus.to && marks.length < 400; count++) {
    const rank = count % perLong === 0 ? 'long' : count % (perLong / 2) === 0 ? 'middle' : 'short'
    marks.push({ station: count * step, rank })
  }
  return marks
}

/**
 * Lever amount after dragging its handle.
 *
 * @param start - amount when it was taken hold of, mm or degrees
 * @param lift - how far the handle was lifted, in mm
 * @param arm - of the handle: 0 for a straight lever, else the distance it turns about, in mm
 * @param step - amounts snap to it
 */
export function draggedAmount(
  start: number,
  lift: number,
  arm: number,
  step: number,
  range: readonly [number, number],
): number {
  const change = arm === 0 ? lift : degrees(Math.atan2(lift, arm))
  return steppedAmount(start + change, step, range)
}

/** An amount brought to the nearest step within a lever's range. */
export function steppedAmount(amount: number, step: number, range: readonly [number, number]): number {
  const stepped = Math.round(amount / step) * step
  return Math.round(Math.max(range[0], Math.min(range[1], stepped)) * 1e6) / 1e6
}

/** A focus drawn closer about its middle; `factor` 2 shows half the stretch. */
export function zoomed(focus: Focus, factor: number): Focus {
  const middle = (focus.from + focus.to) / 2
  const half = (focus.to - focus.from) / 2 / factor
  return { ...focus, from: middle - half, to: middle + half }
}

import type { Vec3 } from '../linalg/vec3'
import { toStation } from '../frame/station'

/** A point of a view in mm: station to the right, height or left offset up. */
export type ViewPoint = readonly [number, number]

/** The two views of the line drawing. */
export type View = 'side' | 'top'

/** What a shape stands for; the page gives it its colour and line. */
export type Part = 'powertrain' | 'shaft' | 'axle' | 'tyre' | 'rail' | 'ground' | 'mount' | 'axis-line'

/** A plain shape of the drawing, generated from the model. */
export type Shape = (
  | { readonly form: 'polygon' | 'polyline'; readonly part: Part; readonly points: readonly ViewPoint[] }
  | { readonly form: 'circle'; readonly part: Part; readonly centre: ViewPoint; readonly radius: number }
) & {
  /** Drawn with a usual size until the real one is entered. */
  readonly isUsual?: boolean
}

/** Shapes marked as being of a usual size. */
export const asUsual = (shapes: readonly Shape[], isUsual: boolean): Shape[] =>
  isUsual ? shapes.map((shape) => ({ ...shape, isUsual })) : [...shapes]

/** A point of the chassis frame as seen in a view. */
export function seen(point: Vec3, view: View): ViewPoint {
  const { station, offsetLeft, height } = toStation(point)
  return [station, view === 'side' ? height : offsetLeft]
}

/** Points of the chassis frame as a closed shape of a view. */
export const polygon = (part: Part, points: readonly Vec3[], view: View): Shape => ({
  form: 'polygon',
  part,
  points: points.map((point) => seen(point, view)),
})

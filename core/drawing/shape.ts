import { dot, type Vec3 } from '../base/linalg/vec3'

/** A point of a view in mm: so far to the right in it, so far up. */
export type ViewPoint = readonly [number, number]

/** The views of the drawings, each by the directions of the chassis frame that lie to the right and up in it. */
export const VIEW_AXES = {
  side: { right: [-1, 0, 0], up: [0, 0, 1] },
  top: { right: [-1, 0, 0], up: [0, 1, 0] },
  // From the front, looking rearward: left of the vehicle is to the right.
  front: { right: [0, 1, 0], up: [0, 0, 1] },
} as const satisfies Readonly<Record<string, { readonly right: Vec3; readonly up: Vec3 }>>
export type View = keyof typeof VIEW_AXES

/** One of something for every view. */
export const inViews = <T>(of: (view: View) => T): Readonly<Record<View, T>> =>
  Object.fromEntries(Object.keys(VIEW_AXES).map((view) => [view, of(view as View)])) as Record<View, T>

/** What a shape stands for; the page gives it its colour and line. */
export type Part =
  'powertrain' | 'shaft' | 'axle' | 'tyre' | 'rail' | 'ground' | 'mount' | 'axis-line' | 'item' | 'shell'

/** A plain shape of the drawing, generated from the model. */
export type Shape = (
  | { readonly form: 'polygon' | 'polyline'; readonly part: Part; readonly points: readonly ViewPoint[] }
  | { readonly form: 'circle'; readonly part: Part; readonly centre: ViewPoint; readonly radius: number }
) & {
  /** Drawn with a usual size until the real one is entered. */
  readonly isUsual?: boolean
  /** Where it comes to on its way, not where it stands. */
  readonly isSweep?: boolean
  /** A box of cardboard until the part is there. */
  readonly isProvisional?: boolean
  /** What it is, where it is not plain from its look. */
  readonly name?: string
}

/** Shapes marked as being of a usual size. */
export const asUsual = (shapes: readonly Shape[], isUsual: boolean): Shape[] =>
  isUsual ? shapes.map((shape) => ({ ...shape, isUsual })) : [...shapes]

/** A point of the chassis frame as seen in a view. */
export function seen(point: Vec3, view: View): ViewPoint {
  const { right, up } = VIEW_AXES[view]
  return [dot(point, right), dot(point, up)]
}

/** Points of the chassis frame as a closed shape of a view. */
export const polygon = (part: Part, points: readonly Vec3[], view: View): Shape => ({
  form: 'polygon',
  part,
  points: points.map((point) => seen(point, view)),
})

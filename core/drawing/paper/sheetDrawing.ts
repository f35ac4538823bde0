import type { Place2 } from '../../base/outline/polygon'

/** How a mark is drawn: an edge, a hidden or imagined edge, a centre line. */
export type Stroke = 'edge' | 'hidden' | 'centre'

/** A mark of a thing at its true size, in mm: x to the right, y up. */
export type SheetMark = { readonly stroke: Stroke } & (
  | { readonly form: 'outline'; readonly points: readonly Place2[] }
  | { readonly form: 'line'; readonly from: Place2; readonly to: Place2 }
  | { readonly form: 'circle'; readonly at: Place2; readonly radius: number }
)

/** A size between two places of the drawing: along the paper, up it, or straight from one to the other. */
export interface Dimension {
  readonly from: Place2
  readonly to: Place2
  readonly along: 'x' | 'y' | 'straight'
  readonly text: string
  /** The one that is ordered. */
  readonly isMain?: boolean
}

/** A letter or two at a place. */
export interface SheetLabel {
  readonly at: Place2
  readonly text: string
}

/** What a shop makes, drawn at its true size with its sizes. */
export interface SheetDrawing {
  readonly marks: readonly SheetMark[]
  readonly dimensions: readonly Dimension[]
  readonly labels: readonly SheetLabel[]
}

import type { Place2 } from '../../base/outline/polygon'
import type { Stroke } from './sheetDrawing'

/** A mark on paper, in mm from its top left corner, y down. */
export type PaperMark =
  | {
      readonly form: 'path'
      readonly points: readonly Place2[]
      readonly isClosed: boolean
      readonly look: PaperLook
    }
  | { readonly form: 'circle'; readonly at: Place2; readonly radius: number; readonly look: PaperLook }
  | {
      readonly form: 'text'
      readonly at: Place2
      readonly text: string
      readonly isStrong: boolean
      readonly isUpright: boolean
    }
export type PaperLook = Stroke | 'dimension' | 'main' | 'thin' | 'arrow'

export const path = (points: readonly Place2[], look: PaperLook, isClosed = false): PaperMark => ({
  form: 'path',
  points,
  isClosed,
  look,
})
export const text = (at: Place2, words: string, isStrong = false, isUpright = false): PaperMark => ({
  form: 'text',
  at,
  text: words,
  isStrong,
  isUpright,
})

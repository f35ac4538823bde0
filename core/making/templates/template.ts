import type { Place2 } from '../../base/outline/polygon'

/** What is done along a mark: metal is cut, drilled, bent, or only marked. */
export const TEMPLATE_LAYERS = ['cut', 'drill', 'bend', 'scribe'] as const
export type TemplateLayer = (typeof TEMPLATE_LAYERS)[number]

/** A mark of a template, in mm: x to the right, y up. */
export type TemplateMark = { readonly layer: TemplateLayer } & (
  | { readonly form: 'outline'; readonly points: readonly Place2[] }
  | { readonly form: 'line'; readonly from: Place2; readonly to: Place2 }
  | { readonly form: 'circle'; readonly at: Place2; readonly radius: number }
  | { readonly form: 'text'; readonly at: Place2; readonly text: string; readonly size: number }
)

/** A part drawn at its true size, without the width of the saw's cut. */
export interface Template {
  readonly name: string
  readonly size: Place2
  readonly marks: readonly TemplateMark[]
  /** Of the metal or the block; absent where it is no flat part. */
  readonly thickMm?: number
}

/** Texts stand beside the part, so that no line goes through them. */
const TEXT_MM = 4
const LINE_MM = 6

/** A template with its name, what it belongs to and the way it lies written under it, and an arrow that shows forward or up. */
export function titled(
  { name, size: [width, height], marks, thickMm }: Template,
  lines: readonly string[],
  arrow: string,
): Template {
  const foot = LINE_MM * (lines.length + 1)
  const lifted = marks.map((mark) => lift(mark, foot))
  const words = [name, ...lines].map((text, i): TemplateMark => ({
    layer: 'scribe',
    form: 'text',
    at: [0, foot - LINE_MM * (i + 1) + 1],
    text,
    size: TEXT_MM,
  }))
  const right = width - 30
  const shaft: TemplateMark[] = [
    { layer: 'scribe', form: 'line', from: [right, 1], to: [right, foot - 4] },
    { layer: 'scribe', form: 'line', from: [right - 2, foot - 8], to: [right, foot - 4] },
    { layer: 'scribe', form: 'line', from: [right + 2, foot - 8], to: [right, foot - 4] },
    { layer: 'scribe', form: 'text', at: [right + 4, 2], text: arrow, size: TEXT_MM },
  ]
  const size: Place2 = [width, height + foot]
  return { name, size, marks: [...lifted, ...words, ...shaft], ...(thickMm !== undefined && { thickMm }) }
}

function lift(mark: TemplateMark, by: number): TemplateMark {
  const up = ([x, y]: Place2): Place2 => [x, y + by]
  switch (mark.form) {
    case 'outline':
      return { ...mark, points: mark.points.map(up) }
    case 'line':
      return { ...mark, from: up(mark.from), to: up(mark.to) }
    case 'circle':
    case 'text':
      return { ...mark, at: up(mark.at) }
  }
}

import type { Place2 } from '../../base/outline/polygon'
import { wrapCut, type WrapEnd } from '../copes/wrapEnd'
import type { Template, TemplateMark } from './template'

/** An end as it is printed: what it is called, what its match line faces, and where its straight edge lies. */
export interface PrintedEnd {
  readonly name: string
  readonly faces: string
  readonly end: WrapEnd
  /** From the foot of the common perpendicular to the straight edge of its wrap. */
  readonly edgeMm: number
}

const TEXT_MM = 4
const GAP_MM = 14

/** The wraps of a tube one above the other: the tube's outside toward the reader, each with its cut below and its straight edge above. */
export function wrapTemplate(name: string, ends: readonly PrintedEnd[], paperMm: number): Template {
  let foot = 0
  let wide = 0
  const marks = ends.flatMap((printed) => {
    const cut = wrapCut(printed.end, paperMm)
    const low = Math.min(...cut.map(([, up]) => up))
    const at = ([along, up]: Place2): Place2 => [along, foot + up - low]
    const right = cut.at(-1)?.[0] ?? NaN
    const drawn = wrapMarks(printed, cut.map(at), right, at([0, printed.edgeMm])[1])
    foot += printed.edgeMm - low + GAP_MM
    wide = Math.max(wide, right)
    return drawn
  })
  return { name, size: [wide, foot - GAP_MM + TEXT_MM], marks }
}

function wrapMarks(
  { name, faces }: PrintedEnd,
  cut: readonly Place2[],
  right: number,
  top: number,
): TemplateMark[] {
  const at = (along: number): number => cut[Math.round((along / right) * (cut.length - 1))]?.[1] ?? NaN
  const upright = (along: number): TemplateMark => ({
    layer: 'scribe',
    form: 'line',
    from: [along, at(along)],
    to: [along, top],
  })
  const text = (x: number, y: number, words: string): TemplateMark => ({
    layer: 'scribe',
    form: 'text',
    at: [x, y],
    text: words,
    size: TEXT_MM,
  })
  return [
    { layer: 'cut', form: 'outline', points: [...cut, [right, top], [0, top]] },
    ...[0.25, 0.5, 0.75].map((share) => upright(share * right)),
    text(2, top - 6, 'match line'),
    text(2, top - 12, `to ${faces}`),
    text(right / 2 + 2, top - 6, name),
    text(right / 2 + 2, top - 12, 'this side out'),
  ]
}

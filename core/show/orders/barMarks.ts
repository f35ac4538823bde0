import type { SheetMark, Stroke } from '../../drawing/paper/sheetDrawing'

/** A bar that lies along the paper, by its ends, its middle's height and its thickness. */
export const bar = (
  from: number,
  to: number,
  y: number,
  thick: number,
  stroke: Stroke = 'edge',
): SheetMark => ({
  stroke,
  form: 'outline',
  points: [
    [from, y - thick / 2],
    [to, y - thick / 2],
    [to, y + thick / 2],
    [from, y + thick / 2],
  ],
})

/** A joint: its outside and its middle. */
export const ball = (x: number, y: number, radius: number): SheetMark[] => [
  { stroke: 'edge', form: 'circle', at: [x, y], radius },
  { stroke: 'edge', form: 'circle', at: [x, y], radius: radius / 5 },
]

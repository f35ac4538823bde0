import { holdingOutline, MAP_STATES, type LeverMap } from '~~/core/answers/solver/leverMap'
import { FONT, type ChartColours } from './palette'

/** A mark on the map, in amounts of its levers. */
export interface CanvasMark {
  readonly kind: 'present' | 'found'
  readonly x: number
  readonly y: number
}

/** Where the cells lie on the canvas. */
export interface MapFrame {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** Room that counts as plenty: colours deepen up to it, in shares of a limit. */
const PLENTY = 0.5

export const mapFrame = (width: number, height: number): MapFrame => ({
  left: 70,
  top: 14,
  width: Math.max(60, width - 90),
  height: Math.max(60, height - 70),
})

/** Draws the map: cells by state and room, the holding region outlined, both axes with their amounts, the marks. */
export function drawLeverMap(
  context: CanvasRenderingContext2D,
  map: LeverMap,
  frame: MapFrame,
  colours: ChartColours & { readonly paper: string },
  names: readonly [string, string],
  marks: readonly CanvasMark[],
  cursor: readonly [number, number] | null,
): void {
  const { left, top, width, height } = frame
  const [columns, rows] = [map.x.length, map.y.length]
  const [w, h] = [width / columns, height / rows]
  const cellX = (i: number) => left + i * w
  const cellY = (k: number) => top + height - k * h
  context.fillStyle = colours.paper
  context.fillRect(0, 0, context.canvas.width, context.canvas.height)
  const fills = { out: colours.out, tight: colours.tight, holds: colours.holds, unknown: colours.unknown }
  map.states.forEach((index, row) => {
    const state = MAP_STATES[index] ?? 'unknown'
    const room = Math.min(1, Math.abs(map.room[row] ?? 0) / PLENTY)
    // What is out fills most of many maps: it stays pale, so that what holds is what the eye finds.
    const depth = state === 'holds' ? 0.6 : 0.3
    context.globalAlpha = state === 'unknown' ? 0.1 : 0.16 + depth * (Number.isFinite(room) ? room : 1)
    context.fillStyle = fills[state]
    const [i, k] = [row % columns, Math.floor(row / columns)]
    const [x1, x2] = [Math.round(cellX(i)), Math.round(cellX(i + 1))]
    const [y1, y2] = [Math.round(cellY(k + 1)), Math.round(cellY(k))]
    context.fillRect(x1, y1, x2 - x1, y2 - y1)
  })
  context.globalAlpha = 1
  context.strokeStyle = colours.ink
  context.lineWidth = 2.4
  context.beginPath()
  for (const [x1, y1, x2, y2] of holdingOutline(map)) {
    context.moveTo(cellX(x1), cellY(y1))
    context.lineTo(cellX(x2), cellY(y2))
  }
  context.stroke()
  drawAxes(context, map, frame, colours, names)
  const at = (list: readonly number[], amount: number) => {
    const [first = 0, last = 1] = [list[0], list.at(-1)]
    return (amount - first) / (last - first)
  }
  for (const { kind, x, y } of marks) {
    const px = left + w / 2 + at(map.x, x) * (width - w)
    const py = top + height - h / 2 - at(map.y, y) * (height - h)
    drawMark(context, kind, px, py, colours)
  }
  if (cursor) {
    context.strokeStyle = colours.accent
    context.lineWidth = 2.4
    context.strokeRect(cellX(cursor[0]) - 1, cellY(cursor[1] + 1) - 1, w + 2, h + 2)
  }
}

function drawMark(
  context: CanvasRenderingContext2D,
  kind: CanvasMark['kind'],
  x: number,
  y: number,
  { ink, accent, paper }: ChartColours & { readonly paper: string },
): void {
  context.beginPath()
  if (kind === 'present') context.arc(x, y, 7, 0, 2 * Math.PI)
  else {
    context.moveTo(x, y - 9)
    context.lineTo(x + 8, y + 6)
    context.lineTo(x - 8, y + 6)
    context.closePath()
  }
  context.fillStyle = kind === 'present' ? accent : paper
  context.strokeStyle = kind === 'present' ? paper : ink
  context.lineWidth = 2.4
  context.fill()
  context.stroke()
}

function drawAxes(
  context: CanvasRenderingContext2D,
  { x, y }: LeverMap,
  { left, top, width, height }: MapFrame,
  { soft, ink }: ChartColours,
  names: readonly [string, string],
): void {
  context.font = `13px ${FONT}`
  context.fillStyle = soft
  context.textAlign = 'center'
  const ticks = [0, 0.25, 0.5, 0.75, 1]
  const amount = (list: readonly number[], share: number) => {
    const [first = 0, last = 0] = [list[0], list.at(-1)]
    return String(Math.round((first + share * (last - first)) * 10) / 10)
  }
  for (const share of ticks) context.fillText(amount(x, share), left + share * width, top + height + 18)
  context.textAlign = 'right'
  for (const share of ticks) context.fillText(amount(y, share), left - 8, top + height - share * height + 4)
  context.fillStyle = ink
  context.textAlign = 'center'
  context.font = `600 14px ${FONT}`
  context.fillText(names[0], left + width / 2, top + height + 42)
  context.save()
  context.translate(18, top + height / 2)
  context.rotate(-Math.PI / 2)
  context.fillText(names[1], 0, 0)
  context.restore()
}

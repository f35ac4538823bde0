import { movePoint, type RigidMove } from '../base/linalg/mat3'
import { add, type Vec3 } from '../base/linalg/vec3'
import type { Body, BodyBox } from '../file/parts/body'
import type { Outline } from '../file/parts/outline'
import { BODY_KINDS } from '../file/parts/bodyKinds'
import { polygon, seen, type Part, type Shape, type View } from './shape'

/** What a body is drawn as. */
export const partOf = ({ kind }: Pick<Body, 'kind'>): Part => BODY_KINDS[kind].drawnAs

/** True for a body whose look in a view was entered. */
export const hasOutline = ({ box, outlines }: Body, view: View): boolean =>
  box !== undefined || (outlines ?? []).some((outline) => outline.view === view)

/** What lies behind a station, as measured, set back by a shift before the body moves: an adapter. */
export interface SetBack {
  readonly stationMm: number
  readonly shift: Vec3
}

/** A body's outlines in one view, or its box where it has none, after its move. */
export function outlineShapes(
  body: Body,
  move: RigidMove,
  view: View,
  setBack: SetBack | null = null,
): Shape[] {
  const { box, outlines } = body
  const own = (outlines ?? []).filter((outline) => outline.view === view)
  const drawn: readonly Outline[] = own.length > 0 ? own : box ? [boxOutline(box, view)] : []
  return drawn.map((outline) => {
    const points = outline.corners.map((corner) => {
      const place = cornerPoint(corner, outline.view, box)
      const isBehind = setBack && outline.view !== 'front' && -place[0] > setBack.stationMm
      return movePoint(move, isBehind ? add(place, setBack.shift) : place)
    })
    const name = outline.name ?? (body.kind === 'item' ? body.name : undefined)
    const shape: Shape = outline.open
      ? { form: 'polyline', part: partOf(body), points: points.map((point) => seen(point, view)) }
      : polygon(partOf(body), points, view)
    if (name === undefined && !body.provisional) return shape
    return { ...shape, name, ...(body.provisional && { isProvisional: true }) }
  })
}

/** The sides of a box as an outline. */
export function boxOutline({ stations, offsets, heights }: BodyBox, view: View): Outline {
  const [across, up] =
    view === 'side' ? [stations, heights] : view === 'top' ? [stations, offsets] : [offsets, heights]
  const [[left, right], [low, high]] = [across, up]
  return {
    view,
    corners: [
      [left, low],
      [right, low],
      [right, high],
      [left, high],
    ],
  }
}

/** A corner in the chassis frame; what its view does not tell lies in the middle of the body's box. */
function cornerPoint([across, up]: readonly [number, number], view: View, box: BodyBox | undefined): Vec3 {
  const middle = (range: readonly [number, number] | undefined) => (range ? (range[0] + range[1]) / 2 : 0)
  if (view === 'side') return [-across, middle(box?.offsets), up]
  if (view === 'top') return [-across, up, middle(box?.heights)]
  return [-middle(box?.stations), across, up]
}

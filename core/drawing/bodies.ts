import { axisDirection, type FallPlan } from '../base/frame/axis'
import { fromStation } from '../base/frame/station'
import { movePoint, type RigidMove } from '../base/linalg/mat3'
import { add, anyPerpendicular, dot, norm, scale, sub, unit, type Vec3 } from '../base/linalg/vec3'
import type { AxleBody, ChassisSizes, PowertrainSizes } from '../file/parts/body'
import type { Tube } from '../file/parts/lineSpec'
import { polygon, seen, VIEW_AXES, type Shape, type View } from './shape'

/** Radius of the tail housing in mm, where no size is given for it. */
const TAIL_RADIUS = 45

/** A direction square to `along`, as near to up in a view as can be. */
function squareTo(along: Vec3, view: View): Vec3 {
  const wanted = VIEW_AXES[view].up
  const up = sub(wanted, scale(along, dot(wanted, along)))
  // Seen along the axis itself every direction is as good.
  return norm(up) > 1e-6 ? unit(up) : anyPerpendicular(along)
}

/**
 * Outline of engine and gearbox around their axis, from their sizes alone.
 *
 * @param output - output point as measured
 * @returns nothing when a size it needs was not entered
 */
export function powertrainShapes(
  sizes: PowertrainSizes | undefined,
  output: Vec3,
  place: FallPlan,
  move: RigidMove,
  view: View,
): Shape[] {
  const { lengthMm, gearboxLengthMm, aboveAxisMm, belowAxisMm, widthMm } = sizes ?? {}
  if (view === 'front') return engineFromFront(sizes, output, place, move)
  if (!lengthMm || !gearboxLengthMm || gearboxLengthMm >= lengthMm) return []
  const rearward = axisDirection(place)
  const up = squareTo(rearward, view)
  const high = view === 'side' ? aboveAxisMm : widthMm && widthMm / 2
  const low = view === 'side' ? belowAxisMm : widthMm && widthMm / 2
  if (!high || !low) return []
  const at = (forward: number, above: number): Vec3 =>
    movePoint(move, add(add(output, scale(rearward, -forward)), scale(up, above)))
  const bell = gearboxLengthMm
  const sumpRear = bell + (lengthMm - bell) * 0.12
  const waist = bell * 0.45
  const outline = [
    at(0, TAIL_RADIUS),
    at(waist, TAIL_RADIUS * 1.7),
    at(bell * 0.86, TAIL_RADIUS * 1.9),
    at(bell, Math.min(high, low) * 0.95),
    at(sumpRear, high),
    at(lengthMm * 0.97, high * 0.94),
    at(lengthMm, high * 0.4),
    at(lengthMm, -low * 0.6),
    at(lengthMm * 0.92, view === 'side' ? -low * 0.75 : -low),
    at((sumpRear + lengthMm) / 2, -low),
    at(sumpRear, -low),
    at(bell, -Math.min(high, low) * 0.95),
    at(bell * 0.86, -TAIL_RADIUS * 1.9),
    at(waist, -TAIL_RADIUS * 1.7),
    at(0, -TAIL_RADIUS),
  ]
  return [polygon('powertrain', outline, view)]
}

/** The engine from the front: the width at its waist, narrower at the head and in the sump. */
function engineFromFront(
  { lengthMm, aboveAxisMm, belowAxisMm, widthMm }: PowertrainSizes = {},
  output: Vec3,
  place: FallPlan,
  move: RigidMove,
): Shape[] {
  if (!lengthMm || !aboveAxisMm || !belowAxisMm || !widthMm) return []
  const rearward = axisDirection(place)
  const up = squareTo(rearward, 'side')
  const left = squareTo(rearward, 'top')
  const nose = add(output, scale(rearward, -lengthMm))
  const at = (aside: number, above: number): Vec3 =>
    movePoint(move, add(add(nose, scale(left, aside * widthMm)), scale(up, above)))
  const outline = [
    at(-0.24, aboveAxisMm),
    at(0.24, aboveAxisMm),
    at(0.5, aboveAxisMm * 0.6),
    at(0.42, 0),
    at(0.28, -belowAxisMm),
    at(-0.28, -belowAxisMm),
    at(-0.42, 0),
    at(-0.5, aboveAxisMm * 0.6),
  ]
  return [polygon('powertrain', outline, 'front')]
}

/** Housing, nose, tube and tyres of an axle; parts without a size are left out, and the nose where nobody knows of one. */
export function axleShapes(
  axle: AxleBody,
  centre: Vec3,
  nose: Vec3 | null,
  move: RigidMove,
  view: View,
): Shape[] {
  const { housingDiameterMm, tyreDiameterMm, trackMm } = axle.sizes ?? {}
  const middle = movePoint(move, centre)
  const shapes: Shape[] = []
  const wheel = tyreDiameterMm ? tyreDiameterMm / 2 : 0
  if (view === 'side' && wheel) {
    shapes.push({ form: 'circle', part: 'tyre', centre: seen(middle, view), radius: wheel })
    shapes.push({ form: 'circle', part: 'tyre', centre: seen(middle, view), radius: wheel * 0.58 })
  }
  if (view !== 'side' && trackMm && wheel) {
    const tread = Math.min(110, wheel * 0.3)
    for (const side of [1, -1]) {
      const hub: Vec3 = [middle[0], (side * trackMm) / 2, middle[2]]
      shapes.push(
        view === 'top' ? box('tyre', hub, wheel, tread, view) : box('tyre', hub, tread, wheel, view),
      )
    }
    const across = trackMm / 2 - 60
    const beam: Vec3 = [middle[0], 0, middle[2]]
    shapes.push(view === 'top' ? box('axle', beam, 42, across, view) : box('axle', beam, across, 42, view))
  }
  if (!housingDiameterMm) return shapes
  const radius = housingDiameterMm / 2
  const level: Vec3 = [centre[0], nose?.[1] ?? centre[1], centre[2]]
  if (view === 'front' || !nose)
    return [...shapes, { form: 'circle', part: 'axle', centre: seen(movePoint(move, level), view), radius }]
  const toNose = unit(sub(nose, level))
  const square = squareTo(toNose, view)
  const at = (along: number, aside: number): Vec3 =>
    movePoint(move, add(add(level, scale(toNose, along)), scale(square, aside)))
  const reach = norm(sub(nose, level))
  const housing = [
    at(reach, 38),
    at(radius * 0.7, radius * 0.8),
    at(0, radius),
    at(-radius * 0.8, radius * 0.75),
    at(-radius, 0),
    at(-radius * 0.8, -radius * 0.75),
    at(0, -radius),
    at(radius * 0.7, -radius * 0.8),
    at(reach, -38),
  ]
  return [...shapes, polygon('axle', housing, view)]
}

/** Half the length of the yokes left open at each end of a drawn tube, in mm. */
const YOKE = 45

/** A shaft between two joint centres, as wide as its tube; without a tube a plain line. */
export function shaftShape(from: Vec3, to: Vec3, tube: Tube | undefined, view: View): Shape {
  const along = unit(sub(to, from))
  if (!tube) return { form: 'polyline', part: 'shaft', points: [seen(from, view), seen(to, view)] }
  const front = add(from, scale(along, YOKE))
  const rear = add(to, scale(along, -YOKE))
  const half = tube.outerMm / 2
  const square = squareTo(along, view)
  const corners = [
    add(front, scale(square, half)),
    add(rear, scale(square, half)),
    add(rear, scale(square, -half)),
    add(front, scale(square, -half)),
  ]
  return polygon('shaft', corners, view)
}

/** Width of a frame rail, in mm, where no size is given for it. */
const RAIL_WIDTH = 64

/** Rails and ground of the chassis; the datum plane is the rails' underside. */
export function chassisShapes(sizes: ChassisSizes, view: View, span: readonly [number, number]): Shape[] {
  const { railDepthMm, railSpacingMm, railFrontStationMm, railRearStationMm, groundBelowMm } = sizes
  const shapes: Shape[] = []
  const front = railFrontStationMm
  const rear = railRearStationMm
  if (front !== undefined && rear !== undefined && railDepthMm) {
    const middle = (front + rear) / 2
    const half = Math.abs(rear - front) / 2
    if (view === 'side') {
      shapes.push(
        box(
          'rail',
          fromStation({ station: middle, offsetLeft: 0, height: railDepthMm / 2 }),
          half,
          railDepthMm / 2,
          view,
        ),
      )
    } else if (railSpacingMm) {
      const { railFrontSpacingMm = railSpacingMm, railTaperStationMm = rear } = sizes
      for (const side of [1, -1]) {
        if (view === 'top') {
          const edge = (by: number) =>
            [
              [front, railFrontSpacingMm],
              [Math.min(rear, Math.max(front, railTaperStationMm)), railSpacingMm],
              [rear, railSpacingMm],
            ].map(([station = 0, spacing = 0]) =>
              fromStation({ station, offsetLeft: side * (spacing / 2 + by), height: railDepthMm / 2 }),
            )
          const [inner, outer] = [edge(-RAIL_WIDTH / 2), edge(RAIL_WIDTH / 2)]
          shapes.push(polygon('rail', [...inner, ...outer.toReversed()], view))
        } else {
          const offsetLeft = (side * railFrontSpacingMm) / 2
          const place = fromStation({ station: middle, offsetLeft, height: railDepthMm / 2 })
          shapes.push(box('rail', place, RAIL_WIDTH / 2, railDepthMm / 2, view))
        }
      }
    }
  }
  if (view !== 'top' && groundBelowMm) {
    shapes.push({
      form: 'polyline',
      part: 'ground',
      points: [
        [span[0], -groundBelowMm],
        [span[1], -groundBelowMm],
      ],
    })
  }
  return shapes
}

function box(part: Shape['part'], centre: Vec3, halfAlong: number, halfAcross: number, view: View): Shape {
  const [station, level] = seen(centre, view)
  return {
    form: 'polygon',
    part,
    points: [
      [station - halfAlong, level - halfAcross],
      [station + halfAlong, level - halfAcross],
      [station + halfAlong, level + halfAcross],
      [station - halfAlong, level + halfAcross],
    ],
  }
}

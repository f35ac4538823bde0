import { outlineShapes, boxOutline } from '../drawing/outlines'
import type { View } from '../drawing/shape'
import { NO_MOVE, type RigidMove } from '../base/linalg/mat3'
import { isSimple, stripOf, type Place2, type Polygon } from '../base/outline/polygon'
import { outlineGap } from '../base/outline/outlineGap'
import { OUTLINE_VIEWS, type Outline } from '../file/parts/outline'
import type { Body, BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'

/** Something that can be touched: a body, or a named part of one such as a bonnet, as outlines in the views it is drawn in. */
export interface Thing {
  /** The body, with the part's name behind it. */
  readonly key: string
  readonly name: string
  readonly body: BodyId
  readonly views: Readonly<Partial<Record<View, readonly Polygon[]>>>
}

/** How a body stands against where it was measured; null where nobody knows. */
export type MoveOf = (body: BodyId) => RigidMove | null

/**
 * Everything that has an outline or a box, as it stands.
 *
 * @returns outlines that cross themselves are left out, and named
 */
export function thingsOf(
  build: Pick<Build, 'bodies'>,
  moveOf: MoveOf,
): { readonly things: Thing[]; readonly unusable: readonly string[] } {
  const things: Thing[] = []
  const unusable: string[] = []
  for (const body of build.bodies) {
    const move = moveOf(body.id) ?? NO_MOVE
    for (const name of partNames(body)) {
      const views: Partial<Record<View, readonly Polygon[]>> = {}
      for (const view of OUTLINE_VIEWS) {
        const polygons = outlinesIn(body, view, name).flatMap((outline) => polygonsOf(body, outline, move))
        if (polygons.length === 0) continue
        if (polygons.every(isSimple)) views[view] = polygons
        else unusable.push(name ?? body.name)
      }
      if (Object.keys(views).length > 0)
        things.push({
          key: name === undefined ? body.id : `${body.id}/${name}`,
          name: name ?? body.name,
          body: body.id,
          views,
        })
    }
  }
  return { things, unusable: [...new Set(unusable)] }
}

/** The whole as undefined, then each part that has a name of its own. */
const partNames = ({ outlines = [], box }: Body): (string | undefined)[] => {
  const names = [...new Set(outlines.map(({ name }) => name))]
  return names.length === 0 && box ? [undefined] : names
}

function outlinesIn({ box, outlines = [] }: Body, view: View, name: string | undefined): Outline[] {
  const own = outlines.filter((one) => one.view === view && one.name === name)
  if (own.length > 0) return own
  return box && name === undefined ? [boxOutline(box, view)] : []
}

function polygonsOf(body: Body, outline: Outline, move: RigidMove): Polygon[] {
  return outlineShapes({ ...body, outlines: [outline] }, move, outline.view).flatMap((shape) => {
    if (shape.form === 'circle') return []
    if (shape.form === 'polygon') return [shape.points]
    return shape.points.slice(1).map((to, i): Polygon => stripOf(shape.points[i] as Place2, to))
  })
}

/** How near two things are as they are drawn. */
export interface DrawnGap {
  /** In mm; below nought they lie in each other by as much, the shortest way out. */
  readonly gapMm: number
  /** The view that tells it. */
  readonly view: View
  /** How many views show both: with one alone, one may stand beside the other. */
  readonly views: number
}

/**
 * The gap of two things by their outlines: no two things are nearer than they look in any one view, so the widest counts.
 *
 * @returns null where no view shows both
 */
export function drawnGap(a: Thing, b: Thing): DrawnGap | null {
  const seen = OUTLINE_VIEWS.flatMap((view) => {
    const [own, other] = [a.views[view], b.views[view]]
    return own && other ? [{ view, gapMm: leastGap(own, other) }] : []
  })
  const [first, ...rest] = seen
  if (!first) return null
  const widest = rest.reduce((best, one) => (one.gapMm > best.gapMm ? one : best), first)
  return { ...widest, views: seen.length }
}

const leastGap = (own: readonly Polygon[], other: readonly Polygon[]): number =>
  Math.min(...own.flatMap((one) => other.map((two) => outlineGap(one, two).gapMm)))

/** True where one stands on the other, straight or by what is between: nothing moves between them. */
export function isOneBody(build: Pick<Build, 'bodies'>, a: BodyId, b: BodyId): boolean {
  return a === b || bearersOf(build, a).includes(b) || bearersOf(build, b).includes(a)
}

/** What a body stands on, nearest first. */
export function bearersOf({ bodies }: Pick<Build, 'bodies'>, id: BodyId): BodyId[] {
  const chain: BodyId[] = []
  for (
    let on = bodies.find((body) => body.id === id)?.standsOn;
    on !== undefined && !chain.includes(on) && chain.length < bodies.length;
    on = bodies.find((body) => body.id === on)?.standsOn
  )
    chain.push(on)
  return chain
}

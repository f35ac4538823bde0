import { VIEW_AXES, type View } from '../drawing/shape'
import { known, unknown, type Known } from '../base/known'
import { dot, unit, type Vec3 } from '../base/linalg/vec3'
import { outlineGap, wayAlong } from '../base/outline/outlineGap'
import type { Place2, Polygon } from '../base/outline/polygon'
import { OUTLINE_VIEWS } from '../file/parts/outline'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { ServiceCheck } from '../file/parts/serviceCheck'
import { bearersOf, type Thing } from './things'

/** What lies in the way of something that is taken out, and after how far. */
export interface InWay {
  readonly name: string
  readonly body: BodyId
  /** How far it goes until it touches, in mm; 0 for what lies against it already. */
  readonly afterMm: number
  /** In how many views both are drawn: with one alone, it may pass beside it. */
  readonly views: number
}

/** How far something comes out. */
export interface ServiceAnswer {
  /** Way to the first thing it meets, in mm; null when it meets nothing. */
  readonly clearMm: number | null
  /** All that it meets within the way it needs, the first first. */
  readonly inWay: readonly InWay[]
  /** What it is bolted to: it has to come free of that whatever the drawing says, so that is not looked at. */
  readonly boltedTo: readonly BodyId[]
}

/** Drawn so near each other, in mm, two things touch. */
const TOUCH_MM = 0.5
/** Seen along its way within this share a thing hardly moves in a view. */
const STILL = 0.02

/**
 * Whether a part comes out along a straight way: by outlines, in each view it is drawn in.
 *
 * Two things meet no sooner than they do in each view, so the latest counts; for boxes that is exact.
 *
 * @param things - everything drawn, as it stands
 * @returns unknown where the part has no outline
 */
export function serviceWay(
  build: Build,
  check: ServiceCheck,
  things: readonly Thing[],
): Known<ServiceAnswer> {
  const goesAlong = (body: BodyId) => body === check.body || bearersOf(build, body).includes(check.body)
  const own = things.filter(({ body }) => goesAlong(body))
  const name = build.bodies.find(({ id }) => id === check.body)?.name ?? check.body
  if (!own.some(({ body }) => body === check.body)) return unknown(`an outline or a box of ${name}`)
  const boltedTo = bearersOf(build, check.body)
  const direction = unit(check.toward as Vec3)
  const met = things.flatMap((thing): InWay[] => {
    if (goesAlong(thing.body) || boltedTo.includes(thing.body)) return []
    const ways = own.flatMap((one) => meets(one, thing, direction) ?? [])
    const [first] = ways.sort((a, b) => a.afterMm - b.afterMm)
    return first ? [{ name: thing.name, body: thing.body, ...first }] : []
  })
  met.sort((a, b) => a.afterMm - b.afterMm)
  return known({
    clearMm: met[0]?.afterMm ?? null,
    inWay: met.filter(({ afterMm }) => afterMm < check.wayMm),
    boltedTo,
  })
}

/** When one thing meets another on its way; null when it never does or no view shows both. */
function meets(one: Thing, other: Thing, direction: Vec3): Pick<InWay, 'afterMm' | 'views'> | null {
  let [afterMm, views] = [0, 0]
  for (const view of OUTLINE_VIEWS) {
    const [own, theirs] = [one.views[view], other.views[view]]
    if (!own || !theirs) continue
    const after = meetsIn(view, own, theirs, direction)
    if (after === null) return null
    afterMm = Math.max(afterMm, after)
    views++
  }
  return views === 0 ? null : { afterMm, views }
}

function meetsIn(
  view: View,
  own: readonly Polygon[],
  theirs: readonly Polygon[],
  direction: Vec3,
): number | null {
  const along: Place2 = [dot(direction, VIEW_AXES[view].right), dot(direction, VIEW_AXES[view].up)]
  const speed = Math.hypot(...along)
  let first: number | null = null
  for (const a of own)
    for (const b of theirs) {
      const touches = outlineGap(a, b).gapMm < -TOUCH_MM
      const way = touches ? 0 : speed < STILL ? null : wayAlong(a, b, along)
      if (way === null) continue
      const after = touches ? 0 : way / speed
      if (first === null || after < first) first = after
    }
  return first
}

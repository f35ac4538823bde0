import type { View } from '../drawing/shape'
import { OUTLINE_VIEWS } from '../file/parts/outline'
import type { Build } from '../file/build/build'
import type { Polygon } from '../base/outline/polygon'
import { drawnGap, isOneBody, type DrawnGap, type Thing } from './things'

/** Two things that stand close as they are drawn, and between which no gap is watched. */
export interface ClosePair extends DrawnGap {
  readonly a: Thing
  readonly b: Thing
}

/** Closer than this is worth a word, in mm. */
const CLOSE_MM = 30

/** Pairs that stand close and that nobody watches, the closest first. */
export function closePairs(build: Build, things: readonly Thing[], withinMm = CLOSE_MM): ClosePair[] {
  const found: ClosePair[] = []
  things.forEach((a, i) => {
    for (const b of things.slice(i + 1)) {
      if (isOneBody(build, a.body, b.body) || isWatched(build, a, b) || isFar(a, b, withinMm)) continue
      const gap = drawnGap(a, b)
      // What lies over the other in the only view that shows both says nothing: it may stand beside it.
      if (gap && gap.gapMm < withinMm && (gap.views > 1 || gap.gapMm > 0)) found.push({ a, b, ...gap })
    }
  })
  return found.sort((one, other) => one.gapMm - other.gapMm)
}

/** A gap between the two bodies counts; with a named part of a body it has to name that part. */
function isWatched(build: Build, a: Thing, b: Thing): boolean {
  return build.gaps.some((gap) => {
    if (gap.kind === 'ground' || gap.kind === 'service' || gap.shaft) return false
    const own = build.points.find(({ id }) => id === gap.point)?.body
    const other = gap.obstacle ?? build.bodies.find(({ kind }) => kind === 'chassis')?.id
    const isBetween = (own === a.body && other === b.body) || (own === b.body && other === a.body)
    const names = [a, b].filter(({ key, body }) => key !== body).map(({ name }) => name)
    return isBetween && names.every((name) => saysSo(gap.name, name))
  })
}

/** "gearbox to tunnel, left" speaks of the part "tunnel, left"; so does "crank pulley to front crossmember" of its own. */
const saysSo = (gapName: string, part: string): boolean =>
  (part.toLowerCase().split(',')[0] ?? part).split(' ').every((word) => gapName.toLowerCase().includes(word))

/** Boxes about the outlines rule out most pairs without looking at a corner twice. */
function isFar(a: Thing, b: Thing, withinMm: number): boolean {
  return OUTLINE_VIEWS.some((view) => {
    const [one, other] = [boundsIn(a, view), boundsIn(b, view)]
    if (!one || !other) return false
    const apart = (i: 0 | 1) => Math.max(one.low[i] - other.high[i], other.low[i] - one.high[i])
    return Math.max(apart(0), apart(1)) > withinMm
  })
}

function boundsIn(thing: Thing, view: View) {
  const corners = (thing.views[view] ?? []).flatMap((polygon: Polygon) => polygon)
  if (corners.length === 0) return null
  const along = (i: 0 | 1) => corners.map((corner) => corner[i])
  return {
    low: [Math.min(...along(0)), Math.min(...along(1))] as const,
    high: [Math.max(...along(0)), Math.max(...along(1))] as const,
  }
}

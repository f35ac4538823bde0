import { answered } from '../../base/answered'
import { known, unknown, type Known } from '../../base/known'
import type { Place2 } from '../../base/outline/polygon'
import type { CutoutEntry, CutoutTouch } from '../../file/kinds/cutoutKinds'
import { cutBack, type CutBack } from './cutBack'

/** A touch with the cut that follows it. */
export interface TouchCut extends CutBack {
  readonly touch: CutoutTouch
}

/** What the next cut is, and what a larger one saves. */
export interface CutoutAnswer {
  readonly cuts: readonly TouchCut[]
  /** The opening once all of them are made. */
  readonly corners: readonly Place2[]
  readonly larger: Known<LargerCut>
}

/** A cut that goes in one, against as many as it takes to go on as the last. */
export interface LargerCut {
  /** Cut at once by so much, its gap with it. */
  readonly depthMm: number
  /** Times that it is lowered until it stands, going on with cuts like the last. */
  readonly lowerings: number
  readonly saves: number
}

/** An opening, touch after touch; unknown with why where a side cannot be cut. */
export function cutoutAnswer(cutout: CutoutEntry): Known<CutoutAnswer> {
  const { corners, touches = [], gapMm = 0 } = cutout
  const start = corners.map(({ fromLeftMm, fromFrontMm }): Place2 => [fromLeftMm, fromFrontMm])
  return answered(() => {
    const cuts: TouchCut[] = []
    for (const touch of touches) {
      const place: Place2 = [touch.at.fromLeftMm, touch.at.fromFrontMm]
      const cut = cutBack(cuts.at(-1)?.corners ?? start, place, touch.overlapMm + gapMm)
      cuts.push({ ...cut, touch })
    }
    return { cuts, corners: cuts.at(-1)?.corners ?? start, larger: largerCut(cuts, gapMm) }
  })
}

/**
 * What a larger cut saves, by how much wider the part became between its last two touches on one side: while it came down it took the gap of the cut before
 * and the overlap that was found.
 */
function largerCut(cuts: readonly TouchCut[], gapMm: number): Known<LargerCut> {
  const last = cuts.at(-1)
  const before = cuts.slice(0, -1).findLast(({ side }) => side === last?.side)
  if (!last || !before) return unknown('a second touch on the same side')
  const [then, now] = [before.touch.leftMm, last.touch.leftMm]
  if (then === undefined || now === undefined)
    return unknown('how far it still had to come down at both touches')
  if (!(then > now)) return unknown('a touch after it came down further')
  if (!(gapMm > 0)) return unknown('the gap that is wanted round it')
  const widensPerMm = (gapMm + last.touch.overlapMm) / (then - now)
  // Each cut like the last lets it down until its gap is used up.
  const lowerings = Math.max(1, Math.ceil((now * widensPerMm) / gapMm))
  return known({
    depthMm: last.touch.overlapMm + now * widensPerMm + gapMm,
    lowerings,
    saves: lowerings - 1,
  })
}

import { SEEN_FROM, type PhotoScale, type SeenFrom } from '../../file/parts/photo'
import type { Vec3 } from '../../base/linalg/vec3'
import { CoreError } from '../../base/errors'
import { photoMap, type PhotoMap, type Pixel, type Place } from './photoScale'

/** A scale that may not be whole yet: what has not been told is undefined. */
export interface ScaleDraft {
  readonly seenFrom: SeenFrom
  readonly first?: Pixel
  readonly second?: Pixel
  /** Where A and B are in the view, in mm, each figure by itself. */
  readonly at: readonly [number?, number?]
  readonly other: readonly [number?, number?]
  readonly distanceMm?: number
  readonly cameraMm?: number
  readonly nearerMm?: number
}

/** What a draft still lacks. */
export type ScaleLack = 'first' | 'second' | 'at' | 'distance' | 'apart'

export const NEW_SCALE: ScaleDraft = { seenFrom: 'left', at: [], other: [] }

/** A whole scale as a draft that can be changed. */
export const draftOf = ({
  points: [first, second],
  places: [at, other],
  ...rest
}: PhotoScale): ScaleDraft => ({
  ...rest,
  first,
  second,
  at,
  other: other ?? [],
})

const wholePlace = ([along, up]: readonly [number?, number?]): Place | null =>
  along === undefined || up === undefined ? null : [along, up]

/** A draft as a scale with its map, or what it still lacks. */
export function scaleOf(
  draft: ScaleDraft,
): { readonly scale: PhotoScale; readonly map: PhotoMap } | { readonly lacks: readonly ScaleLack[] } {
  const { seenFrom, first, second, distanceMm, cameraMm, nearerMm } = draft
  const [at, other] = [wholePlace(draft.at), wholePlace(draft.other)]
  const lacks: ScaleLack[] = []
  if (!first) lacks.push('first')
  if (!second) lacks.push('second')
  if (!at) lacks.push('at')
  if (!other && distanceMm === undefined) lacks.push('distance')
  if (!first || !second || !at || lacks.length > 0) return { lacks }
  const scale: PhotoScale = {
    seenFrom,
    points: [first, second],
    places: other ? [at, other] : [at],
    ...(distanceMm !== undefined && { distanceMm }),
    ...(cameraMm !== undefined && { cameraMm }),
    ...(nearerMm !== undefined && { nearerMm }),
  }
  try {
    return { scale, map: photoMap(scale) }
  } catch (error) {
    if (error instanceof CoreError) return { lacks: ['apart'] }
    throw error
  }
}

/** Where a point stands in the view that is seen from a side, in mm. */
export function placeSeen([forward, left, up]: Vec3, seenFrom: SeenFrom): Place {
  const view = SEEN_FROM[seenFrom]
  if (view === 'front') return [left, up]
  return view === 'side' ? [-forward, up] : [-forward, left]
}

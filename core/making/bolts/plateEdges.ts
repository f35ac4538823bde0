import { CoreError } from '../../base/errors'
import { toSegment } from '../../base/outline/outlineGap'
import { sidesOf, surrounds, type Place2, type Polygon } from '../../base/outline/polygon'

/** A hole of a plate. */
export interface PlateHole {
  readonly id: string
  readonly at: Place2
  readonly holeMm: number
}

export type EdgeVerdict = 'ok' | 'warn' | 'fail'

export interface HoleEdge {
  readonly id: string
  /** From its middle to the nearest edge. */
  readonly edgeMm: number
  readonly edgeRatio: number
  readonly verdict: EdgeVerdict
}

export interface PlateEdges {
  readonly holes: readonly HoleEdge[]
  /** The two holes that are nearest for their size; null for one hole. */
  readonly pitchMm: number | null
  readonly pitchRatio: number | null
  readonly pitchVerdict: EdgeVerdict | null
}

/** Of the hole's size: below the first it is warned of, below the second it fails. */
const EDGE_RATIOS = [1.5, 1.2] as const
const PITCH_RATIOS = [2.5, 2.2] as const

/** A round edge is drawn in chords that run so little inside it. */
const CHORD = 1 - 1e-4
const graded = (ratio: number, [warn, fail]: readonly [number, number]): EdgeVerdict =>
  ratio >= warn * CHORD ? 'ok' : ratio >= fail * CHORD ? 'warn' : 'fail'

/**
 * How near holes stand to the edges of their plate and to each other.
 *
 * @param outline - corners in order, one way or the other
 * @throws CoreError `out-of-range` for a hole outside its plate
 */
export function plateEdges(outline: Polygon, holes: readonly PlateHole[]): PlateEdges {
  const found = holes.map(({ id, at, holeMm }): HoleEdge => {
    if (!surrounds(outline, at)) throw new CoreError('out-of-range', id, 'lies outside the plate')
    const edgeMm = Math.min(...sidesOf(outline).map(([from, to]) => toSegment(at, from, to).distanceMm))
    const edgeRatio = edgeMm / holeMm
    return { id, edgeMm, edgeRatio, verdict: graded(edgeRatio, EDGE_RATIOS) }
  })
  const pairs = holes.flatMap((a, i) =>
    holes.slice(i + 1).map((b) => {
      const pitchMm = Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])
      return { pitchMm, ratio: pitchMm / Math.max(a.holeMm, b.holeMm) }
    }),
  )
  if (pairs.length === 0) return { holes: found, pitchMm: null, pitchRatio: null, pitchVerdict: null }
  const pitchRatio = Math.min(...pairs.map(({ ratio }) => ratio))
  const pitchMm = Math.min(...pairs.map((pair) => pair.pitchMm))
  return { holes: found, pitchMm, pitchRatio, pitchVerdict: graded(pitchRatio, PITCH_RATIOS) }
}

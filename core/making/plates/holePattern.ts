import { CoreError } from '../../base/errors'
import type { Place2 } from '../../base/outline/polygon'
import { otherArrangements } from './arrangements'
import { fitDistances } from './fitDistances'
import type { HoleDistances, Span } from './holeDistances'

/** A tape over two holes: between centres, near edges or far edges. */
export interface TapedDistance {
  readonly a: string
  readonly b: string
  readonly mm: number
  readonly mode: 'centre' | 'inner' | 'outer'
}

/** What was read on a plate, an engine's face or a gearbox. */
export interface TapedHoles {
  readonly holes: readonly string[]
  readonly distances: readonly TapedDistance[]
  /** Diameters of holes that were taped over edges. */
  readonly diameters: ReadonlyMap<string, number>
}

export interface TapeResidual {
  readonly a: string
  readonly b: string
  /** Centre distance as read, less that of the pattern. */
  readonly residualMm: number
  /** What the other tapes say about this one: 0 nothing at all, 1 everything. */
  readonly redundancy: number
  /** What the reading is off by if it alone is wrong; null where nothing checks it. */
  readonly estimatedErrorMm: number | null
}

/** The tape without which the others agree best. */
export interface SuspectTape {
  readonly index: number
  readonly a: string
  readonly b: string
  /** Scatter of the others without it. */
  readonly scatterWithoutMm: number
}

export interface HolePattern {
  /** The first hole at (0, 0), the second on +x, the third with y above 0. */
  readonly places: ReadonlyMap<string, readonly [x: number, y: number]>
  readonly residuals: readonly TapeResidual[]
  readonly degreesOfFreedom: number
  readonly rmsMm: number
  /** Root of the squares over the degrees of freedom; null where nothing is over. */
  readonly scatterMm: number | null
  /** The tape to read again; null where none stands out. */
  readonly suspect: SuspectTape | null
  /** The one that would be looked at first, whether or not it stands out. */
  readonly bestCandidate: SuspectTape | null
  /** Another arrangement of the holes fits as well: one more tape would tell. */
  readonly isAmbiguous: boolean
}

const MOST_HOLES = 24
/** Below this scatter no tape is accused: it is how well one can read. */
const READS_TO_MM = 0.3
/** So much of the scatter must go with a tape that is accused. */
const SHARE_LEFT = 0.5
/** Arrangements that fit as well as this are told apart by no tape. */
const SAME_FIT_MM = 1e-3
const UNCHECKED = 1e-6
/** Three sides that fail to close by more than this are refused where nothing else decides. */
const CLOSES_MM = 1e-3

/**
 * Coordinates of holes from distances between them, by least squares over all arrangements.
 *
 * @throws CoreError `unknown` for a hole or diameter that is not there, `out-of-range` for a distance not above 0, `degenerate` for too few distances,
 * a pattern that is not held, or sides that cannot close, `too-large` for more than 24 holes
 * @see docs/methods/plates.md
 */
export function holePattern(taped: TapedHoles): HolePattern {
  const spans = spansOf(taped)
  const count = taped.holes.length
  const best = fitDistances({ count, spans })
  if (!best) throw new CoreError('degenerate', 'holes', 'these distances do not hold every hole in its place')
  const degreesOfFreedom = spans.length - (2 * count - 3)
  const { squares } = best
  const rmsMm = Math.sqrt(squares / spans.length)
  if (degreesOfFreedom === 0 && rmsMm > CLOSES_MM)
    throw new CoreError(
      'degenerate',
      'distances',
      'do not close: one side is longer than the others together',
    )
  const scatterMm = degreesOfFreedom > 0 ? Math.sqrt(squares / degreesOfFreedom) : null
  const bestCandidate =
    degreesOfFreedom >= 2 && (scatterMm ?? 0) >= READS_TO_MM
      ? candidate({ count, spans }, taped, best.places)
      : null
  const stands = bestCandidate && bestCandidate.scatterWithoutMm < SHARE_LEFT * (scatterMm ?? 0)
  return {
    places: new Map(taped.holes.map((hole, i) => [hole, best.places[i] ?? [NaN, NaN]])),
    residuals: best.residuals.map((residualMm, k): TapeResidual => {
      const redundancy = best.redundancies[k] ?? 0
      const { a, b } = taped.distances[k] as TapedDistance
      const isChecked = redundancy > UNCHECKED
      return {
        a,
        b,
        residualMm,
        redundancy,
        estimatedErrorMm: isChecked ? residualMm / redundancy : null,
      }
    }),
    degreesOfFreedom,
    rmsMm,
    scatterMm,
    suspect: stands ? bestCandidate : null,
    bestCandidate,
    isAmbiguous: otherArrangements({ count, spans }, best).some(
      ({ squares: others }) => Math.sqrt(others / spans.length) < rmsMm + SAME_FIT_MM,
    ),
  }
}

function spansOf({ holes, distances, diameters }: TapedHoles): Span[] {
  if (holes.length > MOST_HOLES) throw new CoreError('too-large', 'holes', `no more than ${MOST_HOLES}`)
  if (holes.length < 3) throw new CoreError('degenerate', 'holes', 'a pattern has three or more')
  const places = new Map(holes.map((hole, i) => [hole, i]))
  if (places.size < holes.length) throw new CoreError('degenerate', 'holes', 'one is named twice')
  const least = 2 * holes.length - 3
  if (distances.length < least)
    throw new CoreError(
      'degenerate',
      'distances',
      `${holes.length} holes need at least ${least}, there are ${distances.length}`,
    )
  const radius = (hole: string): number => {
    const diameter = diameters.get(hole)
    if (diameter === undefined || !(diameter > 0))
      throw new CoreError('unknown', `diameter ${hole}`, 'is needed for a tape over edges')
    return diameter / 2
  }
  return distances.map(({ a, b, mm, mode }, k): Span => {
    const [from, to] = [places.get(a), places.get(b)]
    if (from === undefined || to === undefined)
      throw new CoreError('unknown', `distances[${k}]`, 'names a hole that is not there')
    if (from === to) throw new CoreError('degenerate', `distances[${k}]`, 'goes from a hole to itself')
    const over = mode === 'centre' ? 0 : radius(a) + radius(b)
    const centres = mode === 'outer' ? mm - over : mm + over
    if (!(mm > 0 && centres > 0)) throw new CoreError('out-of-range', `distances[${k}]`, 'must be above 0')
    return { from, to, mm: centres }
  })
}

/** By refitting without each: a raw residual does not name the bad tape. */
function candidate(
  { count, spans }: HoleDistances,
  { distances }: TapedHoles,
  near: readonly Place2[],
): SuspectTape | null {
  const free = spans.length - 1 - (2 * count - 3)
  let found: SuspectTape | null = null
  spans.forEach((_, index) => {
    const fit = fitDistances({ count, spans: spans.filter((_span, k) => k !== index) }, near)
    if (!fit) return
    const scatterWithoutMm = Math.sqrt(fit.squares / free)
    const { a, b } = distances[index] as TapedDistance
    if (!found || scatterWithoutMm < found.scatterWithoutMm) found = { index, a, b, scatterWithoutMm }
  })
  return found
}

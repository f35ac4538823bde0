import { CoreError, requireFinite } from '../../base/errors'
import { sum } from '../../base/numbers'
import { degrees } from '../../base/units/angle'
import type { Place2 } from '../../base/outline/polygon'
import { leastLargest } from './leastLargest'
import { leastOpening } from './leastOpening'
import { errorOf, leastSquaresPose, toBoss, turned, type Pair, type Pose } from './pose'

/** A hole of a plate and the boss it is to sit on, each in its own frame as one looks at it from the front: x right, y up. */
export interface PlateHole {
  readonly id: string
  readonly at: Place2
  readonly holeMm: number
  readonly boltMm: number
  readonly boss: Place2
  /** Fixes the plate: is never opened and takes no play. */
  readonly isDowel: boolean
}

export interface PlateOnBosses {
  readonly holes: readonly PlateHole[]
  /** What a dowel's hole may be out; 0.02 when absent. */
  readonly dowelMm?: number
  /** More holes than this are drilled anew; 2 when absent. */
  readonly mostOpen?: number
  readonly seenFrom: 'front' | 'back'
}

/** A hole to be made longer. */
export interface OpenedHole {
  readonly id: string
  /** By which the slot grows. */
  readonly byMm: number
  /** Of a clock as one looks at it: 12 is the plate's up. */
  readonly hour: number
  /** Anticlockwise from the plate's right, seen from the front. */
  readonly towardDeg: number
}

export interface PlateFit {
  /** How it lies: with the least miss, with the least opening, or by least squares where it is to be drilled anew. */
  readonly pose: Pose
  /** How far the worst hole is beyond its play in the best pose; it fits when not above nought. */
  readonly missMm: number
  /** The least largest error, play not counted: says nothing of which hole to file. */
  readonly leastLargestMm: number
  readonly leastSquaresMm: ReadonlyMap<string, number>
  readonly verdict: 'fits' | 'open' | 'redrill'
  /** The fewest holes, and the least opening of them. */
  readonly open: readonly OpenedHole[]
  readonly totalMm: number | null
  /** Other sets of as many holes, least opening first. */
  readonly alternatives: readonly { readonly ids: readonly string[]; readonly totalMm: number }[]
}

const FITS_MM = 1e-6
const MOST_HOLES = 24
const DOWEL_MM = 0.02
const MOST_OPEN = 2

/**
 * Does a plate fit on its bosses by turn and shift alone, and if not, which fewest holes to open, by how much, toward where?
 *
 * @throws CoreError `degenerate` for fewer than three holes, one named twice or all at one place, `out-of-range` for a hole smaller than its bolt
 * @see docs/methods/plates.md
 */
export function fitPlate(plate: PlateOnBosses): PlateFit {
  const pairs = pairsOf(plate)
  const { pose: closest, beyondMm: missMm } = leastLargest(pairs)
  const squares = leastSquaresPose(pairs)
  const known = {
    missMm,
    leastLargestMm: leastLargest(pairs.map((pair) => ({ ...pair, playMm: 0 }))).beyondMm,
    leastSquaresMm: new Map(pairs.map((pair) => [pair.id, errorOf(squares, pair)])),
  }
  if (missMm <= FITS_MM)
    return { ...known, pose: closest, verdict: 'fits', open: [], totalMm: null, alternatives: [] }
  const openable = pairs.filter((_, k) => !plate.holes[k]?.isDowel)
  for (let count = 1; count <= Math.min(plate.mostOpen ?? MOST_OPEN, openable.length); count++) {
    const ways = [...setsOf(openable, count)].flatMap((set) => openedBy(pairs, set, plate.seenFrom) ?? [])
    ways.sort((a, b) => a.totalMm - b.totalMm)
    const [best, ...others] = ways
    if (best) return { ...known, verdict: 'open', ...best, alternatives: others.map(asAlternative) }
  }
  return { ...known, pose: squares, verdict: 'redrill', open: [], totalMm: null, alternatives: [] }
}

interface Opening {
  readonly pose: Pose
  readonly open: readonly OpenedHole[]
  readonly totalMm: number
}

const asAlternative = ({ open, totalMm }: Opening) => ({ ids: open.map(({ id }) => id), totalMm })

function pairsOf({ holes, dowelMm = DOWEL_MM }: PlateOnBosses): Pair[] {
  if (holes.length < 3) throw new CoreError('degenerate', 'holes', 'a plate has three or more')
  if (holes.length > MOST_HOLES) throw new CoreError('too-large', 'holes', `no more than ${MOST_HOLES}`)
  if (new Set(holes.map(({ id }) => id)).size < holes.length)
    throw new CoreError('degenerate', 'holes', 'one is named twice')
  const atOnePlace = (of: (hole: PlateHole) => Place2) => {
    const [x, y] = of(holes[0] as PlateHole)
    return holes.every((hole) => Math.hypot(of(hole)[0] - x, of(hole)[1] - y) < 1e-9)
  }
  for (const { id, at, boss } of holes) for (const one of [...at, ...boss]) requireFinite(one, `hole ${id}`)
  if (atOnePlace(({ at }) => at) || atOnePlace(({ boss }) => boss))
    throw new CoreError('degenerate', 'holes', 'all lie at one place')
  return holes.map(({ id, at, boss, holeMm, boltMm, isDowel }) => {
    if (!(boltMm > 0 && holeMm >= boltMm))
      throw new CoreError('out-of-range', `hole ${id}`, 'is smaller than its bolt')
    return { id, at, boss, playMm: isDowel ? dowelMm : (holeMm - boltMm) / 2 }
  })
}

function* setsOf<T>(all: readonly T[], count: number, from = 0): Generator<T[]> {
  if (count === 0) yield []
  else
    for (let i = from; i <= all.length - count; i++)
      for (const rest of setsOf(all, count - 1, i + 1)) yield [all[i] as T, ...rest]
}

/** The least opening of these holes with all others inside their play; null where the others do not fit. */
function openedBy(
  pairs: readonly Pair[],
  set: readonly Pair[],
  seenFrom: PlateOnBosses['seenFrom'],
): Opening | null {
  const tight = pairs.filter((pair) => !set.includes(pair))
  const pose = tight.length > 0 ? poseWithin(set, tight) : leastSquaresPose(pairs)
  if (!pose) return null
  const open = set.map((pair) => openedHole(pose, pair, seenFrom))
  open.sort((a, b) => (a.id < b.id ? -1 : 1))
  return { pose, open, totalMm: sum(open.map(({ byMm }) => byMm)) }
}

function poseWithin(set: readonly Pair[], tight: readonly Pair[]): Pose | null {
  const { pose, beyondMm } = leastLargest(tight)
  return beyondMm <= FITS_MM ? leastOpening(set, tight, pose) : null
}

function openedHole(pose: Pose, pair: Pair, seenFrom: PlateOnBosses['seenFrom']): OpenedHole {
  const [x, y] = turned(toBoss(pose, pair), -pose.turn)
  const clock = degrees(Math.atan2(seenFrom === 'front' ? x : -x, y)) / 30
  return {
    id: pair.id,
    byMm: errorOf(pose, pair) - pair.playMm,
    hour: clock > 0 ? clock : clock + 12,
    towardDeg: degrees(Math.atan2(y, x)),
  }
}

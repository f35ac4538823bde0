import { CoreError, requireFinite } from '../../base/errors'
import { norm, sub } from '../../base/linalg/vec3'
import { summit } from '../../base/summit'
import { radians } from '../../base/units/angle'
import { pinAt } from './arm'
import { gatesReached, requireGates, type ShiftGate } from './gates'
import { branchNear, requireLinkage, standAt, turnWithin, type RodLinkage } from './linkage'

/** A linkage without its rod. */
export type Arms = Pick<RodLinkage, 'lever' | 'box'>
/** Shortest and longest. */
export type RodRange = readonly [number, number]

/** The rod with the least largest error over all gates. */
export interface BestRod {
  readonly rodMm: number
  readonly maxErrorDeg: number
}

/** So many lengths are tried before the best of them is narrowed. */
const LOOKS = 96

/**
 * The length of rod that misses the detents least. Each gate alone wants one length, and is further off the further the rod is from it on either side, so that the
 * best lies between the shortest and the longest of those.
 *
 * @returns null where no rod of the range reaches all gates
 * @throws CoreError as `requireGates`, and `out-of-range` for a range that is none
 */
export function bestRod(arms: Arms, gates: readonly ShiftGate[], [low, high]: RodRange): BestRod | null {
  for (const mm of [low, high]) requireFinite(mm, 'range')
  if (!(low > 0 && low < high))
    throw new CoreError('out-of-range', 'range', 'goes from a length to a longer one')
  requireLinkage({ ...arms, rodMm: low })
  requireGates(gates)
  const wanted = gates.map((gate) => rodFor(arms, gate))
  const within = (mm: number) => Math.min(high, Math.max(low, mm))
  const between = [within(Math.min(...wanted)), within(Math.max(...wanted))] as const
  const quick = narrowed((rodMm) => worstAtGates({ ...arms, rodMm }, gates), between)
  const whole = (rodMm: number) => worstAllTheWay({ ...arms, rodMm }, gates)
  // What the gates alone like best may pass a dead centre between two of them: then all of the range is looked through.
  if (quick && whole(quick.rodMm) < Infinity) return quick
  return narrowed(whole, between) ?? narrowed(whole, [low, high])
}

/** Largest error at the gates alone; infinite where the rod does not reach one. */
function worstAtGates(linkage: RodLinkage, gates: readonly ShiftGate[]): number {
  const [first] = gates
  if (!first) return Infinity
  const branch = branchNear(linkage, first.leverDeg, first.boxDeg)
  return gates.reduce((worst, { leverDeg, boxDeg }) => {
    const stand = standAt(linkage, leverDeg, branch)
    return stand.shortMm === 0 ? Math.max(worst, Math.abs(turnWithin(stand.boxDeg - boxDeg))) : Infinity
  }, 0)
}

/** The same, infinite too where an arm comes to its dead centre on the way. */
function worstAllTheWay(linkage: RodLinkage, gates: readonly ShiftGate[]): number {
  try {
    return gatesReached(linkage, gates).maxErrorDeg
  } catch (error) {
    if (error instanceof CoreError) return Infinity
    throw error
  }
}

/** The rod that puts the gearbox just into the detent of a gate. */
export const rodFor = ({ lever, box }: Arms, { leverDeg, boxDeg }: ShiftGate): number =>
  norm(sub(pinAt(lever, lever.clock + radians(leverDeg)), pinAt(box, box.clock + radians(boxDeg))))

function narrowed(worst: (rodMm: number) => number, [from, to]: RodRange): BestRod | null {
  const step = (to - from) / LOOKS
  const looks = Array.from({ length: LOOKS + 1 }, (_, k) => {
    const rodMm = from + step * k
    return { rodMm, maxErrorDeg: worst(rodMm) }
  })
  const best = looks.reduce((least, one) => (one.maxErrorDeg < least.maxErrorDeg ? one : least))
  if (best.maxErrorDeg === Infinity) return null
  const rodMm = summit((mm) => -worst(mm), Math.max(from, best.rodMm - step), Math.min(to, best.rodMm + step))
  return { rodMm, maxErrorDeg: worst(rodMm) }
}

/** A hole of either arm and the best rod between them. */
export interface HolePair extends BestRod {
  readonly leverArmMm: number
  readonly boxArmMm: number
}

/**
 * Every pair of holes of both arms with its best rod, the least error first; those that cannot reach all gates are left out.
 *
 * @throws CoreError as `bestRod`; `out-of-range` where no pair reaches
 */
export function bestHoles(
  arms: Arms,
  gates: readonly ShiftGate[],
  range: RodRange,
  holes: { readonly leverMm: readonly number[]; readonly boxMm: readonly number[] },
): HolePair[] {
  const pairs = holes.leverMm.flatMap((leverArmMm) =>
    holes.boxMm.flatMap((boxArmMm): HolePair[] => {
      const own = { lever: { ...arms.lever, armMm: leverArmMm }, box: { ...arms.box, armMm: boxArmMm } }
      const best = bestRod(own, gates, range)
      return best ? [{ leverArmMm, boxArmMm, ...best }] : []
    }),
  )
  if (pairs.length === 0) throw new CoreError('out-of-range', 'holes', 'no pair reaches all gates')
  // Errors that differ in what is lost in computing are alike: those stay in the order of the holes.
  const rank = ({ maxErrorDeg }: HolePair) => Math.round(maxErrorDeg * 1e6)
  return pairs.sort((a, b) => rank(a) - rank(b))
}

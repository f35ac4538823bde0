import { CoreError, requireFinite } from '../../base/errors'
import { degrees, radians } from '../../base/units/angle'
import {
  branchNear,
  leverFor,
  requireLinkage,
  standAt,
  turnWithin,
  type Branch,
  type RodLinkage,
} from './linkage'

/** A gate of the lever and the detent of the gearbox that it is to reach, as both are read. */
export interface ShiftGate {
  readonly name: string
  readonly leverDeg: number
  readonly boxDeg: number
}

/** How a gate comes out. */
export interface GateReached {
  readonly name: string
  /** Where the gearbox's arm comes to, and how far beyond its detent. */
  readonly boxDeg: number
  readonly errorDeg: number
  readonly transmissionDeg: number
  readonly ratio: number
  /** Where the lever would stand with the gearbox in its detent; null where the rod does not reach. */
  readonly leverForDetentDeg: number | null
  /** The detent draws it in, lost motion and all. */
  readonly isCaught: boolean
}

export interface GatesReached {
  readonly gates: readonly GateReached[]
  readonly maxErrorDeg: number
  /** A detent draws in what is no further off: a quarter of the smallest step. */
  readonly captureDeg: number
  /** What the plays of both pins let the gearbox's arm turn, from end to end. */
  readonly lostDeg: number
  readonly branch: Branch
}

/** A detent draws in a quarter of the way to the next. */
export const CAPTURE = 1 / 4
/** Nearer to the rod's line than this an arm no longer follows. */
export const DEAD_DEG = 3
/** Between gates it is looked at so often, and at least each degree. */
const LOOKS = 48

/** @throws CoreError `wrong-length` for fewer than two gates, `out-of-range` for readings that do not go one way along both */
export function requireGates(gates: readonly ShiftGate[]): void {
  if (gates.length < 2) throw new CoreError('wrong-length', 'gates', 'two at least')
  for (const { name, leverDeg, boxDeg } of gates)
    for (const reading of [leverDeg, boxDeg]) requireFinite(reading, name)
  for (const key of ['leverDeg', 'boxDeg'] as const) {
    const steps = gates.slice(1).map((gate, k) => gate[key] - (gates[k]?.[key] ?? NaN))
    const way = Math.sign(steps[0] ?? NaN)
    const out = steps.findIndex((step) => Math.sign(step) !== way || step === 0)
    if (out >= 0)
      throw new CoreError('out-of-range', gates[out + 1]?.name ?? '', 'does not go on the same way')
  }
}

/** A quarter of the smallest step between detents of the gearbox. */
export const captureOf = (gates: readonly ShiftGate[]): number =>
  CAPTURE * Math.min(...gates.slice(1).map(({ boxDeg }, k) => Math.abs(boxDeg - (gates[k]?.boxDeg ?? NaN))))

/** What both pins' plays let the gearbox's arm turn, in degrees. */
export const lostOf = (
  lever: { readonly playMm?: number | undefined },
  box: { readonly playMm?: number | undefined; readonly armMm: number },
): number => degrees(((lever.playMm ?? 0) + (box.playMm ?? 0)) / box.armMm)

/**
 * Where each gate of a lever puts the gearbox.
 *
 * @throws CoreError as `requireLinkage` and `requireGates`; `out-of-range` naming the gate and what the rod misses; `degenerate` where an arm comes into
 * line with the rod at a gate or between two
 * @see docs/methods/shift.md
 */
export function gatesReached(linkage: RodLinkage, gates: readonly ShiftGate[]): GatesReached {
  requireLinkage(linkage)
  requireGates(gates)
  const branch = branchOf(linkage, gates)
  requireFree(linkage, gates, branch)
  const captureDeg = captureOf(gates)
  const lostDeg = lostOf(linkage.lever, linkage.box)
  const reached = gates.map(({ name, leverDeg, boxDeg: detent }): GateReached => {
    const { boxDeg, transmissionDeg, ratio } = standAt(linkage, leverDeg, branch)
    const errorDeg = turnWithin(boxDeg - detent)
    return {
      ...{ name, boxDeg, transmissionDeg, ratio },
      errorDeg,
      leverForDetentDeg: leverFor(linkage, detent, leverDeg, branch),
      isCaught: Math.abs(errorDeg) + lostDeg / 2 <= captureDeg,
    }
  })
  const maxErrorDeg = Math.max(...reached.map(({ errorDeg }) => Math.abs(errorDeg)))
  return { gates: reached, maxErrorDeg, captureDeg, lostDeg, branch }
}

/** What a rod misses: "the rod is 3.1 mm too short". */
export const reachWords = (shortMm: number): string =>
  `the rod is ${Math.abs(shortMm).toFixed(1)} mm too ${shortMm > 0 ? 'short' : 'long'}`

/** The way it is put together, told by the first gate; all gates are reached in it. */
function branchOf(linkage: RodLinkage, gates: readonly ShiftGate[]): Branch {
  for (const { name, leverDeg } of gates) {
    const { shortMm } = standAt(linkage, leverDeg, 1)
    if (shortMm !== 0) throw new CoreError('out-of-range', name, reachWords(shortMm))
  }
  const [first] = gates
  return first ? branchNear(linkage, first.leverDeg, first.boxDeg) : 1
}

/** No arm comes into line with the rod on the way from the first gate to the last. */
function requireFree(linkage: RodLinkage, gates: readonly ShiftGate[], branch: Branch): void {
  const [from, to] = [gates[0]?.leverDeg ?? NaN, gates.at(-1)?.leverDeg ?? NaN]
  const count = Math.max(LOOKS, Math.ceil(Math.abs(to - from)))
  let way = 0
  for (let k = 0; k <= count; k++) {
    const { shortMm, transmissionDeg, ratio } = standAt(linkage, from + ((to - from) * k) / count, branch)
    if (shortMm !== 0 || transmissionDeg < DEAD_DEG)
      throw new CoreError('degenerate', 'box', 'its arm comes into line with the rod')
    if (way !== 0 && Math.sign(ratio) !== way)
      throw new CoreError(
        'degenerate',
        'lever',
        'its arm comes into line with the rod: the gearbox would turn back',
      )
    way = Math.sign(ratio)
  }
}

/** The slot that a lever runs in: what it lets now, how far out it lies, and how far beyond the end detents the gearbox's pin is to come. */
export interface LeverSlot {
  readonly fromDeg: number
  readonly toDeg: number
  readonly radiusMm: number
  readonly overMm: number
}

/** What a slot has to let, and what is to be filed off at each of its ends. */
export interface SlotNeed {
  readonly fromDeg: number
  readonly toDeg: number
  readonly fileFromMm: number
  readonly fileToMm: number
}

/**
 * How long a slot has to be so that both end detents are passed, lost motion and all; null where the rod does not reach so far.
 */
export function slotNeed(
  linkage: RodLinkage,
  gates: readonly ShiftGate[],
  { lostDeg, branch }: Pick<GatesReached, 'lostDeg' | 'branch'>,
  { fromDeg, toDeg, radiusMm, overMm }: LeverSlot,
): SlotNeed | null {
  const [first, last] = [gates[0], gates.at(-1)]
  if (!first || !last) return null
  const beyond = degrees(overMm / linkage.box.armMm) + lostDeg / 2
  const outward = Math.sign(last.boxDeg - first.boxDeg)
  const ends = [
    leverFor(linkage, first.boxDeg - outward * beyond, first.leverDeg, branch),
    leverFor(linkage, last.boxDeg + outward * beyond, last.leverDeg, branch),
  ]
  if (ends[0] === null || ends[1] === null) return null
  const [low, high] = [Math.min(...(ends as number[])), Math.max(...(ends as number[]))]
  return {
    fromDeg: low,
    toDeg: high,
    fileFromMm: Math.max(0, radians(fromDeg - low) * radiusMm),
    fileToMm: Math.max(0, radians(high - toDeg) * radiusMm),
  }
}

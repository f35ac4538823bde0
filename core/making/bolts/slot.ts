import { CoreError } from '../../base/errors'

/** A bolt in a slot that is held by friction. */
export interface Slot {
  readonly boltMm: number
  readonly travelMm: number
  /** Half-width of where the place may come out. */
  readonly placeTolMm?: number
  readonly washerOuterMm?: number
  readonly friction?: {
    readonly mu: number
    readonly preloadN: number
    readonly faces: number
    readonly bolts: number
    /** Along the slot. */
    readonly loadN: number
  }
}

export interface SlotHeld {
  readonly lengthMm: number
  /** How far the washer lies over the slot's ends; null where nobody told its size. */
  readonly coverMm: number | null
  readonly isCovered: boolean | null
  readonly holdsN: number | null
  readonly factor: number | null
  /** Below it a pin or a jack bolt has to hold it. */
  readonly isHeld: boolean | null
}

const LEAST_FACTOR = 1.5

/**
 * Length of a slot, its washer, and what friction holds along it.
 *
 * @throws CoreError `out-of-range` for a washer smaller than the bolt or a load not above 0
 */
export function slot({ boltMm, travelMm, placeTolMm = 0, washerOuterMm, friction }: Slot): SlotHeld {
  if (washerOuterMm !== undefined && !(washerOuterMm > boltMm))
    throw new CoreError('out-of-range', 'washer', 'is smaller than the hole')
  if (friction && !(friction.loadN > 0)) throw new CoreError('out-of-range', 'load', 'must be above 0')
  const coverMm = washerOuterMm === undefined ? null : (washerOuterMm - boltMm) / 2
  const holdsN = friction ? friction.mu * friction.preloadN * friction.faces * friction.bolts : null
  const factor = friction && holdsN !== null ? holdsN / friction.loadN : null
  return {
    lengthMm: boltMm + travelMm + 2 * placeTolMm,
    coverMm,
    isCovered: coverMm === null ? null : coverMm >= boltMm / 2,
    holdsN,
    factor,
    isHeld: factor === null ? null : factor >= LEAST_FACTOR,
  }
}

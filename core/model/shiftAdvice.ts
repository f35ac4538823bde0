import { CoreError } from '../base/errors'
import { bestHoles, bestRod, rodFor, type BestRod, type HolePair, type RodRange } from '../shift/rod/bestRod'
import { gatesReached, slotNeed } from '../shift/rod/gates'
import { degrees } from '../base/units/angle'
import type { Shift } from '../file/parts/shiftLinkage'
import type { ShiftEvaluation, ShiftFound } from './shiftFound'

/** What would make a linkage hit its detents better, all else as it stands. */
export interface ShiftAdvice {
  /** Null where no rod that its ends can be screwed to reaches all gates. */
  readonly rod: BestRod | null
  /** The gate in which a rod is best set on the vehicle; null where none reaches all. */
  readonly set: { readonly id: string; readonly name: string; readonly maxErrorDeg: number } | null
  /** The best pairs of holes that both arms have, the one in use among them; empty where neither has another. */
  readonly holes: readonly HolePair[]
  /** What is to be filed off the lever's slot; null without a slot, or where the rod does not reach so far. */
  readonly slot: SlotFiling | null
}

/** A rod is looked for so far from the one that puts the middle gate right. */
const USUAL_REACH = 0.5
const MOST_HOLES = 3

/** Unknown linkages have none. */
export function shiftAdvice({ shift, found }: ShiftEvaluation): ShiftAdvice | null {
  // A cable is set in a gate and has no length between pins.
  if (!found.known || found.value.cable) return null
  const { arms, gates } = found.value
  const range = rangeOf(shift, found.value)
  const holesOf = ({ armMm, holesMm = [] }: Shift['lever']) => [...new Set([armMm, ...holesMm])]
  const [leverMm, boxMm] = [holesOf(shift.lever), holesOf(shift.box)]
  const pairs = () => bestHoles(arms, gates, range, { leverMm, boxMm }).slice(0, MOST_HOLES)
  return {
    rod: tried(() => bestRod(arms, gates, range)),
    set: bestSetting(found.value),
    holes: leverMm.length + boxMm.length > 2 ? (tried(pairs) ?? []) : [],
    slot: slotOf(shift, found.value),
  }
}

function bestSetting({ arms, gates }: ShiftFound): ShiftAdvice['set'] {
  const each = gates.flatMap((gate) => {
    const found = tried(() => gatesReached({ ...arms, rodMm: rodFor(arms, gate) }, gates))
    return found ? [{ id: gate.id, name: gate.name, maxErrorDeg: found.maxErrorDeg }] : []
  })
  return each.sort((a, b) => a.maxErrorDeg - b.maxErrorDeg)[0] ?? null
}

function rangeOf({ rodFromMm, rodToMm }: Shift, { arms: { lever, box } }: ShiftFound): RodRange {
  const between = Math.hypot(...lever.pivot.map((one, k) => one - (box.pivot[k] ?? NaN)))
  const reach = USUAL_REACH * between + lever.armMm + box.armMm
  return [rodFromMm ?? Math.max(1, between - reach), rodToMm ?? between + reach]
}

function slotOf({ slot }: Shift, { arms, gates, rodMm }: ShiftFound): SlotFiling | null {
  const { beyondFirstMm, beyondLastMm, radiusMm, overMm = USUAL_OVER_MM } = slot ?? {}
  const [first, last] = [gates[0], gates.at(-1)]
  if (rodMm === null || beyondFirstMm === undefined || beyondLastMm === undefined || radiusMm === undefined)
    return null
  if (!first || !last) return null
  const way = Math.sign(last.leverDeg - first.leverDeg)
  const ends = [
    first.leverDeg - way * degrees(beyondFirstMm / radiusMm),
    last.leverDeg + way * degrees(beyondLastMm / radiusMm),
  ]
  const linkage = { ...arms, rodMm }
  const need = tried(() =>
    slotNeed(linkage, gates, gatesReached(linkage, gates), {
      ...{ fromDeg: Math.min(...ends), toDeg: Math.max(...ends), radiusMm, overMm },
    }),
  )
  if (!need) return null
  const files = [need.fileFromMm, need.fileToMm]
  const [atFirst = 0, atLast = 0] = way > 0 ? files : files.toReversed()
  return { first: first.name, last: last.name, fileFirstMm: atFirst, fileLastMm: atLast, overMm }
}

/** What is filed off a slot beyond its first and its last gate. */
export interface SlotFiling {
  readonly first: string
  readonly last: string
  readonly fileFirstMm: number
  readonly fileLastMm: number
  /** Beyond the end detents, at the gearbox's pin. */
  readonly overMm: number
}

/** Over-travel beyond the end detents where none is told (an estimate). */
const USUAL_OVER_MM = 1.5

/** Null for what cannot be worked out. */
function tried<T>(work: () => T): T | null {
  try {
    return work()
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}

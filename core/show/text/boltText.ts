import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { BoltAnswer } from '../../bay/bolts/boltAnswer'
import type { BoltEntry } from '../../file/kinds/boltKinds'
import type { Missing } from '../../base/known'

/** "M10 × 45, 8.8". */
export function boltName({ sizeMm, boltClass }: BoltEntry, { through, blind }: BoltAnswer): string {
  const length = through?.lengthMm ?? blind?.lengthMm ?? NaN
  return `M${String(sizeMm)} × ${String(length)}, ${boltClass}`
}

/** A line of what is to be known of a bolt. */
export interface BoltLine {
  readonly text: string
  readonly isOut: boolean
  readonly missing?: readonly Missing[]
}

const fine = (text: string): BoltLine => ({ text, isOut: false })
const wrong = (text: string): BoltLine => ({ text, isOut: true })

const STATES = { dry: 'dry', oiled: 'oiled', paste: 'with paste' } as const
const INTO = { steel: 'steel', 'cast-iron': 'cast iron', aluminium: 'aluminium' } as const

/** Everything about a bolt, what is wrong marked. */
export function boltLines(entry: BoltEntry, answer: BoltAnswer, units: UnitSettings): BoltLine[] {
  const { torqueNm, preloadN } = answer.tightening
  const length = (mm: number) => formatLength(mm, units)
  return [
    fine(
      `tighten to ${fixed(torqueNm, 0)} N·m ${STATES[entry.thread]}: it clamps by ${fixed(preloadN / 1000, 1)} kN`,
    ),
    ...throughLines(answer, length),
    ...blindLines(entry, answer, length),
    ...slotLines(answer, length),
  ]
}

type Length = (mm: number) => string

function throughLines({ through }: BoltAnswer, length: Length): BoltLine[] {
  if (!through) return []
  const { gripMm, neededMm, lengthMm, threadMm, washersMoreMm, isNutOnThread, isThreadInShear } = through
  return [
    fine(
      `grip ${length(gripMm)}, needs ${length(neededMm)} with washers, nut and two pitches: ${length(lengthMm)} is the next that is sold, ${length(threadMm)} of it thread`,
    ),
    ...(isNutOnThread
      ? []
      : [wrong(`the nut runs up to the shank: washers of ${length(washersMoreMm)} more under it`)]),
    ...(isThreadInShear
      ? [
          wrong(
            'thread lies where the parts slide on each other: a longer shank, or the joint held by a sleeve',
          ),
        ]
      : []),
  ]
}

function blindLines({ into }: BoltEntry, { blind }: BoltAnswer, length: Length): BoltLine[] {
  if (!blind || into === 'nut') return []
  const { lengthMm, neededMm, engagedMm, engagementMm, holeMm, tapDrillMm, bottoms } = blind
  return [
    fine(
      `into ${INTO[into]} ${length(engagementMm)} at the least, needs ${length(neededMm)}: ${length(lengthMm)} is the next that is sold and reaches ${length(engagedMm)} in`,
    ),
    fine(`tap drill ${length(tapDrillMm)}, ${length(holeMm)} deep`),
    ...(bottoms === true
      ? [wrong('it stands on the bottom before it clamps: a shorter one, or the hole deeper')]
      : []),
  ]
}

function slotLines({ slot }: BoltAnswer, length: Length): BoltLine[] {
  if (!slot) return []
  if (!slot.known) return [{ text: 'its slot waits for', isOut: false, missing: slot.missing }]
  const { lengthMm, isCovered, coverMm, holdsN, factor, isHeld } = slot.value
  return [
    fine(`slot ${length(lengthMm)} long`),
    ...(coverMm === null
      ? []
      : [
          isCovered
            ? fine(`its washer lies ${length(coverMm)} over the ends of the slot`)
            : wrong(
                `its washer lies only ${length(coverMm)} over the ends of the slot: half a diameter is wanted, hard`,
              ),
        ]),
    ...(holdsN === null || factor === null
      ? []
      : [
          isHeld
            ? fine(`friction holds ${fixed(holdsN / 1000, 1)} kN, ${fixed(factor, 1)} times what pulls`)
            : wrong(
                `friction holds ${fixed(holdsN / 1000, 1)} kN, only ${fixed(factor, 1)} times what pulls: a pin, a jack bolt, or another bolt`,
              ),
        ]),
  ]
}

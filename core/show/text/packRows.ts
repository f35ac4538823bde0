import { formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Lever } from '../../file/build/lever'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { CompiledBuild } from '../../model/compile'
import { evaluate } from '../../model/evaluateBuild'
import { MEMBERS } from '../../model/memberSubject'
import { foundOf } from '../../model/subject'

/** The tail packed by so much: what its seat and every joint make of it. */
export interface PackRow {
  readonly amount: number
  readonly packed: string
  readonly isNow: boolean
  /** The seat of the bar over the left rail. */
  readonly seat: string
  /** Working angles, line by line: "rear 1.2° · 0.8°". */
  readonly joints: string
}

/** So many steps of the lever to either side, of so many mm. */
const STEPS = [-10, -5, 0, 5, 10]

/**
 * What packing the tail does to the joints of every line, about where its lever stands.
 *
 * @param member - the crossmember whose seat is told
 */
export function packRows(
  compiled: CompiledBuild,
  settings: LeverSettings,
  { id, range }: Lever,
  member: string,
): PackRow[] {
  const { build } = compiled
  const now = settings[id] ?? 0
  const amounts = STEPS.map((step) => now + step).filter((amount) => amount >= range[0] && amount <= range[1])
  return amounts.map((amount): PackRow => {
    const found = evaluate(compiled, { ...settings, [id]: amount })
    const bar = foundOf(found.subjects, MEMBERS).find((one) => one.member.id === member)
    const figures = bar?.ways[0]?.figures
    const over = figures?.known ? figures.value.overLeftMm : undefined
    const many = build.lines.length > 1
    return {
      amount,
      packed: signed(amount, build.units),
      isNow: amount === now,
      seat: over === undefined ? '?' : formatLength(over, build.units),
      joints: found.lines
        .map(({ line, ride }) => {
          const angles = ride.known
            ? ride.value.anglesDeg.map((deg) => formatAngle(deg, build.units, 2))
            : ['?']
          return `${many ? `${line.name} ` : ''}${angles.join(' · ')}`
        })
        .join('; '),
    }
  })
}

const signed = (mm: number, units: UnitSettings): string =>
  mm === 0 ? 'as measured' : `${formatLength(Math.abs(mm), units)} ${mm > 0 ? 'up' : 'down'}`

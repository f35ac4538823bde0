import { fixed, formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { norm } from '../../base/linalg/vec3'
import type { CaseFound, MountsFound } from '../../bay/mounts/mountAnswer'

/** A figure and its unit stay on one line. */
const UNBROKEN = '\u00a0'

/** A case beside the others. */
export interface CaseRow {
  readonly key: string
  readonly name: string
  readonly roll: string
  readonly output: string
  readonly turns: string
  /** The gap with the least left, and how much. */
  readonly gap: string
  readonly isOut: boolean
  readonly lifts: string
}

/** "left side up 1.2°", nothing for none. */
function turnText(deg: number, [more, less]: readonly [string, string], units: UnitSettings): string[] {
  const text = formatAngle(Math.abs(deg), units, 2)
  return Number.parseFloat(text) === 0 ? [] : [`${deg > 0 ? more : less} ${text}`]
}

export const caseRows = ({ cases, failed }: MountsFound, units: UnitSettings): CaseRow[] => [
  ...cases.map((one): CaseRow => {
    const { at, rollDeg, fallDeg, planDeg, outputMm, gaps, forces } = one
    const [least] = gaps
    const turns = [
      ...turnText(fallDeg, ['tail down', 'tail up'], units),
      ...turnText(planDeg, ['tail left', 'tail right'], units),
    ]
    return {
      key: at.key,
      name: at.name,
      roll: turnText(rollDeg, ['left side up', 'left side down'], units)[0] ?? '–',
      output: formatLength(norm(outputMm), units),
      turns: turns.join(', ') || '–',
      gap: least ? `${least.name} ${formatLength(least.leftMm, units).replaceAll(' ', UNBROKEN)}` : '–',
      isOut: least !== undefined && least.leftMm < 0,
      lifts: forces.flatMap(({ name, lifts }) => (lifts ? [name] : [])).join(', '),
    }
  }),
  ...failed.map(({ at, why }): CaseRow => ({
    ...{ key: at.key, name: at.name, roll: '?', output: '?', turns: why, gap: '?', isOut: false, lifts: '?' },
  })),
]

/** A mount in a case. */
export interface ForceRow {
  readonly id: string
  readonly name: string
  readonly size: string
  /** Up or down, forward or back, left or right, those that count. */
  readonly ways: string
  readonly lifts: boolean
}

/** Less than this part of a force is no way that it goes. */
const COUNTS = 0.02

export const forceRows = ({ forces }: CaseFound): ForceRow[] =>
  forces.map(({ id, name, force: [forward, left, up], sizeN, lifts }) => {
    const part = (figure: number, more: string, less: string) =>
      Math.abs(figure) > Math.max(1, COUNTS * sizeN)
        ? [`${fixed(Math.abs(figure), 0)} ${figure > 0 ? more : less}`]
        : []
    const ways = [
      ...part(up, 'up', 'down'),
      ...part(forward, 'forward', 'back'),
      ...part(left, 'left', 'right'),
    ]
    return { id, name, size: `${fixed(sizeN, 0)} N`, ways: ways.join(', ') || '–', lifts }
  })

/** Above this share the tail housing bears more than it was made for. */
const MUCH = 0.3

/** What goes out by the mounts at the gearbox; null while that is not known. */
export function shareSentence({
  tailShare,
}: MountsFound): { readonly text: string; readonly isMuch: boolean } | null {
  if (!tailShare.known) return null
  const share = tailShare.value
  const isMuch = share > MUCH
  const more = isMuch
    ? ': the tail housing is twisted by it; softer at the tail or stiffer in front takes it away'
    : ''
  return {
    text: `${fixed(100 * share, 0)} % of the shaft’s reaction goes out by the mounts at the gearbox${more}.`,
    isMuch,
  }
}

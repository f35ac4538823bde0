import { fixed, formatAngle, formatLength, showsMore, signedText } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { norm, type Vec3 } from '../../base/linalg/vec3'
import type { ElasticMountEntry, MountKind } from '../../file/kinds/mountKinds'
import type { FaceLoad } from '../../making/mounts/load'
import { strainOf } from '../../making/mounts/mountSprings'
import type { ToldStiffness } from '../../making/mounts/toldStiffness'
import type { Sureness } from '../../answers/uncertainty/monteCarlo'
import type { CaseFound, MountsFound } from '../../model/mountFound'
import { mountFigureId } from '../../model/mountSubject'
import { spreadText } from './lineFacts'

/** A figure and its unit stay on one line. */
const UNBROKEN = '\u00a0'

/** A case beside the others. */
export interface CaseRow {
  readonly key: string
  readonly name: string
  readonly roll: string
  readonly output: string
  readonly turns: string
  /** The joint whose working angle changes the most, and by how much. */
  readonly joint: string
  /** The gap with the least left, and how much. */
  readonly gap: string
  readonly isOut: boolean
  readonly lifts: string
}

/** "left side up 1.2°", nothing for none. */
function turnText(deg: number, [more, less]: readonly [string, string], units: UnitSettings): string[] {
  const text = formatAngle(Math.abs(deg), units, 2)
  return showsMore(text) ? [`${deg > 0 ? more : less} ${text}`] : []
}

/** "joint 1 +0.42°". */
function jointText({ joints }: CaseFound, units: UnitSettings): string {
  const most = joints.reduce<CaseFound['joints'][number] | null>(
    (worst, one) => (worst && Math.abs(worst.byDeg) >= Math.abs(one.byDeg) ? worst : one),
    null,
  )
  if (!most) return '–'
  const by = signedText(most.byDeg, (deg) => formatAngle(deg, units, 2), '')
  return by === '' ? '–' : `joint ${most.joint + 1} ${by}`
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
      joint: jointText(one, units),
      gap: least ? `${least.name} ${formatLength(least.leftMm, units).replaceAll(' ', UNBROKEN)}` : '–',
      isOut: least !== undefined && least.leftMm < 0,
      lifts: forces.flatMap(({ name, lifts }) => (lifts ? [name] : [])).join(', '),
    }
  }),
  ...failed.map(({ at, why }): CaseRow => ({
    ...{
      key: at.key,
      name: at.name,
      roll: '?',
      output: '?',
      turns: why,
      joint: '?',
      gap: '?',
      isOut: false,
      lifts: '?',
    },
  })),
]

/** A mount in a case. */
export interface ForceRow {
  readonly id: string
  readonly name: string
  readonly size: string
  /** Of that. */
  readonly plusMinus: string
  /** Up or down, forward or back, left or right, those that count. */
  readonly ways: string
  /** "pulled 1200 N, sheared 300 N". */
  readonly bolt: string
  readonly lifts: boolean
}

/** What a bolt bears: a bush is held across it, a face is pressed or pulled. */
function boltText(kind: MountKind | undefined, bolt: FaceLoad | null): string {
  if (!bolt) return '–'
  const newtons = (figure: number) => `${fixed(Math.abs(figure), 0)} N`
  if (kind === 'bush') return `${newtons(bolt.shearN)} across, ${newtons(bolt.alongN)} along`
  return `${bolt.alongN < 0 ? 'pulled' : 'pressed'} ${newtons(bolt.alongN)}, sheared ${newtons(bolt.shearN)}`
}

/** What stays in a bolt that had to be pried in: "left engine mount: 600 N stays in its bolt: 600 up"; none that dropped in. */
export const strainRows = (entries: readonly ElasticMountEntry[]): string[] =>
  entries.flatMap((entry) => {
    const strain = strainOf(entry)
    if (!strain) return []
    return [`${entry.name}: ${fixed(norm(strain), 0)} N stays in its bolt, ${waysText(strain)}`]
  })

/** A stiffness that was told by sizes or a push: "across its bolt 2927 N/mm (850 to 8463)". */
export const toldText = ({ perMm, range: [least, most] }: ToldStiffness, label: string): string => {
  const far = least === most ? '' : ` (${fixed(least, 0)} to ${fixed(most, 0)})`
  return `${label} ${fixed(perMm, 0)} N/mm${far}`
}

/** Less than this part of a force is no way that it goes. */
const COUNTS = 0.02

function waysText(force: Vec3): string {
  const part = (figure: number, more: string, less: string) =>
    Math.abs(figure) > Math.max(1, COUNTS * norm(force))
      ? [`${fixed(Math.abs(figure), 0)} ${figure > 0 ? more : less}`]
      : []
  const [forward, left, up] = force
  const ways = [
    ...part(up, 'up', 'down'),
    ...part(forward, 'forward', 'back'),
    ...part(left, 'left', 'right'),
  ]
  return ways.join(', ') || '–'
}

export const forceRows = (
  { at, forces }: CaseFound,
  entries: readonly ElasticMountEntry[],
  sureness: Sureness | null = null,
): ForceRow[] =>
  forces.map(({ id, name, force, sizeN, lifts, bolt }) => {
    const spread = sureness?.figures[mountFigureId(at.key, { force: id })] ?? null
    const plusMinus = spreadText(spread, (figure) => `${fixed(figure, 0)} N`) ?? ''
    const kind = entries.find((one) => one.id === id)?.kind
    const row = { id, name, size: `${fixed(sizeN, 0)} N`, plusMinus, ways: waysText(force) }
    return { ...row, bolt: boltText(kind, bolt), lifts }
  })

/** What goes out by the mounts at the gearbox, and what is to be done where that is too much; null while it is not known. */
export function shareSentence({ tailShare }: MountsFound, isMuch: boolean): string | null {
  if (!tailShare.known) return null
  const more = isMuch
    ? ': the tail housing is twisted by it; softer at the tail or stiffer in front takes it away'
    : ''
  return `${fixed(100 * tailShare.value, 0)} % of the shaft’s reaction goes out by the mounts at the gearbox${more}.`
}

import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { norm, sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees } from '../../base/units/angle'
import { MEMBER_KINDS, type Crossmember, type MemberKind, type MemberWay } from '../../file/kinds/memberKinds'
import { pressedDeg } from '../../making/bends/trialBend'
import { cornerWords, mouthMm, type BlankCorner } from '../../making/templates/memberTemplate'
import type { MemberEvaluation, WayFound } from '../../model/memberSubject'
import type { Missing } from '../../base/known'

export const MEMBER_KIND_NAMES: Readonly<Record<MemberKind, string>> = {
  straight: 'straight, spacers',
  bent: 'bent flat',
  folded: 'tube, folded',
  ledges: 'ledges and bar',
}

/** The stock of a way: "80 × 10 flat". */
export function stockName({ kind, widthMm, heightMm, wallMm }: MemberWay): string {
  const size = (figure: number | undefined) => String(Number((figure ?? NaN).toFixed(2)))
  const sizes = [widthMm, heightMm, ...(MEMBER_KINDS[kind].isBox ? [wallMm] : [])].map(size)
  return `${sizes.join(' × ')} ${MEMBER_KINDS[kind].isBox ? 'tube' : 'flat'}`
}

/** Corners of its blank from the left end; none of a straight one, or while it is not known. */
export function blankCorners({ figures }: WayFound): BlankCorner[] {
  if (!figures.known) return []
  const { firstMm, secondMm, thirdMm, fourthMm, turnLeftDeg = NaN, turnRightDeg = NaN } = figures.value
  if (firstMm === undefined || secondMm === undefined || thirdMm === undefined || fourthMm === undefined)
    return []
  return [
    { atMm: firstMm, turnDeg: turnLeftDeg },
    { atMm: secondMm, turnDeg: -turnLeftDeg },
    { atMm: thirdMm, turnDeg: turnRightDeg },
    { atMm: fourthMm, turnDeg: -turnRightDeg },
  ]
}

/** One way beside the others, in words. */
export interface WayRow {
  readonly id: string
  readonly kind: MemberKind
  readonly name: string
  readonly stock: string
  readonly cut: string
  readonly lowest: string
  readonly share: string
  readonly sag: string
  /** What is done to it on the bench, and in the vehicle. */
  readonly work: string
  /** What of it stays in the vehicle. */
  readonly stays: string
  readonly missing: readonly Missing[] | null
}

const NONE = '?'

/** All ways to make a crossmember, in their order. */
export const wayRows = ({ ways }: MemberEvaluation, units: UnitSettings): WayRow[] =>
  ways.map((found) => {
    const { way, figures } = found
    const told = figures.known ? figures.value : {}
    const length = (figure: number | undefined) => (figure === undefined ? NONE : formatLength(figure, units))
    return {
      id: way.id,
      kind: way.kind,
      name: MEMBER_KIND_NAMES[way.kind],
      stock: stockName(way),
      cut: length(told.blankMm),
      lowest: told.groundMm === undefined ? NONE : length(told.groundMm),
      share: told.sharePercent === undefined ? NONE : `${fixed(told.sharePercent, 0)} %`,
      sag: length(told.sagMm),
      work: [workOf(found), ...twistOf(found)].join('; '),
      stays: MEMBER_KINDS[way.kind].isWelded
        ? 'two ledges, welded in the vehicle'
        : 'nothing: out by its bolts',
      missing: figures.known ? null : figures.missing,
    }
  })

/** A load so far beside a bar twists it. */
const BESIDE_MM = 5

function twistOf({ way, figures }: WayFound): string[] {
  const ahead = figures.known ? (figures.value.aheadMm ?? 0) : 0
  if (MEMBER_KINDS[way.kind].isBox || Math.abs(ahead) <= BESIDE_MM) return []
  return [
    `the gearbox stands ${fixed(Math.abs(ahead), 0)} mm ${ahead > 0 ? 'ahead of' : 'behind'} it: a flat does not bear that twist`,
  ]
}

function workOf(found: WayFound): string {
  const turns = blankCorners(found).map(({ turnDeg }) => Math.abs(turnDeg))
  const angles = [turns[0], turns[2]].map((turn) => `${fixed(turn ?? NaN, 1)}°`).join(' and ')
  switch (found.way.kind) {
    case 'straight': {
      const fill = found.figures.known ? found.figures.value.fillMm : undefined
      return fill === undefined ? NONE : `spacers of ${fixed(fill, 1)} mm under the bush`
    }
    case 'bent':
      return turns.length > 0 ? `four bends, ${angles}` : NONE
    case 'folded':
      return turns.length > 0 ? `four notches, folds of ${angles}, welded on the bench` : NONE
    case 'ledges':
      return 'cut square, two ledges'
  }
}

/** A piece to be cut. */
export interface CutRow {
  readonly piece: string
  readonly from: string
  readonly length: string
  readonly ends: string
}

/** What a crossmember is cut of. */
export function cutRows({ figures, way }: WayFound, { endMm }: Crossmember, units: UnitSettings): CutRow[] {
  const blank = figures.known ? figures.value.blankMm : undefined
  if (blank === undefined) return []
  const bar: CutRow = {
    piece: 'bar',
    from: stockName(way),
    length: formatLength(blank, units),
    ends: 'square',
  }
  if (way.kind !== 'ledges') return [bar]
  const ledge = { from: `${way.widthMm} × 6 flat`, length: formatLength(endMm, units), ends: 'square' }
  return [bar, { piece: 'ledge, left', ...ledge }, { piece: 'ledge, right', ...ledge }]
}

/** What is done along the blank, corner by corner from its left end. */
export const cornerRows = (found: WayFound): string[] =>
  blankCorners(found).map((corner) => {
    const turn = Math.abs(corner.turnDeg)
    if (found.way.kind === 'folded')
      return `${cornerWords(corner)}, notch ${fixed(mouthMm(found.way, corner.turnDeg), 1)} mm wide ${corner.turnDeg > 0 ? 'in the top' : 'underneath'}`
    const { springbackDeg } = found.way
    const press =
      springbackDeg === undefined
        ? ''
        : `, press to ${fixed(pressedDeg(turn, { backDeg: springbackDeg }), 1)}°`
    return `${cornerWords(corner)} (${fixed(180 - turn, 1)}° included)${press}`
  })

/** How its seats lie otherwise than when it was taken as made; null while nothing was made, or it cannot be told. */
export interface MemberChange {
  /** Of the gearbox between the rails, by the length of its way. */
  readonly movedMm: number
  /** Of the line from rail to rail, seen from behind. */
  readonly leanDeg: number
  readonly isStale: boolean
}

/** Less than this is how well it was read. */
const SAME = { mm: 0.5, deg: 0.1 }

export function changeSinceMade({ member, seats }: MemberEvaluation): MemberChange | null {
  const { made } = member
  if (!made || !seats.known) return null
  const at = ({ forwardMm, leftMm, upMm }: typeof made.pad): Vec3 => [forwardMm, leftMm, upMm]
  const then = { left: at(made.left), right: at(made.right), pad: at(made.pad) }
  const now = seats.value
  const beside = ({ left, right, pad }: typeof now): Vec3 => {
    const middle: Vec3 = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2, (left[2] + right[2]) / 2]
    return sub(pad, middle)
  }
  const lean = ({ left, right }: typeof now) => Math.atan2(left[2] - right[2], left[1] - right[1])
  const movedMm = norm(sub(beside(now), beside(then)))
  const leanDeg = degrees(lean(now) - lean(then))
  return { movedMm, leanDeg, isStale: movedMm > SAME.mm || Math.abs(leanDeg) > SAME.deg }
}

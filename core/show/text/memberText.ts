import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { norm, sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees } from '../../base/units/angle'
import { MEMBER_KINDS, type Crossmember, type MemberKind, type MemberWay } from '../../file/kinds/memberKinds'
import { fillStack } from '../../making/crossmembers/fillStack'
import { pressedDeg } from '../../making/bends/trialBend'
import { cornerWords, mouthMm } from '../../making/templates/memberTemplate'
import type { MemberEvaluation } from '../../model/memberSubject'
import { blankCorners, cornersInOrder, type WayFound } from '../../model/memberWork'
import { piecesOfWay } from '../../jobs/cuts/cutPieces'
import { sectionName } from './sectionText'
import type { Missing } from '../../base/known'

export const MEMBER_KIND_NAMES: Readonly<Record<MemberKind, string>> = {
  straight: 'straight, spacers',
  bent: 'bent flat',
  folded: 'tube, folded',
  tube: 'round tube, bent',
  coped: 'round tube, coped',
  ledges: 'ledges and bar',
  old: 'old bar, plates',
}

/** The stock of a way: "80 × 10 flat". */
export function stockName(way: MemberWay): string {
  const { of } = MEMBER_KINDS[way.kind]
  const { doubled } = way
  const twice = doubled ? (doubled === 'joined' ? ', two joined all round' : ', two lying loose') : ''
  return `${sectionName({ ...way, section: of === 'tube' ? 'round' : of })}${twice}`
}

/** What is cut for it: its stock, or the plates that move an old bar. */
export const blankStock = ({ endMm }: Crossmember, way: MemberWay): string =>
  way.kind === 'old'
    ? sectionName({ section: 'flat', widthMm: endMm, heightMm: way.plateMm })
    : stockName(way)

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
const BOLTED = 'nothing: it comes out by its bolts, and the gearbox past it'

/** What of a way stays in the vehicle, and how the gearbox gets out then. */
const STAYS: Readonly<Record<MemberKind, string>> = {
  straight: BOLTED,
  bent: BOLTED,
  folded: BOLTED,
  tube: BOLTED,
  coped: 'all of it, welded in the vehicle: the gearbox has to go out over it',
  ledges: 'two ledges, welded in the vehicle: the bar comes out by its bolts',
  old: BOLTED,
}

/** All ways to make a crossmember, in their order. */
export const wayRows = ({ member, ways }: MemberEvaluation, units: UnitSettings): WayRow[] =>
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
      work: [workOf(member, found, units), ...twistOf(found)].join('; '),
      stays: STAYS[way.kind],
      missing: figures.known ? null : figures.missing,
    }
  })

/** A load so far beside a bar twists it. */
const BESIDE_MM = 5

function twistOf({ way, figures }: WayFound): string[] {
  const ahead = figures.known ? (figures.value.aheadMm ?? 0) : 0
  const isFlat = MEMBER_KINDS[way.kind].of === 'flat' || way.flatMm !== undefined
  if (!isFlat || way.kind === 'old' || Math.abs(ahead) <= BESIDE_MM) return []
  return [
    `the gearbox stands ${fixed(Math.abs(ahead), 0)} mm ${ahead > 0 ? 'ahead of' : 'behind'} it: a flat does not bear that twist`,
  ]
}

function workOf({ spacersMm }: Crossmember, found: WayFound, units: UnitSettings): string {
  const turns = blankCorners(found).map(({ turnDeg }) => Math.abs(turnDeg))
  const angles = [turns[0], turns[2]].map((turn) => `${fixed(turn ?? NaN, 1)}°`).join(' and ')
  const fill = found.figures.known ? found.figures.value.fillMm : undefined
  const spacers =
    fill === undefined
      ? NONE
      : `spacers of ${formatLength(fill, units)} under the bush${stackWords(fill, spacersMm ?? [])}`
  switch (found.way.kind) {
    case 'straight':
      return spacers
    case 'coped':
      return fill === undefined ? NONE : `two copes, welded in; ${spacers}`
    case 'bent':
      return turns.length > 0 ? `four bends, ${angles}` : NONE
    case 'tube': {
      const flats = found.way.flatMm === undefined ? '' : ', both ends pressed flat'
      return turns.length > 0 ? `four bends over a mandrel, ${angles}${flats}` : NONE
    }
    case 'folded':
      return turns.length > 0 ? `four notches, folds of ${angles}, welded on the bench` : NONE
    case 'ledges':
      return 'cut square, two ledges'
    case 'old':
      return movedWords(found, units)
  }
}

/** Told anew at every step of a lever: of more pieces there are too many stacks to try, and nobody piles them. */
const MOST_SPACERS = 4

/** What is nearest of the spacers at hand: " (20 + 3, 0.4 mm less)". */
export function stackWords(fillMm: number, stock: readonly number[]): string {
  const { thicknessesMm, sumMm } = fillStack(
    fillMm,
    stock.map((thickness) => ({ thickness })),
    MOST_SPACERS,
  )
  if (thicknessesMm.length === 0) return ''
  const off = sumMm - fillMm
  const rest = Math.abs(off) < 0.05 ? '' : `, ${fixed(Math.abs(off), 1)} mm ${off > 0 ? 'more' : 'less'}`
  return ` (${thicknessesMm.join(' + ')}${rest})`
}

/** Where the plates take an old bar: "plates: 12 mm forward; left end 3 mm up, right end 2 mm up". */
function movedWords({ figures }: WayFound, units: UnitSettings): string {
  if (!figures.known) return NONE
  const { plateForwardMm = NaN, plateInLeftMm = NaN, plateInRightMm = NaN } = figures.value
  const { plateUpLeftMm = NaN, plateUpRightMm = NaN } = figures.value
  const way = (mm: number, more: string, less: string) =>
    `${formatLength(Math.abs(mm), units)} ${mm >= 0 ? more : less}`
  const end = (name: string, up: number, inward: number) =>
    `${name} end ${way(up, 'up', 'down')}, ${way(inward, 'inward', 'outward')}`
  return [
    `plates: ${way(plateForwardMm, 'forward', 'back')}`,
    end('left', plateUpLeftMm, plateInLeftMm),
    end('right', plateUpRightMm, plateInRightMm),
  ].join('; ')
}

/** A piece to be cut. */
export interface CutRow {
  readonly piece: string
  readonly from: string
  readonly length: string
  readonly ends: string
}

/** What a crossmember is cut of. */
export function cutRows(found: WayFound, member: Crossmember, units: UnitSettings): CutRow[] {
  const { figures, way } = found
  const blank = figures.known ? figures.value.blankMm : undefined
  if (blank === undefined) return []
  const both = ['left', 'right'] as const
  return piecesOfWay(found, member).flatMap((piece): CutRow[] => {
    const cut = piece.lengthMm === null ? NONE : formatLength(piece.lengthMm, units)
    if (piece.role === 'bar')
      return [{ piece: 'bar', from: stockName(way), length: cut, ends: endsOf(way, blank, units) }]
    const from = sectionName(piece)
    return both.map((side) => ({ piece: `${piece.role}, ${side}`, from, length: cut, ends: 'square' }))
  })
}

function endsOf({ kind, flatMm, railOuterMm }: MemberWay, blankMm: number, units: UnitSettings): string {
  if (kind === 'coped') {
    const faces = `${formatLength(blankMm, units)} between the faces`
    return railOuterMm === undefined
      ? `coped, ${faces}; from tip to tip once the tubes that it lies on are told`
      : `coped square on ${formatLength(railOuterMm, units)}, from tip to tip; ${faces}`
  }
  return flatMm === undefined ? 'square' : `pressed flat, ${formatLength(flatMm, units)} from the bolt`
}

/** What is done along the blank, corner by corner: in the order of its press where that is told, else from its left end. */
export const cornerRows = (found: WayFound): string[] =>
  cornersInOrder(found).map(({ corner, isTurnedOver }) => {
    const turn = Math.abs(corner.turnDeg)
    if (found.way.kind === 'folded')
      return `${cornerWords(corner)}, notch ${fixed(mouthMm(found.way, corner.turnDeg), 1)} mm wide ${corner.turnDeg > 0 ? 'in the top' : 'underneath'}`
    const over = isTurnedOver ? 'turn it over: ' : ''
    const { springbackDeg } = found.way
    const press =
      springbackDeg === undefined
        ? ''
        : `, press to ${fixed(pressedDeg(turn, { backDeg: springbackDeg }), 1)}°`
    return `${over}${cornerWords(corner)} (${fixed(180 - turn, 1)}° included)${press}`
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

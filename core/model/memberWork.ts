import { known, mapKnown, unknown, type Known } from '../base/known'
import { degrees } from '../base/units/angle'
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '../file/kinds/memberKinds'
import { pressOrder, type PressOrder } from '../making/bends/pressOrder'
import { wedgeOf, type FaceLean, type Wedge } from '../making/crossmembers/wedge'
import type { BlankCorner } from '../making/templates/memberTemplate'
import type { MemberFigure } from './memberColumns'

type WayFigures = Readonly<Partial<Record<MemberFigure, number>>>

/** What is found of a way; a figure that it has not is absent. */
export interface WayFound {
  readonly way: MemberWay
  /** What is missing, or why it cannot be made so. */
  readonly figures: Known<WayFigures>
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

/** In which order a flat goes through its press; null of what is not pressed, unknown with what is missing. */
export function pressOf(found: WayFound): Known<PressOrder> | null {
  const { way, figures } = found
  if (way.kind !== 'bent') return null
  const { dieMm, blockMm, ramMm } = way.press ?? {}
  if (dieMm === undefined || blockMm === undefined || ramMm === undefined)
    return unknown('the press: opening of its die, die block and ram along the bar')
  return mapKnown(figures, ({ blankMm = NaN }) =>
    pressOrder(blankMm, way.heightMm, blankCorners(found), { dieMm, blockMm, ramMm }),
  )
}

/** A corner in its turn. */
export interface CornerInOrder {
  readonly corner: BlankCorner
  /** The bar lies on its other face than for the one before. */
  readonly isTurnedOver: boolean
}

/** Corners of its blank as they are made: by the press where that is told and takes them all, else from the left end. */
export function cornersInOrder(found: WayFound): CornerInOrder[] {
  const corners = blankCorners(found)
  const press = pressOf(found)
  if (!press?.known || !press.value.isPossible)
    return corners.map((corner) => ({ corner, isTurnedOver: false }))
  return press.value.steps.flatMap(({ bend, isTurnedOver }) => {
    const corner = corners[bend]
    return corner ? [{ corner, isTurnedOver }] : []
  })
}

/** How a rail stands to the bar's end that lies on it. */
export interface RailWedge {
  readonly side: 'left' | 'right'
  readonly wedge: Known<Wedge>
}

/** The wedge at each rail of which something was read; a straight bar leans as its rails stand to each other. */
export function railWedges({ leans, side, endMm }: Crossmember, { way, figures }: WayFound): RailWedge[] {
  if (!MEMBER_KINDS[way.kind].isOnFaces) return []
  const lies = figures.known ? lieOf(way, figures.value) : LEVEL
  return (['left', 'right'] as const).flatMap((rail) => {
    const lean = leans?.[rail]
    if (!lean) return []
    const { acrossDeg, alongDeg } = lean
    if (acrossDeg === undefined || alongDeg === undefined)
      return [{ side: rail, wedge: unknown(`how the ${rail} rail leans across and along`) }]
    const size = [way.widthMm ?? way.heightMm, endMm] as const
    return [{ side: rail, wedge: known(wedgeOf({ acrossDeg, alongDeg }, lies, size, side === 'under')) }]
  })
}

const LEVEL: FaceLean = { acrossDeg: 0, alongDeg: 0 }

function lieOf(
  { kind }: MemberWay,
  { fromLeftMm = NaN, fromRightMm = NaN, overLeftMm = 0, overRightMm = 0 }: WayFigures,
): FaceLean {
  if (kind !== 'straight') return LEVEL
  const rise = overRightMm - overLeftMm
  return { acrossDeg: degrees(Math.atan2(rise, fromLeftMm + fromRightMm)), alongDeg: 0 }
}

import type { Bound } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import { unknown, type Known } from '../base/known'
import type { Quantity, LimitEntry } from '../file/build/limit'
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '../file/kinds/memberKinds'
import type { MemberFigure, WayColumns } from './memberColumns'

type MemberQuantity = Extract<Quantity, `member-${string}`>

/** A figure that is judged. */
interface Judged {
  readonly figure: MemberFigure
  /** Whether a way is judged by it. */
  readonly isOf: (way: MemberWay) => boolean
  /** What the way itself asks for, besides the limits of the build. */
  readonly own?: (way: MemberWay) => readonly Bound[]
  /** Asked for where the figure is not there. */
  readonly lacks: string
}

/** So many thicknesses have to stay straight between two bends of a flat, for the press to hold it by. */
const STRAIGHT_THICKNESSES = 4

const JUDGED: Readonly<Record<MemberQuantity, Judged>> = {
  'member-stress': { figure: 'sharePercent', isOf: () => true, lacks: 'the largest load of its bush' },
  'member-sag': { figure: 'sagMm', isOf: () => true, lacks: 'the largest load of its bush' },
  'member-ground': { figure: 'groundMm', isOf: () => true, lacks: 'a gap to the ground, read' },
  'member-straight': {
    figure: 'straightMm',
    isOf: ({ kind }) => kind === 'bent',
    own: ({ heightMm }) => [
      {
        failBelow: 0,
        warnBelow: STRAIGHT_THICKNESSES * heightMm,
        basis: `the press holds it by ${STRAIGHT_THICKNESSES} thicknesses; below nought two bends lie in each other`,
      },
    ],
    lacks: 'where it bends',
  },
  'member-fill': {
    figure: 'fillMm',
    isOf: ({ kind }) => MEMBER_KINDS[kind].hasSpacers,
    own: () => [{ failBelow: 0, basis: 'below nought the bar stands in the bush' }],
    lacks: 'where it lies',
  },
}
const QUANTITIES = Object.keys(JUDGED) as MemberQuantity[]

/** The checks of a crossmember by the way that it is made. */
export const memberPlans = (
  limits: readonly LimitEntry[],
  member: Crossmember,
  way: MemberWay,
  columns: Known<WayColumns>,
): PlannedCheck[] =>
  QUANTITIES.flatMap((quantity) => {
    const { figure, isOf, own, lacks } = JUDGED[quantity]
    if (!isOf(way)) return []
    const column = columns.known ? columns.value[figure] : undefined
    const needs = columns.known && column === undefined ? unknown(lacks) : columns
    const head = { id: `member/${member.id}/${quantity}`, quantity, thing: member.id, name: member.name }
    return [thingPlan(head, limits, own?.(way) ?? [], needs, column)]
  })

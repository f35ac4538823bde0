import type { Check } from '../check/check'
import { plainCheck } from '../check/plainCheck'
import type { PlannedCheck } from '../check/plannedCheck'
import type { FigureOf, VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, mapKnown, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Crossmember, MemberWay } from '../file/kinds/memberKinds'
import { GAPS } from './gapSubject'
import type { CompiledGap } from './gaps'
import {
  groundLevel,
  MEMBER_FIGURES,
  wayColumns,
  type MemberFigure,
  type Seats,
  type WayColumns,
} from './memberColumns'
import { memberPlans } from './memberPlans'
import { pressOf, railWedges, type WayFound } from './memberWork'
import { compiledThings, plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

/** A way to make a crossmember, with its columns. */
interface CompiledWay {
  readonly way: MemberWay
  readonly columns: Known<WayColumns>
}

/** A crossmember with all its ways, and the checks of the one it is made by. */
interface CompiledMember {
  readonly member: Crossmember
  readonly ways: readonly CompiledWay[]
  readonly plans: readonly PlannedCheck[]
  readonly seats: Known<Seats<VectorColumns>>
}

/** A crossmember as the levers stand. */
export interface MemberEvaluation {
  readonly member: Crossmember
  readonly ways: readonly WayFound[]
  readonly checks: readonly Check[]
  /** Forward, left and up. */
  readonly seats: Known<Seats<Vec3>>
}

/** The crossmembers of a build. */
export const MEMBERS: Subject<CompiledMember, MemberEvaluation> = {
  key: 'crossmembers',
  compile: (ground, before) => {
    const gaps = compiledThings(before, GAPS)
    const things = (ground.build.crossmembers ?? []).map((member) => compileMember(ground, gaps, member))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const places = things.flatMap(({ seats }) => (seats.known ? Object.values(seats.value).flat() : []))
    return {
      key: 'crossmembers',
      things,
      plans,
      mustKeep: [],
      wants: [...figures.map(({ column }) => column), ...plannedColumns(plans), ...places],
      swept: { plans: [], wants: [] },
      spares: [],
      figures,
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => foundOf(thing, figure)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (found) => found.map(memberJson),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileMember(
  { build, graph, places }: Ground,
  gaps: readonly CompiledGap[],
  member: Crossmember,
): CompiledMember {
  const { point } = places.placed(null, null)
  const seats = mapKnown(
    allKnown([point(member.left), point(member.right), point(member.pad)] as const),
    ([left, right, pad]) => ({ left, right, pad }),
  )
  const level = andThen(seats, ({ pad }) => groundLevel(graph, gaps, pad))
  const ways = member.ways.map((way): CompiledWay => ({
    way,
    columns: andThen(seats, (at) => wayColumns(graph, member, way, at, level)),
  }))
  const made = ways.find(({ way }) => way.id === member.chosen)
  const plans = made ? memberPlans(build.limits.entries, member, made.way, made.columns) : []
  return { member, ways, plans, seats }
}

const figuresOf = ({ member, ways }: CompiledMember, index: number): SubjectFigure<MemberEvaluation>[] =>
  ways.flatMap(({ way, columns }, k) =>
    MEMBER_FIGURES.flatMap((name) => {
      const column = columns.known ? columns.value[name] : undefined
      if (column === undefined) return []
      return [
        {
          id: memberFigureId(member.id, way.id, name),
          place: `crossmembers[${index}].ways[${k}].${name}`,
          column,
          stands: (found: readonly MemberEvaluation[]) => {
            const figures = found[index]?.ways[k]?.figures
            return figures?.known === true && figures.value[name] !== undefined
          },
        },
      ]
    }),
  )

/** Under which the ± of a figure is kept. */
export const memberFigureId = (member: string, way: string, name: MemberFigure): string =>
  `member/${member}/${way}/${name}`

function foundOf({ member, ways, plans, seats }: CompiledMember, figure: FigureOf): MemberEvaluation {
  return {
    member,
    ways: ways.map(({ way, columns }) => ({ way, figures: wayFigures(columns, figure) })),
    checks: plans.map((plan) => plainCheck(plan, figure)),
    seats: mapKnown(seats, ({ left, right, pad }) => {
      const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
      return { left: at(left), right: at(right), pad: at(pad) }
    }),
  }
}

/** Why a bar cannot be made so is told by what has no figure. */
function wayFigures(columns: Known<WayColumns>, figure: FigureOf): WayFound['figures'] {
  if (!columns.known) return columns
  const told = MEMBER_FIGURES.flatMap((name) => {
    const column = columns.value[name]
    return column === undefined ? [] : [[name, figure(column)] as const]
  })
  const figures = Object.fromEntries(told.filter(([, value]) => Number.isFinite(value)))
  if (figures.blankMm === undefined)
    return unknown('a gearbox that stands between the rails, clear of both pads')
  return mapKnown(columns, () => figures)
}

/** What a crossmember says in the published result: every way with its figures, its press, and how the rails lean to it. */
const memberJson = ({ member, ways }: MemberEvaluation) => ({
  id: member.id,
  name: member.name,
  chosen: member.chosen,
  ways: ways.map((found) => ({
    id: found.way.id,
    kind: found.way.kind,
    ...(found.figures.known && found.figures.value),
    ...pressJson(found),
    ...wedgesJson(member, found),
  })),
})

function pressJson(found: WayFound) {
  const press = pressOf(found)
  if (!press?.known) return {}
  // Bends are counted from the left end, from 1.
  if (press.value.isPossible) return { pressOrder: press.value.steps.map(({ bend }) => bend + 1) }
  return { notPressed: press.value.left.map(({ bend, hit }) => ({ bend: bend + 1, hit })) }
}

function wedgesJson(member: Crossmember, found: WayFound) {
  const wedges = railWedges(member, found).flatMap(({ side, wedge }) =>
    wedge.known ? [{ side, ...wedge.value }] : [],
  )
  return wedges.length > 0 ? { wedges } : {}
}

import type { Bound } from '../check/judge'
import { plainCheck } from '../check/plainCheck'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { FigureOf, VectorColumns } from '../base/columns/graph'
import { andThen, mapKnown, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import { degrees } from '../base/units/angle'
import type { Shift, ShiftEnd } from '../file/kinds/shiftKinds'
import type { Arm } from '../shift/rod/arm'
import type { Arms } from '../shift/rod/bestRod'
import { DEAD_DEG, type ShiftGate } from '../shift/rod/gates'
import {
  SHIFT_GATE_FIGURES,
  shiftColumns,
  type ShiftColumns,
  type ShiftGateFigure,
  type StandingArm,
} from './shiftColumns'
import { plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

interface CompiledShift {
  readonly shift: Shift
  readonly columns: Known<ShiftColumns>
  readonly plans: readonly PlannedCheck[]
}

/** A gate of both ends as the levers stand; without a rod it has no figures, nor those of an arm that the rod does not reach. */
export interface ShiftGateFound extends ShiftGate {
  readonly id: string
  readonly figures: Readonly<Partial<Record<ShiftGateFigure, number>>>
}

/** A shift linkage as the levers stand. */
export interface ShiftFound {
  readonly arms: Arms
  readonly gates: readonly ShiftGateFound[]
  readonly captureDeg: number
  readonly lostDeg: number
  /** From pin to pin, as it is or as it is set; null without either. */
  readonly rodMm: number | null
}
export interface ShiftEvaluation {
  readonly shift: Shift
  readonly found: Known<ShiftFound>
  readonly checks: readonly Check[]
}

/** The shift linkages of a build. */
export const SHIFTS: Subject<CompiledShift, ShiftEvaluation> = {
  key: 'shifts',
  compile: (ground) => {
    const things = (ground.build.shifts ?? []).map((shift) => compileShift(ground, shift))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const stands = things.flatMap(({ columns }) =>
      columns.known
        ? [
            ...[columns.value.lever, columns.value.box].flatMap(({ pivot, from, toward }) => [
              ...pivot,
              ...from,
              ...toward,
            ]),
            ...columns.value.gates.flatMap(({ lever, box }) => [lever, box]),
            columns.value.captureDeg,
            ...(columns.value.rodMm === null ? [] : [columns.value.rodMm]),
          ]
        : [],
    )
    return {
      key: 'shifts',
      things,
      plans,
      mustKeep: [],
      wants: [...figures.map(({ column }) => column), ...plannedColumns(plans), ...stands],
      swept: { plans: [], wants: [] },
      spares: [],
      figures,
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => evaluationOf(thing, figure)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) =>
    all.map(({ shift: { id, name }, found }) => ({
      id,
      name,
      captureDeg: found.known ? found.value.captureDeg : null,
      lostDeg: found.known ? found.value.lostDeg : null,
      rodMm: found.known ? found.value.rodMm : null,
      gates: found.known
        ? found.value.gates.map(({ id: gate, name: called, leverDeg, boxDeg, figures }) => ({
            id: gate,
            name: called,
            leverDeg,
            boxDeg,
            ...figures,
          }))
        : null,
      missing: found.known ? [] : found.missing,
    })),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileShift(ground: Ground, shift: Shift): CompiledShift {
  const columns = shiftColumns(ground, shift)
  return { shift, columns, plans: plansOf(ground, shift, columns) }
}

const REACHES: Bound = { failAbove: 0, basis: 'a rod that does not reach from pin to pin shifts nothing' }
const CATCHES: Bound = {
  failBelow: 0,
  basis: 'a detent draws in a quarter of the step to the next, less half the lost motion',
}
const TURNS: Bound = {
  failBelow: DEAD_DEG,
  basis: 'in line with the rod an arm is at its dead centre and does not follow',
}

/** Each gate of both ends: whether the rod reaches, whether the detent draws it in, whether the arm follows. */
function plansOf({ build }: Ground, shift: Shift, columns: Known<ShiftColumns>): PlannedCheck[] {
  const withRod = andThen(columns, (all): Known<ShiftColumns> =>
    all.rodMm === null
      ? unknown(`${shift.name}: length of its rod`, 'shifts')
      : { known: true, value: all, assumptions: [] },
  )
  return shift.gates.flatMap((gate) => {
    if (gate.only !== undefined) return []
    const figures = columns.known
      ? columns.value.gates.find((one) => one.gate.id === gate.id)?.figures
      : undefined
    const plan = (
      key: string,
      quantity: 'shift-reach' | 'shift-catch' | 'shift-dead',
      bound: Bound,
      of: ShiftGateFigure,
    ): PlannedCheck => {
      const head = {
        ...{ id: `shift/${shift.id}/${gate.id}/${key}`, quantity, thing: shift.id },
        name: `${shift.name}, ${gate.name}`,
      }
      return thingPlan(head, build.limits.entries, [bound], withRod, figures?.[of])
    }
    return [
      plan('reach', 'shift-reach', REACHES, 'missesMm'),
      plan('catch', 'shift-catch', CATCHES, 'leftDeg'),
      plan('dead', 'shift-dead', TURNS, 'transmissionDeg'),
    ]
  })
}

function figuresOf({ shift, columns }: CompiledShift, index: number): SubjectFigure<ShiftEvaluation>[] {
  if (!columns.known) return []
  const { rodMm, gates } = columns.value
  const place = `shifts[${index}]`
  const foundIn = (found: readonly ShiftEvaluation[]) => {
    const one = found[index]?.found
    return one?.known ? one.value : null
  }
  const ofGates = gates.flatMap(({ gate, figures }, k) =>
    figures === null
      ? []
      : SHIFT_GATE_FIGURES.map((name) => ({
          id: shiftFigureId(shift.id, gate.id, name),
          place: `${place}.gates[${k}].${name}`,
          column: figures[name],
          stands: (found: readonly ShiftEvaluation[]) =>
            foundIn(found)?.gates[k]?.figures[name] !== undefined,
        })),
  )
  // A rod that is told is no figure of the model.
  if (rodMm === null || shift.setIn === undefined) return ofGates
  const stands = (found: readonly ShiftEvaluation[]) => Number.isFinite(foundIn(found)?.rodMm)
  return [{ id: shiftRodId(shift.id), place: `${place}.rodMm`, column: rodMm, stands }, ...ofGates]
}

/** Under which the ± of a rod is kept that is set in a gate. */
export const shiftRodId = (shift: string): string => `shift/${shift}/rodMm`

/** Under which the ± of a figure is kept. */
export const shiftFigureId = (shift: string, gate: string, name: ShiftGateFigure): string =>
  `shift/${shift}/${gate}/${name}`

function evaluationOf({ shift, columns, plans }: CompiledShift, figure: FigureOf): ShiftEvaluation {
  return {
    shift,
    found: mapKnown(columns, (all) => ({
      arms: { lever: armOf(shift, 'lever', all.lever, figure), box: armOf(shift, 'box', all.box, figure) },
      gates: all.gates.map(({ gate, lever, box, figures }) => ({
        id: gate.id,
        name: gate.name,
        leverDeg: degrees(figure(lever)),
        boxDeg: degrees(figure(box)),
        figures: read(figures, figure),
      })),
      captureDeg: figure(all.captureDeg),
      lostDeg: all.lostDeg,
      rodMm: all.rodMm === null ? null : figure(all.rodMm),
    })),
    checks: plans.map((plan) => plainCheck(plan, figure)),
  }
}

function armOf(shift: Shift, end: ShiftEnd, { pivot, from, toward }: StandingArm, figure: FigureOf): Arm {
  const at = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  const { armMm, playMm = 0 } = shift[end]
  return { pivot: at(pivot), from: at(from), toward: at(toward), armMm, clock: 0 as Arm['clock'], playMm }
}

/** What has a figure. */
const read = (
  figures: ShiftColumns['gates'][number]['figures'],
  figure: FigureOf,
): ShiftGateFound['figures'] =>
  Object.fromEntries(
    SHIFT_GATE_FIGURES.flatMap((name) => {
      const value = figures ? figure(figures[name]) : NaN
      return Number.isFinite(value) ? [[name, value] as const] : []
    }),
  )

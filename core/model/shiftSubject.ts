import { plainCheck } from '../check/plainCheck'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import type { FigureOf, VectorColumns } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import { degrees } from '../base/units/angle'
import type { Shift, ShiftEnd } from '../file/parts/shiftLinkage'
import type { Arm } from '../shift/rod/arm'
import type { Arms } from '../shift/rod/bestRod'
import type { ShiftGate } from '../shift/rod/gates'
import { shiftColumns, type ShiftColumns } from './shiftColumns'
import { knobFigures, knobFound, knobJson, knobPlans, knobWants, type KnobFound } from './knobFound'
import type { StandingArm } from './standingArm'
import { CABLES } from './cableSubject'
import { SHIFT_GATE_FIGURES, type ShiftGateFigure } from './gateFigures'
import { shiftPlans, shiftTrials } from './shiftPlans'
import { compiledThings, plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

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
  /** Detents that the lever has no mark for, as far as they are read. */
  readonly alone: readonly { readonly id: string; readonly boxDeg: number }[]
  readonly captureDeg: number
  readonly lostDeg: number
  /** From pin to pin, as it is or as it is set; null without either. */
  readonly rodMm: number | null
  /** Outer fixings of the cable that works it; null for a rod. */
  readonly cable: { readonly from: Vec3; readonly to: Vec3 } | null
  /** Null where nobody told the lever's other end, or what is near it is not known. */
  readonly knob: KnobFound | null
}
export interface ShiftEvaluation {
  readonly shift: Shift
  readonly found: Known<ShiftFound>
  readonly checks: readonly Check[]
}

/** The shift linkages of a build. */
export const SHIFTS: Subject<CompiledShift, ShiftEvaluation> = {
  key: 'shifts',
  compile: (ground, before) => {
    const cables = compiledThings(before, CABLES)
    const things = (ground.build.shifts ?? []).map((shift) => compileShift(ground, shift, cables))
    const plans = things.flatMap((thing) => thing.plans)
    const figures = things.flatMap(figuresOf)
    const stands = things.flatMap(({ columns }) =>
      columns.known
        ? [
            ...[columns.value.lever, columns.value.box].flatMap(({ pivot, armMm, from, toward }) => [
              armMm,
              ...pivot,
              ...from,
              ...toward,
            ]),
            ...columns.value.gates.flatMap(({ lever, box }) => [lever, box]),
            ...columns.value.alone.map(({ box }) => box),
            columns.value.captureDeg,
            columns.value.lostDeg,
            ...(columns.value.rodMm === null ? [] : [columns.value.rodMm]),
            ...(columns.value.cable ? [columns.value.cable.from, columns.value.cable.to].flat() : []),
            ...(columns.value.knob?.known ? knobWants(columns.value.knob.value) : []),
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
      ...(found.known && found.value.knob && { knob: knobJson(found.value.knob) }),
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

function compileShift(
  ground: Ground,
  shift: Shift,
  cables: Parameters<typeof shiftColumns>[2],
): CompiledShift {
  const columns = shiftColumns(ground, shift, cables)
  const plans = [
    ...shiftPlans(ground, shift, columns),
    ...knobPlans(ground, shift, columns),
    ...shiftTrials(ground, shift),
  ]
  return { shift, columns, plans }
}

function figuresOf({ shift, columns }: CompiledShift, index: number): SubjectFigure<ShiftEvaluation>[] {
  if (!columns.known) return []
  const { rodMm, gates, knob } = columns.value
  const place = `shifts[${index}]`
  const foundIn = (found: readonly ShiftEvaluation[]) => {
    const one = found[index]?.found
    return one?.known ? one.value : null
  }
  const ofGates = gates.flatMap(({ gate, figures }, k) =>
    SHIFT_GATE_FIGURES.flatMap((name) => {
      const column = figures[name]
      if (column === undefined) return []
      const stands = (found: readonly ShiftEvaluation[]) =>
        foundIn(found)?.gates[k]?.figures[name] !== undefined
      const id = shiftFigureId(shift.id, gate.id, name)
      return [{ id, place: `${place}.gates[${k}].${name}`, column, stands }]
    }),
  )
  const ofKnob = knob?.known
    ? knobFigures<ShiftEvaluation>(shift.id, place, knob.value, (found) => foundIn(found)?.knob ?? null)
    : []
  // A rod that is told is no figure of the model.
  if (rodMm === null || shift.setIn === undefined) return [...ofGates, ...ofKnob]
  const stands = (found: readonly ShiftEvaluation[]) => Number.isFinite(foundIn(found)?.rodMm)
  return [{ id: shiftRodId(shift.id), place: `${place}.rodMm`, column: rodMm, stands }, ...ofGates, ...ofKnob]
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
      alone: all.alone.map(({ gate, box }) => ({ id: gate.id, boxDeg: degrees(figure(box)) })),
      captureDeg: figure(all.captureDeg),
      lostDeg: figure(all.lostDeg),
      rodMm: all.rodMm === null ? null : figure(all.rodMm),
      cable: all.cable && { from: placeOf(all.cable.from, figure), to: placeOf(all.cable.to, figure) },
      knob: all.knob?.known ? knobFound(all.knob.value, figure) : null,
    })),
    checks: plans.map((plan) => plainCheck(plan, figure)),
  }
}

const placeOf = ([x, y, z]: VectorColumns, figure: FigureOf): Vec3 => [figure(x), figure(y), figure(z)]

function armOf(
  shift: Shift,
  end: ShiftEnd,
  { pivot, armMm, from, toward }: StandingArm,
  figure: FigureOf,
): Arm {
  const at = (place: VectorColumns) => placeOf(place, figure)
  const { playMm = 0 } = shift[end]
  const place = { pivot: at(pivot), from: at(from), toward: at(toward) }
  return { ...place, armMm: figure(armMm), clock: 0 as Arm['clock'], playMm }
}

/** What has a figure. */
const read = (
  figures: ShiftColumns['gates'][number]['figures'],
  figure: FigureOf,
): ShiftGateFound['figures'] =>
  Object.fromEntries(
    SHIFT_GATE_FIGURES.flatMap((name) => {
      const column = figures[name]
      const value = column === undefined ? NaN : figure(column)
      return Number.isFinite(value) ? [[name, value] as const] : []
    }),
  )

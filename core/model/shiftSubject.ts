import type { Shift } from '../file/parts/shiftLinkage'
import { shiftColumns } from './shiftColumns'
import { knobFigures, knobJson, knobPlans, knobWants } from './knobFound'
import { shiftEvaluation, type CompiledShift, type ShiftEvaluation } from './shiftFound'
import { CABLES } from './cableSubject'
import { SHIFT_GATE_FIGURES, type ShiftGateFigure } from './gateFigures'
import { shiftPlans, shiftTrials } from './shiftPlans'
import { compiledThings, plannedColumns, type Ground, type Subject, type SubjectFigure } from './subject'

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
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => shiftEvaluation(thing, figure)) }),
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

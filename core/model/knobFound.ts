import type { Column, FigureOf, VectorColumns } from '../base/columns/graph'
import { andThen, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Bound } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { Shift } from '../file/parts/shiftLinkage'
import { HAND_MM, KNOB_FIGURES, type KnobColumns, type KnobFigure } from './knobColumns'
import type { ShiftColumns } from './shiftColumns'
import type { Ground, SubjectFigure } from './subject'

/** The knob of a lever as the levers of the build stand. */
export interface KnobFound {
  readonly gates: readonly { readonly gate: string; readonly at: Vec3 }[]
  readonly beyond: readonly Vec3[]
  readonly figures: Readonly<Partial<Record<KnobFigure, number>>>
  readonly near: readonly {
    readonly point: string
    readonly at: Vec3
    readonly wantedMm: number
    readonly gapMm: number
  }[]
}

/** Every column that tells it. */
export const knobWants = ({ gates, beyond, near, figures }: KnobColumns): Column[] => [
  ...[...gates.map(({ at }) => at), ...beyond].flat(),
  ...near.flatMap(({ at, column }) => [...at, column]),
  ...Object.values(figures),
]

export function knobFound({ gates, beyond, near, figures }: KnobColumns, figure: FigureOf): KnobFound {
  const place = ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]
  return {
    gates: gates.map(({ gate, at }) => ({ gate, at: place(at) })),
    beyond: beyond.map(place),
    figures: Object.fromEntries(Object.entries(figures).map(([name, column]) => [name, figure(column)])),
    near: near.map(({ point, at, gapMm, column }) => ({
      ...{ point, at: place(at), wantedMm: gapMm, gapMm: figure(column) },
    })),
  }
}

/** Its part of the published result. */
export const knobJson = ({ figures, near }: KnobFound) => ({
  ...figures,
  near: near.map(({ point, gapMm }) => ({ point, gapMm })),
})

/** Under which the ± of a figure is kept. */
export const knobFigureId = (shift: string, name: string): string => `shift/${shift}/knob/${name}`

/** @param foundIn - the knob in what is found */
export function knobFigures<Found>(
  shift: string,
  place: string,
  { figures, near }: KnobColumns,
  foundIn: (found: readonly Found[]) => KnobFound | null,
): SubjectFigure<Found>[] {
  const plain = KNOB_FIGURES.flatMap((name) => {
    const column = figures[name]
    if (column === undefined) return []
    const stands = (found: readonly Found[]) => Number.isFinite(foundIn(found)?.figures[name])
    return [{ id: knobFigureId(shift, name), place: `${place}.knob.${name}`, column, stands }]
  })
  const gaps = near.map(({ column }, k) => ({
    ...{ id: knobFigureId(shift, `near/${k}`), place: `${place}.knob.near[${k}].gapMm`, column },
    stands: (found: readonly Found[]) => Number.isFinite(foundIn(found)?.near[k]?.gapMm),
  }))
  return [...plain, ...gaps]
}

/** Room for the hand at each thing near the knob. */
export function knobPlans(
  { build }: Ground,
  { id: shift, name, knob }: Shift,
  columns: Known<ShiftColumns>,
): PlannedCheck[] {
  const known = andThen(columns, (all) => all.knob ?? unknown(`${name}: its knob is not known`, 'shifts'))
  return (knob?.near ?? []).map(({ point, gapMm = HAND_MM }, k) => {
    const room: Bound = { failBelow: gapMm, basis: 'a hand that strikes there does not reach the gate' }
    const called = build.points.find((one) => one.id === point)?.name ?? point
    const head = {
      ...{ id: `shift/${shift}/knob/near/${k}`, quantity: 'knob-gap' as const, thing: shift },
      name: called,
    }
    return thingPlan(
      head,
      build.limits.entries,
      [room],
      known,
      known.known ? known.value.near[k]?.column : undefined,
    )
  })
}

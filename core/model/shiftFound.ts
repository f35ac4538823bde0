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
import { SHIFT_GATE_FIGURES, type ShiftGateFigure } from './gateFigures'
import { knobFound, type KnobFound } from './knobFound'
import type { ShiftColumns } from './shiftColumns'
import type { StandingArm } from './standingArm'

/** A linkage with all that levers do not change. */
export interface CompiledShift {
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
/** A linkage with what is found of it. */
export interface ShiftEvaluation {
  readonly shift: Shift
  readonly found: Known<ShiftFound>
  readonly checks: readonly Check[]
}

/** Mounts tell how the engine rocks, and its gates are looked at so. */
export const isLookedAtRocked = ({ found }: ShiftEvaluation): boolean =>
  found.known && found.value.gates.some(({ figures }) => figures.rockedDeg !== undefined)

/** What is found of a linkage where the levers stand. */
export function shiftEvaluation({ shift, columns, plans }: CompiledShift, figure: FigureOf): ShiftEvaluation {
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

import { scalarStep, vectorStep, type Column, type VectorColumns } from '../base/columns/graph'
import { mapKnown, allKnown, type Known } from '../base/known'
import type { Id } from '../file/parts/id'
import type { Shift, ShiftKnob } from '../file/parts/shiftLinkage'
import * as kernels from '../shift/rod/knobKernel'
import type { StandingArm } from './standingArm'
import type { Ground } from './subject'

/** Figures of a knob, by their names in the published result. */
export const KNOB_FIGURES = ['throwMm', 'openingMm'] as const
export type KnobFigure = (typeof KNOB_FIGURES)[number]

/** The gap that a hand wants where none is told (an estimate). */
export const HAND_MM = 40

/** Something that the hand may strike, and how near the knob comes to it. */
export interface NearKnobColumns {
  readonly point: Id
  readonly at: VectorColumns
  readonly gapMm: number
  readonly column: Column
}

/** The other end of a lever, in every gate. */
export interface KnobColumns {
  readonly knob: ShiftKnob
  /** By gate in their order; first and last are beyond the gates, where the lever goes on. */
  readonly gates: readonly { readonly gate: Id; readonly at: VectorColumns }[]
  readonly beyond: readonly VectorColumns[]
  readonly figures: Readonly<Partial<Record<KnobFigure, Column>>>
  readonly near: readonly NearKnobColumns[]
}

/** The lever's angle in each gate that it has. */
interface LeverGate {
  readonly gate: { readonly id: Id }
  readonly lever: Column
}

/** @param gates - in their order along the lever's way, two at least */
export function knobColumns(
  ground: Ground,
  shift: Shift,
  lever: StandingArm,
  gates: readonly LeverGate[],
): Known<KnobColumns> | null {
  const { knob } = shift
  const [first, last] = [gates[0]?.lever, gates.at(-1)?.lever]
  if (!knob || first === undefined || last === undefined) return null
  const { graph, places } = ground
  const { longMm, turnDeg, asideMm = 0, acrossMm = 0, overDeg = 0, near = [] } = knob
  // Of an axis across the left is aside, of one along the front, of an upright one the top.
  const aside = shift.lever.lies === 'across' ? asideMm : -asideMm
  const at = (angle: Column): VectorColumns =>
    vectorStep(
      graph,
      kernels.KNOB_AT,
      [...lever.pivot, ...lever.from, ...lever.toward, angle],
      [longMm, turnDeg, aside],
    )
  const further = (angle: Column, other: Column) =>
    scalarStep(graph, kernels.BEYOND, [angle, other], [overDeg])
  const ends = [further(first, last), further(last, first)] as const
  const inGates = gates.map(({ gate, lever: angle }) => ({ gate: gate.id, at: at(angle) }))
  const beyond = overDeg > 0 ? ends.map(at) : []
  const cloud = [...inGates.map((one) => one.at), ...beyond]
  const things = allKnown<NearKnobColumns[]>(
    near.map(({ point, gapMm = HAND_MM }) =>
      mapKnown(places.placed(null, null).point(point), (place) => ({
        ...{ point, at: place, gapMm },
        column: scalarStep(
          graph,
          kernels.nearestTo(cloud.length),
          [...place, ...cloud.flat()],
          [acrossMm / 2],
        ),
      })),
    ),
  )
  const throwMm = scalarStep(graph, kernels.THROW, [...(inGates[0]?.at ?? []), ...(inGates.at(-1)?.at ?? [])])
  return mapKnown(things, (all) => ({
    ...{ knob, gates: inGates, beyond, near: all },
    figures: { throwMm, ...openingOf(ground, knob, ends) },
  }))
}

function openingOf(
  { graph }: Ground,
  { skinMm, stemMm, freeMm = 0, rockMm = 0 }: ShiftKnob,
  ends: readonly Column[],
): KnobColumns['figures'] {
  if (skinMm === undefined || stemMm === undefined) return {}
  return { openingMm: scalarStep(graph, kernels.OPENING, ends, [skinMm, stemMm, freeMm, rockMm]) }
}

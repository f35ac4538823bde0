import { TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import type { Shaft } from '../file/parts/lineSpec'
import { whirlingShaft, whirlRpm } from '../vehicle/strength/criticalSpeed'

/** How what grows longer and shorter in a shaft stands. */
export interface SlipColumns {
  /** Way left until it bottoms, in mm. */
  readonly leftMm: Column
  /** Of the spline, in mm; null where it is not told how much is engaged at ride height. */
  readonly engagedMm: Column | null
  /** The same over its diameter; null where that is not told either. */
  readonly engagedShare: Column | null
}

/** What hangs on the length of a shaft, each null where its parts do not tell it. */
export interface ShaftColumns {
  /** First bending critical speed, in rev/min. */
  readonly criticalRpm: Column | null
  readonly slip: SlipColumns | null
  /** Way that a plunging joint has left either way, in mm. */
  readonly plungeLeftMm: Column | null
}

/**
 * What hangs on a shaft's length in one state.
 *
 * @param span - between its joint centres, in mm
 * @param slide - how far the slip yoke at its driving end has slid out, in mm; null where the shaft's own spline slips
 */
export const shaftColumns = (
  graph: Graph,
  shaft: Shaft,
  span: Column,
  slide: Column | null,
): ShaftColumns => ({
  criticalRpm: criticalColumn(graph, shaft, span),
  slip: slide === null ? splineColumns(graph, shaft, span) : yokeColumns(graph, shaft, slide),
  plungeLeftMm: plungeColumn(graph, shaft, span),
})

/** First bending critical speed from the length between joint centres in mm; parameters: what `whirlingShaft` tells. */
const CRITICAL_SPEED: Kernel = {
  name: 'critical speed of the tube with what sits at its ends',
  page: 'strength',
  outputs: 1,
  run: (count, [length], [speedRpm], [waveFactor, kgPerMm, endKg, inboardMm]) => {
    const shaft = { waveFactor, kgPerMm, endKg, inboardMm }
    for (let i: Row = 0; i < count; i++) speedRpm[i] = whirlRpm(shaft, length[i])
  },
}

function criticalColumn(graph: Graph, { tube, endMasses }: Shaft, span: Column): Column | null {
  if (!tube) return null
  const { waveFactor, kgPerMm, endKg, inboardMm } = whirlingShaft(tube, endMasses)
  return scalarStep(graph, CRITICAL_SPEED, [span], [waveFactor, kgPerMm, endKg, inboardMm])
}

/** Way left at a joint that plunges, in mm; parameters: length at the middle of its range, and its reach either way. */
const PLUNGE_LEFT: Kernel = {
  name: 'plunge left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [middle, reach]) => {
    for (let i: Row = 0; i < count; i++) left[i] = reach - Math.abs(length[i] - middle)
  },
}

function plungeColumn(graph: Graph, { plunge }: Shaft, span: Column): Column | null {
  const { middleMm, reachMm } = plunge ?? {}
  return middleMm === undefined || reachMm === undefined
    ? null
    : scalarStep(graph, PLUNGE_LEFT, [span], [middleMm, reachMm])
}

/** Way left until a spline bottoms, in mm, from the shaft's length; parameter: length when it is pushed home. */
const SLIP_LEFT: Kernel = {
  name: 'slip left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [closed]) => {
    for (let i: Row = 0; i < count; i++) left[i] = length[i] - closed
  },
}

/** Engaged spline in mm, from what draws it out; parameter: where nothing is engaged any more, in mm. */
const ENGAGED: Kernel = {
  name: 'spline engaged',
  page: 'lengths',
  outputs: 1,
  run: (count, [drawn], [engaged], [apart]) => {
    for (let i: Row = 0; i < count; i++) engaged[i] = apart - drawn[i]
  },
}

/** Way left until a slip yoke bottoms, in mm, from how far it has slid out; parameter: its set-in at ride height. */
const YOKE_LEFT: Kernel = {
  name: 'slip left at the yoke',
  page: 'travel',
  outputs: 1,
  run: (count, [slide], [left], [setIn]) => {
    for (let i: Row = 0; i < count; i++) left[i] = setIn + slide[i]
  },
}

function splineColumns(graph: Graph, { slip }: Shaft, span: Column): SlipColumns | null {
  const { closedMm, engagedMm, diameterMm } = slip ?? {}
  if (closedMm === undefined) return null
  const apart = engagedMm === undefined ? undefined : closedMm + engagedMm
  return {
    leftMm: scalarStep(graph, SLIP_LEFT, [span], [closedMm]),
    ...engagement(graph, span, apart, diameterMm),
  }
}

function yokeColumns(graph: Graph, { drivingEnd }: Shaft, slide: Column): SlipColumns | null {
  if (drivingEnd?.kind !== 'slip-yoke' || drivingEnd.setInMm === undefined) return null
  const { setInMm, engagedMm, splineDiameterMm } = drivingEnd
  return {
    leftMm: scalarStep(graph, YOKE_LEFT, [slide], [setInMm]),
    ...engagement(graph, slide, engagedMm, splineDiameterMm),
  }
}

function engagement(
  graph: Graph,
  drawn: Column,
  apartMm: number | undefined,
  diameterMm: number | undefined,
): Pick<SlipColumns, 'engagedMm' | 'engagedShare'> {
  const engagedMm = apartMm === undefined ? null : scalarStep(graph, ENGAGED, [drawn], [apartMm])
  const isShare = engagedMm !== null && diameterMm !== undefined
  return { engagedMm, engagedShare: isShare ? scalarStep(graph, TIMES, [engagedMm], [1 / diameterMm]) : null }
}

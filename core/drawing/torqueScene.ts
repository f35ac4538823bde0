import { allKnown, mapKnown, type Known } from '../base/known'
import type { Evaluation } from '../model/evaluateBuild'
import type { LineEvaluation } from '../model/lineEvaluation'
import type { Build } from '../file/build/build'
import { torqueRows } from '../vehicle/strength/gearRows'
import { lineScene } from './lineScene'
import type { Shape } from './shape'

/** One gear's torque along a line, in Nm. */
export interface TorqueLevel {
  readonly gear: string
  /** What comes through: no more than the tyres hold. */
  readonly throughNm: number
  /** What the engine would give. */
  readonly engineNm: number
}

/** A line from the side with what it carries in each gear, in mm and Nm. */
export interface TorqueScene {
  readonly shapes: readonly Shape[]
  /** Stations of the joints, along the power flow. */
  readonly joints: readonly number[]
  /** Station and size of the engine's own torque, before any gear; null where it is not entered. */
  readonly engine: { readonly station: number; readonly torqueNm: number } | null
  readonly levels: readonly TorqueLevel[]
  readonly mostNm: number
  /** What the tyres hold; null where they hold every gear. */
  readonly heldNm: number | null
  readonly span: readonly [number, number]
  /** Middle height of the line above the datum plane. */
  readonly heightMm: number
}

/** From engine to axle this much is shown beyond the joints, in mm. */
const BEFORE = 900
const BEYOND = 380

/**
 * The torque of a line in every gear, along its own drawing.
 *
 * @returns unknown with what is missing of torque, gears or the line itself
 */
export function torqueScene(
  build: Build,
  now: Evaluation,
  { line, ride }: LineEvaluation,
): Known<TorqueScene> {
  const all = allKnown<[ReturnType<typeof levelsOf>, (readonly [number, number])[]]>([
    mapKnown(torqueRows(build, line), levelsOf),
    mapKnown(ride, ({ geometry }) => geometry.centres.map(([x, , z]) => [-x, z] as const)),
  ])
  return mapKnown(all, ([levels, places]) => {
    const joints = places.map(([station]) => station)
    const [first = 0, last = 0] = [joints[0], joints.at(-1)]
    const back = last >= first ? 1 : -1
    const heights = places.map(([, height]) => height)
    const { peakTorqueNm } = build.drivetrain
    const ends = [first - back * BEFORE, last + back * BEYOND]
    return {
      shapes: lineScene(build, now).shapes.side,
      joints,
      engine:
        peakTorqueNm === undefined ? null : { station: first - back * BEFORE * 0.8, torqueNm: peakTorqueNm },
      levels,
      heldNm: levels.find(({ throughNm, engineNm }) => throughNm < engineNm)?.throughNm ?? null,
      mostNm: Math.max(...levels.map(({ engineNm }) => engineNm), peakTorqueNm ?? 0),
      span: [Math.min(...ends), Math.max(...ends)],
      heightMm: (Math.min(...heights) + Math.max(...heights)) / 2,
    }
  })
}

const levelsOf = (
  rows: readonly { range: string | null; gear: string; limitedNm: number; engineNm: number }[],
): TorqueLevel[] =>
  rows
    .map(({ range, gear, limitedNm, engineNm }) => ({
      gear: range ? `${range}, ${gear}` : gear,
      throughNm: limitedNm,
      engineNm,
    }))
    .toSorted((a, b) => b.engineNm - a.engineNm)

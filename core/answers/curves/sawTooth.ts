import { mapKnown, type Known } from '../../base/known'
import type { DrivenBuild } from '../../vehicle/strength/drivetrainFigures'
import { gearRows } from '../../vehicle/strength/gearRows'

/** One gear pulled to the redline, having come from the one before. */
export interface Tooth {
  readonly gear: string
  /** Where the gear before ends; 0 for the first. */
  readonly fromKmh: number
  readonly toKmh: number
  /** Of the engine after the change, in rev/min; 0 for the first. */
  readonly fromRpm: number
  readonly toRpm: number
}

/** All forward gears of one range, slowest first. */
export interface SawTooth {
  readonly range: string | null
  readonly teeth: readonly Tooth[]
}

/**
 * Engine speed over road speed, each gear pulled to the redline before the next is taken. Reverse is left out.
 *
 * @returns unknown with what is not entered
 * @see docs/methods/strength.md
 */
export function sawTeeth(build: DrivenBuild): Known<SawTooth[]> {
  const { redlineRpm = 0, gears = [] } = build.drivetrain
  const isForward = (name: string) => (gears.find((gear) => gear.name === name)?.ratio ?? 0) > 0
  return mapKnown(gearRows(build), (rows) => {
    const ranges = [...new Set(rows.map(({ range }) => range))]
    return ranges.map((range) => {
      const forward = rows
        .filter((row) => row.range === range && isForward(row.gear))
        .toSorted((a, b) => a.speedKmh - b.speedKmh)
      return {
        range,
        teeth: forward.map(({ gear, speedKmh }, i) => {
          const fromKmh = forward[i - 1]?.speedKmh ?? 0
          return {
            gear,
            fromKmh,
            toKmh: speedKmh,
            fromRpm: (redlineRpm * fromKmh) / speedKmh,
            toRpm: redlineRpm,
          }
        }),
      }
    })
  })
}

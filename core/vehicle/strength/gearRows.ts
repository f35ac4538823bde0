import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { Gear } from '../../file/parts/drivetrain'
import type { Line } from '../../file/parts/lineSpec'
import { drivenTorqueNm, isJackshaft, type DrivenBuild } from './drivetrainFigures'
import { gearTable, type GearRow } from './gearing'
import { heldNm } from './lineTorque'

/** Speeds of every gear and range, by the first final drive that is told. */
export function gearRows(build: DrivenBuild): Known<GearRow[]> {
  const { redlineRpm, gears, ranges, axleRatios, tyreRadiusMm } = build.drivetrain
  const told = <T>(value: T | undefined, what: string, path: string): Known<T> =>
    value === undefined ? unknown(`${what} not entered`, `drivetrain.${path}`) : known(value)
  const all = allKnown<[number, readonly Gear[], number, number]>([
    told(redlineRpm, 'redline', 'redlineRpm'),
    told(gears?.length ? gears : undefined, 'gears', 'gears'),
    told(axleRatios?.[0]?.ratio, 'final drive', 'axleRatios'),
    told(tyreRadiusMm, 'rolling radius of the tyres', 'tyreRadiusMm'),
  ])
  return mapKnown(all, ([redline, list, axleRatio, radius]) =>
    gearTable({ redlineRpm: redline, gears: list, ranges: ranges ?? [], axleRatio, tyreRadiusMm: radius }),
  )
}

/** Torque of a line's driving axis in one gear and range, in Nm. */
export interface GearTorque {
  readonly range: string | null
  readonly gear: string
  readonly engineNm: number
  /** No more than the tyres hold. */
  readonly limitedNm: number
}

/**
 * The torque of a line in every gear and range: what the engine gives, and what of it the tyres let through.
 *
 * @see docs/methods/strength.md
 */
export function torqueRows(build: DrivenBuild, line: Line): Known<GearTorque[]> {
  const most = drivenTorqueNm(build, line)
  if (!most.known) return most
  const gears = build.drivetrain.gears ?? []
  const ranges: readonly (Gear | null)[] =
    isJackshaft(build, line) || !build.drivetrain.ranges?.length ? [null] : build.drivetrain.ranges
  const size = (gear: Gear | null) => Math.abs(gear?.ratio ?? 1)
  const slowest = Math.max(...gears.map(size)) * Math.max(...ranges.map(size))
  const held = heldNm(build, line)
  const limit = held.known ? held.value : Infinity
  return known(
    ranges.flatMap((range) =>
      gears.map((gear): GearTorque => {
        const engineNm = (most.value.torqueNm * size(gear) * size(range)) / slowest
        return {
          range: range?.name ?? null,
          gear: gear.name,
          engineNm,
          limitedNm: Math.min(engineNm, limit),
        }
      }),
    ),
  )
}

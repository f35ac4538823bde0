import { CoreError } from '../../base/errors'
import type { Gear } from '../../file/parts/drivetrain'

/** What turns the wheels, as far as a table of speeds needs it. */
export interface GearTrain {
  readonly redlineRpm: number
  readonly gears: readonly Gear[]
  /** Of a transfer case; one of 1 when empty. */
  readonly ranges: readonly Gear[]
  readonly axleRatio: number
  /** Rolling radius. */
  readonly tyreRadiusMm: number
}

/** One gear in one range. */
export interface GearRow {
  readonly range: string | null
  readonly gear: string
  /** Turns of the engine for one of the wheels, without its sign. */
  readonly total: number
  /** At the redline: of the shaft behind the transfer case, in rev/min, and of the vehicle, in km/h. */
  readonly shaftRpm: number
  readonly speedKmh: number
  /** Of the engine at 100 km/h. */
  readonly rpmAt100: number
}

/** Turns of a wheel in a minute at 1 km/h. */
export const wheelRpmPerKmh = (tyreRadiusMm: number): number => 1e6 / 60 / (2 * Math.PI * tyreRadiusMm)

/**
 * Speeds of every gear in every range at the redline.
 *
 * @throws CoreError `out-of-range` for a ratio of nought or a radius that is not positive
 * @see docs/methods/strength.md
 */
export function gearTable({ redlineRpm, gears, ranges, axleRatio, tyreRadiusMm }: GearTrain): GearRow[] {
  requireRatios([...gears, ...ranges, { name: 'final drive', ratio: axleRatio }])
  if (!(tyreRadiusMm > 0)) throw new CoreError('out-of-range', 'tyreRadiusMm', 'expected a positive radius')
  const perKmh = wheelRpmPerKmh(tyreRadiusMm)
  const each: readonly (Gear | null)[] = ranges.length > 0 ? ranges : [null]
  return each.flatMap((range) =>
    gears.map((gear): GearRow => {
      const ahead = Math.abs(gear.ratio * (range?.ratio ?? 1))
      const total = ahead * Math.abs(axleRatio)
      return {
        range: range?.name ?? null,
        gear: gear.name,
        total,
        shaftRpm: redlineRpm / ahead,
        speedKmh: redlineRpm / total / perKmh,
        rpmAt100: 100 * perKmh * total,
      }
    }),
  )
}

function requireRatios(gears: readonly Gear[]): void {
  const bad = gears.find(({ ratio }) => !Number.isFinite(ratio) || ratio === 0)
  if (bad) throw new CoreError('out-of-range', bad.name, 'expected a ratio other than nought')
}

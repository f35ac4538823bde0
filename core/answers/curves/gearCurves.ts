import type { LineEvaluation } from '../../model/lineEvaluation'
import type { Build } from '../../file/build/build'
import { peakAcceleration } from '../../line/uniformity'
import { drivenAxle } from '../../vehicle/strength/lineTorque'
import { wheelRpmPerKmh } from '../../vehicle/strength/gearing'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { LineFigures } from '../../line/lineFigures'

/** Acceleration of a line against road speed, gear by gear. */
export interface GearCurve {
  readonly gear: string
  /** [km/h, rad/s² of the driven axis, rad/s² of the shaft that is swung most] */
  readonly points: readonly (readonly [number, number, number])[]
}

export interface GearCurves {
  readonly gears: readonly GearCurve[]
  /** Of the driven axis, in rad/s²; null without such a limit. */
  readonly warn: number | null
  readonly fail: number | null
}

/** An engine pulls from about here. */
const SLOWEST_RPM = 1000
const STEPS = 40

/**
 * How the driven axis and the shafts of a line are swung in each gear and range, from 1000 rev/min of the engine to its redline.
 *
 * @returns unknown with what is missing: gears, tyres, final drive, a line that was read
 * @see docs/methods/strength.md
 */
export function gearCurves(build: Build, { line, ride }: LineEvaluation): Known<GearCurves> {
  const { redlineRpm, gears, ranges, tyreRadiusMm, axleRatios } = build.drivetrain
  const axle = drivenAxle(build, line)
  const final = axleRatios?.find((one) => one.axle === axle?.id)?.ratio
  const need = <T>(value: T | undefined, what: string): Known<T> =>
    value === undefined ? unknown(`${what} not entered`) : known(value)
  const all = allKnown<[number, NonNullable<typeof gears>, number, number, LineFigures]>([
    need(redlineRpm, 'redline'),
    need(gears?.length ? gears : undefined, 'gears'),
    need(tyreRadiusMm, 'rolling radius of the tyres'),
    need(final, `final drive behind ${line.name}`),
    ride,
  ])
  return mapKnown(all, ([redline, list, radius, ratio, figures]) => {
    const perKmh = wheelRpmPerKmh(radius) * ratio
    const shaft = figures.members
      .slice(0, -1)
      .reduce(
        (worst, member) => (member.squeeze > worst.squeeze ? member : worst),
        figures.members[0] ?? figures.whole,
      )
    const limits = build.limits.entries.filter(({ quantity }) => quantity === 'torsional-acceleration')
    const least = (key: 'warnAbove' | 'failAbove') =>
      limits.reduce<number | null>((most, entry) => {
        const edge = entry[key]
        return edge === undefined ? most : Math.min(most ?? Infinity, edge)
      }, null)
    return {
      gears: (ranges?.length ? ranges : [null]).flatMap((range) =>
        list.map((gear): GearCurve => {
          const ahead = Math.abs(gear.ratio * (range?.ratio ?? 1))
          return {
            gear: range ? `${range.name}, ${gear.name}` : gear.name,
            points: Array.from({ length: STEPS + 1 }, (_, i) => {
              const engine = SLOWEST_RPM + ((redline - SLOWEST_RPM) * i) / STEPS
              const rpm = engine / ahead
              return [
                rpm / perKmh,
                peakAcceleration(figures.whole, rpm),
                peakAcceleration(shaft, rpm),
              ] as const
            }),
          }
        }),
      ),
      warn: least('warnAbove'),
      fail: least('failAbove'),
    }
  })
}

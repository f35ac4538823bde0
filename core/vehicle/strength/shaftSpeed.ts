import { known, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Line } from '../../file/parts/lineSpec'
import { drivenSpeedRpm } from './drivetrainFigures'

/** Highest speed of a line's shafts and where the figure comes from. */
export interface ShaftSpeed {
  readonly speedRpm: number
  readonly basis: string
}

/**
 * Highest shaft speed of a line, in rev/min of its driving axis: its own where one is told, else what the drivetrain makes of it.
 */
export function lineSpeed(build: Build, line: Line): Known<ShaftSpeed> {
  const isAsked = line.speed?.basis === 'drivetrain'
  const isTold = build.drivetrain.redlineRpm !== undefined
  if (isAsked || (!line.speed && isTold)) return drivenSpeedRpm(build, line)
  const own = shaftSpeed(line)
  if (own.known) return own
  const path = `lines[${build.lines.findIndex(({ id }) => id === line.id)}].speed`
  return { known: false, missing: own.missing.map(({ what }) => ({ what, path })) }
}

/**
 * Highest shaft speed that a line tells itself, in rev/min of its driving axis.
 *
 * From the engine: redline over top gear (an overdrive, below 1, turns faster than the engine) and transfer ratio. From the
 * road: road speed over tyre circumference, times axle ratio.
 *
 * @see docs/methods/strength.md
 */
export function shaftSpeed(line: Line): Known<ShaftSpeed> {
  const { speed } = line
  if (!speed || speed.basis === 'drivetrain') return unknown(`${line.name}: highest shaft speed not entered`)
  if (speed.basis === 'stated') return known({ speedRpm: speed.rpm, basis: 'stated' })
  if (speed.basis === 'engine') {
    const transfer = speed.transferRatio ?? 1
    return known({
      speedRpm: speed.redlineRpm / (speed.topGearRatio * transfer),
      basis: `redline ${speed.redlineRpm} rev/min in top gear ${speed.topGearRatio}${transfer === 1 ? '' : `, transfer ${transfer}`}`,
    })
  }
  const wheelRpm = ((speed.speedKmh / 3.6) * 60) / (Math.PI * (speed.tyreDiameterMm / 1000))
  return known({
    speedRpm: wheelRpm * speed.axleRatio,
    basis: `${speed.speedKmh} km/h on ${speed.tyreDiameterMm} mm tyres, axle ${speed.axleRatio}`,
  })
}

import { known, unknown, type Known } from '../../base/known'
import { axleById, bodyById } from '../../file/parts/bodies'
import { BODY_KINDS } from '../../file/parts/bodyKinds'
import type { Build } from '../../file/build/build'
import type { Gear } from '../../file/parts/drivetrain'
import type { Id } from '../../file/parts/id'
import type { Line } from '../../file/parts/lineSpec'
import { wheelRpmPerKmh } from './gearing'

/** What an axis is turned by, in the order of the power flow: what multiplies its torque and divides its speed. */
interface Chain {
  /** Turns of the engine for one of the axis, in its fastest gear and range. */
  readonly fastest: number
  /** The same in its slowest. */
  readonly slowest: number
  /** Share of the torque that goes this way: a differential halves it. */
  readonly share: number
  /** What is on the way, in words for the one and for the other. */
  readonly fast: readonly string[]
  readonly slow: readonly string[]
}

export type DrivenBuild = Pick<Build, 'drivetrain' | 'bodies' | 'axes' | 'lines' | 'weight'>

/**
 * The highest speed of an axis that the engine turns, in rev/min: redline over the fastest gear, range and output; behind an axle
 * also over its final drive.
 *
 * @see docs/methods/strength.md
 */
export function drivenSpeedRpm(build: DrivenBuild, line: Line): Known<{ speedRpm: number; basis: string }> {
  const { redlineRpm } = build.drivetrain
  const chain = chainTo(build, line.driving, [], isJackshaft(build, line))
  if (redlineRpm === undefined) return unknown(`${line.name}: redline not entered`, 'drivetrain.redlineRpm')
  if (!chain.known) return chain
  const { fastest, fast } = chain.value
  const byRedline = redlineRpm / fastest
  const byRoad = rpmAtTopSpeed(build, line)
  if (byRoad !== null && byRoad < byRedline)
    return known({ speedRpm: byRoad, basis: `no faster than ${build.drivetrain.topSpeedKmh} km/h` })
  return known({
    speedRpm: byRedline,
    basis: [`redline ${redlineRpm} rev/min`, ...fast].join(', '),
  })
}

/** Speed of a line's driving axis at the top speed that was told; null where none was, or where it is not the axle that turns it. */
function rpmAtTopSpeed(build: DrivenBuild, { driving, driven }: Line): number | null {
  const { topSpeedKmh, tyreRadiusMm, axleRatios } = build.drivetrain
  if (topSpeedKmh === undefined || tyreRadiusMm === undefined) return null
  const wheelRpm = topSpeedKmh * wheelRpmPerKmh(tyreRadiusMm)
  if (kindAt(build, driving) === 'axle') return wheelRpm
  const axle = build.axes.find(({ id }) => id === driven)?.body
  const final = axleRatios?.find((one) => one.axle === axle)
  return final ? wheelRpm * final.ratio : null
}

/**
 * The highest torque in an axis that the engine turns, in Nm: the engine's over converter, slowest gear, range and output;
 * behind an axle times its final drive, half to each side. What the tyres hold may be less.
 *
 * @see docs/methods/strength.md
 */
export function drivenTorqueNm(build: DrivenBuild, line: Line): Known<{ torqueNm: number; basis: string }> {
  const { peakTorqueNm, converterRatio = 1, efficiency = 1 } = build.drivetrain
  const chain = chainTo(build, line.driving, [], isJackshaft(build, line))
  if (peakTorqueNm === undefined)
    return unknown(`${line.name}: torque of the engine not entered`, 'drivetrain.peakTorqueNm')
  if (!chain.known) return chain
  const { slowest, share, slow } = chain.value
  return known({
    torqueNm: peakTorqueNm * converterRatio * efficiency * slowest * share,
    basis: [
      `engine ${peakTorqueNm} Nm`,
      ...(converterRatio === 1 ? [] : [`converter ${converterRatio}`]),
      ...slow,
      ...(efficiency === 1 ? [] : [`efficiency ${efficiency}`]),
    ].join(', '),
  })
}

/** A line between a gearbox and a transfer case that stands apart: the ranges come behind it. */
export const isJackshaft = (build: DrivenBuild, { driving, driven }: Line): boolean =>
  kindAt(build, driven) === 'transfer-case' && kindAt(build, driving) === 'powertrain'

const kindAt = ({ axes, bodies }: DrivenBuild, axisId: Id) =>
  bodyById({ bodies }, axes.find(({ id }) => id === axisId)?.body)?.kind

function chainTo(build: DrivenBuild, axisId: Id, behind: readonly Id[], isAhead = false): Known<Chain> {
  const axis = build.axes.find(({ id }) => id === axisId)
  const name = axis?.name ?? axisId
  if (behind.includes(axisId)) return unknown(`${name}: its lines drive each other in a circle`)
  const output = build.drivetrain.outputs?.find((one) => one.axis === axisId)
  const kind = bodyById(build, axis?.body)?.kind
  if (output || (kind && BODY_KINDS[kind].hasGears))
    return gearChain(
      build,
      name,
      output?.ratio ?? 1,
      isAhead,
      kind === 'powertrain' && axis?.lies === 'across',
    )
  const axle = axleById(build, axis?.body)
  if (!axle) return unknown(`${name}: it is no output of the drivetrain`, 'drivetrain.outputs')
  // The line that ends at the axle's pinion, not one that starts at its hubs.
  const feeding = build.lines.find(
    ({ driven }) => driven !== axisId && build.axes.find(({ id }) => id === driven)?.body === axle.id,
  )
  const final = build.drivetrain.axleRatios?.find((one) => one.axle === axle.id)
  if (!feeding || !final)
    return unknown(
      `${name}: ${final ? `no line drives ${axle.name}` : `final drive of ${axle.name} not entered`}`,
      'drivetrain.axleRatios',
    )
  const before = chainTo(build, feeding.driving, [...behind, axisId])
  if (!before.known) return before
  const { fastest, slowest, share, fast, slow } = before.value
  return known({
    fastest: fastest * final.ratio,
    slowest: slowest * final.ratio,
    // An open differential gives both sides the same torque.
    share: share / 2,
    fast: [...fast, `final drive ${final.ratio}`],
    slow: [...slow, `final drive ${final.ratio}, half to each side`],
  })
}

/**
 * @param isAhead - ahead of the ranges
 * @param isSide - one of the two outputs of a transaxle's differential
 */
function gearChain(
  { drivetrain }: DrivenBuild,
  name: string,
  outputRatio: number,
  isAhead: boolean,
  isSide: boolean,
): Known<Chain> {
  const gears = extremes(drivetrain.gears, 'gear')
  if (!gears) return unknown(`${name}: gears not entered`, 'drivetrain.gears')
  const ranges = isAhead ? null : extremes(drivetrain.ranges, 'range')
  const output = [
    ...(outputRatio === 1 ? [] : [`output ${outputRatio}`]),
    ...(isSide ? ['half to each side'] : []),
  ]
  return known({
    fastest: gears.least.ratio * (ranges?.least.ratio ?? 1) * outputRatio,
    slowest: gears.most.ratio * (ranges?.most.ratio ?? 1) * outputRatio,
    share: isSide ? 0.5 : 1,
    fast: [gears.fast, ...(ranges ? [ranges.fast] : []), ...output],
    slow: [gears.slow, ...(ranges ? [ranges.slow] : []), ...output],
  })
}

/** The fastest and the slowest of several gears, with words for either. */
export function extremes(gears: readonly Gear[] | undefined, what: string) {
  const [first, ...rest] = gears ?? []
  if (!first) return null
  // Reverse can pull hardest, but nobody drives fastest in it.
  const forward = gears?.filter(({ ratio }) => ratio > 0) ?? []
  const least = forward.reduce((one, other) => (other.ratio < one.ratio ? other : one), forward[0] ?? first)
  const most = rest.reduce((one, other) => (Math.abs(other.ratio) > Math.abs(one.ratio) ? other : one), first)
  const word = ({ name, ratio }: Gear) => `${what} ${name} at ${Math.abs(ratio)}`
  const size = ({ name, ratio }: Gear) => ({ name, ratio: Math.abs(ratio) })
  return { least: size(least), most: size(most), fast: word(least), slow: word(most) }
}

import { CoreError } from '../../base/errors'
import { asRadians, degrees } from '../../base/units/angle'
import { requireMass, type Mass, type MassPlace } from './masses'

/** What four scales show, and where the wheels stand. */
export interface Weighing {
  /** Front left, front right, rear left, rear right, in kg. */
  readonly cornersKg: readonly [number, number, number, number]
  readonly frontStation: number
  readonly rearStation: number
  readonly trackFrontMm: number
  readonly trackRearMm: number
  /** Height of the whole vehicle's centre of gravity, where it is known. */
  readonly cgHeightMm: number | null
}

/** Something put in, taken out or moved. */
export type MassChange =
  ({ readonly do: 'add' | 'remove' } & Mass) | ({ readonly do: 'move'; readonly to: MassPlace } & Mass)

/** A vehicle's load on its wheels, on level ground. */
export interface AxleLoads {
  readonly totalKg: number
  readonly frontKg: number
  readonly rearKg: number
  readonly frontPercent: number
  /** Share on the left wheels, with the centre of gravity's offset on the mean track. */
  readonly leftPercent: number
  readonly centre: { readonly station: number; readonly offset: number; readonly height: number | null }
}

/** Before and after some changes. */
export interface LoadChange {
  readonly before: AxleLoads
  readonly after: AxleLoads
  /** Front left and rear right over the whole; before only, since the springs decide it afterwards. */
  readonly diagonalPercent: number
}

/**
 * Axle and side loads before and after things are put in, taken out or moved, by moments about the tyres' contacts.
 *
 * @throws CoreError `out-of-range` for axles the wrong way round, masses not above nought, more taken out than there is
 * @see docs/methods/weight.md
 */
export function loadChange(weighing: Weighing, changes: readonly MassChange[]): LoadChange {
  const { cornersKg, frontStation, rearStation, trackFrontMm, trackRearMm, cgHeightMm } = weighing
  if (!(rearStation > frontStation))
    throw new CoreError('out-of-range', 'axles', 'the rear axle must stand behind the front one')
  if (!(trackFrontMm > 0 && trackRearMm > 0))
    throw new CoreError('out-of-range', 'track', 'must be above nought')
  if (cornersKg.some((kg) => !(kg >= 0)) || !(cornersKg.reduce((sum, kg) => sum + kg, 0) > 0))
    throw new CoreError('out-of-range', 'scales', 'each must show nought or more, and together more')
  const [frontLeft, frontRight, rearLeft, rearRight] = cornersKg
  const [front, rear] = [frontLeft + frontRight, rearLeft + rearRight]
  const moments: Moments = {
    kg: front + rear,
    along: front * frontStation + rear * rearStation,
    across: ((frontLeft - frontRight) * trackFrontMm + (rearLeft - rearRight) * trackRearMm) / 2,
    up: cgHeightMm === null ? NaN : (front + rear) * cgHeightMm,
  }
  const changed = changes.flatMap(asMasses).reduce(added, moments)
  if (!(changed.kg > 0))
    throw new CoreError('out-of-range', 'changes', 'more is taken out than the vehicle weighs')
  return {
    before: loadsOf(moments, weighing),
    after: loadsOf(changed, weighing),
    diagonalPercent: (100 * (frontLeft + rearRight)) / (front + rear),
  }
}

/** A mass and its moments about the datum. */
interface Moments {
  readonly kg: number
  readonly along: number
  readonly across: number
  readonly up: number
}

/** A change as masses put in; what is taken out counts negative. */
function asMasses(change: MassChange): Mass[] {
  requireMass(change)
  const { kg } = change
  if (change.do === 'add') return [change]
  const taken = { ...change, kg: -kg }
  return change.do === 'move' ? [taken, { ...change.to, kg }] : [taken]
}

const added = (moments: Moments, { kg, station, offset, height }: Mass): Moments => ({
  kg: moments.kg + kg,
  along: moments.along + kg * station,
  across: moments.across + kg * offset,
  up: moments.up + kg * height,
})

function loadsOf({ kg, along, across, up }: Moments, weighing: Weighing): AxleLoads {
  const { frontStation, rearStation, trackFrontMm, trackRearMm } = weighing
  const rearKg = (along - kg * frontStation) / (rearStation - frontStation)
  const offset = across / kg
  return {
    totalKg: kg,
    frontKg: kg - rearKg,
    rearKg,
    frontPercent: (100 * (kg - rearKg)) / kg,
    leftPercent: 50 + (100 * offset) / ((trackFrontMm + trackRearMm) / 2),
    centre: { station: along / kg, offset, height: Number.isNaN(up) ? null : up / kg },
  }
}

/** Two weighings of the front axle: level, and with the rear axle raised on level pads, the springs blocked. */
export interface TiltWeighing {
  readonly frontKgLevel: number
  readonly frontKgRaised: number
  readonly totalKg: number
  /** Between the contacts on level ground, in mm. */
  readonly wheelbaseMm: number
  /** Loaded, in mm. */
  readonly radiusFrontMm: number
  readonly radiusRearMm: number
  /** Of the rear wheels' centre, in mm. */
  readonly raisedMm: number
}

/** Height of a centre of gravity by tilting. */
export interface TiltedHeight {
  /** Above the ground when level. */
  readonly heightMm: number
  readonly fromRearMm: number
  readonly angleDeg: number
  /** How far a kilogram on the front scale moves the height. */
  readonly errorMmPerKg: number
}

/**
 * Height of the centre of gravity from the load that goes to the front when the rear is raised; exact for unequal wheels.
 *
 * Moments about the rear wheels' centre, which stays where the wheel stands on its pad: the line of centres turns by the raise.
 *
 * @throws CoreError `out-of-range` for loads, lengths or a raise that cannot be
 * @see docs/methods/weight.md
 */
export function heightByTilt(weighing: TiltWeighing): TiltedHeight {
  const { frontKgLevel, frontKgRaised, totalKg, wheelbaseMm, radiusFrontMm, radiusRearMm, raisedMm } =
    weighing
  if (!(wheelbaseMm > 0) || !(raisedMm > 0) || !(totalKg > 0) || !(radiusFrontMm > 0) || !(radiusRearMm > 0))
    throw new CoreError('out-of-range', 'weighing', 'masses, lengths and the raise must be above nought')
  for (const kg of [frontKgLevel, frontKgRaised])
    if (!(kg >= 0 && kg <= totalKg))
      throw new CoreError('out-of-range', 'front load', 'must lie between nought and the whole')
  const rise = radiusRearMm - radiusFrontMm
  const span = Math.hypot(wheelbaseMm, rise)
  if (!(rise + raisedMm < span))
    throw new CoreError('out-of-range', 'raise', 'the rear cannot be raised that far')
  const level = Math.asin(rise / span)
  const angle = Math.asin((rise + raisedMm) / span) - level
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
  const fromRearMm = (frontKgLevel / totalKg) * wheelbaseMm
  // Distance from the raised rear contact forward to the line of weight.
  const reach = (frontKgRaised / totalKg) * span * Math.cos(level + angle)
  const aboveRearCentre = (reach - fromRearMm * cosine) / sine
  return {
    heightMm: radiusRearMm + aboveRearCentre,
    fromRearMm,
    angleDeg: degrees(asRadians(angle)),
    errorMmPerKg: (span * Math.cos(level + angle)) / (totalKg * sine),
  }
}

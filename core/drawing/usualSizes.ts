import { chassisOf, powertrainOf } from '../file/parts/bodies'
import type { AxleBody, ChassisSizes, PowertrainSizes } from '../file/parts/body'
import type { Build } from '../file/build/build'

/**
 * Sizes in mm of a middling light truck, so that a new build is a vehicle and not bare lines. They are drawn in dashes and
 * called "usual size"; no figure rests on them.
 */
const USUAL_POWERTRAIN: Required<PowertrainSizes> = {
  lengthMm: 1250,
  gearboxLengthMm: 620,
  aboveAxisMm: 340,
  belowAxisMm: 210,
  widthMm: 520,
}
export const USUAL_AXLE: Required<NonNullable<AxleBody['sizes']>> = {
  housingDiameterMm: 250,
  tyreDiameterMm: 680,
  trackMm: 1450,
}
const USUAL_CHASSIS = { railDepthMm: 120, railSpacingMm: 820 } as const

/** The same sizes with what was not entered filled in, and whether anything was. */
export interface FilledSizes<T> {
  readonly sizes: T
  readonly isUsual: boolean
}

function filled<T extends object>(entered: T | undefined, usual: T): FilledSizes<T> {
  const known = Object.fromEntries(Object.entries(entered ?? {}).filter(([, size]) => size !== undefined))
  return {
    sizes: { ...usual, ...known },
    isUsual: Object.keys(usual).some((key) => !(key in known)),
  }
}

export const powertrainSizes = (build: Build): FilledSizes<PowertrainSizes> =>
  filled<PowertrainSizes>(powertrainOf(build)?.sizes, USUAL_POWERTRAIN)

/** An axle with its sizes filled in. */
export function axleWithSizes(axle: AxleBody): { readonly axle: AxleBody; readonly isUsual: boolean } {
  const { sizes, isUsual } = filled<NonNullable<AxleBody['sizes']>>(axle.sizes, USUAL_AXLE)
  return { axle: { ...axle, sizes }, isUsual }
}

/**
 * Frame rails as long as what is drawn, where their ends were not entered.
 *
 * @param span - stations drawn, in mm rearward
 */
export const chassisSizes = (build: Build, span: readonly [number, number]): FilledSizes<ChassisSizes> =>
  filled<ChassisSizes>(
    // The ground is measured or left out: a usual one would look like a clearance.
    chassisOf(build)?.sizes,
    { ...USUAL_CHASSIS, railFrontStationMm: span[0], railRearStationMm: span[1] },
  )

import { CORNERS } from '~~/core/file/parts/weightSheet'
import { texts } from './en'
import { strength } from './strength'

/** A field of the build that stands at one place, by its place in the file, and what it is called. */
export interface NamedField {
  readonly path: string
  readonly name: string
}

const { drivetrain, fields } = texts.parts
const { train } = strength
const { weight } = texts

/** Fields the palette leads to, besides the figures of parts, limits, gaps and levers, which each build has its own of. */
export const FIELDS: readonly NamedField[] = [
  { path: 'drivetrain.redlineRpm', name: fields.redline },
  { path: 'drivetrain.peakTorqueNm', name: drivetrain.torque },
  { path: 'drivetrain.converterRatio', name: drivetrain.converter },
  { path: 'drivetrain.axleRatios', name: 'Final drive' },
  { path: 'drivetrain.gears', name: drivetrain.addGear },
  { path: 'drivetrain.ranges', name: drivetrain.addRange },
  { path: 'drivetrain.tyreRadiusMm', name: train.radius },
  { path: 'drivetrain.grip.mu', name: train.mu },
  { path: 'drivetrain.grip.frontKg', name: `${weight.kg}: ${train.frontKg}` },
  { path: 'drivetrain.grip.rearKg', name: `${weight.kg}: ${train.rearKg}` },
  { path: 'drivetrain.shock', name: train.shock },
  { path: 'drivetrain.efficiency', name: train.efficiency },
  { path: 'drivetrain.topSpeedKmh', name: train.topSpeed },
  ...CORNERS.map((corner) => ({
    path: `weight.cornersKg.${corner}`,
    name: `${weight.kg}: ${weight.corners[corner]}`,
  })),
  { path: 'weight.frontStationMm', name: weight.frontStation },
  { path: 'weight.rearStationMm', name: weight.rearStation },
  { path: 'weight.trackFrontMm', name: weight.trackFront },
  { path: 'weight.trackRearMm', name: weight.trackRear },
  { path: 'weight.cgHeightMm', name: weight.cgHeight },
  { path: 'weight.hook.stationMm', name: weight.hookStation },
  { path: 'weight.hook.heightMm', name: weight.hookHeight },
  { path: 'weight.hangDeg', name: weight.wanted },
]

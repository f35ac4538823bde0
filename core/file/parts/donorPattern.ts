import { boolean, object } from 'yup'
import { figure, noteField, requiredId, requiredName } from './fields'
import type { Told } from './told'

/** A halfshaft's length by two donor pieces that are telescoped at ride height; lengths in mm, each there once it was measured. */
export const donorPatternShape = object({
  id: requiredId(),
  /** "left front". */
  name: requiredName(),
  /** The vehicle stood at ride height, loaded, and was rolled forth and back. */
  settled: boolean(),
  /** From the outer and from the inner joint's centre to the cut end. */
  outerPieceMm: figure(0, 5000),
  innerPieceMm: figure(0, 5000),
  /** How far the pieces overlap with the inner joint at its inner stop, and at its outer one. */
  overlapBottomedMm: figure(0, 5000),
  overlapPulledMm: figure(0, 5000),
  /** How much longer than the middle the shaft is wished. */
  offsetMm: figure(-500, 500),
  /** Overlap it takes to clamp the pieces. */
  clampMm: figure(0, 500),
  note: noteField(),
})
export type DonorPattern = Told<typeof donorPatternShape>

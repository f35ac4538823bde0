import type { Id } from './id'

/** A halfshaft's length by two donor pieces that are telescoped at ride height; lengths in mm, each there once it was measured. */
export interface DonorPattern {
  readonly id: Id
  /** "left front". */
  readonly name: string
  /** The vehicle stood at ride height, loaded, and was rolled forth and back. */
  readonly settled?: boolean
  /** From the outer and from the inner joint's centre to the cut end. */
  readonly outerPieceMm?: number
  readonly innerPieceMm?: number
  /** How far the pieces overlap with the inner joint at its inner stop, and at its outer one. */
  readonly overlapBottomedMm?: number
  readonly overlapPulledMm?: number
  /** How much longer than the middle the shaft is wished. */
  readonly offsetMm?: number
  /** Overlap it takes to clamp the pieces. */
  readonly clampMm?: number
  readonly note?: string
}

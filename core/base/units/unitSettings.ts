/** Units a length can be typed and shown in. */
export const LENGTH_UNITS = ['mm', 'cm', 'm', 'in', 'ft'] as const
export type LengthUnit = (typeof LENGTH_UNITS)[number]

/** Ways an angle can be shown. */
export const ANGLE_STYLES = ['decimal', 'minutes'] as const
export type AngleStyle = (typeof ANGLE_STYLES)[number]

/** How one build wants its figures shown. */
export interface UnitSettings {
  readonly length: LengthUnit
  /** Inches are rounded to the nearest 1/16 or 1/32. */
  readonly inchFraction: 16 | 32
  readonly angle: AngleStyle
}

/** Millimetres in one of each length unit (the inch is exactly 25.4 mm). */
export const MM_PER_UNIT: Readonly<Record<LengthUnit, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  ft: 304.8,
}

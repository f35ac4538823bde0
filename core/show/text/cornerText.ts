import { parseFigure, figureText } from '../../base/units/parseFigure'
import type { UnitSettings } from '../../base/units/unitSettings'

/** A corner of an outline: across and up in its view, in mm. */
export type Corner2 = readonly [number, number]

/** Corners as read, or the line that was not understood. */
export type ParsedCorners =
  | { readonly ok: true; readonly corners: readonly Corner2[] }
  | { readonly ok: false; readonly line: number; readonly message: string }

const LIMIT_MM = 100_000

/**
 * Corners as typed, one a line: two figures in the build's unit with a space, a comma or a semicolon between.
 *
 * @param most - corners at the most
 */
export function parseCorners(text: string, units: UnitSettings, most: number): ParsedCorners {
  const corners: Corner2[] = []
  for (const [i, raw] of text.split('\n').entries()) {
    const line = raw.trim()
    if (line === '') continue
    const refuse = (message: string): ParsedCorners => ({ ok: false, line: i + 1, message })
    const parts = line.split(/\s*[;\t]\s*|\s*,\s+|\s+/).filter((part) => part !== '')
    if (parts.length !== 2) return refuse('two figures are needed')
    if (corners.length === most) return refuse(`more than ${most} corners`)
    const figures = parts.map((part) => parseFigure(part, 'length', units, -LIMIT_MM, LIMIT_MM))
    const bad = figures.find((one) => !one.ok)
    if (bad && !bad.ok) return refuse(bad.message)
    corners.push(figures.map((one) => (one.ok ? one.value : NaN)) as unknown as Corner2)
  }
  return { ok: true, corners }
}

/** Corners as they stand in the typing field, one a line. */
export const cornersText = (corners: readonly Corner2[], units: UnitSettings): string =>
  corners.map((corner) => corner.map((figure) => figureText(figure, 'length', units)).join('  ')).join('\n')

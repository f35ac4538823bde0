import type { DepthFault } from '../../measure/tracing/photoScale'
import { formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'

/** What depth does to a tracing, in words. */
export function depthText(
  { share, longMm, placeMm }: DepthFault,
  { cameraMm, nearerMm }: { readonly cameraMm: number; readonly nearerMm: number },
  units: UnitSettings,
): string {
  const [from, by] = [formatLength(cameraMm, units), formatLength(Math.abs(nearerMm), units)]
  const percent = `${Math.abs(100 * share).toFixed(1)} %`
  if (nearerMm === 0) return 'What was traced lies as far from the lens as A and B: depth does nothing to it.'
  const looks = `From ${from}, what is ${by} ${nearerMm > 0 ? 'nearer' : 'farther'} than A and B looks ${percent} ${nearerMm > 0 ? 'larger' : 'smaller'}`
  if (longMm === 0) return `${looks}.`
  const [size, place] = [Math.abs(longMm), Math.abs(placeMm)].map((mm) => formatLength(mm, units))
  return `${looks}: this outline comes out ${size} too ${nearerMm > 0 ? 'long' : 'short'}, and its farthest corner ${place} out of place.`
}

import type { ShaftEnd } from '../file/parts/lineSpec'

/** Distance from a measured feature of an end to its joint centre, in mm; null when this hardware has no such feature. */
export function hardwareLength(
  end: ShaftEnd | undefined,
  feature: 'flange-face' | 'shaft-end' | 'seal-face' | 'bolt-face',
): number | null {
  if (end?.kind === 'yoke') return feature === 'bolt-face' ? (end.boltFaceToJointMm ?? null) : null
  if (end?.kind === 'flange') return feature === 'flange-face' ? (end.faceToJointMm ?? null) : null
  if (end?.kind !== 'slip-yoke') return null
  if (end.boreBottomToJointMm === undefined || end.setInMm === undefined) return null
  const fromShaftEnd = end.boreBottomToJointMm + end.setInMm
  if (feature === 'shaft-end') return fromShaftEnd
  return feature === 'seal-face' && end.sealToShaftEndMm !== undefined
    ? fromShaftEnd + end.sealToShaftEndMm
    : null
}

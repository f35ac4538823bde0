import { MEMBER_KINDS, type Crossmember, type MemberWay } from '../../file/kinds/memberKinds'
import { answered } from '../../base/answered'
import { unknown, type Known } from '../../base/known'
import { sectionFigures, type Section } from '../beams/section'
import { trialBend, type TrialBend } from '../bends/trialBend'
import { cornerOf, type MemberStock } from './member'

/** Of steel, N/mm². */
export const STEEL_MPA = 205_000

/** The section that a way of making a crossmember has all along. */
export function sectionOf({ kind, widthMm, heightMm, wallMm = NaN }: MemberWay): Section {
  return MEMBER_KINDS[kind].isBox
    ? { kind: 'box', heightMm, widthMm, wallMm }
    : { kind: 'flat', widthMm, thicknessMm: heightMm }
}

/** How it comes round its corners; null for a straight one. */
export function stockOf({
  kind,
  heightMm,
  wallMm = NaN,
  insideRadiusMm = NaN,
  kFactor = NaN,
}: MemberWay): MemberStock | null {
  if (!MEMBER_KINDS[kind].isCornered) return null
  return MEMBER_KINDS[kind].isBox
    ? { kind: 'notched', heightMm, hingeMm: wallMm }
    : { kind: 'flat', thicknessMm: heightMm, insideRadiusMm, kFactor }
}

/** Parameters of its blank, in the order of that kernel. */
export function blankParameters({ endMm, padMm }: Crossmember, stock: MemberStock): readonly number[] {
  const half = { end: endMm / 2, pad: padMm / 2 }
  return [half.end, half.end, half.pad, half.pad, half.end, half.end, ...cornerOf(stock)]
}

/** Parameters of what it bears under a load, in the order of that kernel. */
export function bendingParameters(loadN: number, way: MemberWay): readonly number[] {
  const { inertia, modulus, shearPerTorque } = sectionFigures(sectionOf(way))
  return [loadN, STEEL_MPA * inertia, modulus, shearPerTorque ?? 0, way.yieldMPa]
}

/** How far it hangs below the faces of the rails and below its seat; minus infinity where no part of it does. */
export function hangsBelow(
  { side, boltHeadMm = 0 }: Crossmember,
  { kind, heightMm }: MemberWay,
): readonly [number, number] {
  const atRails = (side === 'under' ? heightMm : 0) + boltHeadMm
  const atPad = heightMm + boltHeadMm
  switch (kind) {
    case 'straight':
      return [atRails, -Infinity]
    case 'ledges':
      return [-Infinity, atPad]
    case 'bent':
    case 'folded':
      return [atRails, atPad]
  }
}

/** How much higher a bar on top of the rails lies than one under them, against their faces. */
export const raisedBy = ({ side }: Crossmember, { heightMm }: MemberWay): number =>
  side === 'under' ? 0 : heightMm

/** The K of its metal, from a strip of it that was bent; unknown until all of the strip is told, or with why it cannot be. */
export function stripK({ strip = {}, heightMm, insideRadiusMm }: MemberWay): Known<TrialBend> {
  const { blankMm, firstMm, secondMm, angleDeg } = strip
  if (blankMm === undefined || firstMm === undefined || secondMm === undefined || angleDeg === undefined)
    return unknown('the strip: as cut, both legs, its angle')
  if (insideRadiusMm === undefined) return unknown('the inside radius')
  const bent = {
    thicknessMm: heightMm,
    insideRadiusMm,
    blankMm,
    legsMm: [firstMm, secondMm],
    angleDeg,
  } as const
  return answered(() => trialBend(bent))
}

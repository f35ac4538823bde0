import { cutFrom } from '../copes/copeCut'
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '../../file/kinds/memberKinds'
import { answered } from '../../base/answered'
import { known, unknown, type Known } from '../../base/known'
import { sectionFigures, type Section } from '../beams/section'
import { trialBend, type TrialBend } from '../bends/trialBend'
import { cornerOf, type MemberStock } from './member'

/** Of steel, N/mm². */
export const STEEL_MPA = 205_000

/** An old bar as it was measured on the bench. */
export interface OldBar {
  readonly leftMm: number
  readonly rightMm: number
  readonly aheadMm: number
  readonly upMm: number
}

/** The old bar of a way, once all of it is told. */
export function oldBarOf({ old = {} }: MemberWay): Known<OldBar> {
  const { leftMm, rightMm, aheadMm, upMm } = old
  if (leftMm === undefined || rightMm === undefined || aheadMm === undefined || upMm === undefined)
    return unknown('the old bar: its seat from both bolts, ahead of them and over its ends')
  return known({ leftMm, rightMm, aheadMm, upMm })
}

/** The section that a way of making a crossmember has all along. */
export function sectionOf({ kind, widthMm = NaN, heightMm, wallMm = NaN, doubled }: MemberWay): Section {
  switch (MEMBER_KINDS[kind].of) {
    case 'box':
      return { kind: 'box', heightMm, widthMm, wallMm }
    case 'tube':
      return { kind: 'tube', outerMm: heightMm, wallMm }
    case 'flat':
      return doubled
        ? { kind: 'flats', widthMm, thicknessMm: heightMm, count: 2, isJoined: doubled === 'joined' }
        : { kind: 'flat', widthMm, thicknessMm: heightMm }
  }
}

/** How high the stock stands: two flats as both. */
export const highMm = ({ heightMm, doubled }: MemberWay): number => (doubled ? 2 : 1) * heightMm

/** How it comes round its corners; null for a straight one. */
export function stockOf(way: MemberWay): MemberStock | null {
  const { kind, heightMm, wallMm = NaN, insideRadiusMm = NaN, kFactor = NaN, midlineRadiusMm = NaN } = way
  if (!MEMBER_KINDS[kind].isCornered) return null
  switch (MEMBER_KINDS[kind].of) {
    case 'box':
      return { kind: 'notched', heightMm, hingeMm: wallMm }
    case 'tube':
      return { kind: 'tube', outerMm: heightMm, midlineRadiusMm }
    case 'flat':
      return { kind: 'flat', thicknessMm: heightMm, insideRadiusMm, kFactor }
  }
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

/** Parameters of what a tube bears whose ends are pressed flat, in the order of that kernel; null for any other. */
export function flattenedParameters(loadN: number, way: MemberWay): readonly number[] | null {
  const { flatMm, heightMm, wallMm = NaN, yieldMPa } = way
  if (way.kind !== 'tube' || flatMm === undefined) return null
  const end = sectionFigures({ kind: 'flattened', outerMm: heightMm, wallMm })
  const middle = sectionFigures(sectionOf(way))
  const stiffness = [STEEL_MPA * end.inertia, STEEL_MPA * middle.inertia]
  return [loadN, flatMm, ...stiffness, end.modulus, middle.modulus, yieldMPa]
}

/** How far it hangs below the faces of the rails and below its seat; minus infinity where no part of it does. */
export function hangsBelow(member: Crossmember, way: MemberWay): readonly [number, number] {
  const { side, boltHeadMm = 0 } = member
  const high = highMm(way)
  const atRails = (side === 'under' ? high : 0) + boltHeadMm
  const atPad = high + boltHeadMm
  switch (way.kind) {
    case 'straight':
      return [atRails, -Infinity]
    case 'coped':
      return [high / 2, -Infinity]
    case 'ledges':
      return [-Infinity, atPad]
    case 'old':
      return [-Infinity, atPad + Math.max(0, way.old?.upMm ?? 0)]
    case 'bent':
    case 'folded':
    case 'tube':
      return [atRails, atPad]
  }
}

/** Of the plates that move an old bar, as wide as what lies on a rail, mm³. */
export const plateModulus = ({ endMm }: Crossmember, { plateMm = NaN }: MemberWay): number =>
  (endMm * plateMm * plateMm) / 6

/** How much higher its top lies at a rail than under it: one that is welded in lies with its middle on the places told. */
export function raisedBy({ side }: Crossmember, way: MemberWay): number {
  if (way.kind === 'coped') return way.heightMm / 2
  return side === 'under' ? 0 : highMm(way)
}

/** How long its stock is sawn; a coped one from tip to tip: null until the tubes that it lies on are told. */
export function sawMm(way: MemberWay, blankMm: number): number | null {
  if (way.kind !== 'coped') return blankMm
  const { heightMm, wallMm, railOuterMm } = way
  if (wallMm === undefined || railOuterMm === undefined) return null
  const joint = { branchOuterMm: heightMm, branchWallMm: wallMm, mainOuterMm: railOuterMm }
  // Square to them, its tips are at its sides.
  const tip = cutFrom({ ...joint, angleDeg: 90, offsetMm: 0 }, Math.PI / 2)
  return blankMm + 2 * (railOuterMm / 2 - tip)
}

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

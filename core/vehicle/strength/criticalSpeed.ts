import { CoreError } from '../../base/errors'
import type { Shaft, Tube } from '../../file/parts/lineSpec'
import { metalOf, type Metal } from './metal'
import { tubeSection, type TubeSection } from './tubeSection'

/** What of a shaft decides how it whirls, whatever its length. */
export interface WhirlingShaft {
  /** √(E·I/(ρ·A)) of its tube, in m²/s. */
  readonly waveFactor: number
  readonly kgPerMm: number
  /** Mass of what sits at each end, in kg, and how far inboard of the joint centre, in mm; nought without. */
  readonly endKg: number
  readonly inboardMm: number
}

/** What decides how a shaft of a tube whirls, with what sits at its ends. */
export const whirlingShaft = (tube: Tube, endMasses?: Shaft['endMasses']): WhirlingShaft =>
  whirling(tubeSection(tube), metalOf(tube), endMasses)

/** The same by section and metal. */
export const whirling = (
  section: TubeSection,
  metal: Bending,
  endMasses?: Shaft['endMasses'],
): WhirlingShaft => ({
  waveFactor: waveFactor(section, metal),
  kgPerMm: metal.densityKgM3 * section.areaMm2 * 1e-9,
  endKg: endMasses?.kg ?? 0,
  inboardMm: endMasses?.inboardMm ?? 0,
})

/**
 * First bending critical speed of a shaft held at its joint centres, in rev/min: 30π/L²·√(E·I/(ρ·A)), less with masses inboard of them.
 *
 * Checks, tables of tubes, pages and results all ask here.
 *
 * @param length - between joint centres, in mm
 * @returns the speed at which a perfectly straight shaft would whirl; a real one keeps well below. NaN for a length that is none, or where the
 *   ends leave no tube between them
 * @see docs/methods/strength.md (simply supported uniform beam, with masses near its ends)
 */
export function whirlRpm(shaft: WhirlingShaft, length: number): number {
  const { waveFactor: factor, kgPerMm, endKg, inboardMm } = shaft
  if (!(length > 2 * inboardMm)) return NaN
  if (endKg === 0) return (30 * Math.PI * factor) / (length / 1000) ** 2
  return massesRpm(factor, length, inboardMm, endKg / kgPerMm)
}

/** What of a metal decides how a tube whirls. */
type Bending = Pick<Metal, 'stiffnessGPa' | 'densityKgM3'>

/** √(E·I/(ρ·A)) in m²/s. */
const waveFactor = ({ bendingMm4, areaMm2 }: TubeSection, { stiffnessGPa, densityKgM3 }: Bending): number =>
  Math.sqrt((stiffnessGPa * 1e9 * bendingMm4 * 1e-6) / (densityKgM3 * areaMm2))

/** What sits at each end of a tube, the same at both. */
export type TubeEnds =
  /** A mass so far inboard of each joint centre. */
  | { readonly kind: 'mass'; readonly kg: number; readonly inboardMm: number }
  /** A stiff yoke of this length from the joint centre, and the tube only between the two. */
  | { readonly kind: 'yoke'; readonly kg: number; readonly lengthMm: number }

/**
 * First bending critical speed with masses inboard of the joint centres, or with stiff yokes, in rev/min.
 *
 * The first mode is symmetric, so half the tube is enough: cos and cosh about its middle, and in front of a mass sin and sinh from the joint.
 * Where the conditions at the mass or the yoke are met, their determinant is nought; the first wave number is found by halving.
 *
 * @throws CoreError `out-of-range` for a length that is not positive or ends that leave no tube between them
 * @see docs/methods/strength.md (Euler–Bernoulli beam, any text on mechanical vibrations)
 */
export function criticalRpmWithEnds(
  section: TubeSection,
  metal: Bending,
  length: number,
  ends: TubeEnds,
): number {
  const half = length / 2
  const at = ends.kind === 'mass' ? ends.inboardMm : ends.lengthMm
  if (!(length > 0) || !(at >= 0) || at >= half || !(ends.kg >= 0))
    throw new CoreError('out-of-range', 'ends', 'expected ends that leave tube between them')
  const { waveFactor: factor, kgPerMm } = whirling(section, metal)
  if (ends.kind === 'mass')
    return ends.kg === 0
      ? whirlRpm({ waveFactor: factor, kgPerMm, endKg: 0, inboardMm: 0 }, length)
      : massesRpm(factor, length, at, ends.kg / kgPerMm)
  // A stiff end can raise it to that of a tube held in line.
  const wave = firstRoot(
    (k) => yokeCondition(k, half, at, ends.kg / kgPerMm),
    (2.4 * Math.PI) / (length - 2 * at),
  )
  return speedOf(wave, factor)
}

/** Speed in rev/min of a wave number in 1/mm. */
const speedOf = (wave: number, factor: number): number => (30 / Math.PI) * (wave * 1000) ** 2 * factor

/** With masses as long as so much tube, in mm, which only lower the wave number: below that of the second mode. */
function massesRpm(factor: number, length: number, at: number, asTube: number): number {
  const most = (1.001 * Math.PI) / length
  const wave = rootBetween((k) => massCondition(k, length / 2, at, asTube), 1e-3 / length, most)
  return speedOf(wave, factor)
}

/** Shear is all that jumps at a mass: by k·M of the deflection there, M the mass as a length of tube. */
function massCondition(k: number, half: number, at: number, mass: number): number {
  // In front: a·sin kx + b·sinh kx; behind, about the middle: c·cos k(x − h) + d·cosh k(x − h).
  const [s, c, sh, ch] = [Math.sin(k * at), Math.cos(k * at), Math.sinh(k * at), Math.cosh(k * at)]
  const u = k * (at - half)
  const [S, C, SH, CH] = [Math.sin(u), Math.cos(u), Math.sinh(u), Math.cosh(u)]
  // Deflection and bend are continuous: a·s = c·C and b·sh = d·CH. Slope: a·F/C + b·R/CH = 0 with F and R as below.
  // Shear: −a·F/C + b·R/CH + k·M·(a·s + b·sh) = 0. Their determinant, times C·CH against poles:
  const F = c * C + s * S
  const R = ch * CH - sh * SH
  return 2 * F * R + k * mass * (F * CH * sh - R * C * s)
}

/** A stiff yoke turns about its joint: moment and shear of the tube at its end turn its inertia M·y²/3. */
function yokeCondition(k: number, half: number, at: number, mass: number): number {
  const u = k * (at - half)
  const [S, C, SH, CH] = [Math.sin(u), Math.cos(u), Math.sinh(u), Math.cosh(u)]
  const ky = k * at
  // c·cos + d·cosh with deflection y·θ and slope θ: c·(C + ky·S) + d·(CH − ky·SH) = 0.
  const p = C + ky * S
  const q = CH - ky * SH
  // −φ'' + y·φ''' = ω²·I·θ over E·I: k⁴·M·y²/3·θ, θ = k·(−c·S + d·SH).
  const inertia = (k ** 3 * mass * at ** 2) / 3
  const r = C + ky * S + inertia * S
  const t = -CH + ky * SH - inertia * SH
  return p * t - q * r
}

/** Steps in which the first sign change is looked for, and halvings to its last digit. */
const LOOKS = 400
const HALVINGS = 48

function firstRoot(at: (k: number) => number, most: number): number {
  let low = most / LOOKS / 10
  const sign = Math.sign(at(low))
  for (let i = 1; i <= LOOKS; i++) {
    const high = (most * i) / LOOKS
    if (Math.sign(at(high)) !== sign) return rootBetween(at, low, high)
    low = high
  }
  return NaN
}

function rootBetween(at: (k: number) => number, from: number, to: number): number {
  const sign = Math.sign(at(from))
  let [low, high] = [from, to]
  for (let turn = 0; turn < HALVINGS; turn++) {
    const middle = (low + high) / 2
    if (Math.sign(at(middle)) === sign) low = middle
    else high = middle
  }
  return (low + high) / 2
}

import { CoreError } from '../../base/errors'
import { sagLine, type Stretch } from './sagLine'
import { sectionFigures, type Section, type SectionFigures } from './section'

/** A load on a bar between its two pads. */
export interface BeamLoad {
  /** From the left pad. */
  readonly atMm: number
  /** Negative pulls up. */
  readonly downN: number
  /** How far off the bar's axis it acts, which twists it. */
  readonly offsetMm?: number
}

/** A bar from pad to pad, of one section or of several. */
export interface Beam {
  /** Bolted ledges lie between the two: judge both ways and take the worse. */
  readonly ends: 'resting' | 'clamped'
  readonly spanMm: number
  readonly loads: readonly BeamLoad[]
  /** From left to right; the last ends at the span. */
  readonly pieces: readonly { readonly toMm: number; readonly section: Section }[]
  /** Modulus of elasticity, N/mm². */
  readonly elasticity: number
}

/** What a bar bears and how it sags. */
export interface BentBeam {
  readonly sections: readonly SectionFigures[]
  readonly reactionsN: readonly [left: number, right: number]
  /** Of clamped ends: positive has its tension on top. */
  readonly endMomentsNmm: readonly [left: number, right: number]
  readonly worstMoment: { readonly sizeNmm: number; readonly atMm: number }
  readonly sagAtLoadsMm: readonly number[]
  /** The largest, down positive. */
  readonly worstSag: { readonly sagMm: number; readonly atMm: number }
  /** Largest stress in each piece, N/mm². */
  readonly stresses: readonly number[]
  /** Stress where the section changes, by the weaker side. */
  readonly weakLines: readonly { readonly atMm: number; readonly stress: number }[]
  readonly torsion: BeamTorsion | null
}

export interface BeamTorsion {
  readonly torquesNmm: readonly number[]
  readonly mostNmm: number
  /** N/mm²; null where the section does not bear it, as flats do not. */
  readonly shear: number | null
}

/**
 * A straight bar under loads across it, resting or clamped: elastic bending, integrated exactly piece by piece.
 *
 * @throws CoreError `out-of-range` for a load outside the pads, pieces out of order, or torsion of a bar of several sections
 */
export function bentBeam(beam: Beam): BentBeam {
  requireBeam(beam)
  const { loads, spanMm, pieces } = beam
  const sections = pieces.map(({ section }) => sectionFigures(section))
  const stretches = stretchesOf(beam, sections)
  const right = loads.reduce((all, { downN, atMm }) => all + (downN * atMm) / spanMm, 0)
  const left = loads.reduce((all, { downN }) => all + downN, 0) - right
  const resting = (x: number) =>
    left * x - loads.reduce((all, { atMm, downN }) => all + downN * Math.max(0, x - atMm), 0)
  const [atLeft, atRight] =
    beam.ends === 'clamped' ? clampedMoments(stretches, spanMm, resting) : ([0, 0] as const)
  const moment = (x: number) => resting(x) - atLeft * (1 - x / spanMm) - (atRight * x) / spanMm
  const line = sagLine(stretches, moment, beam)
  const stresses = sections.map(({ modulus }, i) => largestIn(stretches, i, moment) / modulus)
  return {
    sections,
    reactionsN: [left + (atLeft - atRight) / spanMm, right + (atRight - atLeft) / spanMm],
    endMomentsNmm: [atLeft, atRight],
    worstMoment: worstMoment(stretches, moment),
    sagAtLoadsMm: loads.map(({ atMm }) => line.at(atMm)),
    worstSag: line.worst,
    stresses,
    weakLines: weakLines(pieces, sections, moment),
    torsion: torsionOf(beam, sections),
  }
}

function requireBeam({ spanMm, loads, pieces }: Beam): void {
  if (!(spanMm > 0)) throw new CoreError('out-of-range', 'span', 'must be above 0')
  if (loads.length === 0) throw new CoreError('wrong-length', 'loads', 'nothing loads the bar')
  loads.forEach(({ atMm }, i) => {
    if (!(atMm > 0 && atMm < spanMm))
      throw new CoreError('out-of-range', `loads[${i}]`, 'stands between the two pads')
  })
  const ends = pieces.map(({ toMm }) => toMm)
  const isInOrder = ends.every((end, i) => end > (ends[i - 1] ?? 0))
  if (!isInOrder || Math.abs((ends.at(-1) ?? 0) - spanMm) > 1e-9)
    throw new CoreError('out-of-range', 'pieces', 'follow each other and end at the span')
}

function stretchesOf({ loads, pieces, elasticity }: Beam, sections: readonly SectionFigures[]): Stretch[] {
  let from = 0
  return pieces.flatMap(({ toMm }, piece) => {
    const cuts = loads.map(({ atMm }) => atMm).filter((at) => at > from && at < toMm)
    const places = [...new Set([from, ...cuts.sort((a, b) => a - b), toMm])]
    from = toMm
    const stiffness = elasticity * (sections[piece]?.inertia ?? NaN)
    return places.slice(1).map((to, i): Stretch => ({ from: places[i] ?? 0, to, piece, stiffness }))
  })
}

/** End moments at which both ends stay level: neither the slopes nor the ends move against each other. */
function clampedMoments(
  stretches: readonly Stretch[],
  span: number,
  moment: (x: number) => number,
): readonly [number, number] {
  // Integrals of M/EI and of x·M/EI, exact for straight moments by Simpson's rule.
  const over = (of: (x: number) => number) =>
    stretches.reduce((all, { from, to, stiffness }) => {
      const middle = (from + to) / 2
      return all + (((to - from) / 6) * (of(from) + 4 * of(middle) + of(to))) / stiffness
    }, 0)
  const left = (x: number) => 1 - x / span
  const right = (x: number) => x / span
  const [a, b, c] = [over((x) => left(x) ** 2), over((x) => left(x) * right(x)), over((x) => right(x) ** 2)]
  const [p, q] = [over((x) => moment(x) * left(x)), over((x) => moment(x) * right(x))]
  const determinant = a * c - b * b
  return [(p * c - q * b) / determinant, (a * q - b * p) / determinant]
}

const largestIn = (stretches: readonly Stretch[], index: number, moment: (x: number) => number): number =>
  Math.max(
    ...stretches
      .filter(({ piece }) => piece === index)
      .flatMap(({ from, to }) => [Math.abs(moment(from)), Math.abs(moment(to))]),
  )

/** The leftmost of the largest, but for the last digits. */
function worstMoment(stretches: readonly Stretch[], moment: (x: number) => number): BentBeam['worstMoment'] {
  const places = [0, ...stretches.map(({ to }) => to)]
  const sizes = places.map((x) => Math.abs(moment(x)))
  const most = Math.max(...sizes)
  const at = sizes.findIndex((size) => size >= most * (1 - 1e-12))
  return { sizeNmm: sizes[at] ?? 0, atMm: places[at] ?? 0 }
}

const weakLines = (
  pieces: Beam['pieces'],
  sections: readonly SectionFigures[],
  moment: (x: number) => number,
): BentBeam['weakLines'] =>
  pieces.slice(0, -1).map(({ toMm }, i) => ({
    atMm: toMm,
    stress: Math.abs(moment(toMm)) / Math.min(sections[i]?.modulus ?? NaN, sections[i + 1]?.modulus ?? NaN),
  }))

/** Torsion of a bar whose ends cannot turn: each load's torque goes to the ends as the other arm is long. */
function torsionOf({ loads, spanMm }: Beam, sections: readonly SectionFigures[]): BeamTorsion | null {
  const torques = loads.map(({ downN, offsetMm = 0 }) => downN * offsetMm)
  if (torques.every((torque) => torque === 0)) return null
  const [section, ...others] = sections
  if (!section || others.length > 0)
    throw new CoreError('out-of-range', 'pieces', 'torsion is told for a bar of one section alone')
  const atLeft = loads.reduce((all, { atMm }, i) => all + ((torques[i] ?? 0) * (spanMm - atMm)) / spanMm, 0)
  const order = loads
    .map(({ atMm }, i) => ({ atMm, torque: torques[i] ?? 0 }))
    .sort((a, b) => a.atMm - b.atMm)
  let inside = atLeft
  const carried = [inside, ...order.map(({ torque }) => (inside -= torque))]
  const mostNmm = Math.max(...carried.map(Math.abs))
  const { shearPerTorque } = section
  return { torquesNmm: torques, mostNmm, shear: shearPerTorque === null ? null : mostNmm * shearPerTorque }
}

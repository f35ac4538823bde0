import { CoreError } from '../base/errors'
import { bisected } from './chainLoop'

/** A free run of chain: the straight way, and how it lies against level. */
export interface FreeRun {
  readonly spanMm: number
  readonly inclineDeg?: number
}

/** Shapes a slack run is reckoned by. */
export const SLACK_SHAPES = ['series', 'parabola', 'catenary', 'vee'] as const
export type SlackShape = (typeof SLACK_SHAPES)[number]

const radians = (deg: number): number => (deg * Math.PI) / 180

/**
 * How much longer than straight a run is that hangs so far square to its chord at its middle, in mm.
 *
 * `series` is the usual short form, `parabola` and `catenary` hang, `vee` is pushed taut by a finger. All but the hanging ones do not mind the lie.
 *
 * @throws CoreError `out-of-range` for a run of no length, a lie past 80°, or less than nought
 * @see docs/methods/chains.md
 */
export function excessOf(run: FreeRun, shape: SlackShape, deflectionMm: number): number {
  const { spanMm } = required(run)
  if (!(deflectionMm >= 0))
    throw new CoreError('out-of-range', 'slack', 'a chain does not hang less than nought')
  switch (shape) {
    case 'series':
      return (8 * deflectionMm * deflectionMm) / (3 * spanMm)
    case 'vee':
      return veeExcess(spanMm, deflectionMm)
    case 'parabola':
      return parabolaLength(run, deflectionMm) - spanMm
    case 'catenary':
      return catenaryExcess(run, deflectionMm)
  }
}

/**
 * How far a run hangs square to its chord at its middle, in mm, that is so much longer than straight.
 *
 * @throws CoreError as `excessOf` does
 */
export function deflectionOf(run: FreeRun, shape: SlackShape, excessMm: number): number {
  const { spanMm, inclineDeg = 0 } = required(run)
  if (!(excessMm >= 0)) throw new CoreError('out-of-range', 'slack', 'a run is not shorter than straight')
  if (excessMm === 0) return 0
  switch (shape) {
    case 'series':
      return Math.sqrt((3 * spanMm * excessMm) / 8)
    case 'vee':
      return veePlay(spanMm, excessMm) / 2
    case 'parabola':
      return bisected((sag) => parabolaLength(run, sag) - spanMm - excessMm, 0, spanMm + excessMm, -1)
    case 'catenary': {
      const [across, up] = legs(run)
      const half = Math.sqrt((spanMm + excessMm) ** 2 - up * up) / across || NaN
      return catenarySag(across, up, sinhcInverse(half)) * Math.cos(radians(inclineDeg))
    }
  }
}

/** How much longer than straight a run pushed taut to one side at its middle is, all in mm; for inner loops. */
export const veeExcess = (spanMm: number, deflectionMm: number): number =>
  2 * Math.sqrt((spanMm * spanMm) / 4 + deflectionMm * deflectionMm) - spanMm

/** Its whole movement from one side to the other, all in mm. */
export const veePlay = (spanMm: number, excessMm: number): number =>
  Math.sqrt((spanMm + excessMm) ** 2 - spanMm ** 2)

/** Total movement up and down at the middle, as a hand feels it: pushed taut both ways, in mm. */
export const playOf = (run: FreeRun, excessMm: number): number => 2 * deflectionOf(run, 'vee', excessMm)

function required(run: FreeRun): FreeRun {
  if (!(run.spanMm > 0)) throw new CoreError('out-of-range', 'span', 'a run has a length')
  if (!(Math.abs(run.inclineDeg ?? 0) <= 80))
    throw new CoreError('out-of-range', 'incline', 'a run that stands upright does not hang')
  return run
}

/** The chord's way level and up. */
const legs = ({ spanMm, inclineDeg = 0 }: FreeRun): readonly [number, number] => [
  spanMm * Math.cos(radians(inclineDeg)),
  spanMm * Math.sin(radians(inclineDeg)),
]

/** Arc of a parabola under its chord, from how far it hangs square to that, in mm. */
function parabolaLength(run: FreeRun, deflectionMm: number): number {
  const [across, up] = legs(run)
  const plumb = deflectionMm / Math.cos(radians(run.inclineDeg ?? 0))
  if (plumb === 0) return Math.hypot(across, up)
  // The slope runs evenly from one end to the other; ∫√(1 + s²) ds in closed form.
  const middle = up / across
  const swing = (4 * plumb) / across
  const of = (s: number) => (s * Math.sqrt(1 + s * s) + Math.asinh(s)) / 2
  return ((of(middle + swing) - of(middle - swing)) * across) / (2 * swing)
}

/** x with sinh(x)/x as given, above 1. */
function sinhcInverse(value: number): number {
  if (!(value > 1)) return 0
  return bisected((x) => Math.sinh(x) / x - value, 1e-9, 40, -1)
}

/** Plumb sag at the middle of a catenary between two ends, by half its level way over its parameter, in mm. */
function catenarySag(across: number, up: number, half: number): number {
  if (half === 0) return 0
  const a = across / (2 * half)
  // Symmetric about its lowest point but for the lean: the middle hangs by a·(cosh half·cosh lean − cosh lean).
  const lean = Math.asinh(up / (2 * a * Math.sinh(half)))
  return a * (Math.cosh(half) - 1) * Math.cosh(lean)
}

function catenaryExcess(run: FreeRun, deflectionMm: number): number {
  if (deflectionMm === 0) return 0
  const [across, up] = legs(run)
  const plumb = deflectionMm / Math.cos(radians(run.inclineDeg ?? 0))
  const half = bisected((x) => catenarySag(across, up, x) - plumb, 1e-9, 40, -1)
  return Math.hypot(up, (across * Math.sinh(half)) / half) - run.spanMm
}

import { seededRandom } from '../../base/chance/random'

export const INSTRUMENT_KINDS = ['level', 'laser'] as const
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]

/** What a simulated tool is made of; degrees for a level, mm for a laser. */
export interface SimulatedSpec {
  readonly kind: InstrumentKind
  /** What a perfect tool would show. */
  readonly truth: number
  /** Standard deviation of its noise. */
  readonly noise: number
  readonly driftPerMinute: number
  readonly zeroError: number
  readonly seed: number
}

/** One value as a tool shows it. */
export interface InstrumentReading {
  /** Magnitude shown, rounded to the tool's step. */
  readonly value: number
  readonly unit: 'deg' | 'mm'
  readonly decimals: number
  /** The display has come to rest. */
  readonly isSteady: boolean
  readonly isHeld: boolean
}

/** Step, noise and the like of a common tool of each kind. */
export const SIMULATED_DEFAULTS: Readonly<
  Record<InstrumentKind, Omit<SimulatedSpec, 'kind' | 'seed'> & { readonly decimals: number }>
> = {
  level: { truth: 3.2, noise: 0.03, driftPerMinute: 0.01, zeroError: 0.08, decimals: 2 },
  laser: { truth: 850, noise: 0.4, driftPerMinute: 0, zeroError: 0.5, decimals: 0 },
}

/** How a tool swings in when it is laid down: away at first by this many times its noise, gone after this many ms. */
const SWING = 40
const SWING_TIME = 350
const STEADY_AFTER = 1800

/**
 * A simulated tool: noise, drift, zero error, a display that swings in, and a hold button.
 *
 * @returns a function of the ms since it was laid down and of the hold button; while held, the value does not change
 */
export function simulatedInstrument(
  spec: SimulatedSpec,
): (elapsedMs: number, isHeld: boolean) => InstrumentReading {
  const random = seededRandom(spec.seed)
  const { decimals } = SIMULATED_DEFAULTS[spec.kind]
  const step = 10 ** -decimals
  const unit = spec.kind === 'level' ? 'deg' : 'mm'
  let shown: number | null = null
  return (elapsedMs, isHeld) => {
    if (!isHeld || shown === null) {
      const swing = spec.noise * SWING * Math.exp(-elapsedMs / SWING_TIME) * Math.cos(elapsedMs / 140)
      const drift = (spec.driftPerMinute * elapsedMs) / 60_000
      const value = spec.truth + spec.zeroError + drift + swing + spec.noise * random.normal()
      shown = Math.round(Math.abs(value) / step) * step
    }
    return { value: shown, unit, decimals, isSteady: elapsedMs > STEADY_AFTER, isHeld }
  }
}

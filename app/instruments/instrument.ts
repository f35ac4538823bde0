import type { InstrumentKind, InstrumentReading } from '~~/core/measure/instruments/simulated'

/** Told what a connected tool shows. */
export interface InstrumentListener {
  readonly onReading: (reading: InstrumentReading) => void
  /** The tool does not answer any more. */
  readonly onLost: () => void
}

/** A tool that is connected. */
export interface InstrumentConnection {
  readonly setHeld: (isHeld: boolean) => void
  readonly close: () => void
}

/**
 * A measuring tool that sends its values: the simulated ones here, or a real device over a serial line or radio, which
 * only has to do this much. `connect` rejects when the tool cannot be reached.
 */
export interface Instrument {
  readonly kind: InstrumentKind
  readonly where: 'server' | 'local'
  readonly connect: (truth: number, listener: InstrumentListener) => Promise<InstrumentConnection>
}

import {
  SIMULATED_DEFAULTS,
  simulatedInstrument,
  type InstrumentKind,
} from '~~/core/measure/instruments/simulated'
import type { Instrument } from './instrument'

const INTERVAL = 200

/** The same simulated tool in the browser, for where there is no server. */
export const localInstrument = (kind: InstrumentKind): Instrument => ({
  kind,
  where: 'local',
  connect: async (truth, listener) => {
    const [seed = 1] = crypto.getRandomValues(new Uint32Array(1))
    const read = simulatedInstrument({ ...SIMULATED_DEFAULTS[kind], kind, truth, seed })
    const start = performance.now()
    let isHeld = false
    const timer = setInterval(() => listener.onReading(read(performance.now() - start, isHeld)), INTERVAL)
    return {
      setHeld: (held) => (isHeld = held),
      close: () => clearInterval(timer),
    }
  },
})

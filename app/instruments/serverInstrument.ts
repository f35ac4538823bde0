import type { InstrumentKind, InstrumentReading } from '~~/core/measure/instruments/simulated'
import { newId } from '../storage/newId'
import type { Instrument } from './instrument'

/** A server that has not answered by then is not there, in ms; one that is away altogether refuses at once. */
const PATIENCE = 8000

/** A simulated tool streamed by the server. */
export const serverInstrument = (kind: InstrumentKind): Instrument => ({
  kind,
  where: 'server',
  connect: (truth, listener) =>
    new Promise((resolve, reject) => {
      const session = newId()
      const query = new URLSearchParams({ session, truth: String(truth), seed: String(anySeed()) })
      const source = new EventSource(`/api/instruments/${kind}?${query.toString()}`)
      const timer = setTimeout(() => fail(), PATIENCE)
      let isOpen = false
      const fail = () => {
        clearTimeout(timer)
        source.close()
        if (isOpen) listener.onLost()
        else reject(new Error('the tool does not answer'))
      }
      source.onerror = fail
      source.onmessage = (event: MessageEvent<string>) => {
        const reading = parsed(event.data)
        if (reading) listener.onReading(reading)
      }
      source.onopen = () => {
        clearTimeout(timer)
        isOpen = true
        resolve({
          setHeld: (held) =>
            void fetch('/api/instruments/hold', {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ session, held }),
            }).catch(() => undefined),
          close: () => source.close(),
        })
      }
    }),
})

/** A seed, so that two streams differ. */
const anySeed = (): number => crypto.getRandomValues(new Uint16Array(1))[0] ?? 1

function parsed(text: string): InstrumentReading | null {
  try {
    const value = JSON.parse(text) as Partial<InstrumentReading>
    const isReading =
      typeof value.value === 'number' &&
      Number.isFinite(value.value) &&
      typeof value.decimals === 'number' &&
      (value.unit === 'deg' || value.unit === 'mm')
    return isReading ? (value as InstrumentReading) : null
  } catch {
    return null
  }
}

import { expose } from 'comlink'
import { workerClient, WorkerEnded } from './workerClient'

interface Service {
  add: (a: number, b: number) => Promise<number>
  never: () => Promise<number>
}

/** A worker in process: one end of a message channel, with the events of a real one. */
function fakeWorker() {
  const { port1, port2 } = new MessageChannel()
  const service: Service = { add: async (a, b) => a + b, never: () => new Promise(() => undefined) }
  expose(service, port2 as never)
  const listeners: Record<string, ((event: unknown) => void)[]> = {}
  const worker = Object.assign(port1, {
    isEnded: false,
    terminate() {
      worker.isEnded = true
      port1.close()
      port2.close()
    },
    addEventListener(type: string, listener: (event: unknown) => void) {
      if (type === 'message') MessagePort.prototype.addEventListener.call(port1, type, listener as never)
      else (listeners[type] ??= []).push(listener)
    },
    break: (message: string) => listeners.error?.forEach((listener) => listener({ message })),
  })
  port1.start()
  port2.start()
  return worker
}

describe('workerClient', () => {
  it('starts its worker at the first question and asks the same one again', async () => {
    const started: ReturnType<typeof fakeWorker>[] = []
    const client = workerClient<Service>(() => {
      started.push(fakeWorker())
      return started.at(-1) as unknown as Worker
    })
    expect(started).toHaveLength(0)
    expect(await client.ask((service) => service.add(2, 3))).toBe(5)
    expect(await client.ask((service) => service.add(4, 5))).toBe(9)
    expect(started).toHaveLength(1)
    client.end()
    expect(started[0]!.isEnded).toBe(true)
  })

  it('answers with an error when the worker breaks or cannot be loaded, and starts a new one after', async () => {
    const started: ReturnType<typeof fakeWorker>[] = []
    const client = workerClient<Service>(() => {
      started.push(fakeWorker())
      return started.at(-1) as unknown as Worker
    })
    const waiting = client.ask((service) => service.never())
    started[0]!.break('')
    await expect(waiting).rejects.toThrow('its program could not be loaded')
    expect(started[0]!.isEnded).toBe(true)
    expect(await client.ask((service) => service.add(1, 1))).toBe(2)
    expect(started).toHaveLength(2)
    client.end()
  })

  it('tells whoever waits that it was stopped', async () => {
    const client = workerClient<Service>(() => fakeWorker() as unknown as Worker)
    const waiting = client.ask((service) => service.never())
    client.end()
    await expect(waiting).rejects.toBeInstanceOf(WorkerEnded)
  })
})

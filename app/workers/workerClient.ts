import { wrap, type Remote } from 'comlink'

/** A worker that is started when it is first needed and again after it has failed. */
export interface WorkerClient<Service> {
  /**
   * Asks the worker something.
   *
   * @throws Error when the worker cannot be loaded, fails or is ended meanwhile
   */
  readonly ask: <T>(question: (service: Remote<Service>) => Promise<T>) => Promise<T>
  /** Tells the worker something, if there is one. */
  readonly tell: (message: (service: Remote<Service>) => Promise<void>) => void
  /** Ends the worker; whoever waits for it is told. */
  readonly end: () => void
}

/** A worker was ended on purpose. */
export class WorkerEnded extends Error {
  constructor() {
    super('stopped')
    this.name = 'WorkerEnded'
  }
}

interface Running<Service> {
  readonly thread: Worker
  /** Kept beside its worker: once collected, it would close the worker's ears. */
  readonly service: Remote<Service>
  readonly fault: Promise<never>
  readonly fail: (error: Error) => void
}

/**
 * A client of one kind of worker. A script that cannot be loaded, and a worker that breaks, answer as errors: without this a
 * question would wait for ever.
 */
export function workerClient<Service>(start: () => Worker): WorkerClient<Service> {
  let running: Running<Service> | null = null

  function started(): Running<Service> {
    if (running) return running
    const thread = start()
    let fail: (error: Error) => void = () => undefined
    const fault = new Promise<never>((_, reject) => (fail = reject))
    // Whoever asks looks at it; a fault between two questions is told to the next.
    fault.catch(() => undefined)
    const broken = (event: Event) => {
      end(new Error((event as ErrorEvent).message || 'its program could not be loaded'))
    }
    thread.addEventListener('error', broken)
    thread.addEventListener('messageerror', broken)
    running = { thread, service: wrap<Service>(thread), fault, fail }
    return running
  }

  function end(reason: Error = new WorkerEnded()): void {
    running?.thread.terminate()
    running?.fail(reason)
    running = null
  }

  return {
    ask: async (question) => {
      const { service, fault } = started()
      return Promise.race([question(service), fault])
    },
    tell: (message) => {
      // A worker that breaks is told to whoever asks it something.
      if (running) message(running.service).catch(() => undefined)
    },
    end,
  }
}

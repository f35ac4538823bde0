import type { Remote } from 'comlink'
import { WorkerEnded, type WorkerClient } from '../workers/workerClient'
import { useSearch } from './useSearch'

jest.mock('comlink', () => ({ proxy: (one: unknown) => one }))

interface Service {
  readonly look: (report: (looked: number) => void) => Promise<string>
}

/** A worker whose answers a test gives by hand. */
function handWorker() {
  const asked: {
    tell: (looked: number) => void
    answer: (found: string) => void
    fail: (error: Error) => void
  }[] = []
  let ends = 0
  const service = {
    look: (report: (looked: number) => void) =>
      new Promise<string>((answer, fail) => void asked.push({ tell: report, answer, fail })),
  } as unknown as Remote<Service>
  const client: WorkerClient<Service> = {
    ask: (question) => question(service),
    tell: () => undefined,
    end: () => {
      ends += 1
      asked.at(-1)?.fail(new WorkerEnded())
    },
  }
  return { client, asked, ended: () => ends }
}
const look = (service: Remote<Service>, report: (looked: number) => void) =>
  service.look(report) as Promise<string>

describe('useSearch', () => {
  it('tells how far it is and what was found', async () => {
    const { client, asked } = handWorker()
    const { ask, isSearching, progress, failure } = useSearch(client)
    const found = ask(look)
    asked[0]!.tell(40)
    expect([isSearching.value, progress.value]).toEqual([true, 40])
    asked[0]!.answer('a wedge')
    expect(await found).toEqual({ value: 'a wedge' })
    expect([isSearching.value, failure.value]).toEqual([false, null])
  })

  it('is overtaken by the next question: the older one tells and answers nothing any more', async () => {
    const { client, asked, ended } = handWorker()
    const { ask, isSearching, progress } = useSearch(client, () => undefined)
    const [older, newer] = [ask(look), ask(look)]
    asked[0]!.tell(40)
    expect(progress.value).toBeNull()
    asked[0]!.answer('late')
    expect(await older).toBeNull()
    expect(isSearching.value).toBe(true)
    asked[1]!.answer('in time')
    expect(await newer).toEqual({ value: 'in time' })
    expect(ended()).toBe(0)
  })

  it('is left without a fault, and ends its worker when nothing else is said', async () => {
    const { client, ended } = handWorker()
    const { ask, stop, isSearching, failure } = useSearch(client)
    stop()
    expect(ended()).toBe(0)
    const found = ask(look)
    stop()
    expect(await found).toBeNull()
    expect([ended(), isSearching.value, failure.value]).toEqual([1, false, null])
  })

  it('says why there is no answer, and forgets it when it is asked again', async () => {
    const { client, asked } = handWorker()
    const { ask, isSearching, failure } = useSearch(client)
    const found = ask(look)
    asked[0]!.fail(new Error('its program could not be loaded'))
    expect(await found).toBeNull()
    expect([isSearching.value, failure.value]).toEqual([false, 'its program could not be loaded'])
    const again = ask(look)
    expect(failure.value).toBeNull()
    asked[1]!.answer('there')
    expect(await again).toEqual({ value: 'there' })
  })
})

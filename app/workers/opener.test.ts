import type { Remote } from 'comlink'
import { demoBuild } from '../../core/testdata/builds'
import { opener, type TakesBuild } from './opener'

/** A worker that remembers what it was told. */
const worker = () => {
  const told: string[] = []
  const service = { open: async ({ name }: { name: string }) => void told.push(name) }
  return { told, service: service as unknown as Remote<TakesBuild> }
}
const build = demoBuild()

describe('opener', () => {
  it('tells a worker of a build once, of another one too, and a new worker again', async () => {
    const open = opener()
    const [first, second] = [worker(), worker()]
    await open(first.service, build)
    await open(first.service, build)
    expect(first.told).toEqual(['Fen tender'])
    await open(first.service, { ...build, name: 'Changed' })
    expect(first.told).toEqual(['Fen tender', 'Changed'])
    await open(second.service, { ...build, name: 'Changed' })
    expect(second.told).toEqual(['Changed'])
  })
})

import { oneAtATime, Overtaken, unhurried } from './unhurried'

describe('unhurried', () => {
  it('tells progress every tenth of a second, the newest each time', () => {
    let time = 0
    const told: number[] = []
    const report = unhurried<number>(
      (progress) => told.push(progress),
      () => time,
    )
    for (time = 1; time <= 350; time++) report(time)
    expect(told).toEqual([100, 200, 300])
  })
})

describe('one thing at a time', () => {
  /** Yields for ever, some ms a step. */
  function* endless(): Generator<number, never> {
    for (let step = 0; ; step++) {
      const until = performance.now() + 2
      while (performance.now() < until);
      yield step
    }
  }

  it('runs a search to its end, telling progress', async () => {
    function* search(): Generator<number, string> {
      for (let i = 0; i < 1000; i++) yield i
      return 'found'
    }
    const told: number[] = []
    const { finished } = oneAtATime()
    expect(await finished(search(), (progress) => told.push(progress))).toBe('found')
    expect(told.length).toBeLessThan(1000)
  })

  it('leaves a search for the next one, and when it is told to', async () => {
    const { finished, leave } = oneAtATime()
    const first = finished(endless())
    const second = finished(endless())
    await expect(first).rejects.toBeInstanceOf(Overtaken)
    leave()
    await expect(second).rejects.toBeInstanceOf(Overtaken)
  })
})

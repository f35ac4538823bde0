import { finished, unhurried } from './unhurried'

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

  it('runs a search to its end whatever is told of it', () => {
    function* search(): Generator<number, string> {
      for (let i = 0; i < 1000; i++) yield i
      return 'found'
    }
    const told: number[] = []
    expect(finished(search(), (progress) => told.push(progress))).toBe('found')
    expect(told.length).toBeLessThan(1000)
  })
})

import { changedBay } from '../../testdata/bay'
import { foretold, trialSettings } from './foretold'

/** The tight bay with one gap read once more in the third trial. */
const withReading = (gap: string, mm: string) =>
  changedBay((raw) => {
    raw.readings.push({
      id: 'again',
      kind: 'gap',
      gap,
      setup: raw.setups[0].id,
      trial: 'trial-3',
      values: [mm],
      unit: 'mm',
      way: 'free',
      tool: 'wedge-gauge',
    })
  })

describe('set and read again', () => {
  it('foretells a gap from the trials before, and agrees with a reading within its doubt', () => {
    const [first] = foretold(withReading('sump-rack', '25.2'), 'trial-3').filter(
      ({ gap }) => gap === 'sump-rack',
    )
    // Fronts up 6, tail up 10: read 9.0 as it stood first.
    expect(first?.foretoldMm).toBeGreaterThan(12)
    const agreeing = withReading('sump-rack', first!.foretoldMm.toFixed(1))
    const found = foretold(agreeing, 'trial-3').find(({ gap }) => gap === 'sump-rack')
    expect(found?.agrees).toBe(true)
    expect(found?.readMm).toBeCloseTo(first!.foretoldMm, 0)
  })

  it('says when a reading does not agree', () => {
    const found = foretold(withReading('sump-rack', '31'), 'trial-3').find(({ gap }) => gap === 'sump-rack')
    expect(found?.agrees).toBe(false)
    expect(found?.readMm).toBeCloseTo(31, 1)
  })

  it('stands as packed while nothing else was read', () => {
    expect(trialSettings(changedBay(), 'trial-3')).toEqual({ fronts: 6, tail: 10 })
    expect(
      foretold(
        changedBay((raw) => (raw.readings = raw.readings.filter((one: any) => one.trial !== 'trial-3'))),
        'trial-3',
      ),
    ).toEqual([])
  })
})

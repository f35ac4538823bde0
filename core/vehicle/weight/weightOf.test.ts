import type { WeightSheet } from '../../file/parts/weightSheet'
import { NO_MOVE } from '../../base/linalg/mat3'
import { changedBay } from '../../testdata/bay'
import { without } from '../../testdata/without'
import { hangAnswer, weightAnswer } from './weightOf'

const sheet = changedBay().weight!

describe('weights of the tight bay', () => {
  it('balance: what goes in and out is the difference of the whole', () => {
    const answer = weightAnswer(sheet)
    if (!answer.known) throw new Error('unknown')
    const { before, after } = answer.value
    expect(before.totalKg).toBe(1388)
    expect(after.totalKg - before.totalKg).toBeCloseTo(171 + 46 + 9 - 238, 9)
    // 770 of 1388 kg stand in front.
    expect(before.frontPercent).toBeCloseTo((100 * 770) / 1388, 9)
    expect(after.frontKg + after.rearKg).toBeCloseTo(after.totalKg, 9)
  })

  it('follow the levers with what is bolted to the powertrain, not with what was taken out', () => {
    const shifted = { ...NO_MOVE, shift: [100, 0, 0] as const }
    const still = weightAnswer(sheet)
    const moved = weightAnswer(sheet, (body) => (body === 'powertrain' ? shifted : null))
    if (!still.known || !moved.known) throw new Error('unknown')
    // 217 kg go 100 mm forward on a wheelbase of 2562 mm.
    expect(moved.value.after.frontKg - still.value.after.frontKg).toBeCloseTo((217 * 100) / 2562, 9)
    expect(moved.value.before).toEqual(still.value.before)
  })

  it('say what has still to be weighed', () => {
    const unread: WeightSheet = {
      ...without(sheet, 'cornersKg'),
      masses: [{ id: 'x', name: 'exhaust', done: 'in' }],
    }
    const answer = weightAnswer(unread)
    expect(answer.known ? [] : answer.missing.map(({ what }) => what)).toEqual([
      'what the scale shows, front left',
      'what the scale shows, front right',
      'what the scale shows, rear left',
      'what the scale shows, rear right',
      'the weight of “exhaust”',
    ])
  })

  it('refuse to take out more than there is, in words', () => {
    const heavy: WeightSheet = {
      ...sheet,
      masses: [{ id: 'x', name: 'all', done: 'out', kg: 5000, at: { stationMm: 0, leftMm: 0, upMm: 0 } }],
    }
    const answer = weightAnswer(heavy)
    expect(answer.known ? '' : answer.missing[0]?.what).toContain('more is taken out')
  })
})

describe('the unit on the hoist', () => {
  it('hangs below its hook, and the hook is found for the tilt that is wanted', () => {
    const answer = hangAnswer(sheet)
    if (!answer.known) throw new Error('unknown')
    const { centre, hangDeg, hookStationMm } = answer.value
    expect(centre.kg).toBe(217)
    expect(centre.station).toBeCloseTo((171 * 245 + 46 * 815) / 217, 9)
    const above = 620 - centre.height
    expect(Math.tan(((hangDeg ?? NaN) * Math.PI) / 180)).toBeCloseTo((centre.station - 300) / above, 9)
    expect((centre.station - (hookStationMm ?? NaN)) / above).toBeCloseTo(Math.tan((35 * Math.PI) / 180), 9)
  })

  it('is unknown until something hangs, and has no tilt from a hook that is not above it', () => {
    expect(hangAnswer({ masses: [] }).known).toBe(false)
    const low = hangAnswer({ ...sheet, hook: { stationMm: 300, heightMm: 100 } })
    expect(low.known && low.value.hangDeg).toBeNull()
  })
})

import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from '../testdata/bay'
import { crankHeight, shiftLeverPlace } from './placeFigures'

const figure = (settings: Record<string, number>, build = changedBay()) => {
  const height = crankHeight(build, evaluateBuild(build, settings))
  if (!height.known) throw new Error(height.missing[0]!.what)
  return height.value
}

describe('where a setting leaves the crankshaft and the shift lever', () => {
  it('the crankshaft stands as much higher at the front mounts as those are packed', () => {
    expect(figure({ fronts: 8 }) - figure({})).toBeCloseTo(8, 1)
    // The tail turns it about the front mounts: there its height stays.
    expect(figure({ tail: 8 }) - figure({})).toBeCloseTo(0, 0)
  })

  it('the lever stands back from its hole by what is moved, and is told without a seat too', () => {
    const at = (settings: Record<string, number>, build = changedBay()) => {
      const place = shiftLeverPlace(build, evaluateBuild(build, settings))
      if (!place.known) throw new Error(place.missing[0]!.what)
      return place.value
    }
    // As read at station 902, 8 left; its hole is at 905, 14 left, the seat at 1180.
    expect(at({})).toEqual({ backMm: -3, leftMm: expect.closeTo(-6, 9), aheadOfSeatMm: 278 })
    expect(at({ fore: -10, sideways: 4 })).toMatchObject({
      backMm: expect.closeTo(7, 6),
      leftMm: expect.closeTo(-2, 6),
      aheadOfSeatMm: expect.closeTo(268, 6),
    })
    const noSeat = changedBay((raw) => delete raw.shiftLever.seatStationMm)
    expect(at({}, noSeat).aheadOfSeatMm).toBeNull()
  })

  it('are unknown with what is missing', () => {
    const build = changedBay((raw) => {
      delete raw.shiftLever
      delete raw.bodies[1].mounts
      raw.levers = raw.levers.filter(({ body }: { body: string }) => body !== 'powertrain')
      raw.trials.forEach((trial: { packed?: unknown }) => delete trial.packed)
    })
    const now = evaluateBuild(build, {})
    expect(shiftLeverPlace(build, now)).toMatchObject({
      missing: [{ what: 'where the shift lever is to come through' }],
    })
    expect(crankHeight(build, now)).toMatchObject({
      missing: [{ what: 'the output of the powertrain and its mounts' }],
    })
  })
})

import { changedBay } from '../../testdata/bay'
import { parseBuild } from '../open/parseBuild'
import { gapsOfBody, staysBecause, withoutBody } from './withoutBody'
import { withoutLever } from './withoutLever'

const sound = (build: unknown) => parseBuild(JSON.parse(JSON.stringify(build)))

describe('a body that goes away', () => {
  it('takes its gaps, their readings and its levers along, and leaves a sound build', () => {
    const build = changedBay((raw) => {
      raw.services = [{ id: 's', name: 'radiator out', body: 'radiator', toward: [0, 0, 1], wayMm: 400 }]
      raw.positions[0].settings['radiator-up'] = -5
    })
    expect(gapsOfBody(build, 'radiator')).toEqual([
      'fan to radiator core',
      'radiator cap to bonnet',
      'charge cooler to radiator core',
    ])
    const left = withoutBody(build, 'radiator')
    expect(sound(left)).toMatchObject({ ok: true })
    expect(left.bodies.map(({ id }) => id)).not.toContain('radiator')
    expect(left.gaps).toHaveLength(build.gaps.length - 3)
    expect(left.readings.some((one) => one.kind === 'gap' && one.gap === 'fan-core')).toBe(false)
    expect(left.levers.map(({ id }) => id)).not.toContain('radiator-up')
    expect(left.positions[0]!.settings).not.toHaveProperty('radiator-up')
    expect(left.services).toEqual([])
    // The touch point of the fan was for that gap alone.
    expect(left.points.map(({ id }) => id)).not.toContain('t-fan-core')
  })

  it('of every item leaves a sound build', () => {
    const build = changedBay()
    for (const { id, kind } of build.bodies)
      if (kind === 'item') expect([id, sound(withoutBody(build, id)).ok]).toEqual([id, true])
  })

  it('stays where something rests on it', () => {
    const build = changedBay((raw) => {
      raw.bodies.find(({ id }: { id: string }) => id === 'turbo').standsOn = 'exhaust'
    })
    expect(staysBecause(build, 'exhaust')).toBe('turbo stands on it')
    expect(staysBecause(build, 'powertrain')).toBe('the line is built on it')
    expect(staysBecause(build, 'nothing')).toBe('it is not in the build')
    expect(withoutBody(build, 'exhaust')).toBe(build)
    expect(staysBecause(build, 'battery')).toBeNull()
  })
})

it('a lever that goes away leaves no amount of it behind', () => {
  const build = changedBay((raw) => {
    raw.positions[0].settings.fronts = 3
    raw.positions[0].made = { at: '2026-01-01', settings: { fronts: 3, tail: 1 } }
  })
  const left = withoutLever(build, 'fronts')
  expect(sound(left)).toMatchObject({ ok: true })
  expect(left.positions[0]!.made!.settings).toEqual({ tail: 1 })
  expect(left.trials.every(({ packed }) => packed === undefined || !('fronts' in packed))).toBe(true)
})

import bay from '../../../demo/sedge-wagon.lurvan.json'
import { humpScene, humpWay } from '../../drawing/humpScene'
import type { Hump } from '../../file/kinds/humpKinds'
import { parseBuild } from '../../file/open/parseBuild'
import { groundOf } from '../../making/ground/profile'
import { profileOf } from '../../making/ground/humpProfile'
import { rollOver } from '../../making/ground/rollOver'
import { evaluateBuild } from '../../model/evaluateBuild'
import { humpName, humpRows, humpSentence } from '../../show/text/humpText'
import { changedBay } from '../../testdata/bay'
import { lowVehicle, overHumps } from './overHumps'

const found = (edit?: (raw: any) => void, settings: Record<string, number> = {}) => {
  const build = changedBay(edit)
  const now = evaluateBuild(build, settings)
  const vehicle = lowVehicle(build, now)
  const [first] = overHumps(build, now)
  return { build, vehicle, first: first! }
}
const known = (edit?: (raw: any) => void, settings?: Record<string, number>) => {
  const { build, vehicle, first } = found(edit, settings)
  if (!vehicle.known || !first.over.known) throw new Error('not known')
  return { build, vehicle: vehicle.value, over: first.over.value, hump: first.hump }
}

describe('a vehicle of a build over humps', () => {
  it('has its axles, tyres and low points where they are read, and is rolled over by them', () => {
    const { vehicle, over } = known()
    // Stations 40 and 2602 as weighed, tyres as measured; the sump 300 behind the datum.
    expect(vehicle).toMatchObject({ wheelbaseMm: 2562, frontRadiusMm: 330, rearRadiusMm: 335 })
    expect(vehicle.points.map(({ id, backMm }) => [id, backMm])).toEqual([
      ['sump-ground', 260],
      ['member-ground', expect.closeTo(946, 0)],
      ['exhaust-ground', expect.closeTo(520, 0)],
      ['cooler-ground', expect.closeTo(-212, 0)],
    ])
    expect(over).toEqual(rollOver(vehicle, { kind: 'round', chordMm: 900, heightMm: 100 }))
    expect(over.touches).toEqual([])
    const lower = (raw: any) =>
      raw.readings
        .filter(({ kind, gap }: any) => kind === 'gap' && gap === 'member-ground')
        .forEach((one: any) => (one.values = ['80']))
    expect(known(lower).over.firstTouch!.id).toBe('member-ground')
  })

  it('comes down by its springs where it is loaded: in front and behind, each by its own', () => {
    const heights = (down: object) => {
      const { first, build } = found((raw) => Object.assign(raw.humps[0], down))
      const vehicle = lowVehicle(build, evaluateBuild(build, {}), first.hump)
      return vehicle.known ? vehicle.value.points.map(({ heightMm }) => heightMm) : []
    }
    const ride = heights({})
    heights({ frontDownMm: 30, rearDownMm: 30 }).forEach((mm, i) => expect(ride[i]! - mm).toBeCloseTo(30, 6))
    // The sump stands 260 behind the front axle of 2562.
    expect(ride[0]! - heights({ rearDownMm: 50 })[0]!).toBeCloseTo((50 * 260) / 2562, 0)
    const sunk = found((raw) => (raw.humps[0].frontDownMm = 400)).first.over
    expect(!sunk.known && sunk.missing[0]!.what).toContain('lies below the ground')
  })

  it('follows the levers, and says what is missing or taken for granted', () => {
    const sump = (settings: Record<string, number>) =>
      known(undefined, settings).vehicle.points.find(({ id }) => id === 'sump-ground')!.heightMm
    expect(sump({ tail: 10 }) - sump({})).toBeGreaterThan(1)
    const lacks = (edit: (raw: any) => void) => {
      const { vehicle, first } = found(edit)
      expect(first.over.known).toBe(vehicle.known)
      return vehicle.known ? vehicle.assumptions : vehicle.missing.map(({ what }) => what)
    }
    const untilted = (raw: any) => {
      delete raw.weight.tilt
      raw.drivetrain.tyreRadiusMm = 335
    }
    expect(lacks(untilted)).toEqual(['all tyres are taken to be as large as those that are driven'])
    expect(
      lacks((raw) => {
        delete raw.weight.tilt
        delete raw.drivetrain.tyreRadiusMm
      }),
    ).toEqual(['how large the front tyres are', 'how large the rear tyres are'])
    expect(lacks((raw) => (raw.readings = raw.readings.filter(({ kind }: any) => kind !== 'gap')))).toEqual([
      'a gap to the ground, read',
    ])
  })

  it('tells what comes nearest or touches first, in words', () => {
    const { build, vehicle, over } = known()
    expect(humpSentence(vehicle, over, build.units)).toMatch(
      /^Nothing touches; downpipe bend comes nearest, by 199/,
    )
    const rows = humpRows(vehicle, over, build.units)
    expect(rows.map(({ id }) => id)).toEqual(over.order)
    expect(rows.find(({ id }) => id === 'sump-ground')!.breakover).toBe('–')
    expect(rows.find(({ id }) => id === 'member-ground')!.breakover).toBe('30.5°')
    const high = known((raw) => Object.assign(raw.humps[0], { heightMm: 320, lengthMm: 700 }))
    expect(humpSentence(high.vehicle, high.over, high.build.units)).toMatch(
      /touches first, with the front axle [\d.]+ mm past its middle/,
    )
  })

  it('is drawn with its gaps at true size, wherever it is rolled', () => {
    const { vehicle, over, hump } = known()
    const { from, to } = humpWay(vehicle, hump)
    const low = over.points.find(({ id }) => id === 'member-ground')!
    const scene = humpScene(vehicle, hump, low.frontXMm!, 700)
    expect(scene.lows.find(({ id }) => id === 'member-ground')!.gapMm).toBeCloseTo(low.leastMm, 6)
    const [front, rear] = scene.tyres
    expect(front!.radius / rear!.radius).toBeCloseTo(330 / 335, 9)
    expect(
      [from, to].every((x) => humpScene(vehicle, hump, x, 400).lows.every(({ gapMm }) => gapMm > 250)),
    ).toBe(true)
  })

  it('goes over a kerb, a ramp and a flat top as they are told', () => {
    const height = (hump: Partial<Hump>, x: number) =>
      groundOf(profileOf({ id: 'h', name: 'h', ...hump } as Hump)).heightAt(x)
    const table = { kind: 'table', lengthMm: 1000, heightMm: 80, rampMm: 400 } as const
    expect([-900, -700, 0, 700, 900].map((x) => height(table, x))).toEqual([0, 40, 80, 40, 0])
    expect([-2, 0, 500].map((x) => height({ kind: 'kerb', heightMm: 140 }, x))).toEqual([0, 140, 140])
    expect([-600, -300, 10].map((x) => height({ kind: 'ramp', heightMm: 200, rampMm: 600 }, x))).toEqual([
      0, 100, 200,
    ])
    const { units } = changedBay()
    const named = (hump: Partial<Hump>) => humpName({ id: 'h', name: 'h', ...hump } as Hump, units)
    expect(named(table)).toBe('flat top of 1000.0 mm, ramps of 400.0 mm, 80.0 mm high')
    expect(named({ kind: 'kerb', heightMm: 140 })).toBe('a step of 140.0 mm')
  })

  it('refuses a hump that is none', () => {
    const refused = (hump: object) => {
      const raw = structuredClone(bay) as any
      raw.humps = [{ id: 'h', name: 'h', ...hump }]
      const parsed = parseBuild(raw)
      return parsed.ok ? 'let in' : parsed.problems.map(({ path }) => path).join(' ')
    }
    expect(refused({ kind: 'round', heightMm: 100 })).toContain('humps[0].lengthMm')
    expect(refused({ kind: 'round', heightMm: 100, lengthMm: 150 })).toBe('humps[0].heightMm')
    expect(refused({ kind: 'ramp', heightMm: 100 })).toBe('humps[0].rampMm')
    expect(refused({ kind: 'wall', heightMm: 100 })).toBe('humps[0].kind')
  })
})

import * as fc from 'fast-check'
import { axisDirection } from '../frame/axis'
import { dot } from '../linalg/vec3'
import type { Build } from '../project/build'
import { changedDemo as changed, demoBuild } from '../testdata/builds'
import { degrees, radians } from '../units/angle'
import { chassisUp, rearLowForLevelAxis } from './attitude'
import { axisPlace, setupAttitude } from './measured'
import { toolScatter } from './scatter'
import { flipTestResult, toolError } from './toolError'

const fallOf = (build: Build, id: string) => {
  const place = axisPlace(
    build,
    build.axes.find((axis) => axis.id === id)!,
  )
  return place.known ? degrees(place.value.fall) : place.missing[0]!.what
}

describe('flip test', () => {
  it('parts the zero error of a level from the slope of the spot', () => {
    // A spot rising 0.3° to the right, a tool whose right-hand end reads 0.2° too high.
    const result = flipTestResult({ first: '0.5', firstHigh: 'right', second: '0.1', secondHigh: 'left' })
    expect(result).toMatchObject({ ok: true })
    expect(result.ok && result.zeroErrorDeg).toBeCloseTo(0.2, 12)
    expect(result.ok && result.surfaceDeg).toBeCloseTo(0.3, 12)
  })

  it('gives back any zero error and slope, whichever way they lie', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (zero, slope) => {
          const end = (shown: number) => (shown >= 0 ? 'right' : 'left')
          const [first, second] = [slope + zero, -slope + zero]
          const text = (shown: number) => Math.abs(shown).toFixed(9)
          const result = flipTestResult({
            first: text(first),
            firstHigh: end(first),
            second: text(second),
            secondHigh: end(second),
          })
          expect(result.ok && Math.abs(result.zeroErrorDeg - zero)).toBeLessThan(1e-8)
        },
      ),
      { seed: 20 },
    )
  })

  it('says what is missing', () => {
    expect(flipTestResult({ first: '0.5', second: '0.1', secondHigh: 'left' })).toEqual({
      ok: false,
      message: 'first reading: which end is higher, as you look at the display?',
    })
    expect(flipTestResult({ first: '90', firstHigh: 'left', second: '0' }).ok).toBe(false)
  })

  const tested = (edit: (raw: Record<string, any>) => void) =>
    changed((raw) => {
      raw.tools[0].resolution = 0.05
      raw.tools[0].flipTests = [
        {
          id: 'f',
          at: '2026-10-01T08:00:00',
          first: '0.5',
          firstHigh: 'right',
          second: '0.1',
          secondHigh: 'left',
        },
      ]
      edit(raw)
    })

  it('corrects readings by the side their display looked to, and leaves their resolution as doubt', () => {
    const build = tested((raw) => (raw.readings[3].display = 'left'))
    // Display to the left: its right-hand end is the rear, too high by 0.2°, so the rear is lower than shown.
    expect(fallOf(build, 'output')).toBeCloseTo((fallOf(demoBuild(), 'output') as number) + 0.2, 3)
    expect(
      fallOf(
        tested((raw) => (raw.readings[3].display = 'right')),
        'output',
      ),
    ).toBeCloseTo((fallOf(demoBuild(), 'output') as number) - 0.2, 3)
    expect(toolError(build, build.readings[3] as any).halfWidth).toBe(0.05)
  })

  it('counts the zero error as doubt where the side was not said, and not at all for a re-zeroed level', () => {
    const build = tested(() => undefined)
    expect(toolError(build, build.readings[3] as any)).toMatchObject({ correctionDeg: 0, halfWidth: 0.25 })
    const rezeroed = tested((raw) => (raw.readings[3].zero = 'chassis'))
    expect(toolError(rezeroed, rezeroed.readings[3] as any)).toMatchObject({
      correctionDeg: 0,
      halfWidth: 0.1,
    })
  })
})

describe('three schools of datum', () => {
  it('give the same chassis-frame axis: chassis read, chassis levelled, face made plumb', () => {
    const asStands = fallOf(demoBuild(), 'pinion') as number
    const levelled = changed((raw) => {
      raw.setups[0].datum = 'levelled'
      raw.readings = raw.readings.filter((one: any) => !one.kind.startsWith('chassis'))
      // Against a level chassis the face shows the fall itself.
      raw.readings.find((one: any) => one.id === 'r3').values = [String(90 - asStands)]
    })
    expect(fallOf(levelled, 'pinion')).toBeCloseTo(asStands, 9)
    // Pitched until the pinion's face is plumb, the chassis shows how far it had to go.
    const direction = axisDirection({ fall: radians(asStands), plan: radians(0) })
    const rearLow = degrees(rearLowForLevelAxis(direction, radians(0.4)))
    const pitched = changed((raw) => {
      Object.assign(raw.setups[0], { datum: 'face-plumb', plumbAxis: 'pinion' })
      raw.readings = raw.readings.filter((one: any) => one.id !== 'r3')
      Object.assign(raw.readings[0], {
        values: [String(Math.abs(rearLow))],
        low: rearLow > 0 ? 'rear' : 'front',
      })
    })
    expect(fallOf(pitched, 'pinion')).toBeCloseTo(asStands, 9)
  })

  it('know the attitude of a setup pitched to a plumb face from the axis read elsewhere', () => {
    const build = changed((raw) => {
      raw.setups.push({ ...raw.setups[0], id: 'two', datum: 'face-plumb', plumbAxis: 'pinion' })
    })
    const attitude = setupAttitude(build, build.setups[1]!)
    if (!attitude.known) throw new Error(attitude.missing[0]!.what)
    // The pinion falls to the rear, so the chassis' rear is lifted by as much: its front is low.
    expect(attitude.value.rearLowDeg).toBeCloseTo(-(fallOf(demoBuild(), 'pinion') as number), 6)
    const alone = changed((raw) => {
      Object.assign(raw.setups[0], { datum: 'face-plumb', plumbAxis: 'pinion' })
      raw.readings = raw.readings.filter((one: any) => one.kind !== 'chassis-fall')
    })
    expect(fallOf(alone, 'output')).toMatch(/read the chassis too, or pinion in another setup/)
  })

  it('make the axis level for any attitude across', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        (fall, plan, roll) => {
          const direction = axisDirection({ fall: radians(fall), plan: radians(plan) })
          const up = chassisUp(rearLowForLevelAxis(direction, radians(roll)), radians(roll))
          expect(Math.abs(dot(direction, up))).toBeLessThan(1e-12)
        },
      ),
      { seed: 7 },
    )
  })
})

describe('scatter of a tool', () => {
  it('pools the repeats of all its readings', () => {
    // 0.8, 0.8 and 86.4, 86.5, 86.4 and 3.4, 3.4: squares 0.00667 over 1 + 2 + 1.
    expect(toolScatter(demoBuild()).get('level')!.deviation).toBeCloseTo(Math.sqrt(0.02 / 3 / 4), 9)
    expect(toolScatter(demoBuild()).get('tape')).toBeUndefined()
  })
})

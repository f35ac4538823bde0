import * as fc from 'fast-check'
import { axisDirection } from '../../base/frame/axis'
import { dot } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import { changedDemo as changed, demoBuild } from '../../testdata/builds'
import { degrees, radians } from '../../base/units/angle'
import { chassisUp, rearLowForLevelAxis } from '../attitude/attitude'
import { axisPlace, setupAttitude } from './measured'
import { blendedScatter, ownScatter, pooledSquares, widenedScatter, type Squares } from '../figures/scatter'
import { flipTestResult, toolError } from '../figures/toolError'

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
    expect(toolError(build, build.readings[3] as any)).toMatchObject({
      halfWidth: 0,
      shared: { sign: 1, halfWidth: 0.05 },
    })
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
    // 0.8, 0.8 and 85.4, 85.5, 85.4 and 2.9, 2.9: squares 0.00667 over 1 + 2 + 1.
    const pooled = pooledSquares(demoBuild())
    expect(pooled.get('deg/level')!.sum).toBeCloseTo(0.02 / 3, 9)
    expect(pooled.get('deg/level')!.freedom).toBe(4)
    expect(pooled.get('mm/tape')).toBeUndefined()
  })

  it('never puts mm and degrees of readings without a tool together', () => {
    const build = changed((raw) => {
      for (const reading of raw.readings) delete reading.tool
      raw.readings.find((one: any) => one.id === 'r5').values = ['2316', '2319']
    })
    const pooled = pooledSquares(build)
    expect([...pooled.keys()].sort()).toEqual(['deg/usual-level', 'mm/usual-tape'])
    expect(pooled.get('deg/usual-level')!.sum).toBeCloseTo(0.02 / 3, 9)
  })

  it('is what is usual until something is repeated, and widened while that is little', () => {
    const widened = (usual: number, squares: Squares, halfWidth = 0, count = 1) =>
      widenedScatter(blendedScatter(usual, squares), halfWidth, count)
    expect(widened(0.08, { sum: 0, freedom: 0 })).toBe(0.08)
    // One lucky pair of equal figures does not make a hand that never shakes: √(2·0.08²/3), widened for 9 freedoms.
    expect(widened(0.08, { sum: 0, freedom: 1 })).toBeCloseTo(0.08 * Math.sqrt(2 / 3) * (2.262 / 2), 4)
    // From three differences on the repeats alone; t(97.5 %, 4) = 2.776, printed in any table.
    expect(widened(0.08, { sum: 4, freedom: 4 })).toBeCloseTo(2.776 / 2, 2)
    expect(widened(0.08, { sum: 400, freedom: 400 })).toBeCloseTo(1, 2)
    // Beside a tool's own error as large as the scatter the whole is worth 4·(2/1)² = 16: t = 2.120, √(2·1.06² − 1).
    expect(widened(0.08, { sum: 4, freedom: 4 }, Math.sqrt(3))).toBeCloseTo(Math.sqrt(2 * 1.06 ** 2 - 1), 3)
    // Four repeats leave a quarter of the scatter: worth 4·(5/1)² = 100, t = 1.984, no wider than two deviations.
    expect(widened(0.08, { sum: 4, freedom: 4 }, Math.sqrt(3), 4)).toBeCloseTo(1, 9)
  })

  it('leaves out a reading whose repeats do not belong together, and gives that reading its own', () => {
    const build = changed((raw) => (raw.readings[2].values = ['86.4', '8.65', '86.4']))
    expect(pooledSquares(build).get('deg/level')!.sum).toBe(0)
    expect(ownScatter(build, build.readings[2] as any)!.deviation).toBeGreaterThan(40)
    expect(ownScatter(demoBuild(), demoBuild().readings[2] as any)).toBeNull()
  })
})

import * as fc from 'fast-check'
import { axisDirection } from '../frame/axis'
import { dot } from '../linalg/vec3'
import type { Build } from '../project/build'
import { parseBuild } from '../project/parseBuild'
import { demoBuild, rawDemo } from '../testdata/builds'
import { centrelineReport, registrationReport } from '../text/registrationText'
import { degrees, radians } from '../units/angle'
import { chassisUp, rearLowForLevelAxis } from './attitude'
import { fitCentreline, offsetFromCentreline } from './centrelineFit'
import { compareSetups } from './compareSetups'
import { readingHistory } from './history'
import { axisPlace, pointPlace, setupAttitude } from './measured'
import { flipTestResult, toolError } from './toolError'
import { toolScatter } from './scatter'

const changed = (edit: (raw: Record<string, any>) => void): Build => {
  const raw = rawDemo()
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
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

describe('registration of a setup', () => {
  /** Datum points on the chassis, and the same seen from a frame turned 3° in plan, shifted and lifted. */
  const registered = (edit: (raw: Record<string, any>) => void = () => undefined) =>
    changed((raw) => {
      raw.setups.push({
        id: 'floor',
        name: 'Floor lines',
        standsOn: 'stands',
        loaded: false,
        settled: false,
        datum: 'read',
      })
      const places = [
        ['d1', 0, 400, 0],
        ['d2', 0, -400, 0],
        ['d3', -2000, 380, 0],
        ['d4', -2000, -380, 10],
        ['d5', -600, 300, 450],
      ] as const
      for (const [id, x, y, z] of places) {
        raw.points.push({ id, name: id, body: 'chassis', datum: true })
        raw.readings.push({
          id: `${id}c`,
          kind: 'given-point',
          point: id,
          station: String(-x),
          offset: String(Math.abs(y)),
          side: y < 0 ? 'right' : 'left',
          height: String(z),
        })
        raw.readings.push(shot(id, x, y, z))
      }
      raw.readings.push(shot('crank-nose', 62, -6, 130))
      edit(raw)
    })
  const TURN = radians(3)
  const shot = (point: string, x: number, y: number, z: number) => {
    const sx = x * Math.cos(TURN) - y * Math.sin(TURN) + 150
    const sy = x * Math.sin(TURN) + y * Math.cos(TURN) - 40
    const sz = z + 520
    return {
      id: `${point}s`,
      kind: 'setup-point',
      setup: 'floor',
      point,
      values: [String(Math.abs(sx)), String(Math.abs(sy)), String(sz)],
      alongWay: sx > 0 ? 'forward' : 'rearward',
      acrossSide: sy < 0 ? 'right' : 'left',
    }
  }

  it('brings everything measured from its own line to the chassis, and knows how the chassis stood', () => {
    const build = registered()
    const place = pointPlace(
      build,
      build.points.find((point) => point.id === 'crank-nose')!,
    )
    if (!place.known) throw new Error(place.missing[0]!.what)
    ;[62, -6, 130].forEach((wanted, i) => expect(place.value[i]).toBeCloseTo(wanted, 6))
    const attitude = setupAttitude(build, build.setups[1]!)
    expect(attitude.known && attitude.value.rearLowDeg).toBeCloseTo(0, 6)
  })

  it('names the one bad point as the suspect', () => {
    const build = registered((raw) => {
      raw.readings.find((one: any) => one.id === 'd5s').values[2] = '1010'
    })
    const report = registrationReport(build, build.setups[1]!)
    expect(report?.known && report.value.suspect).toBe('D5')
  })

  it('refuses a mirrored set and one on a line, with the reason', () => {
    const mirrored = registered((raw) => {
      for (const one of raw.readings)
        if (one.kind === 'setup-point') one.acrossSide = one.acrossSide === 'left' ? 'right' : 'left'
    })
    const report = registrationReport(mirrored, mirrored.setups[1]!)
    expect(report?.known === false && report.missing[0]!.what).toMatch(/fit only as a mirror image/)
    const inLine = registered((raw) => {
      raw.readings = raw.readings.filter((one: any) => !/^d[245]/.test(one.id))
    })
    const two = registrationReport(inLine, inLine.setups[1]!)
    expect(two?.known === false && two.missing[0]!.what).toBe(
      'Floor lines: three datum points are needed, not all on one line',
    )
  })
})

describe('centreline from frame holes', () => {
  it('takes the string’s own place out of offsets', () => {
    // A string 5 mm to the right at the datum that drifts 1 in 200: middles lie left of it.
    const line = fitCentreline([
      [0, 5],
      [1000, 10],
      [2000, 15],
    ])
    expect(line.start).toBeCloseTo(5, 12)
    expect(line.slope).toBeCloseTo(0.005, 12)
    expect(offsetFromCentreline(line, 1000, 10)).toBeCloseTo(0, 12)
    expect(offsetFromCentreline(line, 0, 105)).toBeCloseTo(100 / Math.hypot(1, 0.005), 9)
  })

  it('corrects the offsets of a setup that says so, and shows the misfit of each pair', () => {
    const paired = (centreline: string) =>
      changed((raw) => {
        raw.centrePairs = []
        raw.setups[0].centreline = centreline
        ;[
          [100, 395, 405],
          [1200, 398, 402],
          [2400, 405, 395],
        ].forEach(([station, left, right], i) => {
          for (const [side, size] of [
            ['left', left],
            ['right', right],
          ] as const) {
            const id = `${side}${i}`
            raw.points.push({ id, name: id, body: 'chassis' })
            raw.readings.push(
              {
                id: `${id}s`,
                kind: 'point-station',
                setup: 'setup-1',
                point: id,
                values: [String(station)],
                way: 'rearward',
              },
              {
                id: `${id}o`,
                kind: 'point-offset',
                setup: 'setup-1',
                point: id,
                values: [String(size)],
                side,
              },
            )
          }
          raw.centrePairs.push({ id: `p${i}`, name: `pair ${i}`, left: `left${i}`, right: `right${i}` })
        })
      })
    const build = paired('pairs')
    const offset = (one: Build) => {
      const place = pointPlace(one, one.points[0]!)
      return place.known ? place.value[1] : NaN
    }
    const report = centrelineReport(build, build.setups[0]!)
    if (!report.known) throw new Error(report.missing[0]!.what)
    expect(report.value.misfits).toHaveLength(3)
    // By hand: middles −5, −2, 5 mm at 100, 1200, 2400 mm; slope 11566.7/2646667, start −6.0567.
    const at = -6.0567 + (11_566.67 / 2_646_667) * 2317
    expect(offset(build) - offset(paired('string'))).toBeCloseTo(-at, 2)
  })
})

describe('comparing two setups', () => {
  it('sets each quantity side by side with the ± of the difference, and flags what is apart', () => {
    const build = changed((raw) => {
      raw.setups.push({ ...raw.setups[0], id: 'two', name: 'Lift' })
      raw.readings.push(
        { id: 'c', kind: 'chassis-fall', setup: 'two', tool: 'level', values: ['2.0'], low: 'rear' },
        {
          id: 'o',
          kind: 'axis-level',
          axis: 'output',
          setup: 'two',
          tool: 'level',
          values: ['6.3'],
          low: 'rear',
        },
        {
          id: 'h',
          kind: 'point-height',
          point: 'pinion-joint',
          setup: 'two',
          tool: 'tape',
          values: ['60'],
          way: 'below',
        },
      )
    })
    const rows = compareSetups(build, build.setups[0]!, build.setups[1]!)
    const output = rows.find((row) => row.target === 'output')!
    expect(output.first).toBeCloseTo(4.2, 2)
    expect(output.second).toBeCloseTo(4.3, 2)
    // Four readings good to ±0.1°: 2·√(4·0.1²/3).
    expect(output.plusMinus).toBeCloseTo(2 * Math.sqrt((4 * 0.01) / 3), 1)
    expect(output.isApart).toBe(false)
    const height = rows.find((row) => row.quantity === 'height' && row.target === 'pinion-joint')!
    expect([height.difference, height.isApart]).toEqual([-29, true])
    expect(rows.find((row) => row.quantity === 'fall')!.isApart).toBe(false)
  })
})

describe('history of a reading', () => {
  it('tells every reading of a quantity and what was done to it, as it was at the time', () => {
    const build = changed((raw) => {
      const output = raw.readings[3]
      raw.readingLog = [
        {
          id: 'l1',
          at: '2026-10-18T10:00:00',
          by: 'Odo',
          what: 'repeated',
          reading: 'r4',
          before: { ...output, values: ['3.4'] },
          after: output,
        },
      ]
    })
    const entries = readingHistory(build, build.readings[3]!)
    expect(entries.map(({ what, by }) => [what, by])).toEqual([
      ['read', 'Imre'],
      ['repeated', 'Odo'],
    ])
    expect(entries[0]!.after).toMatchObject({ values: ['3.4'] })
    expect(entries[0]).toMatchObject({
      inForce: true,
      tool: 'digital level, 0.1°',
      setup: 'On the floor, loaded',
    })
  })
})

describe('scatter of a tool', () => {
  it('pools the repeats of all its readings', () => {
    // 0.8, 0.8 and 86.4, 86.5, 86.4 and 3.4, 3.4: squares 0.00667 over 1 + 2 + 1.
    expect(toolScatter(demoBuild()).get('level')!.deviation).toBeCloseTo(Math.sqrt(0.02 / 3 / 4), 9)
    expect(toolScatter(demoBuild()).get('tape')).toBeUndefined()
  })
})

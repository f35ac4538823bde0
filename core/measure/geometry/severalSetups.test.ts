import type { Build } from '../../file/build/build'
import { changedDemo as changed } from '../../testdata/builds'
import { centrelineReport, registrationReport } from '../../show/text/registrationText'
import { radians } from '../../base/units/angle'
import { fitCentreline, offsetFromCentreline } from '../attitude/centrelineFit'
import { compareSetups } from './compareSetups'
import { readingHistory } from '../targets/history'
import { pointPlace, setupAttitude } from './measured'

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
    // One zero within ±0.1° in four readings that do not say their side, and the demo's hand (σ = 0.041°) in two single
    // ones and two pairs.
    expect(output.plusMinus).toBeCloseTo(2 * Math.sqrt(0.4 ** 2 / 3 + 3 * 0.041 ** 2), 1)
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

import fc from 'fast-check'
import { riseSweep } from '../../base/frame/axis'
import { evaluateBuild } from '../../model/evaluateBuild'
import { parseBuild } from '../../file/open/parseBuild'
import { referenceProblems } from '../../file/references/references'
import { resultJson } from '../../show/result/resultJson'
import { axisWords } from '../../show/text/axisText'
import { changedDemo } from '../../testdata/builds'
import { degrees, radians } from '../../base/units/angle'
import { chassisUp } from '../attitude/attitude'

/** A halfshaft axis that lies across, read in a setup that stands askew. */
const acrossBuild = (edit: (raw: any) => void) =>
  changedDemo((raw) => {
    raw.axes.push({
      id: 'hub',
      name: 'left hub',
      body: 'rear-axle',
      lies: 'across',
      through: ['inner', 'outer'],
    })
    raw.points.push(
      { id: 'inner', name: 'inner', body: 'rear-axle' },
      { id: 'outer', name: 'outer', body: 'rear-axle' },
    )
    edit(raw)
  })
const read = (id: string, fields: object) => ({ id, setup: 'setup-1', ...fields })
const signedTexts = (value: number, key: string, [positive, negative]: readonly [string, string]) => ({
  values: [Math.abs(value).toFixed(12)],
  [key]: value >= 0 ? positive : negative,
})
const chassis = (raw: any, rearLowDeg: number, leftLowDeg: number) => {
  raw.readings = raw.readings.filter(({ kind }: { kind: string }) => !kind.startsWith('chassis'))
  raw.readings.push(
    read('c1', { kind: 'chassis-fall', ...signedTexts(rearLowDeg, 'low', ['rear', 'front']) }),
    read('c2', { kind: 'chassis-roll', ...signedTexts(leftLowDeg, 'low', ['left', 'right']) }),
  )
}
const points = (raw: any, ends: Record<string, readonly [number, number, number?]>) => {
  for (const [point, [station, offset, height]] of Object.entries(ends)) {
    raw.readings.push(
      read(`${point}s`, {
        kind: 'point-station',
        point,
        unit: 'mm',
        ...signedTexts(station, 'way', ['rearward', 'forward']),
      }),
      read(`${point}o`, {
        kind: 'point-offset',
        point,
        unit: 'mm',
        ...signedTexts(offset, 'side', ['left', 'right']),
      }),
    )
    if (height !== undefined)
      raw.readings.push(
        read(`${point}h`, {
          kind: 'point-height',
          point,
          unit: 'mm',
          ...signedTexts(height, 'way', ['above', 'below']),
        }),
      )
  }
}
const lie = (build: ReturnType<typeof acrossBuild>) => {
  const { riseDeg, sweepDeg } = resultJson(build).axes.at(-1)!
  return { riseDeg: riseDeg!, sweepDeg: sweepDeg! }
}

describe('an axis across the vehicle', () => {
  const small = fc.double({ min: -6, max: 6, noNaN: true })

  it('is brought to the chassis from what the level shows, whatever the attitude', () => {
    fc.assert(
      fc.property(small, small, small, small, (rise, sweep, rearLow, leftLow) => {
        const [r, s] = [radians(rise), radians(sweep)]
        const towardLeft = [Math.cos(r) * Math.sin(s), Math.cos(r) * Math.cos(s), Math.sin(r)] as const
        const up = chassisUp(radians(rearLow), radians(leftLow))
        const leftLowShown = -degrees(
          Math.asin(towardLeft[0] * up[0] + towardLeft[1] * up[1] + towardLeft[2] * up[2]),
        )
        const build = acrossBuild((raw) => {
          chassis(raw, rearLow, leftLow)
          // 400 mm between the points, along the axis in top view.
          points(raw, { inner: [2640, 300], outer: [2640 - 400 * Math.tan(s), 700] })
          raw.readings.push(
            read('l', {
              kind: 'axis-level',
              axis: 'hub',
              ...signedTexts(leftLowShown, 'low', ['left', 'right']),
            }),
          )
        })
        expect(lie(build).riseDeg).toBeCloseTo(rise, 6)
        expect(lie(build).sweepDeg).toBeCloseTo(sweep, 6)
      }),
      { seed: 71, numRuns: 40 },
    )
  })

  it('may be read across a face, from three figures of two points, or from a drawing', () => {
    const byFace = acrossBuild((raw) => {
      chassis(raw, 0, 0)
      raw.readings.push(
        read('f', { kind: 'axis-face', axis: 'hub', values: ['88.5'], lean: 'left', from: 'level' }),
      )
    })
    // Its top leans to the left: the left end is low.
    expect(lie(byFace).riseDeg).toBeCloseTo(-1.5, 9)
    expect(resultJson(byFace).axes.at(-1)).toMatchObject({
      fallDeg: null,
      planDeg: null,
      sweepDeg: expect.closeTo(0, 9),
    })
    const byPoints = acrossBuild((raw) => points(raw, { inner: [2640, 300, -58], outer: [2633, 700, -51] }))
    expect(lie(byPoints).riseDeg).toBeCloseTo(degrees(Math.atan2(7, Math.hypot(400, 7))), 9)
    expect(lie(byPoints).sweepDeg).toBeCloseTo(degrees(Math.atan2(7, 400)), 9)
    const given = acrossBuild((raw) => {
      raw.readings.push({
        id: 'g',
        kind: 'given-cross-axis',
        axis: 'hub',
        rise: '1.2',
        high: 'right',
        sweep: '0.4',
        leftPoints: 'rearward',
      })
    })
    expect(lie(given)).toEqual({ riseDeg: expect.closeTo(-1.2, 9), sweepDeg: expect.closeTo(-0.4, 9) })
    expect(axisWords(given, given.axes.at(-1)!)).toBe('left end down 1.20°, left end rearward 0.40°')
  })

  it('has ends left and right and no others', () => {
    const problem = (reading: object) =>
      referenceProblems(acrossBuildUnproved(reading)).map(({ path, message }) => `${path}: ${message}`)
    expect(problem({ kind: 'axis-level', axis: 'hub', values: ['1'], low: 'rear' })).toEqual([
      expect.stringContaining('.low: "left hub" lies across the vehicle: say left or right'),
    ])
    expect(problem({ kind: 'axis-level', axis: 'hub', values: ['1'], low: 'left', display: 'left' })).toEqual(
      [expect.stringContaining('front or rear')],
    )
    expect(problem({ kind: 'given-axis', axis: 'hub', fall: '1', low: 'rear' })).toEqual([
      expect.stringContaining('it is given by rise and sweep'),
    ])
    expect(problem({ kind: 'given-cross-axis', axis: 'pinion', rise: '1', high: 'left' })).toEqual([
      expect.stringContaining('it is given by fall and plan'),
    ])
  })

  it('drives a halfshaft to the left and to the right with the same angles', () => {
    const halfshaft = (side: 1 | -1) =>
      acrossBuild((raw) => {
        raw.axes.push({ id: 'drive', name: 'differential', body: 'chassis', lies: 'across' })
        points(raw, { inner: [2640, side * 150, 10], outer: [2650, side * 650, -30] })
        raw.axes.at(-2).through = undefined
        for (const [axis, rise] of [
          ['drive', '0'],
          ['hub', '2'],
        ])
          raw.readings.push({
            id: `g-${axis}`,
            kind: 'given-cross-axis',
            axis,
            rise,
            high: side === 1 ? 'right' : 'left',
            sweep: '0',
          })
        raw.lines.push({
          id: 'half',
          name: 'halfshaft',
          school: 'straight',
          flow: side === 1 ? 'left' : 'right',
          driving: 'drive',
          driven: 'hub',
          joints: [
            { id: 'in', kind: 'cv', point: 'inner' },
            { id: 'out', kind: 'cv', point: 'outer' },
          ],
          shafts: [{}],
        })
      })
    const angles = ([1, -1] as const).map((side) => {
      const line = evaluateBuild(halfshaft(side), {}).lines[1]!
      if (!line.ride.known) throw new Error(JSON.stringify(line.ride.missing))
      return line.ride.value.anglesDeg
    })
    // Down 40 and back 10 over 500.
    const slope = degrees(Math.atan2(Math.hypot(40, 10), 500))
    expect(angles[0]![0]).toBeCloseTo(slope, 9)
    expect(angles[0]![1]).toBeLessThan(slope)
    angles[0]!.forEach((angle, i) => expect(angle).toBeCloseTo(angles[1]![i]!, 9))
  })

  it('tells rise and sweep of a plain direction', () => {
    expect(riseSweep([0, 1, 0])).toEqual({ rise: expect.closeTo(0, 12), sweep: expect.closeTo(0, 12) })
    expect(degrees(riseSweep([1, 1, 0]).sweep)).toBeCloseTo(45, 9)
    expect(degrees(riseSweep([0, 1, 1]).rise)).toBeCloseTo(45, 9)
  })
})

/** The demo with the axis and one more reading, sound or not. */
function acrossBuildUnproved(reading: object) {
  const build = acrossBuild(() => undefined)
  const at =
    'fall' in reading || 'rise' in reading ? { id: 'x' } : { id: 'x', setup: 'setup-1', tool: 'level' }
  const whole = { ...build, readings: [...build.readings, { ...at, ...reading }] }
  const parsed = parseBuild(whole)
  expect(parsed.ok).toBe(false)
  return whole as unknown as typeof build
}

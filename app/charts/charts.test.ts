import { evaluateBuild } from '~~/core/model/evaluateBuild'
import { turnCurves } from '~~/core/answers/curves/curves'
import { permittedCurve } from '~~/core/answers/curves/permittedCurve'
import { demoBuild } from '~~/core/testdata/builds'
import { chartTable } from './chartTable'
import { gearChart } from './gearChart'
import { permittedChart } from './permittedChart'
import { turnChart } from './turnChart'

const COLOURS = {
  ink: '#000',
  soft: '#111',
  hair: '#222',
  accent: '#333',
  holds: '#0a0',
  tight: '#aa0',
  out: '#a00',
  unknown: '#888',
}
const build = demoBuild()
const [line] = evaluateBuild(build, {}).lines
type Series = { data: any[]; name: string; color: string; xAxisIndex?: number }[]

describe('permittedChart', () => {
  const curve = permittedCurve(line!, build.limits.entries)!
  const chart = permittedChart(curve, COLOURS)
  const [limit, joints] = chart.series as unknown as Series

  it('draws the limit and puts each joint where it stands, in the shape of its verdict', () => {
    expect(limit!.name).toBe('1000 rad/s²')
    expect(limit!.data).toHaveLength(curve.limit.length)
    expect(joints!.data.map(({ value }) => value)).toEqual(
      curve.joints.map(({ speedRpm, angleDeg }) => [speedRpm, angleDeg]),
    )
    expect(joints!.data[0]).toMatchObject({ symbol: 'circle', itemStyle: { color: '#0a0' } })
    expect(joints!.data[0].label.formatter).toBe('joint 1  1.29°')
  })

  it('leaves room above the highest joint and names its axes with units', () => {
    const steep = permittedChart({ ...curve, joints: [{ ...curve.joints[0]!, angleDeg: 20 }] }, COLOURS)
    expect((steep.yAxis as { max: number }).max).toBe(24)
    expect(chart.xAxis).toMatchObject({ name: 'shaft speed, rev/min' })
    expect(chart.yAxis).toMatchObject({ name: 'joint angle, degrees', min: 0 })
  })
})

describe('turnChart', () => {
  const ride = line!.ride
  if (!ride.known) throw new Error('unknown')
  const curves = turnCurves(line!.line, ride.value, line!.speed.known ? line!.speed.value.speedRpm : null, 90)

  it('draws each shaft and the driven axis three times: ratio, angle error, acceleration', () => {
    const series = turnChart(curves, COLOURS).series as unknown as Series
    expect(series.map(({ name }) => name)).toEqual([
      'shaft 1, speed ratio',
      'driven axis, speed ratio',
      'shaft 1, angle error',
      'driven axis, angle error',
      'shaft 1, acceleration',
      'driven axis, acceleration',
    ])
    expect(series.map(({ data }) => data.length)).toEqual(Array(6).fill(curves.turnDeg.length))
    expect(series.filter(({ xAxisIndex }) => xAxisIndex === 1)).toHaveLength(2)
    const swing =
      Math.max(...series[3]!.data.map(([, deg]) => deg)) - Math.min(...series[3]!.data.map(([, deg]) => deg))
    expect(swing).toBeCloseTo((ride.value.whole.errorPeakToPeak * 180) / Math.PI, 4)
    expect(series[1]!.color).toBe('#333')
  })

  it('does without accelerations where no speed is known', () => {
    const series = turnChart({ ...curves, accelerations: null } as never, COLOURS).series as unknown as Series
    expect(series).toHaveLength(4)
  })
})

describe('gearChart', () => {
  const curves = {
    gears: [
      { gear: '1', points: [[0, 0, 0] as const, [30, 12, 20] as const] },
      { gear: '2', points: [[0, 0, 0] as const, [60, 48, 80] as const] },
    ],
    warn: 300,
    fail: null,
  }
  const words = { speed: 'km/h', acceleration: 'rad/s²', warn: 'felt', fail: 'out' }
  const chart = gearChart(curves, COLOURS, words)

  it('draws a line a gear and the limits there are across them', () => {
    const series = chart.series as unknown as Series
    expect(series.map(({ name }) => name)).toEqual(['1', '2', 'felt'])
    expect(series[1]!.data).toEqual([
      [0, 0],
      [60, 48],
    ])
    expect(series[2]!.data).toEqual([
      [0, 300],
      [60, 300],
    ])
    expect(chart.xAxis).toMatchObject({ max: 60 })
  })

  it('goes out as a table, a row a point', () => {
    expect(chartTable(chart).trim().split('\r\n')).toEqual([
      'series,x,y',
      '1,0,0',
      '1,30,12',
      '2,0,0',
      '2,60,48',
      'felt,0,300',
      'felt,60,300',
    ])
  })
})

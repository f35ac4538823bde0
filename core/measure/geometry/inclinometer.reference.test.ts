import { axisDirection } from '../../base/frame/axis'
import { parseBuild } from '../../file/open/parseBuild'
import inclinometer from '../../testdata/inclinometer.json'
import { degrees } from '../../base/units/angle'
import { axisPlace } from './measured'

type Input = (typeof inclinometer.cases)[number]['input'] & Record<string, any>

/** A case as the build a user would have typed. */
function buildOf(input: Input) {
  const chassis: Record<string, any> = input.chassis ?? {}
  const readings: object[] = []
  const text = (figure: number) => String(figure)
  if (chassis.pitch_deg !== undefined) {
    readings.push({
      id: 'pitch',
      kind: 'chassis-fall',
      setup: 's',
      values: [text(chassis.pitch_deg)],
      low: chassis.pitch_low,
    })
  }
  if (chassis.roll_deg !== undefined) {
    readings.push({
      id: 'roll',
      kind: 'chassis-roll',
      setup: 's',
      values: [text(chassis.roll_deg)],
      low: chassis.roll_low,
    })
  }
  const { kind, deg, low, lean, from } = input.reading as Record<string, any>
  const common = {
    id: 'level',
    setup: 's',
    axis: 'x',
    values: [text(deg)],
    zero: input.zero ? 'chassis' : 'gravity',
  }
  readings.push(
    kind === 'along' ? { ...common, kind: 'axis-level', low } : { ...common, kind: 'axis-face', lean, from },
  )
  const points: object[] = []
  input.lateral?.stations.forEach((station: Record<string, any>, i: number) => {
    const point = `p${i}`
    points.push({ id: point, name: point, body: 'powertrain' })
    const way = station.x_mm > 0 ? 'forward' : 'rearward'
    readings.push({
      id: `s${i}`,
      kind: 'point-station',
      setup: 's',
      point,
      values: [text(Math.abs(station.x_mm))],
      way,
    })
    readings.push({
      id: `o${i}`,
      kind: 'point-offset',
      setup: 's',
      point,
      values: [text(station.offset_mm)],
      side: station.side,
      by: input.lateral!.by,
      ...(input.lateral!.by === 'plumb' && {
        aboveCentreline: text(Math.abs(station.height_mm)),
        aboveCentrelineWay: station.height_mm < 0 ? 'below' : 'above',
      }),
    })
  })
  if (input.plan_deg !== undefined) {
    const plan = { plan: text(Math.abs(input.plan_deg)), rearPoints: input.plan_deg < 0 ? 'right' : 'left' }
    readings.unshift({ id: 'plan', kind: 'given-axis', axis: 'x', fall: '0', ...plan })
  }
  return {
    format: 'lurvan-build',
    version: 1,
    name: 'case',
    setups: [
      {
        id: 's',
        name: 's',
        standsOn: 'floor',
        loaded: true,
        settled: true,
        datum: 'levelled',
        zeroSurfaceFallDeg: input.zero?.surface_fall_deg ?? 0,
      },
    ],
    points,
    axes: [{ id: 'x', name: 'axis', body: 'powertrain', through: points.map((_, i) => `p${i}`) }],
    readings,
  }
}

describe('levels and offsets against independent cases', () => {
  it.each(inclinometer.cases.map((one) => [one.id, one] as const))('%s', (_id, { input, expect: wanted }) => {
    const parsed = parseBuild(buildOf(input as Input))
    if ('error' in wanted) {
      const place = parsed.ok ? axisPlace(parsed.value, parsed.value.axes[0]!) : { known: false }
      expect(place.known).toBe(false)
      return
    }
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    const place = axisPlace(parsed.value, parsed.value.axes[0]!)
    if (!place.known) throw new Error(JSON.stringify(place.missing))
    expect(degrees(place.value.fall)).toBeCloseTo(wanted.fall_deg!, 7)
    expect(degrees(place.value.plan)).toBeCloseTo(wanted.plan_deg!, 7)
    axisDirection(place.value).forEach((part, i) => expect(part).toBeCloseTo(wanted.d![i]!, 9))
  })
})

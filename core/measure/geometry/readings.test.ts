import { parseBuild } from '../../file/open/parseBuild'
import { newBuild } from '../../file/edits/newBuild'
import { resultJson } from '../../show/result/resultJson'
import { changedDemo, demoBuild, rawDemo } from '../../testdata/builds'
import { asRadians, degrees, radians } from '../../base/units/angle'
import { readingEcho } from '../../show/told/echo'
import { chassisUp, fallFromSlope, LEVEL_UP } from '../attitude/attitude'
import { spacingFor } from '../axes/axisEnds'
import { axisPlace, pointPlace } from './measured'
import { offsetFromPlumb } from '../attitude/plumb'
import { measuringTour, nextOpenStep } from '../tour/tour'
import type { MeasuredReading } from '../../file/build/reading'

const edited = (edit: (raw: Record<string, any>) => void) => {
  const raw = rawDemo()
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const pinionFall = (build: ReturnType<typeof demoBuild>) => {
  const place = axisPlace(
    build,
    build.axes.find((axis) => axis.id === 'pinion')!,
  )
  return place.known ? degrees(place.value.fall) : place.missing[0]!.what
}

describe('attitude', () => {
  it('is more than a subtraction once roll meets plan: 0.15° at 3°/3°, 1.1° at 8°/8°', () => {
    const error = (roll: number, plan: number) =>
      Math.abs(3 - degrees(fallFromSlope(radians(3), radians(plan), chassisUp(radians(0), radians(roll)))!))
    expect(error(3, 3)).toBeCloseTo(0.153, 2)
    expect(error(8, 8)).toBeCloseTo(1.11, 1)
  })

  it('has no answer for a slope no axis can show', () => {
    expect(fallFromSlope(radians(89), radians(60), chassisUp(radians(0), radians(40)))).toBeNull()
    expect(degrees(fallFromSlope(asRadians(0), asRadians(0), LEVEL_UP)!)).toBeCloseTo(0, 12)
  })

  it('refuses a vehicle on its side', () => {
    expect(() => chassisUp(radians(60), radians(60))).toThrow(
      'attitude: expected a vehicle that stands, got one on its side',
    )
  })

  it('takes the roll out of a plumb drop', () => {
    // 200 mm above the centreline on a chassis rolled 2° left-low: sin 2° · 200 = 7 mm faked.
    const up = chassisUp(radians(0), radians(2))
    expect(offsetFromPlumb(0, 200, up)).toBeCloseTo(200 * Math.tan(radians(2)) * -1, 0)
  })
})

describe('readings in force', () => {
  it('average their repeats and let the last reading win', () => {
    const mean = pinionFall(demoBuild())
    const again = edited((raw) =>
      raw.readings.push({
        id: 'later',
        setup: 'setup-1',
        kind: 'axis-level',
        axis: 'pinion',
        values: ['3'],
        low: 'rear',
      }),
    )
    expect(mean).toBeCloseTo(5.37, 2)
    expect(pinionFall(again)).toBeCloseTo(3.8, 2)
  })

  it('read the same face whether its tool calls plumb 90° or 0°', () => {
    const other = edited((raw) =>
      Object.assign(raw.readings[2], { values: ['4.6', '4.5', '4.6'], from: 'plumb' }),
    )
    expect(pinionFall(other)).toBeCloseTo(pinionFall(demoBuild()) as number, 9)
  })

  it('are unknown without the word for their direction, the attitude, or a face that stands near plumb', () => {
    expect(pinionFall(edited((raw) => delete raw.readings[2].lean))).toBe(
      'pinion: where does the top of the face lean?',
    )
    expect(pinionFall(edited((raw) => raw.readings.shift()))).toBe(
      'On the floor, loaded: how the chassis falls was not read',
    )
    expect(pinionFall(edited((raw) => (raw.readings[2].values = ['4.1'])))).toBe(
      'pinion: 4.1° is far from plumb for a face; was the level laid along the axis?',
    )
  })

  it('put a point where its three figures say, in any unit', () => {
    const build = edited((raw) => Object.assign(raw.readings[4], { values: ['91 1/4'], unit: 'in' }))
    const place = pointPlace(build, build.points[0]!)
    expect(place.known && place.value[0]).toBeCloseTo(-91.25 * 25.4, 9)
  })

  it('do not change meaning when the build changes its unit', () => {
    const build = edited((raw) => (raw.units.length = 'in'))
    const place = pointPlace(build, build.points[0]!)
    expect(place.known && place.value[0]).toBe(-2317)
  })

  it('mark what rests on a provisional figure', () => {
    const build = edited((raw) => (raw.readings[2].provisional = true))
    const place = axisPlace(
      build,
      build.axes.find((axis) => axis.id === 'pinion')!,
    )
    expect(place.known && place.assumptions).toContain(
      'pinion: provisional, read it again when the part is there',
    )
  })

  it('tell how far apart two points must be for an angle', () => {
    // ±1 mm over 200 mm is 0.4°.
    expect(spacingFor(1, 0.405)).toBeCloseTo(200, 0)
  })
})

describe('the echo of a reading', () => {
  const level = (part: object): MeasuredReading =>
    ({
      id: 'new',
      setup: 'setup-1',
      kind: 'axis-level',
      axis: 'output',
      values: ['3.2'],
      low: 'rear',
      ...part,
    }) as MeasuredReading

  it('says what it means to the chassis at once', () => {
    // The draft names no tool: a usual level counts with 0.1²/3 and a hand's 0.08². The chassis was read with the demo's
    // level, 0.1²/3 of its zero and a scatter that its repeats show. 2σ = 0.24°.
    expect(readingEcho(demoBuild(), level({}))).toEqual({
      ok: true,
      text: 'Gearbox output tail down 3.20° as read; to the chassis tail down 4.00° ± 0.24°.',
    })
  })

  it('asks for the direction, and repeats what it does not understand', () => {
    expect(readingEcho(demoBuild(), level({ low: undefined }))).toEqual({
      ok: false,
      text: 'Gearbox output: which end is lower?',
    })
    expect(readingEcho(demoBuild(), level({ values: ['3.2.1'] })).text).toContain('"3.2.1" is not a figure')
  })

  it('says points in stations and sides', () => {
    const offset = {
      id: 'n',
      setup: 'setup-1',
      kind: 'point-offset',
      point: 'pinion-joint',
      values: ['22'],
      side: 'left',
      unit: 'mm',
    }
    expect(readingEcho(demoBuild(), offset as MeasuredReading).text).toBe('Pinion end: 22.0 mm left.')
  })
})

describe('the tour', () => {
  it('goes attitude, levels, joints, and has nothing needed left when all is read', () => {
    const steps = measuringTour(demoBuild(), 'setup-1')
    expect(steps.map((step) => step.id).slice(0, 5)).toEqual([
      'chassis-fall',
      'chassis-roll',
      'axis-level-pinion',
      'axis-level-output',
      'point-station-pinion-joint',
    ])
    expect(steps.filter((step) => !step.optional && !step.reading)).toEqual([])
    expect(nextOpenStep(steps, steps.at(-1)!.id)).toBeNull()
  })

  it('goes on in order from where one stands', () => {
    const empty = newBuild({ id: 'n', name: 'n', units: demoBuild().units, profile: 'road', date: '' })
    const steps = measuringTour(empty, 'setup-1')
    expect(nextOpenStep(steps, null)?.id).toBe('chassis-fall')
    expect(nextOpenStep(steps, 'chassis-fall')?.id).toBe('chassis-roll')
    expect(steps.filter((step) => !step.optional)).toHaveLength(9)
  })

  it('wants the attitude again in a new setup', () => {
    const build = edited((raw) => raw.setups.push({ ...raw.setups[0], id: 's2', name: 'On the lift' }))
    expect(nextOpenStep(measuringTour(build, 's2'), null)?.id).toBe('chassis-fall')
  })
})

describe('readings of several trials', () => {
  it('place the powertrain as it stood in the first; what else was read then counts in any', () => {
    const heights = (edit: (raw: any) => void) => {
      const { points } = resultJson(changedDemo(edit))
      const of = (id: string) => points.find((point) => point.id === id)!.heightMm
      return { output: of('output-joint'), pinion: of('pinion-joint') }
    }
    const before = heights(() => undefined)
    const again = (raw: any, point: string, trial: string, value: string) =>
      raw.readings.push({
        id: `again-${point}`,
        kind: 'point-height',
        setup: 'setup-1',
        point,
        trial,
        values: [value],
        unit: 'mm',
        way: 'above',
      })
    const later = heights((raw) => {
      raw.trials.push({ id: 'trial-2', name: 'Second lift-in', packed: { tail: 5 } })
      again(raw, 'output-joint', 'trial-2', '99')
      again(raw, 'pinion-joint', 'trial-2', '3')
    })
    expect(later.output).toBe(before.output)
    expect(later.pinion).toBe(3)
    expect(heights((raw) => again(raw, 'output-joint', 'trial-1', '99')).output).toBe(99)
  })
})

import { parseBuild } from '../../file/open/parseBuild'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { demoBuild as demoBuildOf, rawDemos } from '../../testdata/demos'
import { maySkipGroup, measuringTour, nextOpenStep, stepBeyond } from './tour'

const empty = () => changedDemo((raw) => (raw.readings = []))
const steps = measuringTour(empty(), 'setup-1')

describe('the tour through the readings', () => {
  it('goes on in order, step by step, optional ones included', () => {
    const walked: string[] = []
    let at: string | null = null
    for (;;) {
      const next = nextOpenStep(steps, at)
      if (!next || walked.includes(next.id)) break
      walked.push(next.id)
      at = next.id
    }
    expect(walked).toEqual(steps.map(({ id }) => id))
    expect(walked.slice(0, 3)).toEqual(['chassis-fall', 'chassis-roll', 'axis-level-pinion'])
    expect(walked.join()).toContain('point-station-crank-nose')
    expect(walked.join()).toContain('point-height-mount-tail')
  })

  it('comes back at its end to what is needed and was left out, and then is over', () => {
    const last = steps.at(-1)!
    expect(nextOpenStep(steps, last.id)!.id).toBe('chassis-fall')
    const done = measuringTour(demoBuild(), 'setup-1')
    expect(nextOpenStep(done, done.at(-1)!.id)).toBeNull()
  })

  it('passes over a group whose rest is not needed, and over no other', () => {
    expect(maySkipGroup(steps, 'joints')).toBe(false)
    expect(maySkipGroup(steps, 'levers')).toBe(true)
    expect(maySkipGroup(steps, 'checks')).toBe(false)
    expect(stepBeyond(steps, 'checks')!.group).toBe('levers')
    expect(stepBeyond(steps, 'levers')!.id).toBe('chassis-fall')
  })

  it('knows the body of what is read, whatever it is called', () => {
    const renamed = changedDemo((raw) => {
      raw.readings = []
      const text = JSON.stringify(raw).replaceAll('"pinion"', '"end-b"').replaceAll('pinion-joint', 'point-7')
      Object.assign(raw, JSON.parse(text))
    })
    const bodies = measuringTour(renamed, 'setup-1').filter(
      (step) => ('axis' in step && step.axis === 'end-b') || ('point' in step && step.point === 'point-7'),
    )
    expect(new Set(bodies.map(({ body }) => body))).toEqual(new Set(['axle']))
    expect(steps.find((step) => 'axis' in step && step.axis === 'output')!.body).toBe('powertrain')
    expect(steps[0]!.body).toBe('chassis')
  })

  it('tells live axles, hubs and brackets from gearboxes', () => {
    const bodies = (demo: 'burdock-cart' | 'medlar-hatch') => {
      const build = demoBuildOf(demo)
      const tour = measuringTour(build, build.setups[0]!.id)
      return new Set(tour.flatMap((step) => ('axis' in step || 'point' in step ? [step.body] : [])))
    }
    expect([...bodies('burdock-cart')]).toEqual(
      expect.arrayContaining(['live-axle', 'bearing-bracket', 'powertrain']),
    )
    expect([...bodies('medlar-hatch')]).toEqual(expect.arrayContaining(['hub', 'powertrain']))
  })

  it('calls a point by its own name where a line has the same id', () => {
    const shared = changedDemo((raw) => {
      const text = JSON.stringify(raw).replaceAll('"pinion-joint"', '"rear"')
      Object.assign(raw, JSON.parse(text))
    })
    const tour = measuringTour(shared, 'setup-1')
    expect(shared.lines.map(({ id }) => id)).toContain('rear')
    expect(tour.find(({ id }) => id === 'point-station-rear')!.targetName).toBe('pinion end')
    expect(tour.find(({ id }) => id === 'shaft-level-rear-0')!.targetName).toBe('rear shaft')
  })

  it('counts what cannot be understood as not read, and leads to it', () => {
    const done = measuringTour(demoBuild(), 'setup-1')
    const spoilt = changedDemo((raw) => {
      const level = raw.readings.findLast((one: any) => one.kind.startsWith('axis-') && one.axis === 'pinion')
      level.values = ['3.13.1']
    })
    const after = measuringTour(spoilt, 'setup-1')
    const open = after.filter(({ isRead }, i) => !isRead && done[i]!.isRead)
    expect(open.map(({ id, reading }) => [id, reading !== null])).toEqual([['axis-level-pinion', true]])
    expect(nextOpenStep(after, after.at(-1)!.id)!.id).toBe('axis-level-pinion')
  })

  it('tells the shafts of one line by their numbers', () => {
    const van = rawDemos().find(({ id }) => id === 'osier-van')!.raw
    const parsed = parseBuild(van)
    const tour = parsed.ok ? measuringTour(parsed.value, van.setups[0].id) : []
    const shafts = tour.filter(({ quantity }) => quantity === 'shaft-level')
    expect(shafts.map(({ targetName }) => targetName)).toEqual(['rear shaft, shaft 1', 'rear shaft, shaft 2'])
  })
})

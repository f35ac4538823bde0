import { changedDemo, demoBuild } from '../testdata/builds'
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
    const bodies = measuringTour(renamed, 'setup-1').filter(({ target }) =>
      ['end-b', 'point-7'].includes(target),
    )
    expect(new Set(bodies.map(({ body }) => body))).toEqual(new Set(['axle']))
    expect(steps.find(({ target }) => target === 'output')!.body).toBe('powertrain')
    expect(steps[0]!.body).toBe('chassis')
  })
})

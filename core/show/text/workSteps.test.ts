import { evaluateBuild } from '../../model/evaluateBuild'
import { changedBay } from '../../testdata/bay'
import { stepKey } from './workStep'
import { steppedWorks } from './workSteps'

const works = (edit?: (raw: any) => void) => {
  const build = changedBay(edit)
  return steppedWorks(build, evaluateBuild(build, {}))
}
const stepsOf = (of: string, edit?: (raw: any) => void) => works(edit).find((work) => work.of === of)!.steps

describe('work step by step', () => {
  it('is every bar, tube, plate and weld of a build', () => {
    expect(works().map(({ of, title }) => [of, title])).toEqual([
      ['bar', 'gearbox bar'],
      ['tube', 'strut, cross tube to side tube'],
      ['plate', expect.any(String)],
      ['weld', 'folds of the gearbox bar'],
      ['weld', 'strut to the cross tube'],
    ])
  })

  it('cuts a bar, notches or bends it in the order along its blank, and holds it up', () => {
    expect(stepsOf('bar').map(({ name, figure }) => [name, figure])).toEqual([
      ['cut the bar', '746.7 mm'],
      ...[1, 2, 3, 4].map((k) => [`notch ${k}`, expect.stringMatching(/^5\.\d mm$/)]),
      ['hold it up', '34.0 mm'],
    ])
    const bent = (raw: any) => {
      raw.crossmembers[0].chosen = 'flat'
      raw.crossmembers[0].ways.find(({ id }: any) => id === 'flat').springbackDeg = 1.5
    }
    expect(stepsOf('bar', bent)[1]).toEqual({
      name: 'bend 1',
      figure: '10.1°',
      note: 'at 89.9 mm from the left end, up; 171.4° included, 8.6° once it is let go',
    })
    const straight = stepsOf('bar', (raw) => (raw.crossmembers[0].chosen = 'plain'))
    expect(straight.map(({ name }) => name)).toEqual(['cut the bar', 'spacers under the bush', 'hold it up'])
    expect(straight[1]).toMatchObject({
      figure: '33.5 mm',
      note: 'so thick in all (20 + 10 + 3, 0.5 mm less)',
    })
  })

  it('saws, wraps and cuts a tube; opens the hole of a plate; tacks, reads and welds a seam', () => {
    expect(stepsOf('tube').map(({ name, figure }) => figure ?? name)).toEqual([
      ...['337.3 mm', 'scribe the match line', '190.7 mm', 'cut the first end, 38 mm'],
      ...['cut the second end, 38 mm', '170.0°', '332.3 mm'],
    ])
    const [open, ...bolts] = stepsOf('plate')
    expect(open).toMatchObject({ name: 'open hole C', figure: '0.6 mm' })
    // Once all drop in, each is made tight: what it is, its washer, how dry.
    expect(bolts.pop()).toEqual({
      key: 'tighten/starter-bolts',
      name: 'tighten starter bolts',
      figure: '26 N·m',
      note: 'M8 × 25, 8.8, grip 10.0 mm, washer of 1.6 mm under the head; thread dry',
    })
    expect(bolts.map(({ name }) => name)).toEqual(['A', 'B', 'C', 'D', 'E'].map((id) => `bolt in hole ${id}`))
    expect(stepsOf('weld').map(({ name }) => name)).toEqual([
      ...['tack 1', 'tack 2', 'tack 3', 'tack 4'],
      ...['read over the fold', 'read bar, end to end', 'read left end against right end'],
      ...['weld', 'look again after 30 minutes', 'look again after 60 minutes'],
      ...['read it all again', 'read where the powertrain stands'],
    ])
    expect(stepsOf('weld').filter(({ isRead }) => isRead)).toHaveLength(5)
  })

  it('has no steps while a figure is missing', () => {
    const unread = (raw: any) => {
      raw.readings = raw.readings.filter(({ point }: any) => !['rail-left', 'strut-head'].includes(point))
      raw.plates[0].bosses.tapes = []
    }
    expect(works(unread).map(({ of, steps }) => [of, steps.length > 0])).toEqual([
      ['bar', false],
      ['tube', false],
      ['plate', false],
      ['weld', true],
      ['weld', true],
    ])
  })

  it('bolts no plate that has to be drilled anew, and ticks readings of one name each by itself', () => {
    const far = (raw: any) => {
      raw.plates[0].holes.forEach((hole: any, k: number) => {
        Object.assign(hole, {
          at: { xMm: 40 * k * k, yMm: 20 * k },
          boss: { xMm: 55 * k, yMm: 90 * (k % 3) },
        })
      })
      raw.plates[0].plate = raw.plates[0].bosses = undefined
    }
    expect(stepsOf('plate', far)).toEqual([])
    const twins = stepsOf('weld', (raw) => (raw.welds[0].readings[1].name = 'over the fold'))
    expect(twins.filter(({ name }) => name === 'read over the fold')).toHaveLength(2)
    expect(new Set(twins.map(stepKey)).size).toBe(twins.length)
  })
})

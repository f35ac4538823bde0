import { differentSettings } from '../../answers/solver/differentSettings'
import { changedBay } from '../../testdata/bay'
import { whatFrees } from './freeText'

describe('what would free a bay in which nothing holds', () => {
  const build = changedBay((raw) => {
    raw.levers = raw.levers.filter(({ id }: { id: string }) => ['fronts', 'tail', 'sideways'].includes(id))
    const sideways = raw.levers.find(({ id }: { id: string }) => id === 'sideways')
    Object.assign(sideways, { locked: true, lockedBecause: 'the rack is in the way' })
    raw.levers.find(({ id }: { id: string }) => id === 'fronts').range = [-4, 2]
  })
  const search = differentSettings(build, {})
  let step = search.next()
  while (!step.done) step = search.next()
  const { nearest, settings } = step.value

  it('names the limits that are missed, levers at their ends, and those that are locked and why', () => {
    expect(settings).toEqual([])
    const { limits, ends, locked } = whatFrees(build, nearest!.cure, {})
    expect(limits).toHaveLength(nearest!.cure.leaves.length)
    expect(limits.find((one) => one.startsWith('downpipe to frame'))).toMatch(
      /^downpipe to frame: its limit would have to let \d+\.\d mm pass$/,
    )
    expect(ends).toEqual(['front mounts, both stands at the end of its range, 2.0 mm up'])
    expect(locked).toEqual(['sideways is locked: the rack is in the way'])
  })

  it('says nothing of ends where no lever stands at one', () => {
    expect(whatFrees(build, { changes: [], leaves: [] }, {})).toMatchObject({ limits: [], ends: [] })
  })
})

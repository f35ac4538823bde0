import { evaluateBuild } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { changedBay as bay } from '../../testdata/bay'
import { provingWith } from '../uncertainty/provenCure'
import { settingsAfter } from './cure'
import { differentSettings, type FoundSettings } from './differentSettings'

function found(build: Build, proves = true): FoundSettings {
  const search = differentSettings(build, {}, proves ? provingWith(build, true) : null)
  let step = search.next()
  while (!step.done) step = search.next()
  return step.value
}
const movedIn = ({ cure }: FoundSettings['settings'][number]) =>
  cure.changes.map(({ lever }) => lever.id).sort()

describe('differentSettings', () => {
  it('tells several ways to free the tight bay, the cheapest first, in each of which every check holds', () => {
    const build = bay()
    const { settings, nearest, looked, isWhole } = found(build)
    expect(nearest).toBeNull()
    expect(settings.length).toBeGreaterThanOrEqual(2)
    // Every setting of the grid: no other levers free it.
    expect([looked, isWhole]).toEqual([24 * 30 * 7 * 13 * 13 * 13 * 3 * 4, true])
    expect(movedIn(settings[0]!)).toEqual(['fronts', 'radiator-fore', 'sideways'])
    expect(settings[0]!.effort).toBeCloseTo(2 + 0.8 + 2 + 1.6 + 3 + 0.8, 9)
    const efforts = settings.map(({ effort }) => effort)
    expect(efforts).toEqual([...efforts].sort((a, b) => a - b))
    for (const one of settings) {
      const { verdict } = evaluateBuild(build, settingsAfter({}, one.cure))
      expect([movedIn(one), verdict]).toEqual([movedIn(one), 'holds'])
      expect(one.cure.likelihood).toBeGreaterThan(0.9)
    }
    // No way only adds to another.
    settings.forEach((one, i) =>
      settings
        .slice(0, i)
        .forEach((before) => expect(movedIn(before).every((id) => movedIn(one).includes(id))).toBe(false)),
    )
  })

  it('keeps locked levers where they stand', () => {
    const { settings } = found(
      bay((raw) => (raw.levers.find(({ id }: { id: string }) => id === 'fore').locked = true)),
    )
    expect(settings.length).toBeGreaterThan(0)
    expect(settings.map(movedIn)).toEqual([['fronts', 'radiator-fore', 'sideways']])
  })

  it('tells the least bad setting and what stays tight where none holds', () => {
    const { settings, nearest } = found(
      bay((raw) => {
        raw.levers = raw.levers.filter(({ id }: { id: string }) => id === 'fronts' || id === 'tail')
      }),
    )
    expect(settings).toEqual([])
    expect(nearest!.room).toBeLessThan(0)
    expect(nearest!.cure.leaves.map(({ id }) => id)).toEqual(['rear/torsional'])
  })
})

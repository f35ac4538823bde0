import { tasksOf } from '../../jobs/tasks/buildTasks'
import { moneyOf } from '../../jobs/money/money'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { demoBuild } from '../../testdata/demos'
import type { Build } from '../../file/build/build'
import { checkValueText } from '../text/checkText'
import { stateSentence } from '../told/stateSentence'
import { settingSheet } from '../told/settingSheet'
import { settingRecord } from '../pack/settingRecord'
import { recordMarkdown } from './markdown'
import { buildRecord } from './record'

const siteOf = (build: Build) => {
  const evaluation = evaluateBuild(build, chosenSettings(build))
  const money = moneyOf(tasksOf(build, 0), build.crew?.rate, build.log)
  return { build, evaluation, money, sentence: stateSentence(build, evaluation) }
}
const wagon = demoBuild('sedge-wagon')

describe('a build as a record', () => {
  const site = siteOf(wagon)
  const record = buildRecord(site, '2026-12-01')
  const part = (title: string) => record.parts.find((one) => one.title === title)!

  it('tells how it stands with every check, what was made, ordered, passed and spent, and each day', () => {
    expect(part('How it stands').lines[0]).toBe(site.sentence)
    expect(part('How it stands').rows).toHaveLength(site.evaluation.checks.length)
    for (const [i, check] of site.evaluation.checks.entries())
      expect(part('How it stands').rows[i]![1]).toContain(checkValueText(check, check.value, wagon.units))
    expect(part('Ordered').rows).toEqual([['rear shaft', 'Quillbrook shafts', 'not ordered', '']])
    expect(part('Gates passed').rows.map(([gate]) => gate)).toEqual(['position chosen', 'checks hold'])
    expect(part('Money').rows.at(-1)!.slice(1)).toEqual([
      'spent 38 crowns',
      'ordered 38 crowns',
      'to come 530 crowns',
    ])
    expect(part('Open, and learnt').lines).toContain(
      'Not right yet, since 2026-11-18: bolt of the left engine mount turns with its nut',
    )
    expect(part('2026-11-15').lines[0]).toBe(
      'first blank of the gearbox bar bent to the wrong side (Runa: the bend sheet lay upside down); 2.5 h; cost 38',
    )
    const days = record.parts.filter(({ title }) => /^\d{4}-/.test(title)).map(({ title }) => title)
    expect(days).toEqual(days.toSorted())
  })

  it('is open text whose words are never taken for layout', () => {
    const tricky: Build = {
      ...wagon,
      log: [{ id: 'x', name: '# <b>|x| [a](b)*', at: '2026-12-01', sort: 'note', photos: ['p', 'gone'] }],
    }
    const text = recordMarkdown(
      buildRecord(siteOf(tricky), '2026-12-01'),
      new Map([['p', 'photographs/p.jpg']]),
    )
    expect(text).toContain('- \\# \\<b\\>\\|x\\| \\[a\\](b)\\*')
    expect(text).toContain('](photographs/p.jpg)')
    expect(text).toContain('(picture that is not here: ')
    expect(text.startsWith('# Sedge wagon\n')).toBe(true)
  })

  it('has a setting sheet too', () => {
    const measured = evaluateBuild(wagon, {})
    const sheet = settingSheet(wagon, site.evaluation, measured)
    const setting = settingRecord('Sheet', 'about', sheet)
    const rows = setting.parts.flatMap(({ rows: all }) => all)
    for (const { label, value } of sheet.checks)
      expect(rows).toContainEqual(expect.arrayContaining([label, value]))
    for (const line of sheet.instructions)
      expect(setting.parts.find(({ title }) => title === 'Set')!.lines).toContain(line)
  })
})

import { evaluateBuild } from '../../model/evaluateBuild'
import { newBuild } from '../../file/edits/newBuild'
import { changedBay } from '../../testdata/bay'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { runMonteCarlo } from '../../answers/uncertainty/monteCarlo'
import { sampleModel } from '../../answers/uncertainty/sampleModel'
import { settingSheet } from '../told/settingSheet'

const SET = { tail: 5, wedge: -1.5 }
const sampled = (build: ReturnType<typeof demoBuild>, settings: object) =>
  runMonteCarlo(sampleModel(build, settings as never), { samples: 1500, seed: 1 })

describe('the ± on the sheet', () => {
  const build = demoBuild()
  const sheet = settingSheet(
    build,
    evaluateBuild(build, SET),
    evaluateBuild(build, {}),
    sampled(build, SET),
    sampled(build, {}),
  )

  it('stands in every column of the joints', () => {
    for (const joint of sheet.joints)
      for (const column of ['measured', 'set', 'drive', 'coast'] as const)
        expect([joint.name, column, joint[column]]).toEqual([
          joint.name,
          column,
          expect.stringMatching(/^\d\.\d\d° (± 0\.\d\d°|0\.00–\d\.\d\d°)$/),
        ])
  })

  it('stands at what the level has to show', () => {
    expect(sheet.goals).toHaveLength(2)
    for (const goal of sheet.goals) expect(goal).toMatch(/(nose up|tail down) \d\.\d\d° ± 0\.\d\d°, /)
  })

  it('is an interval where a joint may as well be straight', () => {
    const straight = changedDemo((raw) => {
      const put = (id: string, value: string, part = {}) =>
        Object.assign(
          raw.readings.find((one: any) => one.id === id),
          { values: [value], ...part },
        )
      // The shaft along the output: 4.1° down and 0.09° to the left over 1081 mm.
      put('r6', '2.3', { side: 'right' })
      put('r7', '26.9')
      put('r4', '3.3')
    })
    const joint = settingSheet(
      straight,
      evaluateBuild(straight, {}),
      evaluateBuild(straight, {}),
      sampled(straight, {}),
    ).joints[0]!
    expect(joint.set).toMatch(/^0\.\d\d° 0\.00–\d\.\d\d°$/)
  })
})

describe('the sheet of a build that cannot be set by', () => {
  it('says what is still to be read, not "move nothing"', () => {
    const build = newBuild({
      id: 'x',
      name: 'x',
      units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
      profile: 'road',
      date: '2026-11-25',
    })
    const sheet = settingSheet(build, evaluateBuild(build, {}), evaluateBuild(build, {}))
    expect(sheet.instructions).toEqual([])
    expect(sheet.missing).toContain('pinion: level not read')
    expect(sheet.missing).toContain('rear shaft: highest shaft speed not entered')
    const none = { ...build, lines: [] }
    expect(settingSheet(none, evaluateBuild(none, {}), evaluateBuild(none, {})).missing).toEqual([
      'a line of shafts, with its joints, or a chain',
    ])
    expect(
      settingSheet(demoBuild(), evaluateBuild(demoBuild(), SET), evaluateBuild(demoBuild(), {})).missing,
    ).toEqual([])
  })

  it('says that the line is out as measured', () => {
    const build = demoBuild()
    const sheet = settingSheet(build, evaluateBuild(build, {}), evaluateBuild(build, {}))
    expect(sheet.isOut).toBe(true)
    expect(settingSheet(build, evaluateBuild(build, SET), evaluateBuild(build, {})).isOut).toBe(false)
  })
})

describe('gaps on the sheet', () => {
  const bay = changedBay()
  const sheetAt = (settings: Readonly<Record<string, number>>) =>
    settingSheet(bay, evaluateBuild(bay, settings), evaluateBuild(bay, {}))

  it('stand beside what was measured and what they must keep, tightest first', () => {
    const { gaps, cuts, instructions, checks } = sheetAt({ fronts: 8, sideways: 8, 'radiator-fore': 4 })
    expect(gaps).toHaveLength(32)
    expect(gaps.find(({ name }) => name === 'sump to steering rack')).toEqual({
      name: 'sump to steering rack',
      measured: '9.0 mm',
      set: '17.3 mm',
      keep: '15.0 mm',
      verdict: 'holds',
    })
    expect(cuts).toEqual([])
    expect(instructions).toContain('Pack both front mounts up 8.0 mm (5 + 3)')
    // They have a table of their own.
    expect(checks.some(({ label }) => label.includes('steering rack'))).toBe(false)
  })

  it('become a list of cuts where they are less than nothing', () => {
    const { cuts } = sheetAt({ fronts: 40 })
    expect(cuts.length).toBeGreaterThan(0)
    expect(cuts.every((cut) => /: [\d.]+ mm deep at station .+ the plane; \d+\.0 mm deep /.test(cut))).toBe(
      true,
    )
  })
})

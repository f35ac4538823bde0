import { evaluateBuild } from '../check/evaluateBuild'
import { demoBuild, rawDemo } from '../testdata/builds'
import { parseBuild } from '../project/parseBuild'
import { permittedCurve } from '../line/permittedCurve'
import { turnCurves } from '../line/curves'
import { lineFacts } from './lineFacts'
import { settingSheet } from './settingSheet'
import { stateSentence } from './stateSentence'

const build = demoBuild()
const measured = evaluateBuild(build, {})

describe('stateSentence', () => {
  it('says the worst matter first', () => {
    expect(stateSentence(build, measured)).toMatch(
      /^Out: torsional under drive is \d+ rad\/s², out by \d+\.$/,
    )
    expect(stateSentence(build, evaluateBuild(build, { wedge: -2 }))).toMatch(
      /^Holds: every check\. Closest is /,
    )
  })

  it('counts what is still to be read', () => {
    const raw = rawDemo()
    raw.readings = raw.readings.filter((reading: any) => reading.point !== 'pinion-joint')
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    expect(stateSentence(parsed.value, evaluateBuild(parsed.value, {}))).toBe(
      'Not settled: pinion end: station not read, and 2 more to read or enter.',
    )
  })

  it('has nothing to say of a build without a line', () => {
    const empty = { ...build, lines: [] }
    expect(stateSentence(empty, evaluateBuild(empty, {}))).toBe('Nothing to judge yet: add a line of shafts.')
  })
})

describe('lineFacts', () => {
  const facts = lineFacts(build, measured.lines[0]!).flatMap((group) => group.facts)
  const of = (name: string) => facts.find((fact) => fact.name === name)

  it('gives every length in both units', () => {
    expect(of('seal face to flange face')?.value).toMatch(/^13\d\d\.\d mm \(53 15\/16" \+\)$/)
    expect(of('joint centre to joint centre')?.value).toMatch(/^10\d\d\.\d mm/)
  })

  it('says when clocking is worth nothing', () => {
    const unequal = rawDemo()
    unequal.readings[3].values = ['14']
    const parsed = parseBuild(unequal)
    if (!parsed.ok) throw new Error('refused')
    const shaft = lineFacts(parsed.value, evaluateBuild(parsed.value, {}).lines[0]!).find(
      (group) => group.title === 'Shaft',
    )!
    expect(shaft.facts.find((fact) => fact.name === 'best phase of the yokes')?.remark).toContain(
      'clocking gains almost nothing',
    )
  })
})

describe('settingSheet', () => {
  const sheet = settingSheet(build, evaluateBuild(build, { wedge: -2 }), measured)

  it('tells what to do and what the level must show then', () => {
    expect(sheet.instructions).toEqual(['2.0° wedge, nose down: thick end to the front'])
    expect(sheet.goals[0]).toMatch(/^pinion: nose up 3\.37°/)
    expect(settingSheet(build, measured, measured).instructions).toEqual([])
  })

  it('names setups, tools and who measured', () => {
    expect(sheet.setups).toEqual([
      {
        name: 'On the floor, loaded, ride height, loaded',
        date: '2026-10-17',
        tools: 'digital level, 0.1°, 5 m steel tape',
        by: 'Imre',
      },
    ])
    expect(sheet.assumptions).toContain('pinion: direction in top view not read, taken as straight ahead')
    expect(sheet.assumptions).toContain(
      'rear shaft: on overrun the nose is taken to drop by a third of what it rises under drive',
    )
  })

  it('puts angles before and after side by side', () => {
    expect(sheet.joints.map((joint) => [joint.name, joint.measured, joint.set])).toEqual([
      ['joint 1', '1.29°', expect.stringMatching(/^1\.\d\d°$/)],
      ['joint 2', '1.73°', '2.15°'],
    ])
    expect(sheet.joints[1]!.measured).not.toBe(sheet.joints[1]!.set)
  })
})

describe('curves for the charts', () => {
  it('run over one turn and touch the ratios of the closed form', () => {
    const drive = measured.lines[0]!.drive
    if (!drive?.known) throw new Error('unknown')
    const curves = turnCurves(measured.lines[0]!.line, drive.value, 720)
    expect(curves.turnDeg).toHaveLength(720)
    expect(Math.max(...curves.ratios.at(-1)!)).toBeCloseTo(drive.value.whole.ratioMax, 6)
    expect(curves.accelerations).toHaveLength(2)
  })

  it('show the permitted angle falling with speed', () => {
    const curve = permittedCurve(measured.lines[0]!, build.limits.entries)!
    const at = (rpm: number) => curve.limit.find(([speed]) => speed === rpm)![1]
    // Twice the speed allows half the angle, and a little less where angles are large.
    expect(at(2000) / at(4000)).toBeCloseTo(2, 2)
    expect(at(2000) / at(4000)).toBeLessThan(2)
    expect(curve.joints.map((joint) => joint.speedRpm)).toEqual([3600, 3600])
    expect(permittedCurve(measured.lines[0]!, [])).toBeNull()
  })
})

import { evaluateBuild } from '../../model/evaluateBuild'
import { demoBuild, rawDemo } from '../../testdata/builds'
import { parseBuild } from '../../file/open/parseBuild'
import { permittedCurve } from '../../answers/curves/permittedCurve'
import { turnCurves } from '../../answers/curves/curves'
import { lineFacts } from './lineFacts'
import { settingSheet } from '../told/settingSheet'
import { stateSentence } from '../told/stateSentence'

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

  it('tells each joint cruising, pulling and on overrun, as the checks judge them', () => {
    const { ride, drive, coast } = measured.lines[0]!
    const angles = [ride, drive, coast].map((figures) => {
      if (!figures?.known) throw new Error('not known')
      return figures.value.anglesDeg[1]!.toFixed(2)
    })
    expect(of('joint 2')?.value).toBe(`${angles[0]}°`)
    expect(of('joint 2')?.remark).toBe(`under drive ${angles[1]}°, on overrun ${angles[2]}°`)
    expect(Number(angles[1])).not.toBe(Number(angles[2]))
  })

  it('tells how hard the shaft is swung in each state, with the speed it was reckoned at', () => {
    const group = lineFacts(build, measured.lines[0]!).find((one) => one.about === 'inertia')!
    expect(group.title).toMatch(/^Shaft swung, at 3\s600 rev\/min$/)
    expect(group.facts.map(({ name }) => name)).toEqual([
      'inertial, cruising',
      'inertial, on drive',
      'inertial, on overrun',
    ])
    // By the small-angle rule (ω·β)², which at these angles is right within a percent.
    const { ride } = measured.lines[0]!
    if (!ride.known) throw new Error('not known')
    const rule = (((3600 * 2 * Math.PI) / 60) * (ride.value.anglesDeg[0]! * Math.PI)) / 180
    const shown = Number(group.facts[0]!.value.replace(/\D*$/, '').replace(/\D/g, ''))
    expect(Math.abs(shown / rule ** 2 - 1)).toBeLessThan(0.01)
  })

  it('has no swung shaft without a speed', () => {
    const raw = rawDemo()
    delete raw.lines[0].speed
    delete raw.drivetrain
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    const groups = lineFacts(parsed.value, evaluateBuild(parsed.value, {}).lines[0]!)
    expect(groups.map(({ about }) => about)).toEqual(['angles', 'evenness', 'shaft'])
    expect(groups[1]!.facts.map(({ name }) => name)).not.toContainEqual(expect.stringContaining('torsional'))
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
    const curves = turnCurves(
      measured.lines[0]!.line,
      drive.value,
      measured.lines[0]!.speed.known ? measured.lines[0]!.speed.value.speedRpm : null,
      720,
    )
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

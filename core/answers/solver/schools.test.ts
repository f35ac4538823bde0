import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { evaluateBuild } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { parseBuildText } from '../../file/open/parseBuild'
import { settingsAfter } from './cure'
import { schoolAnswers, type SchoolAnswer } from './schools'

function demo(id: string): Build {
  const parsed = parseBuildText(readFileSync(join(__dirname, `../../../demo/${id}.lurvan.json`), 'utf8'))
  if (!parsed.ok) throw new Error('damaged')
  return parsed.value
}
function answers(build: Build, line: string): Record<string, SchoolAnswer> {
  const run = schoolAnswers(build, line, {})
  for (;;) {
    const step = run.next()
    if (step.done)
      return Object.fromEntries(
        step.value.map((answer) => ['school' in answer.of ? answer.of.school : answer.of.habit, answer]),
      )
  }
}
const unit = (fall: number, plan: number) => {
  const [f, p] = [fall, plan].map((deg) => (deg * Math.PI) / 180) as [number, number]
  return [-Math.cos(f) * Math.cos(p), Math.cos(f) * Math.sin(p), -Math.sin(f)]
}

describe('what each school would ask of the demo', () => {
  const build = demo('fen-tender')
  const asked = answers(build, 'rear')

  it('answers all six and both habits', () => {
    expect(Object.keys(asked)).toEqual([
      'parallel',
      'intersecting',
      'straight',
      'pointed',
      'two-piece',
      'low-pinion',
      'level',
      'three-degrees',
    ])
    expect(asked['low-pinion']!.isOwn).toBe(true)
  })

  it('parallel: where it is met, output and pinion are within a degree of each other', () => {
    const { cure, isMet } = asked.parallel!
    expect(isMet).toBe(true)
    const { placed } = evaluateBuild(build, settingsAfter({}, cure!))
    const [output, pinion] = ['output', 'pinion'].map((id) => {
      const lie = placed.axes.get(id)!
      if (!lie.known) throw new Error('not read')
      return unit((lie.value.fall * 180) / Math.PI, (lie.value.plan * 180) / Math.PI)
    })
    const cosine = output!.reduce((sum, part, i) => sum + part * pinion![i]!, 0)
    expect((Math.acos(cosine) * 180) / Math.PI).toBeLessThan(1.0001)
  })

  it('straight: every joint within a degree, or the nearest the levers come, which says what it leaves', () => {
    const { isMet, anglesDeg, worst } = asked.straight!
    if (isMet) expect(Math.max(...anglesDeg)).toBeLessThanOrEqual(1.0001)
    else expect(Math.max(...anglesDeg)).toBeGreaterThan(1)
    expect(worst).not.toBeNull()
  })

  it('pointed: as if the double joint were in; two-piece: no lever makes up for a bearing', () => {
    expect(asked.pointed).toMatchObject({ part: 'double-cardan' })
    expect(asked['two-piece']).toMatchObject({ part: 'centre-bearing', cure: null, verdict: 'unknown' })
  })

  it.each([
    ['level', 0],
    ['three-degrees', 3],
  ] as const)('the habit %s sets the gearbox, and tells what that leaves', (habit, deg) => {
    const { cure, isMet, verdict, worst } = asked[habit]!
    const { placed } = evaluateBuild(build, settingsAfter({}, cure!))
    const lie = placed.axes.get('output')!
    if (!lie.known) throw new Error('not read')
    const fall = (lie.value.fall * 180) / Math.PI
    if (isMet) expect(Math.abs(fall - deg)).toBeLessThanOrEqual(0.2501)
    expect(verdict).toBe(worst!.verdict)
  })
})

describe('what each school would ask of a long van', () => {
  it('two-piece: the first section within a degree, the pair behind the bearing parallel', () => {
    const build = demo('osier-van')
    const { cure, isMet, anglesDeg } = answers(build, build.lines[0]!.id)['two-piece']!
    expect(isMet).toBe(true)
    expect(cure!.changes.length).toBeGreaterThan(0)
    expect(anglesDeg[0]).toBeLessThanOrEqual(1.0001)
    expect(Math.abs(anglesDeg[1]! - anglesDeg[2]!)).toBeLessThan(1.0001)
  })
})

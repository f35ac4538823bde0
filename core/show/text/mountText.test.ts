import { mountPanes } from '../../drawing/mountScene'
import { evaluateBuild } from '../../model/evaluateBuild'
import { foundOf } from '../../model/subject'
import { mountFigureId, MOUNTS } from '../../model/mountSubject'
import { changedBay } from '../../testdata/bay'
import { caseRows, forceRows, shareSentence } from './mountText'

const build = changedBay()
const found = (() => {
  const [one] = foundOf(evaluateBuild(build, {}).subjects, MOUNTS)
  if (!one?.found.known) throw new Error('not known')
  return one.found.value
})()
const row = (key: string) => caseRows(found, build.units).find((one) => one.key === key)!

describe('mounts in words', () => {
  it('say of each case what turns, where the output goes, which joint and which gap', () => {
    expect(row('standing')).toEqual({
      key: 'standing',
      name: 'standing',
      roll: '–',
      output: '0.0 mm',
      turns: '–',
      joint: '–',
      gap: 'sump to steering rack 9.0\u00a0mm',
      isOut: false,
      lifts: '',
    })
    expect(row('drive')).toMatchObject({
      roll: 'left side up 1.80°',
      output: '1.9 mm',
      joint: 'joint 1 −0.14°',
      gap: 'sump to steering rack 7.2\u00a0mm',
    })
    expect(row('overrun').roll).toBe('left side down 0.36°')
    expect(row('overrun').joint).toBe('joint 1 +0.03°')
    const inches = caseRows(found, { ...build.units, length: 'in' })
    expect(inches.find(({ key }) => key === 'drive')!.output).toBe('1/16" +')
  })

  it('say which joint changes the most, whichever way', () => {
    const drive = found.cases.find(({ at }) => at.key === 'drive')!
    const joints = [
      { line: 'a', joint: 0, byDeg: 0.2 },
      { line: 'a', joint: 1, byDeg: -0.5 },
    ]
    const rows = caseRows({ ...found, cases: [{ ...drive, joints }] }, build.units)
    expect(rows[0]!.joint).toBe('joint 2 −0.50°')
    const none = caseRows({ ...found, cases: [{ ...drive, joints: [], gaps: [] }] }, build.units)
    expect([none[0]!.joint, none[0]!.gap]).toEqual(['–', '–'])
  })

  it('mark a gap that is gone, and a case that nothing holds', () => {
    const drive = found.cases.find(({ at }) => at.key === 'drive')!
    const gone = { ...drive, gaps: [{ gap: 'g', name: 'pan to rail', gapMm: 3, leftMm: -1.2 }] }
    const rows = caseRows(
      { ...found, cases: [gone], failed: [{ at: drive.at, why: 'nothing holds the body' }] },
      build.units,
    )
    expect(rows[0]).toMatchObject({ gap: 'pan to rail −1.2\u00a0mm', isOut: true })
    expect(rows[1]).toMatchObject({ roll: '?', turns: 'nothing holds the body', joint: '?' })
  })

  it('say what each mount bears, which way, and how sure', () => {
    const drive = found.cases.find(({ at }) => at.key === 'drive')!
    const [left] = forceRows(drive, [])
    expect(left).toMatchObject({ name: 'left engine mount', plusMinus: '' })
    expect(left!.size).toMatch(/^\d+ N$/)
    expect(left!.ways).toMatch(/ down/)
    const spread = { plusMinus: 41.6, interval: null }
    const figures = { [mountFigureId('drive', { force: 'left' })]: spread }
    const sure = forceRows(drive, [], { figures } as unknown as Parameters<typeof forceRows>[2])
    expect(sure.map(({ plusMinus }) => plusMinus)).toEqual(['± 42 N', '', ''])
    const still = forceRows({ ...drive, forces: [{ ...drive.forces[0]!, force: [0, 0, 0], sizeN: 0 }] }, [])
    expect(still[0]!.ways).toBe('–')
  })

  it('say what goes out at the gearbox only where it is known', () => {
    expect(shareSentence(found, false)).toMatch(
      /^\d+ % of the shaft’s reaction goes out by the mounts at the gearbox\.$/,
    )
    const unknown = {
      known: false,
      missing: [{ what: 'which mounts are at the gearbox', path: '' }],
    } as const
    expect(shareSentence({ ...found, tailShare: unknown }, true)).toBeNull()
  })

  it('are drawn from behind and from the side, the standing body under the moved one', () => {
    const [standing, drive] = ['standing', 'drive'].map((key) =>
      found.cases.find(({ at }) => at.key === key)!,
    )
    const still = mountPanes(found, standing!, 400)
    for (const pane of still) expect(pane.moved).toEqual(pane.still)
    const [behind, side] = mountPanes(found, drive!, 400)
    expect([behind!.view, side!.view]).toEqual(['behind', 'side'])
    expect(behind!.moved).not.toEqual(behind!.still)
    // The largest force is the longest arrow.
    const long = behind!.mounts.map(({ to, force }) => Math.hypot(force[0] - to[0], force[1] - to[1]))
    expect(Math.max(...long)).toBeLessThanOrEqual(40 + 1e-9)
  })
})

import bay from '../../../demo/sedge-wagon.lurvan.json'
import { mountPanes, MOVED_TIMES } from './mountScene'
import { parseBuild } from '../../file/open/parseBuild'
import { evaluateBuild } from '../../model/evaluateBuild'
import { caseRows, forceRows, shareSentence } from '../../show/text/mountText'
import { changedBay } from '../../testdata/bay'
import { GRAVITY } from '../../base/gravity'
import { mountsFound } from './mountAnswer'

const found = (edit: (raw: any) => void = () => undefined, settings: Record<string, number> = {}) => {
  const build = changedBay(edit)
  return { build, answer: mountsFound(build, evaluateBuild(build, settings)) }
}
const known = (edit?: (raw: any) => void, settings?: Record<string, number>) => {
  const { build, answer } = found(edit, settings)
  if (!answer.known) throw new Error(JSON.stringify(answer.missing))
  return { build, assumptions: answer.assumptions, ...answer.value }
}

describe('a powertrain of a build on its mounts', () => {
  it('is held in every case: forces add up to its weight, moments to the torque of the shaft', () => {
    const { cases, unit, mounts } = known()
    const at = (key: string) => cases.find(({ at: one }) => one.key === key)!
    const sum = (key: string, way: number) => at(key).forces.reduce((all, { force }) => all + force[way]!, 0)
    expect(sum('standing', 2)).toBeCloseTo(unit.massKg * GRAVITY, 6)
    expect(sum('bump', 2)).toBeCloseTo(3 * unit.massKg * GRAVITY, 6)
    expect(sum('crest', 2)).toBeCloseTo(-unit.massKg * GRAVITY, 6)
    expect(sum('braking', 0)).toBeCloseTo(-unit.massKg * GRAVITY, 6)
    expect(sum('left', 1)).toBeCloseTo(-unit.massKg * GRAVITY, 6)
    // 240 N·m in first with a shock of 1.5, about X: the left side lifts.
    const about = (key: string) =>
      at(key).forces.reduce((all, { force: [, y, z] }, i) => {
        const [, py, pz] = mounts[i]!.at
        return all + py * z - pz * y
      }, 0)
    const weight = about('standing')
    expect(about('drive') - weight).toBeCloseTo(-240 * 3.9 * 1.5 * 1000, 3)
    expect(at('drive').rollDeg).toBeGreaterThan(1)
    expect(at('overrun').rollDeg).toBeCloseTo((-0.3 * at('drive').rollDeg) / 1.5, 6)
    expect(at('standing').rollDeg).toBeCloseTo(0, 12)
    expect(at('standing').fallDeg).toBeCloseTo(0, 12)
  })

  it('takes what is left of gaps, and gives their room back on the other side', () => {
    const { cases } = known()
    const left = (key: string, gap: string) =>
      cases.find(({ at }) => at.key === key)!.gaps.find((one) => one.gap === gap)!
    const still = left('standing', 'sump-rack')
    expect(still.leftMm).toBe(still.gapMm)
    // Thrown up by twice what it weighs, the sump leaves the rack; pressed down by two more it comes nearer.
    expect(left('crest', 'sump-rack').leftMm).toBeGreaterThan(still.gapMm)
    expect(left('bump', 'sump-rack').leftMm).toBeLessThan(still.gapMm)
    expect(cases[1]!.gaps.map(({ leftMm }) => leftMm)).toEqual(
      [...cases[1]!.gaps].sort((a, b) => a.leftMm - b.leftMm).map(({ leftMm }) => leftMm),
    )
  })

  it('says what it took, and turns over with the shaft', () => {
    const { assumptions } = known()
    expect(assumptions).toContain('the shaft turns anticlockwise in first gear, seen from behind')
    const turned = known((raw) => {
      raw.drivetrain.turns = 'clockwise'
      delete raw.weight.shock
    })
    expect(turned.assumptions).toEqual(['a shock of 2, as nobody said another'])
    expect(turned.cases[1]!.rollDeg).toBeCloseTo((-known().cases[1]!.rollDeg * 2) / 1.5, 3)
    const reversing = known((raw) => raw.drivetrain.gears.push({ name: 'R', ratio: -3.6 }))
    const reverse = reversing.cases.at(-1)!
    expect(reverse.at.key).toBe('reverse')
    expect(reverse.rollDeg).toBeCloseTo((-reversing.cases[1]!.rollDeg * 3.6) / 3.9, 6)
  })

  it('tells the share of the tail, and warns of much', () => {
    expect(shareSentence(known())!.isMuch).toBe(false)
    const stiff = shareSentence(
      known((raw) => {
        raw.points.push({ id: 'second', name: 'second tail mount', body: 'powertrain' })
        raw.readings.push({
          ...raw.readings.find(({ id }: any) => id === 'r53'),
          id: 'r53x',
          point: 'second',
          offset: '70',
          side: 'left',
          height: '14',
          heightWay: 'above',
        })
        raw.mounts[2] = { ...raw.mounts[2], radialNPerMm: 20_000 }
        raw.mounts.push({ ...raw.mounts[2], id: 'tail-2', point: 'second' })
      }),
    )!
    expect(stiff.isMuch).toBe(true)
    expect(stiff.text).toMatch(
      /^\d\d % of the shaft’s reaction goes out by the mounts at the gearbox: the tail housing is twisted/,
    )
    expect(known((raw) => delete raw.mounts[2].isTail).tailShare.known).toBe(false)
  })

  it('stands off its pads where they cannot pull, and says where nothing holds it any more', () => {
    const pads = (raw: any) => {
      for (const k of [0, 1])
        raw.mounts[k] = { ...raw.mounts[k], kind: 'pad', pressNPerMm: 320, shearNPerMm: 220 }
    }
    const { cases, failed, build, ...rest } = known(pads)
    // Three mounts of which two cannot pull: what lifts one of them turns the unit over.
    expect(failed.map(({ at }) => at.key)).toEqual(expect.arrayContaining(['drive', 'crest']))
    const rows = caseRows({ cases, failed, ...rest }, build.units)
    expect(rows.find(({ key }) => key === 'crest')).toMatchObject({
      roll: '?',
      turns: expect.stringContaining('turns over'),
    })
    // A pad beside the bush that pulls keeps it from that, and says that it stands off.
    const kept = known((raw) => {
      raw.mounts[0] = { ...raw.mounts[0], kind: 'pad', pressNPerMm: 320, shearNPerMm: 220 }
      raw.mounts.push({ ...raw.mounts[1], id: 'strap', name: 'strap', point: 'mount-left', upNPerMm: 40 })
    })
    const crest = kept.cases.find(({ at }) => at.key === 'crest')!
    expect(
      forceRows(crest)
        .filter(({ lifts }) => lifts)
        .map(({ name }) => name),
    ).toEqual(['left engine mount'])
    expect(caseRows(kept, build.units).find(({ key }) => key === 'crest')!.lifts).toBe('left engine mount')
  })

  it('waits for what is missing, and refuses what holds nothing', () => {
    const lacks = (edit: (raw: any) => void) => {
      const { answer } = found(edit)
      return answer.known ? [] : answer.missing.map(({ what }) => what)
    }
    expect(lacks((raw) => delete raw.mounts)).toContain('what the powertrain stands on')
    expect(lacks((raw) => delete raw.mounts[0].upNPerMm)).toContain('how stiff left engine mount is')
    expect(lacks((raw) => delete raw.drivetrain.peakTorqueNm)).toContain('the engine’s highest torque')
    expect(lacks((raw) => raw.mounts.splice(1))[0]).toContain('nothing holds the body in some direction')
    const raw = structuredClone(bay) as any
    delete raw.mounts[2].bolt
    raw.mounts[0].point = 'nowhere'
    const parsed = parseBuild(raw)
    expect(parsed.ok ? [] : parsed.problems.map(({ path }) => path).sort()).toEqual([
      'mounts[0].point',
      'mounts[2].bolt',
    ])
  })

  it('is drawn moved further than it is, and follows the levers', () => {
    const { cases, mounts, ...rest } = known()
    const [behind] = mountPanes({ cases, mounts, ...rest }, cases[1]!, 400)
    const [left, right] = behind!.mounts
    // The left side lifts, the right goes down: y runs down on the screen.
    expect(left!.to[1]).toBeLessThan(left!.at[1])
    expect(right!.to[1]).toBeGreaterThan(right!.at[1])
    expect(MOVED_TIMES).toBeGreaterThan(1)
    expect(known(undefined, { tail: 10 }).mounts[2]!.at[2] - mounts[2]!.at[2]).toBeCloseTo(10, 1)
  })
})

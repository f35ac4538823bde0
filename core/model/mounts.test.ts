import { unknown } from '../base/known'
import { add, cross, norm, sub, type Vec3 } from '../base/linalg/vec3'
import bay from '../../demo/sedge-wagon.lurvan.json'
import { mountPanes, MOVED_TIMES } from '../drawing/mountScene'
import { outputOf } from '../file/open/output'
import { parseBuild } from '../file/open/parseBuild'
import { evaluateBuild } from './evaluateBuild'
import { caseRows, forceRows, shareSentence } from '../show/text/mountText'
import { resultJson } from '../show/result/resultJson'
import { degrees } from '../base/units/angle'
import { changedBay, tapedBay } from '../testdata/bay'
import { coverage, within } from '../testdata/coverage'
import { readOnce } from '../testdata/readOnce'
import { GRAVITY } from '../base/gravity'
import { MOUNTS, mountFigureId } from './mountSubject'
import { foundOf } from './subject'

const found = (edit: (raw: any) => void = () => undefined, settings: Record<string, number> = {}) => {
  const build = changedBay(edit)
  const evaluation = evaluateBuild(build, settings)
  const [one] = foundOf(evaluation.subjects, MOUNTS)
  return { build, evaluation, answer: one?.found ?? unknown('what the powertrain stands on') }
}
const known = (edit?: (raw: any) => void, settings?: Record<string, number>) => {
  const { build, evaluation, answer } = found(edit, settings)
  if (!answer.known) throw new Error(JSON.stringify(answer.missing))
  return { build, evaluation, assumptions: answer.assumptions, ...answer.value }
}

/** How far the output lies from along the vehicle, as read. */
function outputFallRad(): number {
  const { build, evaluation } = known()
  const axis = evaluation.placed.axes.get(outputOf(build)!.axis)
  if (!axis?.known) throw new Error('it is read')
  const { fall, plan } = axis.value
  return Math.acos(Math.cos(fall) * Math.cos(plan))
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
    // 240 N·m in first with a shock of 1.5, about the output’s own way: the left side lifts.
    const about = (key: string) =>
      at(key).forces.reduce<Vec3>((all, { force }, i) => add(all, cross(mounts[i]!.at, force)), [0, 0, 0])
    const turned = sub(about('drive'), about('standing'))
    expect(norm(turned)).toBeCloseTo(240 * 3.9 * 1.5 * 1000, 3)
    expect(turned[0]).toBeCloseTo(-Math.cos(outputFallRad()) * norm(turned), 3)
    expect(at('drive').rollDeg).toBeGreaterThan(1)
    expect(at('overrun').rollDeg).toBeCloseTo(-0.3 * at('pulling').rollDeg, 6)
    expect(at('drive').rollDeg).toBeCloseTo(1.5 * at('pulling').rollDeg, 6)
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
    expect(cases[2]!.gaps.map(({ leftMm }) => leftMm)).toEqual(
      [...cases[2]!.gaps].sort((a, b) => a.leftMm - b.leftMm).map(({ leftMm }) => leftMm),
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
    expect(turned.cases[2]!.rollDeg).toBeCloseTo((-known().cases[2]!.rollDeg * 2) / 1.5, 3)
    const reversing = known((raw) => raw.drivetrain.gears.push({ name: 'R', ratio: -3.6 }))
    const reverse = reversing.cases.at(-1)!
    expect(reverse.at.key).toBe('reverse')
    expect(reverse.rollDeg).toBeCloseTo((-reversing.cases[2]!.rollDeg * 3.6) / 3.9, 6)
  })

  it('tells the share of the tail, and warns of much in the build’s verdict too', () => {
    const shareOf = (edit?: (raw: any) => void) =>
      found(edit).evaluation.checks.find(({ id }) => id === 'mount/share')
    expect(shareOf()!.verdict).toBe('holds')
    const stiff = (raw: any) => {
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
    }
    expect(shareOf(stiff)).toMatchObject({ verdict: 'tight', window: { warnHigh: 30 } })
    const text = shareSentence(known(stiff), true)
    expect(text).toMatch(
      /^\d\d % of the shaft’s reaction goes out by the mounts at the gearbox: the tail housing is twisted/,
    )
    expect(Number(text!.slice(0, 2))).toBe(Math.round(shareOf(stiff)!.value!))
    const unsaid = (raw: any) => delete raw.mounts[2].isTail
    expect([known(unsaid).tailShare.known, shareOf(unsaid)]).toEqual([false, undefined])
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
      forceRows(crest, [])
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
    const problems = (edit: (raw: any) => void) => {
      const raw = structuredClone(bay) as any
      edit(raw)
      const parsed = parseBuild(raw)
      return parsed.ok ? [] : parsed.problems.map(({ path, message }) => `${path}: ${message}`).sort()
    }
    const faults = problems((raw) => {
      delete raw.mounts[2].bolt
      raw.mounts[0].point = 'nowhere'
    })
    expect(faults.map((one) => one.split(':')[0])).toEqual(['mounts[0].point', 'mounts[2].bolt'])
    const lever = { ...bay.levers[0]!, id: 'own', kind: 'mount-fore', mount: 'left' }
    const withLever = (changed: object) => problems((raw) => raw.levers.push({ ...lever, ...changed }))
    expect(withLever({})).toEqual([])
    expect(withLever({ mount: 'x' })).toEqual(['levers[8].mount: there is no mount "x"'])
    expect(withLever({ kind: 'fore' })).toEqual([
      'levers[8].mount: belongs to a lever that sets a mount elsewhere',
    ])
    expect(withLever({ body: 'rear-axle' })).toEqual([
      'levers[8].body: is not the body that mount "left" holds',
    ])
  })

  it('is drawn moved further than it is, and follows the levers', () => {
    const { cases, mounts, ...rest } = known()
    const [behind] = mountPanes({ cases, mounts, ...rest }, cases[2]!, 400)
    const [left, right] = behind!.mounts
    // The left side lifts, the right goes down: y runs down on the screen.
    expect(left!.to[1]).toBeLessThan(left!.at[1])
    expect(right!.to[1]).toBeGreaterThan(right!.at[1])
    expect(MOVED_TIMES).toBeGreaterThan(1)
    expect(known(undefined, { tail: 10 }).mounts[2]!.at[2] - mounts[2]!.at[2]).toBeCloseTo(10, 1)
  })

  it('bears on a mount that levers set elsewhere as on one that was read there, packed or not', () => {
    const levers = (['mount-fore', 'mount-aside', 'mount-up'] as const).map((kind) => ({
      ...{ id: kind, kind, body: 'powertrain', mount: 'left' },
      ...{ range: [-100, 100], step: 5 },
    }))
    /** With the left mount given at a place, and the levers that set it elsewhere. */
    const givenAt =
      (fore: number, aside: number, up: number) =>
      (raw: any): void => {
        raw.levers.push(...levers)
        raw.readings = raw.readings.filter(({ id }: any) => !['r15', 'r16', 'r17'].includes(id))
        raw.readings.push({
          ...{ id: 'given', kind: 'given-point', point: 'mount-left', unit: 'mm', source: 'rule' },
          ...{ station: `${150 - fore}`, stationWay: 'rearward', offset: `${260 + aside}`, side: 'left' },
          ...{ height: `${80 + up}`, heightWay: 'above', plusMinus: '1' },
        })
      }
    const free = givenAt(0, 0, 0)
    const elsewhere = givenAt(-30, 40, 15)
    const set = { 'mount-fore': -30, 'mount-aside': 40, 'mount-up': 15 }
    const forces = (of: ReturnType<typeof known>) =>
      of.cases.flatMap(({ forces: all, rollDeg }) => [rollDeg, ...all.flatMap(({ force }) => force)])
    const still = forces(known(free))
    for (const tail of [0, 5]) {
      const [moved, read] = [known(free, { ...set, tail }), known(elsewhere, { tail })]
      forces(moved).forEach((figure, i) => expect(figure).toBeCloseTo(forces(read)[i]!, 6))
      expect(norm(sub(moved.mounts[0]!.at, read.mounts[0]!.at))).toBeLessThan(1e-9)
      // What is not on the mount stays where it was.
      if (tail === 0) expect(norm(sub(moved.output, known(free).output))).toBeLessThan(1e-9)
    }
    expect(
      Math.max(...forces(known(free, set)).map((figure, i) => Math.abs(figure - still[i]!))),
    ).toBeGreaterThan(50)
  })

  it('turns the joints of its lines as it turns itself, told as states of the line under drive and on overrun', () => {
    const { evaluation, cases } = known()
    const line = evaluation.lines[0]!
    const angle = (state: 'ride' | 'drive' | 'coast', joint: number) => {
      const figures = line[state]
      return figures?.known ? degrees(figures.value.angles[joint]!) : NaN
    }
    for (const [state, key] of [
      ['drive', 'pulling'],
      ['coast', 'overrun'],
    ] as const) {
      const { joints } = cases.find(({ at }) => at.key === key)!
      expect(joints).toHaveLength(line.line.joints.length)
      for (const { joint, byDeg } of joints) {
        expect(angle(state, joint) - angle('ride', joint)).toBeCloseTo(byDeg, 9)
        expect(Math.abs(byDeg)).toBeGreaterThan(1e-4)
      }
    }
    // Without mounts nothing is said under torque.
    const firm = found((raw) => delete raw.mounts).evaluation.lines[0]!
    expect([firm.drive, firm.coast]).toEqual([null, null])
  })

  it('judges a gap by what is left of it, where that is worse than how it stands', () => {
    const rack = (edit?: (raw: any) => void) =>
      found(edit).evaluation.checks.find(({ id }) => id === 'gap/sump-rack')!
    expect(rack()).toMatchObject({ state: 'ride', value: expect.closeTo(9, 9), verdict: 'tight' })
    const soft = rack((raw) => {
      for (const mount of raw.mounts)
        for (const key of Object.keys(mount)) if (key.endsWith('NPerMm')) mount[key] /= 3
    })
    expect(soft).toMatchObject({ state: 'load', verdict: 'out', basis: expect.stringContaining('gives') })
    expect(soft.value).toBeLessThan(0)
    // A gap to what goes along with the powertrain stays as it is.
    const { cases } = known()
    expect(cases[2]!.gaps.map(({ gap }) => gap)).not.toContain('fan-turbo')
  })

  it('publishes every case, one that is not held with why', () => {
    const { build } = known((raw) => {
      for (const k of [0, 1])
        raw.mounts[k] = { ...raw.mounts[k], kind: 'pad', pressNPerMm: 320, shearNPerMm: 220 }
    })
    const [{ cases }] = (resultJson(build) as any).mounts
    expect(cases.map((one: any) => one.case)).toEqual([
      ...['standing', 'pulling', 'drive', 'overrun', 'bump', 'crest', 'braking', 'left', 'right'],
    ])
    expect(cases.find((one: any) => one.case === 'crest').why).toContain('turns over')
    expect(cases[0].forces.map(({ mount }: any) => mount)).toEqual(['left', 'right', 'tail'])
  })

  it('has a ± that covers the force of a mount in 95 of a hundred vehicles', () => {
    const truth = tapedBay(['mount-left', 'mount-right', 'mount-tail'], true)
    const figures = (['left', 'tail'] as const).map((id) => {
      const of = ({ subjects }: ReturnType<typeof evaluateBuild>) => {
        const [one] = foundOf(subjects, MOUNTS)
        if (!one?.found.known) return NaN
        const drive = one.found.value.cases.find(({ at }) => at.key === 'drive')
        return drive?.forces.find((force) => force.id === id)?.sizeN ?? NaN
      }
      return [mountFigureId('drive', { force: id }), of] as const
    })
    const covered = coverage({
      truth,
      readOnce: (random) => readOnce(truth, random),
      figures: Object.fromEntries(figures),
    })
    expect(Object.values(covered)).toEqual([within, within])
  })
})

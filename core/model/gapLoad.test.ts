import { buildProblem } from '../answers/solver/buildProblem'
import { changedBay } from '../testdata/bay'
import { compile } from './compile'
import { evaluateBuild } from './evaluateBuild'
import { GAPS } from './gapSubject'
import { MOUNTS } from './mountSubject'
import { compiledThings, foundOf } from './subject'

const thirdAsStiff = (raw: any) => {
  for (const mount of raw.mounts)
    for (const key of Object.keys(mount)) if (key.endsWith('NPerMm')) mount[key] /= 3
}

describe('gaps under load', () => {
  it('are looked at where one side goes along with the powertrain and the other does not', () => {
    const { subjects, build } = compile(changedBay())
    const gaps = compiledThings(subjects, GAPS)
    const loaded = gaps.filter(({ load }) => load !== null)
    const bodyOf = new Map(build.points.map(({ id, body }) => [id, body]))
    const moves = new Set(['powertrain', 'exhaust', 'turbo', 'alternator'])
    for (const { gap, bodies } of loaded) {
      expect(gap.kind).not.toBe('service')
      expect(bodies.filter((body) => moves.has(body))).toHaveLength(1)
      expect(bodyOf.get(gap.point)).toBe(bodies[0])
    }
    expect(loaded.length).toBeGreaterThan(10)
    // A gap between two things of the chassis stands whatever the engine does.
    expect(gaps.find(({ gap }) => gap.id === 'radiator-bonnet')?.load ?? null).toBeNull()
  })

  it('grow where a point of the chassis faces a powertrain that goes away, as the point of one would', () => {
    const turned = changedBay((raw) => {
      const gap = raw.gaps.find(({ id }: any) => id === 'sump-rack')
      const point = raw.points.find(({ id }: any) => id === gap.point)
      point.body = 'chassis'
      gap.obstacle = 'powertrain'
      gap.toward = gap.toward.map((part: number) => -part)
    })
    const leftIn = (build: ReturnType<typeof changedBay>) => {
      const [one] = foundOf(evaluateBuild(build, {}).subjects, MOUNTS)
      if (!one?.found.known) throw new Error('not known')
      return one.found.value.cases.map(({ gaps }) => gaps.find(({ gap }) => gap === 'sump-rack')!.leftMm)
    }
    const [still, ...others] = leftIn(changedBay())
    const [same, ...across] = leftIn(turned)
    expect(same).toBeCloseTo(still!, 9)
    expect(across).toEqual(others.map((mm) => expect.closeTo(mm, 6)))
  })

  it('are judged by nought, told where they are worst, and left aside by a search', () => {
    const soft = changedBay(thirdAsStiff)
    const compiled = compile(soft)
    const { checks } = evaluateBuild(soft, {})
    const rack = checks.find(({ id }) => id === 'gap/sump-rack')!
    expect(rack.state).toBe('load')
    const [mounts] = foundOf(evaluateBuild(soft, {}).subjects, MOUNTS)
    const lefts = mounts!.found.known
      ? mounts!.found.value.cases.map(({ gaps }) => gaps.find(({ gap }) => gap === 'sump-rack')!.leftMm)
      : []
    expect(rack.value).toBeCloseTo(Math.min(...lefts), 9)
    expect(rack.window).toMatchObject({ failLow: 0, warnLow: null })
    const wanted = { unread: new Set<string>(), strictness: 'allowed' } as const
    const { limits } = buildProblem(compiled, {}, soft.levers, wanted)
    expect(limits.filter(({ id }) => id.endsWith('/load'))).toEqual([])
    expect(limits.some(({ check }) => check === 'gap/sump-rack')).toBe(true)
  })

  it('stay as they are read on mounts that do not even hold the powertrain standing', () => {
    const single = changedBay((raw) => raw.mounts.splice(1))
    const { checks } = evaluateBuild(single, {})
    const gaps = checks.filter(({ id }) => id.startsWith('gap/'))
    const still = evaluateBuild(
      changedBay((raw) => delete raw.mounts),
      {},
    ).checks.filter(({ id }) => id.startsWith('gap/'))
    expect(gaps.map(({ id, value, verdict }) => [id, value, verdict])).toEqual(
      still.map(({ id, value, verdict }) => [id, value, verdict]),
    )
    const [mounts] = foundOf(evaluateBuild(single, {}).subjects, MOUNTS)
    expect(mounts!.found.known).toBe(false)
  })
})

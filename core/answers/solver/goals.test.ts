import { evaluateBuild, type Evaluation } from '../../model/evaluateBuild'
import { leverGrid } from '../../vehicle/moves/leverGrid'
import type { Build } from '../../file/build/build'
import { pointOf } from '../../measure/geometry/geometry'
import { changedBay } from '../../testdata/bay'
import type { RawBuild } from '../../testdata/builds'
import { provingWith } from '../uncertainty/provenCure'
import { settingsAfter } from './cure'
import { goalSetting, type Goal, type GoalFound } from './goals'

const SHIFT_LEVER = { point: 't-shift-floor', holeStationMm: 905, holeLeftMm: 14, seatStationMm: 1180 }

/** The tight bay with three levers and few steps, so that all its settings can be looked at one by one. */
const small = (edit: (raw: RawBuild) => void = () => undefined): Build =>
  changedBay((raw) => {
    raw.shiftLever = SHIFT_LEVER
    const ranges: Record<string, [number, number, number]> = {
      fronts: [0, 12, 2],
      sideways: [0, 12, 2],
      'radiator-fore': [0, 8, 4],
    }
    raw.levers = raw.levers.flatMap((lever: { id: string }) => {
      const range = ranges[lever.id]
      return range ? [{ ...lever, range: range.slice(0, 2), step: range[2], stock: undefined }] : []
    })
    raw.trials.forEach((trial: { packed?: unknown }) => delete trial.packed)
    raw.readings = raw.readings.filter(({ trial }: any) => trial === undefined || trial === 'trial-1')
    edit(raw)
  })

function found(build: Build, goal: Goal, proves = false): GoalFound {
  const search = goalSetting(build, {}, goal, proves ? provingWith(build, true) : null)
  let step = search.next()
  while (!step.done) step = search.next()
  return step.value
}
const settingOf = (one: GoalFound) => {
  if (one.kind !== 'found') throw new Error(one.kind)
  return settingsAfter({}, one.setting.cure)
}

/** Every setting in which every known check holds, one by one. */
function allHolding(build: Build): Evaluation[] {
  const grids = build.levers.map((lever) =>
    leverGrid(lever, 0).map(({ amount }) => [lever.id, amount] as const),
  )
  const all = grids.reduce<(readonly (readonly [string, number])[])[]>(
    (begun, grid) => begun.flatMap((before) => grid.map((one) => [...before, one])),
    [[]],
  )
  return all
    .map((setting) => evaluateBuild(build, Object.fromEntries(setting)))
    .filter(({ checks }) => checks.every(({ verdict }) => verdict === 'holds' || verdict === 'unknown'))
}

const place = (now: Evaluation, id: string) => {
  const point = pointOf(now.placed, id)
  return point.known ? point.value : [NaN, NaN, NaN]
}
const FIGURES: Readonly<Record<'lowest' | 'service' | 'lever', (now: Evaluation) => number>> = {
  lowest: (now) => {
    const [left, right] = [place(now, 'mount-left'), place(now, 'mount-right')]
    return -(left[0]! + right[0]! + left[2]! + right[2]!) / 2
  },
  service: (now) =>
    Math.min(
      ...now.gaps.flatMap(({ gap, check, ride }) =>
        gap.kind === 'service' && ride.known
          ? [ride.value.gapMm - (check.window.warnLow ?? check.window.failLow ?? 0)]
          : [],
      ),
    ),
  lever: (now) => {
    const [x, y] = place(now, 't-shift-floor')
    return -Math.hypot(x! + SHIFT_LEVER.holeStationMm, y! - SHIFT_LEVER.holeLeftMm)
  },
}

describe('the best setting for a goal', () => {
  const build = small()
  const holding = allHolding(build)

  it.each(Object.entries(FIGURES))('%s: is the best of all, looked at one by one', (goal, figure) => {
    expect(holding.length).toBeGreaterThan(5)
    const best = Math.max(...holding.map(figure))
    const one = found(build, goal as Goal)
    expect(figure(evaluateBuild(build, settingOf(one)))).toBeCloseTo(best, 9)
    expect(one.kind === 'found' && one.setting.room).toBeCloseTo(best, 6)
  })

  it.each(['room', 'made'] as const)('%s: no setting has more room to its closest limit', (goal) => {
    const roomOf = ({ checks }: Evaluation) =>
      Math.min(
        ...checks.flatMap(({ value, window, subject }) => {
          if (value === null || (goal === 'made' && subject.of !== 'thing')) return []
          const [low, high] = [window.warnLow ?? window.failLow, window.warnHigh ?? window.failHigh]
          const scale = Math.max(1e-3, Math.abs(high ?? low ?? 1))
          return [
            ...(low === null ? [] : [(value - low) / scale]),
            ...(high === null ? [] : [(high - value) / scale]),
          ]
        }),
      )
    const now = evaluateBuild(build, settingOf(found(build, goal)))
    // A check is told at its worst state, so no setting can have more than the best of those.
    expect(roomOf(now)).toBeCloseTo(Math.max(...holding.map(roomOf)), 6)
  })

  it('reversible: leaves wedges and adapters alone', () => {
    const setting = settingOf(found(changedBay(), 'reversible'))
    expect(setting.wedge ?? 0).toBe(0)
  })

  it('holds with its ± where that is known', () => {
    const one = found(build, 'lever', true)
    expect(one.kind === 'found' && one.setting.cure.likelihood).toBeGreaterThan(0.9)
  })

  it('tells what is missing, and when nothing holds', () => {
    expect(
      found(
        small((raw) => delete raw.shiftLever),
        'lever',
      ),
    ).toEqual({
      kind: 'cannot',
      missing: ['where the shift lever is to come through'],
    })
    const noService = small((raw) => {
      raw.gaps = raw.gaps.filter(({ kind }: { kind: string }) => kind !== 'service')
      raw.readings = raw.readings.filter(
        ({ kind, gap }: any) => kind !== 'gap' || raw.gaps.some(({ id }: any) => id === gap),
      )
    })
    expect(found(noService, 'service')).toMatchObject({ kind: 'cannot' })
    const unmade = small((raw) => (raw.crossmembers = raw.copedTubes = raw.mounts = undefined))
    expect(found(unmade, 'made')).toEqual({ kind: 'cannot', missing: ['a made part with limits'] })
    const stuck = small((raw) => (raw.gaps[0].failBelow = raw.gaps[0].warnBelow = 400))
    for (const goal of ['room', 'lowest', 'service', 'lever', 'angles', 'made'] as const)
      expect([goal, found(stuck, goal).kind]).toEqual([goal, 'none'])
  })
})

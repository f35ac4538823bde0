import { changedDemo } from '../../testdata/builds'
import { demoBuild } from '../../testdata/demos'
import { MONDAY, planOf, workBuild } from '../../testdata/workBuild'
import type { Build } from '../../file/build/build'
import type { MakingState } from '../../file/kinds/madePart'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import { moneyOf } from '../money/money'
import { tasksOf } from '../tasks/buildTasks'
import { isOrderOf, orderables } from './orderable'
import { earlyBy, whenOf } from './orderWhen'
import { axleCutAnswers } from '../../sprockets/axleCutOf'
import { withArrived } from './takeArrival'

const REAR: OrderEntry = { id: 'shaft', name: 'rear shaft', kind: 'propshaft', of: 'rear', shaft: 0 }
const made = (order: Partial<OrderEntry>): Build => workBuild([], { orders: [{ ...REAR, ...order }] })
const task = (build: Build, key: string) => tasksOf(build, 0).find((one) => one.key === key)

describe('what can be ordered by a sheet', () => {
  it('is every shaft, a pair of halfshafts, chains, patterns, axles and plates', () => {
    const of = (id: Parameters<typeof demoBuild>[0]) =>
      orderables(demoBuild(id)).map(({ kind, name }) => `${kind}: ${name}`)
    expect(of('osier-van')).toEqual([
      'propshaft: rear shaft, piece 1 of 2',
      'propshaft: rear shaft, piece 2 of 2',
    ])
    expect(of('medlar-hatch')).toEqual(['halfshafts: halfshafts', 'pattern: left shaft pattern'])
    expect(of('comfrey-buggy')).toEqual(['chain: drive chain', 'live-axle: rear shafts'])
    expect(of('sedge-wagon').map((name) => name.split(':')[0])).toEqual(['propshaft', 'plate', 'adapter'])
    const [first, second] = orderables(demoBuild('osier-van'))
    expect(isOrderOf({ ...first!, shaft: undefined }, first!)).toBe(true)
    expect(isOrderOf(second!, first!)).toBe(false)
  })

  it('goes singly where one body drives more than two', () => {
    const four = demoBuild('medlar-hatch')
    const lines = [...four.lines, ...four.lines.map((line) => ({ ...line, id: `${line.id}-2` }))]
    expect(
      orderables({ ...four, lines })
        .filter(({ kind }) => kind === 'halfshafts')
        .map(({ of, other }) => [of, other]),
    ).toEqual(lines.map(({ id }) => [id, undefined]))
  })
})

describe('when it is ordered', () => {
  const wagon = demoBuild('sedge-wagon')
  const bar = (state: MakingState): Build => ({
    ...{ ...wagon, plates: [], copedTubes: [], pieces: [], gates: [] },
    crossmembers: (wagon.crossmembers ?? []).map((member) => ({ ...member, state })),
  })

  it('is what is usual for it until the builder says otherwise', () => {
    expect(whenOf({ kind: 'plate' })).toBe('now')
    expect(whenOf({ kind: 'plate', when: 'ride' })).toBe('ride')
  })

  it('is early until the mounts are tacked, and the vehicle stood settled with its weight on', () => {
    expect(
      earlyBy(
        changedDemo(() => undefined),
        { kind: 'plate' },
      ),
    ).toBeNull()
    expect(earlyBy(bar('cut'), REAR)).toBe('mounts')
    expect(earlyBy(bar('tacked'), REAR)).toBeNull()
    const hung = bar('tacked')
    const setups = hung.setups.map((setup) => ({ ...setup, settled: false }))
    expect(earlyBy({ ...hung, setups }, REAR)).toBe('ride')
    expect(earlyBy({ ...hung, setups }, { ...REAR, when: 'mounts' })).toBeNull()
  })
})

describe('an order as tasks', () => {
  it('is bought, then fitted; a pattern never is', () => {
    const build = made({})
    expect(task(build, 'order/shaft')).toMatchObject({ sort: 'buy', isDone: false, orderedAt: null })
    expect(task(build, 'install/shaft')).toMatchObject({ sort: 'fit', after: ['order/shaft'] })
    expect(task(made({ kind: 'pattern' }), 'install/shaft')).toBeUndefined()
  })

  it('waits for all that its figures rest on', () => {
    const build = changedDemo(
      (raw) =>
        (raw.orders = [
          { ...REAR, when: 'ride' },
          { ...REAR, id: 'now', when: 'now' },
        ]),
    )
    const waits = task(build, 'order/shaft')!.after
    expect(waits).toEqual(
      tasksOf(build, 0)
        .filter(({ made: by }) => by && ['measure', 'again', 'cure', 'make', 'weld', 'fit'].includes(by.by))
        .map(({ key }) => key),
    )
    expect(task(build, 'order/now')!.after).toEqual([])
  })

  it('is on its way from the day that its sheet went out, and here once what came is accepted', () => {
    const lead = { low: 10, likely: 10, high: 10 }
    const tasks = [{ id: 'x', name: 'x', sort: 'buy' as const, of: 'order/shaft', leadDays: lead, cost: 410 }]
    const sent = { at: MONDAY, rows: [], under: [] }
    const arrives = (build: Build) =>
      planOf(build).planned.find(({ node }) => node.task?.key === 'order/shaft' && node.part === 'work')!
        .startDay
    const onItsWay = { ...made({ sent }), tasks }
    expect(arrives(onItsWay)).toBe(10)
    expect(moneyOf(tasksOf(onItsWay, 0), undefined).bySort.buy).toEqual({ spent: 0, ordered: 410, toCome: 0 })
    const came = { ...made({ sent, arrived: { at: '2026-12-10', figures: [], verdict: 'accepted' } }), tasks }
    expect(task(came, 'order/shaft')!.isDone).toBe(true)
    const refused = {
      ...made({ sent, arrived: { at: '2026-12-10', figures: [], verdict: 'refused' } }),
      tasks,
    }
    expect(task(refused, 'order/shaft')!.isDone).toBe(false)
  })
})

describe('what came', () => {
  const wagon = demoBuild('sedge-wagon')
  const figures = (all: Readonly<Record<string, readonly [number, number]>>) =>
    Object.entries(all).map(([key, [asked, value]]) => ({ key, asked, value }))

  it('takes from the set-in what a shaft is longer by, and is the tube and the phase that it has', () => {
    const shaft = withArrived(
      wagon,
      REAR,
      figures({ length: [1151.5, 1154], outer: [76, 80], wall: [2, 2.5], phase: [0, 3] }),
    ).lines[0]!.shafts[0]!
    expect(shaft.drivingEnd).toMatchObject({ setInMm: 19.5 })
    expect(shaft.tube).toMatchObject({ outerMm: 80, wallMm: 2.5 })
    expect(shaft.phaseDeg).toBe(3)
    const far = withArrived(wagon, REAR, figures({ length: [1151.5, 1200] })).lines[0]!.shafts[0]!
    expect(far.drivingEnd).toMatchObject({ setInMm: 0 })
  })

  it('is the length pushed home, the length at mid plunge, the links and the wear, the thickness', () => {
    const tansy = demoBuild('tansy-wagon')
    expect(
      withArrived(tansy, { ...REAR, of: tansy.lines[0]!.id }, figures({ closed: [1000, 1003] })).lines[0]!
        .shafts[0]!.slip,
    ).toMatchObject({ closedMm: 1003 })
    const hatch = demoBuild('medlar-hatch')
    const pair: OrderEntry = { ...REAR, kind: 'halfshafts', of: 'left-half', other: 'right-half' }
    const middles = withArrived(
      hatch,
      pair,
      figures({ 'length/left-half': [503, 504], 'length/right-half': [446, 447] }),
    )
    expect(middles.lines.map(({ shafts }) => shafts[0]!.plunge!.middleMm)).toEqual([504, 447])
    const pattern = withArrived(
      hatch,
      { ...REAR, kind: 'pattern', of: 'p', other: 'left-half' },
      figures({ length: [599, 600] }),
    )
    expect(pattern.lines[0]!.shafts[0]!.plunge!.middleMm).toBe(600)
    const buggy = demoBuild('comfrey-buggy')
    const chain = { ...REAR, kind: 'chain' as const, of: buggy.chains![0]!.id }
    expect(
      withArrived(buggy, chain, figures({ links: [88, 90], over: [317.5, 319.1] })).chains![0],
    ).toMatchObject({ links: 90, wearPercent: 0.5 })
    const axle = buggy.axleCuts![0]!
    const shafts = { ...chain, kind: 'live-axle', of: axle.id } as const
    const [left] = axleCutAnswers(
      withArrived(buggy, shafts, figures({ 'length/left': [448.5, 449.2] })).axleCuts![0]!,
    )
    // 0.7 longer than the 448.5 that leave 1.5 of end play.
    expect(left.playMm).toMatchObject({ known: true, value: 0.8 })
    const plate = { ...REAR, kind: 'plate' as const, of: wagon.plates![0]!.id }
    expect(withArrived(wagon, plate, figures({ thickness: [10, 10.3] })).plates![0]!.thicknessMm).toBe(10.3)
  })

  it('changes nothing that the build has no place for', () => {
    const axle = { ...REAR, kind: 'live-axle' as const }
    expect(withArrived(wagon, axle, figures({ 'length/left': [600, 601] })).axleCuts).toBeUndefined()
  })
})

import { changedDemo } from '../../testdata/builds'
import { demoBuild } from '../../testdata/demos'
import type { Build } from '../../file/build/build'
import type { LogEntry } from '../../file/kinds/logKinds'
import { gateNeeds } from '../gates/gateNeeds'
import { moneyOf } from '../money/money'
import { happenings } from './happenings'
import { foundLines, logLines, mistakeCosts, openDefects } from './logLines'

const wagon = demoBuild('sedge-wagon')
const edited = (edit: (raw: any) => void, build: Build = wagon): Build => {
  const raw = structuredClone(build)
  edit(raw)
  // Like a change on the bench: what was not touched is the same thing.
  return Object.fromEntries(
    Object.entries(raw).map(([key, value]) => {
      const was = build[key as keyof Build]
      return [key, JSON.stringify(value) === JSON.stringify(was) ? was : value]
    }),
  ) as unknown as Build
}
const told = (edit: (raw: any) => void, build: Build = wagon) =>
  happenings(build, edited(edit, build)).map(({ sort, name, of }) => [sort, name, of])
const entry = (more: Partial<LogEntry>): LogEntry => ({
  id: 'e',
  name: 'e',
  at: '2026-11-30',
  sort: 'note',
  ...more,
})

describe('what a change did that the log has to know', () => {
  it('is a part that is further than before, never one that is taken back', () => {
    const further = edited((raw) => (raw.crossmembers[0].state = 'welded'))
    expect(told((raw) => (raw.crossmembers[0].state = 'welded'))).toEqual([
      ['made', 'gearbox bar: welded', 'crossmembers/gearbox-bar'],
    ])
    expect(happenings(further, wagon)).toEqual([])
    expect(told((raw) => (raw.crossmembers[0].bushMm = 40))).toEqual([])
  })

  it('is an order that went out, came, was refused; a gate; a position; what is temporary; a task', () => {
    const [order] = wagon.orders!
    const of = `orders/${order!.id}`
    expect(told((raw) => (raw.orders[0].sent = { at: '2026-11-30', rows: [], under: [] }))).toEqual([
      ['order', 'ordered: rear shaft', of],
    ])
    const refused = { at: '2026-12-20', figures: [], verdict: 'refused', reason: 'too long' }
    expect(told((raw) => (raw.orders[0].arrived = refused))).toEqual([
      ['order', 'rear shaft refused: too long', of],
    ])
    expect(
      told((raw) =>
        raw.gates.push({ id: 'x', name: 'tacked', gate: 'tacked', passedAt: '2026-11-30', under: [] }),
      ),
    ).toEqual([['gate', 'gate: tacked', 'gates/x']])
    const moved = (raw: any) => {
      raw.positions.push({ id: 'b', name: 'B', settings: {} })
      raw.chosen = 'b'
    }
    expect(told(moved)).toEqual([['place', 'position B is chosen', 'positions/b']])
    const [temporary] = wagon.temporaries!
    expect(told((raw) => (raw.temporaries[0].closedAt = '2026-11-30'))).toEqual([
      ['temporary', `made good: ${temporary!.name}`, `temporaries/${temporary!.id}`],
    ])
    expect(told((raw) => raw.temporaries.push({ id: 't', name: 'strap', kind: 'strap' }))).toEqual([
      ['temporary', 'temporary: strap', 'temporaries/t'],
    ])
    const task = wagon.tasks!.find(
      ({ of: made, orderedAt }) => made === undefined && orderedAt === undefined,
    )!
    expect(
      happenings(
        wagon,
        edited((raw) =>
          Object.assign(
            raw.tasks.find(({ id }: any) => id === task.id),
            { doneAt: '2026-11-30', tookH: 3 },
          ),
        ),
      ),
    ).toEqual([{ sort: 'task', name: `done: ${task.name}`, of: `tasks/${task.id}`, hours: 3 }])
  })

  it('is nothing for what is only measured or written down', () => {
    expect(told((raw) => raw.readings.pop())).toEqual([])
    expect(told((raw) => (raw.note = 'a wet day'))).toEqual([])
    expect(told(() => undefined)).toEqual([])
  })
})

describe('the log', () => {
  const build = changedDemo((raw) => {
    raw.log = [
      entry({ id: 'one', name: 'tail packed up', at: '2026-11-20', who: 'Imre', note: 'by 6 mm' }),
      entry({ id: 'two', name: 'bolt turns', at: '2026-11-21', defect: 'open' }),
      entry({
        id: 'three',
        name: 'bolt turned',
        at: '2026-11-21',
        defect: 'mended',
        mistake: 'forgotten',
        hours: 2,
        cost: 30,
      }),
      entry({
        id: 'four',
        name: 'blank the wrong way',
        at: '2026-11-22',
        mistake: 'side',
        hours: 1,
        cost: 40,
      }),
      entry({ id: 'five', name: 'again', at: '2026-11-23', mistake: 'side', hours: 0.5 }),
    ]
    const [reading] = raw.readings
    raw.readingLog = [
      {
        id: 'c',
        at: '2026-11-21T10:00:00Z',
        by: 'Runa',
        what: 'corrected',
        reading: reading.id,
        before: reading,
        after: { ...reading, values: ['3.9'] },
        why: 'the rear was low',
      },
    ]
  })

  it('is told newest first, with what the build keeps elsewhere: readings before and after, setups, lift-ins', () => {
    const lines = logLines(build)
    expect(lines.map(({ day }) => day)).toEqual(
      lines
        .map(({ day }) => day)
        .toSorted()
        .reverse(),
    )
    expect(lines.slice(0, 2).map(({ what }) => what)).toEqual(['again', 'blank the wrong way'])
    const changed = lines.find(({ key }) => key === 'reading/c')!
    expect(changed.what).toMatch(/corrected$/)
    expect(changed.detail).toMatch(/ → 3\.9; the rear was low; Runa$/)
    expect(lines.some(({ what }) => what === `measured: ${build.setups[0]!.name}`)).toBe(true)
  })

  it('is searched by words wherever they stand', () => {
    const found = (text: string) => foundLines(logLines(build), text).map(({ what }) => what)
    expect(found('BOLT')).toEqual(['bolt turned', 'bolt turns'])
    expect(found('6 imre packed')).toEqual(['tail packed up'])
    expect(found('nowhere')).toEqual([])
    expect(found(' ')).toHaveLength(logLines(build).length)
  })

  it('keeps what is not right yet, which the last gate asks for, and what mistakes cost by their family', () => {
    expect(openDefects(build).map(({ id }) => id)).toEqual(['two'])
    const defects = (of: Build) =>
      gateNeeds('road', { build: of, checks: [], tasks: [] }).find(({ kind }) => kind === 'defects')!.open
    expect(defects(build)).toEqual(['bolt turns'])
    expect(defects({ ...build, log: [] })).toEqual([])
    expect(mistakeCosts(build)).toEqual([
      { mistake: 'side', count: 2, hours: 1.5, cost: 40 },
      { mistake: 'forgotten', count: 1, hours: 2, cost: 30 },
    ])
  })

  it('counts as money what is of no task, its hours at what one is worth', () => {
    const { log } = build
    expect(moneyOf([], undefined, log)).toMatchObject({
      logged: { spent: 70 },
      ownHours: null,
      all: { spent: 70 },
    })
    expect(moneyOf([], 20, log)).toMatchObject({ ownHours: { spent: 70 }, all: { spent: 140 } })
    expect(moneyOf([], 20, [entry({ sort: 'task', hours: 5, cost: 9 })]).all.spent).toBe(0)
  })
})

import { changedDemo } from '../../testdata/builds'
import { demoBuild } from '../../testdata/demos'
import { demoSheets, orderSite, ordersOf, sheetOf } from '../../testdata/orderSites'
import type { Build } from '../../file/build/build'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import { parseBuild } from '../../file/open/parseBuild'
import { arrivalEffects } from './arrivalEffect'
import { orderSheet, rowsOf, sentNow, type OrderSheet } from './orderSheet'
import { shopLength } from './shopLength'

const row = ({ sections }: OrderSheet, name: string) =>
  sections.flatMap(({ rows }) => rows).find((one) => one.name === name)
const kinds = (sheet: OrderSheet) => sheet.warnings.map(({ kind }) => kind)
const edited = (build: Build, edit: (raw: any) => void): Build => {
  const raw = structuredClone(build)
  edit(raw)
  return raw
}
const REAR: OrderEntry = { id: 'o', name: 'rear shaft', kind: 'propshaft', of: 'rear', shaft: 0 }

describe('order sheets of the demos', () => {
  it.each(demoSheets().map((one) => [one.demo, one] as const))('%s', (_, { build, order }) => {
    const sheet = sheetOf(build, order)
    expect(sheet.missing).toEqual([])
    const rows = rowsOf(sheet)
    expect(new Set(rows.map(({ name }) => name)).size).toBe(rows.length)
    for (const { name, value } of rows)
      expect([name, value]).not.toContainEqual(expect.stringMatching(/NaN|undefined|null/))
    // Every size in the drawing is a figure of the sheet, and as long as it says.
    for (const { from, to, along, text, isMain } of sheet.drawing!.dimensions) {
      const mm =
        along === 'x'
          ? Math.abs(to[0] - from[0])
          : along === 'y'
            ? Math.abs(to[1] - from[1])
            : Math.hypot(to[0] - from[0], to[1] - from[1])
      const said = /(-?\d+\.\d) mm/.exec(text)
      if (said) expect(mm).toBeCloseTo(Number(said[1]), 0)
      if (isMain && said) expect(rows.some(({ value }) => value.includes(said[0]))).toBe(true)
    }
    expect(kinds(sheet).includes('early')).toBe(order.kind !== 'plate' && order.kind !== 'adapter')
  })
})

describe('the length of a propshaft', () => {
  const build = demoBuild('sedge-wagon')
  const shaft = build.lines[0]!.shafts[0]!
  const yoke = shaft.drivingEnd as { boreBottomToJointMm: number; setInMm: number; sealToShaftEndMm: number }

  it('is one length, measured as the shop does; the others stand as a check', () => {
    const centres = Number(
      /[\d.]+/.exec(row(sheetOf(build, REAR), 'joint centre to joint centre')!.value)![0],
    )
    const ends = sheetOf(build, { ...REAR, from: 'shaft-end', to: 'joint-centre' })
    const seal = sheetOf(build, { ...REAR, from: 'seal-face', to: 'joint-centre' })
    const main = (sheet: OrderSheet) => Number(/[\d.]+/.exec(sheet.sections[0]!.rows[0]!.value)![0])
    expect(main(ends)).toBeCloseTo(centres + yoke.boreBottomToJointMm + yoke.setInMm, 1)
    expect(main(seal)).toBeCloseTo(
      centres + yoke.boreBottomToJointMm + yoke.setInMm + yoke.sealToShaftEndMm,
      1,
    )
    expect(row(ends, 'as a check: joint centre to joint centre')!.value).toContain(centres.toFixed(1))
    expect(ends.drawing!.dimensions.find(({ isMain }) => isMain)!.text).toContain(main(ends).toFixed(1))
    // It comes without the gearbox: on the bench it is measured from its joint.
    expect(ends.arrival[0]).toMatchObject({ key: 'length', name: 'joint centre to joint centre' })
    expect(ends.arrival[0]!.asked).toBeCloseTo(centres, 1)
  })

  it('goes to the bolt face of the yoke where that was measured', () => {
    const bolted = edited(
      build,
      (raw) => (raw.lines[0].shafts[0].drivenEnd = { kind: 'yoke', boltFaceToJointMm: 12.5 }),
    )
    const sheet = sheetOf(bolted, { ...REAR, from: 'shaft-end', to: 'bolt-face' })
    const centres = Number(/[\d.]+/.exec(row(sheet, 'as a check: joint centre to joint centre')!.value)![0])
    expect(
      Number(/[\d.]+/.exec(row(sheet, 'end of the output shaft to bolt face of the yoke')!.value)![0]),
    ).toBeCloseTo(centres + yoke.boreBottomToJointMm + yoke.setInMm + 12.5, 1)
  })

  it('is rounded the safe way in both units', () => {
    expect(shopLength(1151.52, 16, 'shorter')).toBe('1151 mm or 45 5/16"')
    expect(shopLength(1151.52, 16, 'longer')).toBe('1152 mm or 45 3/8"')
    expect(shopLength(1151.52, 32, 'nearest')).toBe('1152 mm or 45 11/32"')
    expect(shopLength(1016, 16, 'shorter')).toBe('1016 mm or 40"')
    expect(shopLength(10, 16, 'shorter')).toBe('10 mm or 3/8"')
  })

  it('is told with what the shop has to know of it, and asks for what nobody told', () => {
    const asks = { series: 'caps 27 × 82', balanceG: 16, runoutMm: 0.4 }
    const sheet = sheetOf(build, { ...REAR, asks, secondBy: 'Odile', secondMm: 1153 })
    expect(row(sheet, 'series; caps × span of joints')!.value).toBe('caps 27 × 82')
    expect(row(sheet, 'pilot: diameter × depth')!.value).toBe('to be agreed')
    // G 16 at 5610 rev/min: 16 000 over 587.5 rad/s.
    expect(row(sheet, 'balance')).toMatchObject({
      value: 'G 16 at 5 610 rev/min'.replace('5 610', '5\u202f610'),
      remark: 'leaves 27.2 g·mm for each kg',
    })
    expect(row(sheet, 'measured again by Odile')!.remark).toBe('1.5 mm longer than ordered')
    expect(sheet.measured).toEqual([
      {
        name: 'On the floor, ride height, loaded',
        date: '2026-11-07',
        by: 'Runa',
        tools: 'digital level, 0.1°, 3 m pocket tape',
      },
    ])
  })

  it('keeps a slip reserve that comes from the travel, with the place where it is least', () => {
    const tansy = demoBuild('tansy-wagon')
    const sheet = sheetOf(tansy, ordersOf(tansy)[0]!)
    const least = orderSite(tansy).evaluation.checks.find(({ quantity }) => quantity === 'slip-left')!.value!
    expect(row(sheet, 'left before it bottoms, least')!.value).toContain(`${least.toFixed(1)} mm`)
    expect(row(sheet, 'worked out from a travel of')!.value).toMatch(
      /^\d+\.\d mm .* in, \d+\.\d mm .* out, over \d+ places/,
    )
  })
})

describe('what a sheet says in its head', () => {
  const build = changedDemo((raw) => (raw.temporaries = []))
  const sheet = sheetOf(build, { ...REAR, of: build.lines[0]!.id })
  const order = { ...REAR, of: build.lines[0]!.id }

  it('names what is provisional, of every reading under it and of no other', () => {
    const under = new Set(sheet.readings)
    expect(under.size).toBeGreaterThan(8)
    expect(under.size).toBeLessThan(build.readings.length)
    for (const { id } of build.readings) {
      const guessed = edited(
        build,
        (raw) => (raw.readings.find((one: any) => one.id === id).provisional = true),
      )
      expect([id, kinds(sheetOf(guessed, order)).includes('provisional')]).toEqual([id, under.has(id)])
    }
  })

  it('says what changed since it was ordered, of every reading under it and of no other', () => {
    const sent = { ...order, sent: sentNow(sheet, orderSite(build), '2026-11-30') }
    expect(kinds(sheetOf(build, sent))).not.toContain('changed')
    const under = new Set(sheet.readings)
    for (const { id } of build.readings) {
      const noted = edited(
        build,
        (raw) => (raw.readings.find((one: any) => one.id === id).note = 'read by torchlight'),
      )
      expect([id, kinds(sheetOf(noted, sent)).includes('changed')]).toEqual([id, under.has(id)])
    }
    const first = sheet.readings[0]!
    const gone = edited(build, (raw) => (raw.readings = raw.readings.filter((one: any) => one.id !== first)))
    expect(kinds(sheetOf(gone, sent))).toContain('changed')
    const other = edited(build, (raw) => (raw.lines[0].shafts[0].tube.wallMm = 3))
    expect(sheetOf(other, sent).warnings.find(({ kind }) => kind === 'changed')!.text).toMatch(
      /tube was ø\S+ × 2 mm steel, is ø\S+ × 3 mm steel/,
    )
    // Once what came is accepted, it is what counts.
    const accepted = { ...sent, arrived: { at: '2026-12-20', figures: [], verdict: 'accepted' as const } }
    expect(kinds(sheetOf(other, accepted))).toEqual(
      kinds(sheetOf(other, sent)).filter((kind) => kind !== 'changed' && kind !== 'early'),
    )
  })

  it('says that it was measured off its ride height, that it is early, that a check is out', () => {
    const hung = edited(build, (raw) => (raw.setups[0].loaded = false))
    expect(sheetOf(hung, order).warnings.map(({ text }) => text)).toContainEqual(
      expect.stringContaining('was not loaded'),
    )
    const tacked = edited(build, (raw) => (raw.gates = [{ gate: 'tacked' }]))
    expect(kinds(sheetOf(tacked, { ...order, when: 'mounts' }))).not.toContain('early')
    expect(kinds(sheetOf(hung, { ...order, when: 'now' }))).not.toContain('early')
    const asMeasured = edited(build, (raw) => (raw.positions[0].settings = {}))
    expect(sheetOf(asMeasured, order).warnings.find(({ kind }) => kind === 'out')!.text).toMatch(
      /^Out as it stands: /,
    )
  })

  it('waits for what is missing instead of guessing', () => {
    const bare = edited(build, (raw) => (raw.readings = []))
    const waiting = orderSheet(orderSite(bare), order)
    expect(waiting.missing.length).toBeGreaterThan(3)
    expect([waiting.sections, waiting.drawing, waiting.arrival]).toEqual([[], null, []])
    for (const kind of ['chain', 'pattern', 'live-axle', 'plate', 'adapter', 'halfshafts'] as const)
      expect(sheetOf(build, { ...order, kind, of: 'gone' }).missing).toHaveLength(1)
  })
})

describe('what came, in the build', () => {
  const build = demoBuild('sedge-wagon')

  it('tells every check that stands otherwise with it', () => {
    const longer = [{ key: 'length', asked: 1151.5, value: 1164.5 }]
    const effects = arrivalEffects(orderSite(build), REAR, longer)
    expect(effects.find(({ label }) => label.includes('slip yoke set-in'))).toMatchObject({
      was: '22.0 mm',
      is: '9.0 mm',
    })
    expect(arrivalEffects(orderSite(build), REAR, [{ key: 'length', asked: 1151.5, value: 1151.5 }])).toEqual(
      [],
    )
  })

  it('is a file like any other, in a build that is opened again', () => {
    const figures = [{ key: 'length', asked: 1151.5, value: 1150 }]
    const order: OrderEntry = {
      ...REAR,
      sent: sentNow(sheetOf(build, REAR), orderSite(build), '2026-11-30'),
      arrived: { at: '2026-12-20', figures, verdict: 'refused', reason: 'too short' },
    }
    const again = parseBuild(JSON.parse(JSON.stringify({ ...build, orders: [order] })))
    expect(again.ok && again.value.orders).toEqual([order])
    const bad = parseBuild(JSON.parse(JSON.stringify({ ...build, orders: [{ ...order, kind: 'boat' }] })))
    expect(!bad.ok && bad.problems[0]).toMatchObject({ path: 'orders[0].kind' })
  })
})

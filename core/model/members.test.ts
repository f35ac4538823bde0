import bay from '../../demo/sedge-wagon.lurvan.json'
import { parseBuild } from '../file/open/parseBuild'
import { withoutBody, staysBecause } from '../file/edits/withoutBody'
import { memberBlank } from '../making/crossmembers/member'
import { stripK } from '../making/crossmembers/memberWay'
import { coverage, within } from '../testdata/coverage'
import { changedBay, tapedBay } from '../testdata/bay'
import { demoBuild } from '../testdata/demos'
import { readOnce } from '../testdata/readOnce'
import type { Build } from '../file/build/build'
import { resultJson } from '../show/result/resultJson'
import { changeSinceMade, cornerRows, cutRows, wayRows } from '../show/text/memberText'
import { packRows } from '../show/text/packRows'
import { compile } from './compile'
import { evaluateBuild } from './evaluateBuild'
import { MEMBERS, memberFigureId } from './memberSubject'
import { foundOf } from './subject'

const membersOf = (build: Build, settings: Record<string, number> = {}) =>
  foundOf(evaluateBuild(build, settings).subjects, MEMBERS)
const wayOf = (build: Build, id: string, settings: Record<string, number> = {}) => {
  const figures = membersOf(build, settings)[0]!.ways.find(({ way }) => way.id === id)!.figures
  if (!figures.known) throw new Error(JSON.stringify(figures.missing))
  return figures.value
}
const BOLTED = 'nothing: it comes out by its bolts, and the gearbox past it'
const refused = (edit: (member: any) => void) => {
  const raw = structuredClone(bay) as any
  edit(raw.crossmembers[0])
  const parsed = parseBuild(raw)
  return parsed.ok ? 'let in' : parsed.problems.map(({ path }) => path).join(' ')
}

describe('a crossmember of a build', () => {
  const build = demoBuild('sedge-wagon')

  it('is the bar that the faces of the build ask for: bent, folded, straight, on ledges', () => {
    // Left seat 318 left and 52 down, right 323 right and 55 down, gearbox 2 left and 14 up, bush 34.
    const blank = memberBlank(
      {
        left: { leftY: 363, rightY: 273, faceZ: -52, side: 'under' },
        pad: { leftY: 62, rightY: -58, faceZ: -20, side: 'under' },
        right: { leftY: -278, rightY: -368, faceZ: -55, side: 'under' },
      },
      { kind: 'flat', thicknessMm: 10, insideRadiusMm: 12, kFactor: 0.4 },
    )
    const flat = wayOf(build, 'flat')
    expect(flat.blankMm).toBeCloseTo(blank.blankMm, 9)
    expect([flat.firstMm, flat.secondMm, flat.thirdMm, flat.fourthMm]).toEqual(
      blank.corners.map(({ atMm }) => expect.closeTo(atMm, 9)),
    )
    // 2000 N · 316 · 325 / 641 over 80 · 10² / 6, of 355 N/mm².
    expect(flat.sharePercent).toBeCloseTo((100 * (2000 * 316 * 325)) / 641 / (8000 / 6) / 355, 9)
    const inertia = (80 * 1000) / 12
    expect(flat.sagMm).toBeCloseTo((2000 * 316 ** 2 * 325 ** 2) / (3 * 205_000 * inertia * 641), 9)
    expect([flat.lowestMm, flat.groundMm]).toEqual([-75, 311])
    const plain = wayOf(build, 'plain')
    expect(plain.blankMm).toBeCloseTo(Math.hypot(641, 3) + 90, 9)
    expect(plain.fillMm).toBeCloseTo(32 + (3 * 316) / 641, 9)
    const ledges = wayOf(build, 'ledges')
    expect([ledges.blankMm, ledges.lowestMm, ledges.fillMm]).toEqual([731, -45, undefined])
  })

  it('follows the gearbox as the levers stand, and is judged by the way it is made', () => {
    const raised = wayOf(build, 'box', { tail: 10 })
    const lain = wayOf(build, 'box')
    expect(raised.overLeftMm! - lain.overLeftMm!).toBeCloseTo(10, 1)
    expect(raised.turnLeftDeg!).toBeGreaterThan(lain.turnLeftDeg! + 2)
    const verdictsOf = (chosen: string) =>
      membersOf(changedBay((raw) => (raw.crossmembers[0].chosen = chosen)))[0]!.checks.map(
        ({ quantity, verdict }) => `${quantity} ${verdict}`,
      )
    expect(verdictsOf('box')).toEqual(['member-stress holds', 'member-sag holds', 'member-ground holds'])
    expect(verdictsOf('flat')).toEqual([
      'member-stress out',
      'member-sag out',
      'member-ground holds',
      'member-straight holds',
    ])
    expect(verdictsOf('plain')).toContain('member-fill holds')
  })

  it('says what it lacks: a load, a seat, a gearbox between the rails', () => {
    const lacking = (edit: (raw: any) => void) => membersOf(changedBay(edit))[0]!
    const unloaded = lacking((raw) => delete raw.crossmembers[0].loadN)
    expect(unloaded.checks[0]!.missing.map(({ what }) => what)).toEqual(['the largest load of its bush'])
    const unread = lacking(
      (raw) => (raw.readings = raw.readings.filter(({ point }: any) => point !== 'rail-left')),
    )
    expect(unread.seats.known).toBe(false)
    expect(unread.checks.every(({ verdict, missing }) => verdict === 'unknown' && missing.length > 0)).toBe(
      true,
    )
    const beside = lacking((raw) => {
      raw.readings.find(({ point }: any) => point === 'rail-left').offset = '20'
    })
    expect(beside.ways.every(({ figures }) => figures.known)).toBe(false)
  })

  it('is told in words, way by way', () => {
    const [found] = membersOf(build)
    const rows = wayRows(found!, build.units)
    expect(rows.map(({ stock, share, stays }) => [stock, share, stays])).toEqual([
      ['80 × 10 flat', '68 %', BOLTED],
      ['40 × 40 × 3 tube', '27 %', BOLTED],
      ['80 × 12 flat', '47 %', BOLTED],
      ['80 × 15 flat', '30 %', 'two ledges, welded in the vehicle: the bar comes out by its bolts'],
    ])
    const folded = found!.ways[1]!
    expect(cornerRows(folded)[0]).toBe('91.3 up 8.6°, notch 5.6 mm wide in the top')
    expect(cornerRows(found!.ways[0]!)[1]).toBe('303.2 down 8.6° (171.4° included)')
    // Of 2, 3, 5, 10 and 20 nothing comes nearer to 33.5 in fewer pieces.
    expect(rows[2]!.work).toBe('spacers of 33.5 mm under the bush (20 + 10 + 3, 0.5 mm less)')
    const bare = changedBay((raw) => delete raw.crossmembers[0].spacersMm)
    expect(wayRows(membersOf(bare)[0]!, build.units)[2]!.work).toBe('spacers of 33.5 mm under the bush')
    const beside = changedBay((raw) => {
      for (const reading of raw.readings)
        if (['rail-left', 'rail-right'].includes(reading.point)) reading.station = '998'
    })
    const told = wayRows(membersOf(beside)[0]!, build.units).map(({ work }) => work)
    expect(told[0]).toContain('the gearbox stands 12 mm ahead of it: a flat does not bear that twist')
    expect(told[1]).not.toContain('twist')
    // A tube bears it: 2000 N · 12 · 325 / 641 on 2 · 37² · 3, beside the bending.
    const shear = (2000 * 12 * 325) / 641 / (2 * 37 * 37 * 3)
    const bending = (wayOf(build, 'box').sharePercent! / 100) * 235
    expect(wayOf(beside, 'box').sharePercent).toBeCloseTo(
      (100 * Math.hypot(bending, Math.sqrt(3) * shear)) / 235,
      6,
    )
    const sprung = membersOf(changedBay((raw) => (raw.crossmembers[0].ways[0].springbackDeg = 1.5)))[0]!
    expect(cornerRows(sprung.ways[0]!)[1]).toBe('303.2 down 8.6° (171.4° included), press to 10.1°')
    expect(cutRows(found!.ways[3]!, found!.member, build.units).map(({ piece }) => piece)).toEqual([
      'bar',
      'ledge, left',
      'ledge, right',
    ])
  })

  it('says what packing the tail does to the joints, as a lever would', () => {
    const lever = build.levers.find(({ id }) => id === 'tail')!
    const rows = packRows(compile(build), { tail: 5 }, lever, 'gearbox-bar')
    expect(rows.map(({ packed, isNow }) => [packed, isNow])).toEqual([
      ['5.0 mm down', false],
      ['as measured', false],
      ['5.0 mm up', true],
      ['10.0 mm up', false],
      ['15.0 mm up', false],
    ])
    const { ride } = evaluateBuild(build, { tail: 15 }).lines[0]!
    if (!ride.known) throw new Error('the line is read')
    expect(rows[4]!.joints).toBe(ride.value.anglesDeg.map((deg) => `${deg.toFixed(2)}°`).join(' · '))
    expect(rows[1]!.seat).toBe('32.0 mm')
    // Its range ends at -8.
    expect(packRows(compile(build), {}, lever, 'gearbox-bar').map(({ amount }) => amount)).toEqual([
      -5, 0, 5, 10,
    ])
  })

  it('takes the K of its metal from a strip that was bent', () => {
    const strip = { blankMm: 200, firstMm: 106, secondMm: 106, angleDeg: 90 }
    const way = { ...build.crossmembers![0]!.ways[0]!, strip }
    // Outside deduction 12: 2 · 22 − 12 of allowance over π/2, less 12, over 10.
    expect(stripK(way)).toMatchObject({
      known: true,
      value: { kFactor: expect.closeTo((32 / (Math.PI / 2) - 12) / 10, 9), isPlausible: false },
    })
    const missing = (changed: object) => {
      const told = stripK({ ...way, ...changed })
      return told.known ? null : told.missing[0]!.what
    }
    expect(missing({ strip: { ...strip, angleDeg: undefined } })).toBe(
      'the strip: as cut, both legs, its angle',
    )
    expect(missing({ insideRadiusMm: undefined })).toBe('the inside radius')
    expect(missing({ strip: { ...strip, firstMm: 160 } })).toContain('lies outside the metal')
  })

  it('is stale once its seats lie otherwise than when it was made', () => {
    const spot = (forwardMm: number, leftMm: number, upMm: number) => ({ forwardMm, leftMm, upMm })
    const made = {
      at: '2026-11-20',
      position: 'a',
      ...{ left: spot(-986, 318, -52), right: spot(-986, -323, -55), pad: spot(-986, 2, 14) },
    }
    const then = changedBay((raw) => (raw.crossmembers[0].made = made))
    expect(changeSinceMade(membersOf(then)[0]!)).toEqual({
      movedMm: expect.closeTo(0, 9),
      leanDeg: expect.closeTo(0, 9),
      isStale: false,
    })
    const moved = changeSinceMade(membersOf(then, { tail: 6 })[0]!)!
    expect(moved.isStale).toBe(true)
    expect(moved.movedMm).toBeCloseTo(6, 1)
    const leaning = changedBay((raw) => {
      raw.crossmembers[0].made = { ...made, right: spot(-986, -323, -60) }
    })
    expect(changeSinceMade(membersOf(leaning)[0]!)!.leanDeg).toBeCloseTo(
      ((Math.atan2(3, 641) - Math.atan2(8, 641)) * 180) / Math.PI,
      6,
    )
  })

  it('is refused where it cannot be, and keeps its seats in the build', () => {
    expect(refused((member) => (member.chosen = 'none'))).toBe('crossmembers[0].chosen')
    expect(refused((member) => (member.right = member.left))).toBe('crossmembers[0].pad')
    expect(refused((member) => (member.pad = 'nowhere'))).toBe('crossmembers[0].pad')
    expect(refused((member) => delete member.ways[1].wallMm)).toBe('crossmembers[0].ways[1].wallMm')
    expect(refused((member) => (member.ways[1].wallMm = 20))).toBe('crossmembers[0].ways[1].wallMm')
    expect(refused((member) => delete member.ways[0].kFactor)).toBe('crossmembers[0].ways[0].kFactor')
    expect(refused((member) => (member.ways[0].kind = 'glued'))).toBe('crossmembers[0].ways[0].kind')
    expect(refused((member) => (member.ways = []))).toBe('crossmembers[0].ways')
    expect(staysBecause(build, 'chassis')).not.toBeNull()
    expect(withoutBody(build, 'chassis').crossmembers).toHaveLength(1)
  })

  it('stands in the published result under its names', () => {
    const { crossmembers } = resultJson(build) as unknown as {
      readonly crossmembers: readonly { readonly chosen: string; readonly ways: readonly any[] }[]
    }
    expect(crossmembers[0]!.chosen).toBe('box')
    expect(crossmembers[0]!.ways[1]).toMatchObject({ id: 'box', kind: 'folded', lowestMm: -105 })
    expect(crossmembers[0]!.ways[1].blankMm).toBe(wayOf(build, 'box').blankMm)
  })

  it('has a ± that covers what is true in 95 of a hundred vehicles', () => {
    const truth = tapedBay(['rail-left', 'rail-right'])
    const figures = ['lowestMm', 'turnRightDeg', 'secondMm', 'sharePercent'] as const
    const covered = coverage({
      truth,
      readOnce: (random) => readOnce(truth, random),
      figures: Object.fromEntries(
        figures.map((name) => [
          memberFigureId('gearbox-bar', 'box', name),
          (evaluation: ReturnType<typeof evaluateBuild>) => {
            const told = foundOf(evaluation.subjects, MEMBERS)[0]!.ways[1]!.figures
            return told.known ? told.value[name]! : NaN
          },
        ]),
      ),
    })
    for (const share of Object.values(covered)) expect(share).toEqual(within)
  })
})

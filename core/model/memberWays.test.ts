import bay from '../../demo/sedge-wagon.lurvan.json'
import { bentBeam } from '../making/beams/beam'
import { pressOrder } from '../making/bends/pressOrder'
import { memberBlank } from '../making/crossmembers/member'
import { wedgeOf } from '../making/crossmembers/wedge'
import { memberTemplate } from '../making/templates/memberTemplate'
import { piecesOfWay } from '../jobs/cuts/cutPieces'
import { parseBuild } from '../file/open/parseBuild'
import { changedBay } from '../testdata/bay'
import { cornerRows, cutRows, stockName, wayRows } from '../show/text/memberText'
import { pressRefusals, wedgeWords } from '../show/text/memberWorkText'
import { steppedWorks } from '../show/text/workSteps'
import { resultJson } from '../show/result/resultJson'
import { evaluateBuild } from './evaluateBuild'
import { MEMBERS } from './memberSubject'
import { pressOf, railWedges } from './memberWork'
import { foundOf } from './subject'

const ROUND = { id: 'new', kind: 'tube', heightMm: 38, wallMm: 3, midlineRadiusMm: 100, yieldMPa: 235 }
const COPED = { id: 'new', kind: 'coped', heightMm: 30, wallMm: 3, yieldMPa: 235 }
const OLD = {
  ...{ id: 'new', kind: 'old', widthMm: 60, heightMm: 12, plateMm: 10, yieldMPa: 235 },
  old: { leftMm: 300, rightMm: 310, aheadMm: -25, upMm: 20 },
}

/** The bay with one way more, and the member changed. */
const bayWith = (way: object, member: object = {}) =>
  changedBay((raw) => {
    Object.assign(raw.crossmembers[0], member)
    raw.crossmembers[0].ways.push(way)
  })
const foundIn = (build: ReturnType<typeof bayWith>) => {
  const [member] = foundOf(evaluateBuild(build, {}).subjects, MEMBERS)
  return { member: member!, way: member!.ways.at(-1)! }
}
const figuresOf = (way: object) => {
  const { figures } = foundIn(bayWith(way)).way
  if (!figures.known) throw new Error(JSON.stringify(figures.missing))
  return figures.value
}
const complaints = (way: object) => {
  const raw = structuredClone(bay) as any
  raw.crossmembers[0].ways.push(way)
  const parsed = parseBuild(raw)
  return parsed.ok ? '' : parsed.problems.map(({ path }) => path.replace(/.*\./, '')).join(' ')
}

describe('a crossmember of round tube', () => {
  it('is bent over a mandrel: its middle keeps its length', () => {
    const blank = memberBlank(
      {
        left: { leftY: 363, rightY: 273, faceZ: -52, side: 'under' },
        pad: { leftY: 62, rightY: -58, faceZ: -20, side: 'under' },
        right: { leftY: -278, rightY: -368, faceZ: -55, side: 'under' },
      },
      { kind: 'tube', outerMm: 38, midlineRadiusMm: 100 },
    )
    const told = figuresOf(ROUND)
    expect(told.blankMm).toBeCloseTo(blank.blankMm, 9)
    expect(told.fourthMm).toBeCloseTo(blank.corners[3]!.atMm, 9)
    // π(38⁴ − 32⁴)/(32·38) and 2000 N · 316 · 325 / 641.
    const modulus = (Math.PI * (38 ** 4 - 32 ** 4)) / (32 * 38)
    expect(told.sharePercent).toBeCloseTo((100 * 2000 * 316 * 325) / 641 / modulus / 235, 9)
    expect(cornerRows(foundIn(bayWith(ROUND)).way)).toHaveLength(4)
  })

  it('is judged resting and clamped where its ends are pressed flat: a short flat is worse clamped', () => {
    const round = { kind: 'tube', outerMm: 38, wallMm: 3 } as const
    const flat = { kind: 'flattened', outerMm: 38, wallMm: 3 } as const
    for (const flatMm of [8, 40, 90]) {
      const told = figuresOf({ ...ROUND, flatMm })
      const worst = (['resting', 'clamped'] as const).map((ends) => {
        const pieces = [
          { toMm: flatMm, section: flat },
          { toMm: 641 - flatMm, section: round },
          { toMm: 641, section: flat },
        ]
        const loads = [{ atMm: 316, downN: 2000 }]
        return bentBeam({ ends, spanMm: 641, loads, pieces, elasticity: 205_000 })
      })
      const stress = Math.max(...worst.flatMap(({ stresses }) => stresses))
      expect(told.sharePercent).toBeCloseTo((100 * stress) / 235, 6)
      expect(told.sagMm).toBeCloseTo(worst[0]!.sagAtLoadsMm[0]!, 9)
    }
    expect(figuresOf({ ...ROUND, flatMm: 8 }).sharePercent).toBeGreaterThan(figuresOf(ROUND).sharePercent!)
    // No room for the flats between rail and gearbox.
    expect(figuresOf({ ...ROUND, flatMm: 320 }).sharePercent).toBeUndefined()
  })

  it('lies with its middle on the places told where it is coped, spacers up to the seat', () => {
    const told = figuresOf(COPED)
    expect(told.blankMm).toBeCloseTo(Math.hypot(641, 3), 9)
    expect(told.fillMm).toBeCloseTo(32 - 15 + (3 * 316) / 641, 9)
    expect(told.lowestMm).toBe(-70)
    const row = wayRows(foundIn(bayWith(COPED)).member, changedBay(() => {}).units).at(-1)!
    expect(row).toMatchObject({ stock: '30 × 3 round tube', stays: expect.stringContaining('out over it') })
    expect(row.work).toBe('two copes, welded in; spacers of 18.5 mm under the bush (10 + 5 + 3, 0.5 mm less)')
  })

  it('is sawn from tip to tip where it is coped, once the tubes that it lies on are told', () => {
    const units = changedBay(() => {}).units
    const cut = (railOuterMm?: number) => {
      const build = bayWith({ ...COPED, ...(railOuterMm && { railOuterMm }) })
      const { member, way } = foundIn(build)
      const chosen = { ...member, member: { ...member.member, chosen: 'new' } }
      return [cutRows(way, chosen.member, units)[0]!, piecesOfWay(way, chosen.member)[0]!] as const
    }
    const [waiting, untold] = cut()
    expect(waiting.ends).toBe(
      'coped, 641.0 mm between the faces; from tip to tip once the tubes that it lies on are told',
    )
    expect([waiting.length, untold.lengthMm, untold.lacks]).toEqual(['?', null, 'the tubes that it lies on'])
    // Tips at the sides, where the inside of the wall, 12 from the middle, lies on a radius of 30.
    const [row, piece] = cut(60)
    expect(piece.lengthMm).toBeCloseTo(Math.hypot(641, 3) + 2 * (30 - Math.sqrt(30 ** 2 - 12 ** 2)), 9)
    expect([row.length, row.ends]).toEqual([
      '646.0 mm',
      'coped square on 60.0 mm, from tip to tip; 641.0 mm between the faces',
    ])
    expect(complaints({ ...COPED, railOuterMm: 28 })).toBe('railOuterMm')
  })
})

describe('flats on each other', () => {
  it('bear twice as much lying loose, four times joined all round, and stand as high as both', () => {
    const one = { id: 'new', kind: 'straight', widthMm: 80, heightMm: 10, yieldMPa: 235 }
    const [single, loose, joined] = [undefined, 'loose', 'joined'].map((doubled) =>
      figuresOf({ ...one, ...(doubled && { doubled }) }),
    )
    expect(single!.sharePercent! / loose!.sharePercent!).toBeCloseTo(2, 9)
    expect(single!.sharePercent! / joined!.sharePercent!).toBeCloseTo(4, 9)
    expect(single!.sagMm! / joined!.sagMm!).toBeCloseTo(8, 9)
    expect(single!.lowestMm! - joined!.lowestMm!).toBe(10)
    expect(stockName({ ...one, doubled: 'joined' } as never)).toBe('80 × 10 flat, two joined all round')
  })
})

describe('an old bar', () => {
  it('is moved by plates to where the gearbox stands, and they bear it', () => {
    const told = figuresOf(OLD)
    expect(told).toMatchObject({
      plateForwardMm: 25,
      plateInLeftMm: 16,
      plateInRightMm: 15,
      plateUpLeftMm: 12,
      plateUpRightMm: 15,
      blankMm: 85,
    })
    // Its own seat stands 25 behind its bolts, which a flat does not bear; bending 2000 · 300 · 310 / 610 over 60 · 12² / 6.
    const bar = (2000 * 300 * 310) / 610 / (60 * 24)
    const plate = (((2000 * 310) / 610) * 25 * 6) / (90 * 100)
    expect(told.sharePercent).toBeCloseTo((100 * Math.max(bar, plate)) / 235, 6)
    const thin = figuresOf({ ...OLD, plateMm: 2 })
    expect(thin.sharePercent).toBeCloseTo((100 * plate * (100 / 4)) / 235, 6)
    const { member, way } = foundIn(bayWith(OLD))
    const { units } = changedBay(() => {})
    expect(wayRows(member, units).at(-1)!.work).toBe(
      'plates: 25.0 mm forward; left end 12.0 mm up, 16.0 mm inward; right end 15.0 mm up, 15.0 mm inward',
    )
    expect(cutRows(way, member.member, units)).toEqual([
      { piece: 'plate, left', from: '90 × 10 flat', length: '85.0 mm', ends: 'square' },
      { piece: 'plate, right', from: '90 × 10 flat', length: '85.0 mm', ends: 'square' },
    ])
  })

  it('is cut as two plates, as wide as what lies on a rail', () => {
    const build = bayWith(OLD, { chosen: 'new' })
    const { member, way } = foundIn(build)
    const template = memberTemplate(member.member, way.way, figuresOf(OLD).blankMm!, [])
    expect(template.marks[0]).toMatchObject({ points: [[0, 0], [85, 0], [85, 90], expect.anything()] })
    const [bar] = steppedWorks(build, evaluateBuild(build, {}))
    expect(bar!.steps[0]).toEqual({ name: 'cut two plates', figure: '85.0 mm', note: 'of 90 × 10 flat' })
  })

  it('asks for what was not measured on the bench', () => {
    const { figures } = foundIn(bayWith({ ...OLD, old: { leftMm: 300 } })).way
    expect(!figures.known && figures.missing[0]!.what).toContain('the old bar')
  })
})

describe('what a way has to say', () => {
  it('is asked for by its kind, and refused where it cannot be', () => {
    expect(complaints({ ...ROUND, midlineRadiusMm: undefined })).toBe('midlineRadiusMm')
    expect(complaints({ ...ROUND, midlineRadiusMm: 15 })).toBe('midlineRadiusMm')
    expect(complaints({ ...COPED, wallMm: 15 })).toBe('wallMm')
    expect(complaints({ ...OLD, plateMm: undefined })).toBe('plateMm')
    expect(complaints({ ...OLD, widthMm: undefined })).toBe('widthMm')
    expect(complaints({ ...COPED, doubled: 'loose' })).toBe('doubled')
    expect(complaints({ ...OLD, old: undefined })).toBe('')
  })
})

describe('bends in the order of the press', () => {
  const PRESS = { dieMm: 60, blockMm: 120, ramMm: 40 }
  const bent = (press: object) =>
    foundIn(
      bayWith({
        ...{ id: 'new', kind: 'bent', widthMm: 80, heightMm: 10, insideRadiusMm: 12 },
        ...{ kFactor: 0.4, yieldMPa: 355, press },
      }),
    ).way

  it('takes a bar of four bends with one turning over', () => {
    const press = pressOf(bent(PRESS))!
    if (!press.known || !press.value.isPossible) throw new Error(JSON.stringify(press))
    expect(press.value.steps.map(({ bend }) => bend).toSorted()).toEqual([0, 1, 2, 3])
    expect(press.value.steps.filter(({ isTurnedOver }) => isTurnedOver)).toHaveLength(1)
    expect(cornerRows(bent(PRESS)).filter((row) => row.startsWith('turn it over'))).toHaveLength(1)
    const told = pressOf(bent({ dieMm: 60 }))!
    expect(!told.known && told.missing[0]!.what).toContain('the press')
  })

  it('says which bend cannot be reached: too little straight, the die block, the ram', () => {
    // Ends of 90 over a die of 200.
    expect(pressRefusals(bent({ ...PRESS, dieMm: 200 }))[0]).toBe(
      'bend 1 cannot be pressed once 2 of them are bent: less than half the die is straight beside it',
    )
    // A trough 60 wide: its first wall stands 14 from the middle of a ram at the end of the second bend, a high one goes through it.
    const trough = (wall: number) => [
      { atMm: wall, turnDeg: 90 },
      { atMm: wall + 60, turnDeg: 90 },
    ]
    const pressed = (wall: number, ramMm: number) =>
      pressOrder(2 * wall + 60, 5, trough(wall), { dieMm: 50, blockMm: 60, ramMm })
    expect(pressed(40, 26).isPossible).toBe(true)
    expect(pressed(40, 32)).toMatchObject({ isPossible: false, left: [{ hit: 'ram' }] })
    expect(pressed(100, 26)).toMatchObject({ isPossible: false, left: [{ hit: 'ram' }] })
    // A joggle of 40: the leg bent down first hangs into a block of 200, and reaches past one of 60.
    const joggle = [
      { atMm: 200, turnDeg: 45 },
      { atMm: 240, turnDeg: -45 },
    ]
    const low = pressOrder(440, 5, joggle, { dieMm: 40, blockMm: 200, ramMm: 20 })
    expect(low).toMatchObject({ isPossible: false, done: [{}], left: [{ hit: 'block' }] })
    expect(pressOrder(440, 5, joggle, { dieMm: 40, blockMm: 60, ramMm: 20 }).isPossible).toBe(true)
  })
})

describe('rails that lean', () => {
  it('make a compound wedge by their normals, its thick end where the gap is widest', () => {
    const lean = wedgeOf({ acrossDeg: 2, alongDeg: 3 }, { acrossDeg: 0, alongDeg: 0 }, [80, 90], true)
    const [across, along] = [Math.tan((2 * Math.PI) / 180), Math.tan((3 * Math.PI) / 180)]
    expect(lean.angleDeg).toBeCloseTo((Math.atan(Math.hypot(across, along)) * 180) / Math.PI, 9)
    expect(lean.thickMm).toBeCloseTo(80 * along + 90 * across, 9)
    expect(lean).toMatchObject({ isThickForward: true, isThickLeft: true, cure: 'wedge' })
    const over = wedgeOf({ acrossDeg: 0.5, alongDeg: -0.5 }, { acrossDeg: 0, alongDeg: 0 }, [80, 90], false)
    expect(over).toMatchObject({ isThickForward: true, isThickLeft: false, cure: 'nothing' })
    const same = { acrossDeg: 2, alongDeg: -1 }
    expect(wedgeOf(same, same, [80, 90], true)).toMatchObject({ angleDeg: 0, thickMm: 0 })
  })

  it('are told beside the way it is made, and in the published result', () => {
    const leans = { left: { acrossDeg: 1, alongDeg: 0 }, right: { acrossDeg: 0.5 } }
    const build = changedBay((raw) => Object.assign(raw.crossmembers[0], { leans }))
    const [member] = foundOf(evaluateBuild(build, {}).subjects, MEMBERS)
    const words = railWedges(member!.member, member!.ways[1]!).map((one) => wedgeWords(one, build.units))
    expect(words).toEqual([
      'left rail: 1.00° off the bar, 1.6 mm at its thick corner, rearward and left: a fillet’s leg grows by the gap, or file the pad',
      'right rail: how the right rail leans across and along',
    ])
    // A straight bar falls with its rails: 3 over 641 up to the left.
    const [straight] = railWedges(member!.member, member!.ways[2]!)
    expect(straight!.wedge.known && straight!.wedge.value.angleDeg).toBeCloseTo(
      1 - (Math.atan2(3, 641) * 180) / Math.PI,
      9,
    )
    const { crossmembers } = resultJson(build) as any
    expect(crossmembers[0].ways[1].wedges).toEqual([
      expect.objectContaining({ side: 'left', thickMm: expect.closeTo(90 * Math.tan(Math.PI / 180), 9) }),
    ])
  })
})

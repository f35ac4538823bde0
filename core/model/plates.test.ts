import bay from '../../demo/sedge-wagon.lurvan.json'
import { parseBuild } from '../file/open/parseBuild'
import { changedBay } from '../testdata/bay'
import { fitSentence, hourText, patternSentence, spacerRows, tapeRows } from '../show/text/plateText'
import { plateOutline } from '../making/plates/plateOutline'
import { plateTemplate } from '../making/templates/plateTemplate'
import { plateScene } from '../drawing/plateScene'
import { resultJson } from '../show/result/resultJson'
import { evaluateBuild } from './evaluateBuild'
import { PLATES } from './plateSubject'
import { foundOf } from './subject'

const found = (edit: (plate: any) => void = () => undefined) => {
  const build = changedBay((raw) => edit(raw.plates[0]))
  return { build, ...foundOf(evaluateBuild(build, {}).subjects, PLATES)[0]! }
}
const refused = (edit: (plate: any) => void) => {
  const raw = structuredClone(bay) as any
  edit(raw.plates[0])
  const parsed = parseBuild(raw)
  return parsed.ok ? 'let in' : parsed.problems.map(({ path }) => path).join(' ')
}

describe('a plate of a build', () => {
  it('says which hole to open by how much toward where, and is tight until that is done', () => {
    const { plate, answer, check } = found()
    expect(fitSentence(plate, answer)).toBe(
      'Open hole C by 0.6 mm toward 10 o’clock, seen from the front; all others stay as they are.',
    )
    expect([check.verdict, check.value]).toEqual(['tight', expect.closeTo(0.309, 2)])
    const back = found((raw) => (raw.seenFrom = 'back'))
    expect(fitSentence(back.plate, back.answer)).toContain('toward 2 o’clock, seen from the back')
    const large = found((raw) => (raw.holes[2].holeMm = 11))
    expect(fitSentence(large.plate, large.answer)).toMatch(
      /^It fits: the worst hole has 0\.\d\d mm of its play left\.$/,
    )
    expect(large.check.verdict).toBe('holds')
    const twisted = found((raw) => (raw.plate.third = 'left'))
    expect(twisted.check.verdict).toBe('out')
    expect(fitSentence(twisted.plate, twisted.answer)).toContain('Measure again, or drill it anew')
  })

  it('names the tape that lies, by what the others say', () => {
    const { plate, answer } = found((raw) => (raw.bosses.tapes[4].mm += 6))
    expect(patternSentence(answer.bosses)).toMatch(
      / Read B – C again: without it the others agree to 0\.\d\d mm\.$/,
    )
    const rows = tapeRows(plate.bosses!, answer.bosses)
    expect(rows.filter(({ isSuspect }) => isSuspect).map(({ tape }) => tape)).toEqual(['B – C'])
    expect(Number(rows[4]!.alone.slice(1, -3))).toBeCloseTo(6, 0)
    const few = found((raw) => raw.bosses.tapes.splice(7))
    expect(patternSentence(few.answer.bosses)).toContain('Just enough tapes: nothing checks them.')
    const none = found((raw) => raw.bosses.tapes.splice(5))
    expect(none.check.missing.map(({ what }) => what)).toEqual([
      'distances: 5 holes need at least 7, there are 5',
    ])
  })

  it('takes places instead of tapes, and waits for what is not there', () => {
    const spots: readonly (readonly [number, number])[] = [
      [0, 0],
      [230, 0],
      [200, -150],
      [90, -160],
      [0, -110],
    ]
    const { answer, check } = found((raw) => {
      delete raw.plate
      delete raw.bosses
      raw.holes.forEach((hole: any, k: number) => {
        const [xMm, yMm] = spots[k]!
        hole.at = { xMm, yMm }
        hole.boss = { xMm: xMm + 40, yMm: yMm - 7 }
      })
    })
    expect(check.verdict).toBe('holds')
    expect(answer.fit.known && answer.fit.value.missMm).toBeCloseTo(-0.5, 6)
    const bare = found((raw) => delete raw.plate)
    expect(bare.check.verdict).toBe('unknown')
    expect(bare.check.missing[0]!.what).toBe('hole A of the plate: tapes, a card or a place')
  })

  it('goes by a card instead: its photograph scaled by two marks, seen from either side, with its metal as traced', () => {
    // Half a millimetre a pixel, up to down; the crosses lie along no edge of the picture.
    const px = ([x, y]: readonly [number, number]) => ({ x: 400 + 2 * x, y: 300 - 2 * y })
    const holes: readonly (readonly [number, number])[] = [
      [0, 0],
      [230, 0],
      [200, -150],
      [90, -160],
      [0, -110],
    ]
    const metal: readonly (readonly [number, number])[] = [
      [-30, 30],
      [260, 30],
      [260, -190],
      [-30, -190],
    ]
    const carded = (edit: (card: any) => void = () => undefined) =>
      found((raw) => {
        const card: any = {
          photo: 'card',
          first: px([-20, 20]),
          second: px([280, -380]),
          apartMm: 500,
          marks: holes.map((at, k) => ({ hole: 'ABCDE'[k], at: px(at) })),
          outline: metal.map(px),
        }
        edit(card)
        raw.plate = { tapes: [], third: 'left', card }
      })
    const { plate, answer } = carded()
    if (!answer.plate.known) throw new Error('all of it is marked')
    const { places, traced } = answer.plate.value
    // From the first cross, 20 to the left of hole A and 20 above it.
    expect(places.get('C')).toEqual([expect.closeTo(220, 9), expect.closeTo(-170, 9)])
    expect(traced![1]).toEqual([expect.closeTo(280, 9), expect.closeTo(10, 9)])
    expect(plateTemplate(plate, answer.plate.value).size).toEqual([
      expect.closeTo(290, 9),
      expect.closeTo(220, 9),
    ])
    const back = carded((card) => (card.isBack = true)).answer.plate
    expect(back.known && back.value.places.get('C')).toEqual([
      expect.closeTo(-220, 9),
      expect.closeTo(-170, 9),
    ])
    const lacks = (edit: (card: any) => void) => {
      const { plate: face } = carded(edit).answer
      return face.known ? [] : face.missing.map(({ what }) => what)
    }
    expect(lacks((card) => delete card.apartMm)).toEqual([
      'how far the marks on the card of the plate are apart',
    ])
    expect(lacks((card) => delete card.second)).toEqual(['two marks on the card of the plate'])
    expect(lacks((card) => card.marks.pop())).toEqual(['hole E on the card of the plate'])
    expect(lacks((card) => (card.second = card.first))[0]).toContain('lie on each other')
    expect(
      refused((raw) => (raw.plate.card = { photo: 'p', marks: [{ hole: 'Z', at: { x: 1, y: 1 } }] })),
    ).toBe('plates[0].plate.card.marks[0].hole')
  })

  it('has a spacer for each boss, an outline round its holes, and a mirror image', () => {
    const { plate, answer, build } = found()
    expect(spacerRows(plate, answer).map(({ spacer }) => spacer)).toEqual([
      '4.20 mm',
      '2.00 mm',
      '2.60 mm',
      '3.10 mm',
      '4.00 mm',
    ])
    if (!answer.plate.known) throw new Error('it was taped')
    const { places } = answer.plate.value
    for (const [x, y] of plateOutline(plate, { places, traced: null })) {
      const near = Math.min(...[...places.values()].map(([hx, hy]) => Math.hypot(x - hx, y - hy)))
      expect(near).toBeCloseTo(4.5 + 12, 6)
    }
    const circles = (isMirrored: boolean) =>
      plateTemplate(plate, { places, traced: null }, isMirrored).marks.flatMap((mark) =>
        mark.form === 'circle' ? [mark.at] : [],
      )
    const [out, back] = [circles(false), circles(true)]
    const [width] = plateTemplate(plate, { places, traced: null }).size
    out.forEach(([x, y], k) => expect(back[k]).toEqual([expect.closeTo(width - x, 6), expect.closeTo(y, 6)]))
    const thick = plateTemplate({ ...plate, thicknessMm: 12 }, { places, traced: null })
    expect(thick.marks.filter(({ form }) => form === 'circle').map(({ layer }) => layer)).toEqual(
      Array(5).fill('scribe'),
    )
    const scene = plateScene(plate, answer, 600)!
    expect(scene.holes.filter(({ opens }) => opens).map(({ id }) => id)).toEqual(['C'])
    const { plates } = resultJson(build) as unknown as { readonly plates: readonly any[] }
    expect(plates[0]).toMatchObject({ verdict: 'open', spacersMm: { A: expect.closeTo(4.2, 9) } })
    expect(plates[0].open).toEqual([expect.objectContaining({ id: 'C', hour: expect.closeTo(9.8, 0) })])
  })

  it('is refused where it cannot be', () => {
    expect(refused((plate) => (plate.holes[1].id = 'A'))).toContain('plates[0].holes[1].id')
    expect(refused((plate) => (plate.holes[1].holeMm = 7))).toBe('plates[0].holes[1].holeMm')
    expect(refused((plate) => (plate.plate.tapes[0].a = 'Z'))).toBe('plates[0].plate.tapes[0].a')
    expect(refused((plate) => (plate.plate.tapes[0].b = 'A'))).toBe('plates[0].plate.tapes[0].b')
    expect(refused((plate) => (plate.plate.tapes[0].over = 'under'))).toBe('plates[0].plate.tapes[0].over')
    expect(refused((plate) => (plate.holes = plate.holes.slice(0, 2)))).toContain('plates[0].holes')
  })

  it('is told by a clock', () => {
    expect([0, 3, 11.8, 6.4, 9.25].map(hourText)).toEqual([
      '12 o’clock',
      '3 o’clock',
      '12 o’clock',
      'half past 6',
      'half past 9',
    ])
  })
})

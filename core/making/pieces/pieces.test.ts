import { changedBay } from '../../testdata/bay'
import { parseBuild } from '../../file/open/parseBuild'
import type { Piece } from '../../file/kinds/pieceKinds'
import { pieceSentences } from '../../show/text/pieceText'
import { resultJson } from '../../show/result/resultJson'
import { pieceTemplate } from '../templates/pieceTemplate'
import { pieceAnswer } from './pieceAnswer'
import { tabStress } from './tab'

const GUIDE = {
  ...{ id: 'g', name: 'guide', kind: 'guide', longMm: 60, wideMm: 40, highMm: 30, holeMm: 10, inMm: 18 },
} as const satisfies Piece
const TAB = { loadN: 1500, offMm: 40, wideMm: 50, thickMm: 6, yieldMPa: 235 }
const GUSSET = {
  ...{ id: 't', name: 'gusset', kind: 'gusset', longMm: 60, wideMm: 40, highMm: 5, noseMm: 10, snipMm: 8 },
  tab: TAB,
} as const satisfies Piece
const { units } = changedBay()
const outlineOf = (piece: Piece) => {
  const [mark] = pieceTemplate(piece).marks
  return mark!.form === 'outline' ? mark!.points : []
}

describe('a drill guide', () => {
  it('lets its drill wander by play, depth and height', () => {
    const answer = pieceAnswer({ ...GUIDE, playMm: 0.2, throughMm: 90 })
    expect(answer.wanderMm).toBeCloseTo((0.2 * 90) / 30, 12)
    expect(pieceSentences(answer, GUIDE, units)).toEqual([
      'The drill may come out 0.6 mm off: pilot, look, then full size.',
    ])
    expect(pieceAnswer(GUIDE)).toEqual({ wanderMm: null, tab: null })
    const circle = pieceTemplate(GUIDE).marks.find(({ form }) => form === 'circle')
    expect(circle).toMatchObject({ layer: 'drill', at: [30, 18], radius: 5 })
  })
})

describe('a gusset', () => {
  it('has blunt ends and its inner corner cut off; a sharp one keeps three corners', () => {
    expect(outlineOf(GUSSET)).toEqual([
      [8, 0],
      [60, 0],
      [60, 10],
      [10, 40],
      [0, 40],
      [0, 8],
    ])
    expect(outlineOf({ ...GUSSET, noseMm: 0, snipMm: 0 })).toEqual([
      [60, 0],
      [0, 40],
      [0, 0],
    ])
  })

  it('stiffens its tab as a T section; the weld all round is told as lines', () => {
    const told = tabStress(TAB, { highMm: 40, thickMm: 5 })
    // 6 · 1500 · 40 / (36 · 50).
    expect(told.bare).toBeCloseTo(200, 9)
    // Flat 50 × 6 on a web 5 × 40: middle (300 · 43 + 200 · 20)/500, 33.8 up.
    const inertia = (50 * 216 + 5 * 64000) / 12 + 300 * 9.2 ** 2 + 200 * 13.8 ** 2
    expect(told.withGusset).toBeCloseTo((60000 * 33.8) / inertia, 9)
    const line = Math.hypot(1500 / 112, 60000 / (50 * 6 + 12))
    expect(told.throatMm).toBeCloseTo(line / 45, 9)
    expect(told.mostThroatMm).toBeCloseTo(4.2, 12)
    expect(tabStress(TAB).withGusset).toBeNull()
    expect(() => tabStress({ ...TAB, offMm: 0 })).toThrow('above 0')
    expect(pieceSentences(pieceAnswer(GUSSET), GUSSET, units)).toEqual([
      'The tab alone bears 200 N/mm², 85 % of yield at its root, with the gusset 22 N/mm², 9 % of yield.',
      'Welded all round it takes a throat of 4.3 mm, more than its metal bears (4.2 mm): a thicker tab, or more of it.',
    ])
    const untold = pieceAnswer({ ...GUSSET, tab: undefined }).tab
    expect(untold!.known === false && untold!.missing[0]!.what).toContain('the tab over it')
  })
})

describe('small parts of a build', () => {
  const read = (piece: object) => {
    const raw: any = structuredClone(changedBay())
    raw.pieces = [piece]
    const parsed = parseBuild(raw)
    return parsed.ok ? '' : parsed.problems.map(({ path }) => path).join(' ')
  }

  it('are refused where they cannot be, and stand in the published result', () => {
    expect(read(GUIDE)).toBe('')
    expect(read({ ...GUIDE, inMm: 4 })).toBe('pieces[0].inMm')
    expect(read({ ...GUIDE, holeMm: undefined })).toContain('pieces[0].holeMm')
    expect(read({ ...GUSSET, snipMm: 45 })).toBe('pieces[0].noseMm')
    const saw = { id: 's', name: 'saw', kind: 'saw', longMm: 50, wideMm: 60, highMm: 40, angleDeg: 30 }
    expect(read(saw)).toBe('')
    expect(read({ ...saw, angleDeg: 45 })).toBe('pieces[0].angleDeg')
    expect(outlineOf(saw as Piece)[2]![0]).toBeCloseTo(50 - 60 * Math.tan(Math.PI / 6), 9)
    const told = resultJson(changedBay((raw) => (raw.pieces = [GUSSET]))) as any
    expect(told.pieces[0].tab.value.bare).toBeCloseTo(200, 9)
  })
})

import { demoBuild } from '../../testdata/demos'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { without } from '../../testdata/without'
import { cutPieces, type Piece } from './cutPieces'
import { cutPlan } from './cutPlan'
import { kgPerM, sectionKey } from './section'

const build = demoBuild('sedge-wagon')
const now = evaluateBuild(build, chosenSettings(build))
const pieces = cutPieces(build, now)
const plan = (all = pieces, bars = build.bars!, cutting = build.cutting) => cutPlan(all, bars, cutting)
const piece = (id: string, lengthMm: number | null, more: Partial<Piece> = {}): Piece => ({
  ...{ id, name: `piece ${id}`, section: 'flat', widthMm: 40, heightMm: 5, lengthMm, count: 1 },
  ...{ role: 'own', of: null },
  ...more,
})
const flat = { section: 'flat', widthMm: 40, heightMm: 5 } as const

describe('what is cut from which bar', () => {
  it('is all that is not cut yet, by its section, the remnant first', () => {
    const { sections, waiting } = plan()
    expect(waiting).toEqual([])
    expect(sections.map(({ key }) => key)).toEqual(['box/40/40/3', 'round/38/3'])
    const [box] = sections.map((one) => (one.plan.known ? one.plan.value : null))
    // 746.7 and two of 700 do not go from one bar of 2000: one leg from the remnant, 24 in all.
    expect(box!.cost).toBe(24)
    const told = box!.bars.map(({ bar, pieces: all }) => [bar.id, all.map(({ piece: one }) => one.id)])
    expect(Object.fromEntries(told)).toEqual({
      'box-rest': ['step-legs'],
      'box-40': ['gearbox-bar', 'step-legs'],
    })
    const bar = pieces.find(({ id }) => id === 'gearbox-bar')!.lengthMm!
    const long = box!.bars.find(({ bar: one }) => one.id === 'box-40')!
    // Trimmed by 5, a cut of 2.5 between.
    expect(long.pieces.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual([
      [5, 5 + bar],
      [7.5 + bar, 707.5 + bar],
    ])
    expect(long.restMm).toBeCloseTo(2000 - 707.5 - bar - 2.5, 9)
    // 0.0314 · 3 · 37 kg a metre of 2 · 0.7 m and the bar.
    expect(box!.massKg).toBeCloseTo((0.0314 * 3 * 37 * (1400 + bar)) / 1000, 9)
  })

  it('forgets what is cut, and waits for what is not known', () => {
    const cut = {
      ...build,
      crossmembers: build.crossmembers!.map((one) => ({ ...one, state: 'cut' as const })),
    }
    const after = evaluateBuild(cut, chosenSettings(cut))
    expect(cutPieces(cut, after).map(({ id }) => id)).not.toContain('gearbox-bar')
    const { waiting, sections } = plan([piece('a', null), piece('b', 100, { widthMm: undefined })])
    expect(waiting.map(({ missing }) => missing[0]!.what)).toEqual(['its length', 'all sizes of its section'])
    expect(sections).toEqual([])
  })

  it('says which bar is missing, and of what it does not do', () => {
    const missing = (...asked: Parameters<typeof plan>) => {
      const [one] = plan(...asked).sections
      return one!.plan.known ? null : one!.plan.missing[0]!.what
    }
    const bar = { id: 'x', name: 'x', ...flat, lengthMm: 500 }
    expect(missing([piece('a', 100)], [])).toBe('a bar of this section')
    expect(cutPlan([piece('a', 100)], [bar], undefined).sections[0]!.plan).toMatchObject({
      missing: [{ what: 'how wide a cut is' }],
    })
    expect(missing([piece('a', 600)], [bar])).toBe('bars that do: piece a is longer than every bar')
    expect(missing([piece('a', 400, { count: 3 })], [{ ...bar, count: 2 }])).toContain(
      'do not do for all pieces',
    )
    expect(missing([piece('a', 400)], [bar])).toBeNull()
  })

  it('cuts two of a bar that is laid double, both plates of an old bar, both ledges', () => {
    const [member] = build.crossmembers!
    const kinds = (kind: string, more: object = {}) => {
      const way = {
        ...without(member!.ways[0]!, 'doubled'),
        id: 'way',
        kind,
        heightMm: 8,
        widthMm: 60,
        ...more,
      }
      const one = {
        ...build,
        crossmembers: [{ ...member!, ways: [way], chosen: 'way' }],
        copedTubes: [],
        cutPieces: [],
      }
      return cutPieces(one as never, evaluateBuild(one as never, chosenSettings(one as never))).map(
        ({ role, count, section }) => [role, count, section],
      )
    }
    expect(kinds('straight', { doubled: 'loose' })).toEqual([['bar', 2, 'flat']])
    expect(kinds('ledges')).toEqual([
      ['bar', 1, 'flat'],
      ['ledge', 2, 'flat'],
    ])
    expect(kinds('old', { plateMm: 10 })).toEqual([['plate', 2, 'flat']])
    expect(kinds('coped', { wallMm: 3 })).toEqual([['bar', 1, 'round']])
  })
})

describe('sections', () => {
  it('weigh by what they are of, and are one by their sizes', () => {
    expect(kgPerM({ section: 'flat', widthMm: 60, heightMm: 8 })).toBeCloseTo(3.768, 9)
    expect(kgPerM({ section: 'box', widthMm: 60, heightMm: 40, wallMm: 3 })).toBeCloseTo(0.0314 * 3 * 47, 9)
    expect(kgPerM({ section: 'round', heightMm: 38, wallMm: 3 })).toBeCloseTo(0.02466 * 3 * 35, 9)
    const key = (wallMm: number) => sectionKey({ section: 'round', heightMm: 38, wallMm })
    expect(key(3)).toEqual(key(3.001))
    expect(key(3)).not.toEqual(key(2.9))
  })
})

import { cableBuild, type ToldCable } from '../../testdata/cableBuild'
import { bulkheadScene } from '../../drawing/bulkheadScene'
import { cableScene } from '../../drawing/cableScene'
import { bulkheadTemplate } from '../../making/templates/bulkheadTemplate'
import { cableBand } from '../../model/cableBand'
import { CABLES } from '../../model/cableSubject'
import { evaluateBuild } from '../../model/evaluateBuild'
import { foundOf } from '../../model/subject'
import { cableRows, cableSentence, holeSentence } from './cableText'

const TOLD: ToldCable = {
  points: [
    [-700, 0, 0],
    [0, 0, 0],
    [0, 500, 0],
  ],
  radiusMm: 200,
  more: { playMm: 0.5 },
}
const of = (told: ToldCable) => {
  const build = cableBuild(told)
  return { build, one: foundOf(evaluateBuild(build, {}).subjects, CABLES)[0]! }
}
const said = (more: object, told = TOLD) => {
  const { build, one } = of({ ...told, more: { ...TOLD.more, ...more } })
  return cableSentence(one, build.units)
}

describe('a cable in words', () => {
  it('says what to order, what is left, and what is wrong', () => {
    // 1200 less 85.84 at the corner.
    expect(said({})).toBe('Order it 1114.2 mm long between its outer fixings.')
    expect(said({ rockMm: 8 })).toBe(
      'Order it 1122.2 mm long between its outer fixings, 8.0 mm of it loose for the rock of the engine.',
    )
    expect(said({ lengthMm: 1120, adjustMm: 10 })).toBe(
      'Its way takes 1114.2 mm; with 1120.0 mm the adjuster has 4.2 mm left.',
    )
    expect(said({ lengthMm: 1100, adjustMm: 10 })).toBe(
      'It is 4.2 mm too short, beyond what its adjuster gives: its way takes 1114.2 mm.',
    )
    // √(3·700·35.84/8) is 97.
    expect(said({ lengthMm: 1150, adjustMm: 10 })).toMatch(
      /^It is 25\.8 mm too long, beyond what its adjuster takes up: in its longest straight of 700\.0 mm it bows out 9[78]\.\d mm\.$/,
    )
    expect(said({}, { ...TOLD, radiusMm: 520 })).toBe(
      'Its bends do not fit beside each other: 20.0 mm are missing between two. Bend it tighter or move a corner.',
    )
    expect(
      said(
        {},
        {
          ...TOLD,
          points: [
            [-700, 0, 0],
            [0, 0, 0],
            [-300, 0, 0],
          ],
        },
      ),
    ).toBe('shift cable: its way doubles back on itself, so that it cannot be laid.')
  })

  it('has a row for every figure, with its verdict and its place in the result', () => {
    const { build, one } = of({ ...TOLD, hot: [{ at: [-300, -90, 0], gapMm: 100 }] })
    expect(
      cableRows(one, 0, build).map(({ name, value, verdict, place }) => [name, value, verdict, place]),
    ).toEqual([
      ['Between the fixings, as it is laid', '1114.2 mm', null, 'cables[0].cableMm'],
      ['A string round its corners would read', '1200.0 mm', null, 'cables[0].stringMm'],
      ['Bends in all', '90°', null, 'cables[0].turnDeg'],
      ['Shortest straight between two bends', '300.0 mm', 'holds', 'cables[0].straightMm'],
      ['Loose for the rock of the engine', '0.0 mm', null, 'cables[0].looseMm'],
      ['Effort that comes through', '79 %', null, 'cables[0].passes'],
      ['Lost at each reversal', '0.8 mm', null, 'cables[0].lostMm'],
      ['Tightest bend', '200.0 mm', 'holds', null],
      ['To cable point 4, of 100.0 mm wanted', '90.0 mm', 'out', 'cables[0].hot[0].toMm'],
    ])
  })
})

describe('a bulkhead', () => {
  const PASSED: ToldCable = {
    ...{
      points: [
        [-700, 150, 0],
        [-350, 150, 0],
      ],
      behind: [
        [380, 60, -150],
        [700, 60, -150],
      ],
      radiusMm: 110,
    },
    bulkhead: { mark: [0, 0, 200], faces: 'forward', leftMm: -40, upMm: 30, stubMm: 60 },
    more: { lengthMm: 1622, adjustMm: 14 },
  }

  it('is drawn from the driver’s side: left at the left, the band where it is, a px told back as its place', () => {
    const { one } = of(PASSED)
    const scene = bulkheadScene(one, [one], cableBand(one), 800)!
    const [hole] = scene.holes
    // 40 right of the mark and 30 above it.
    expect(hole!.at[0] - scene.mark[0]).toBeCloseTo(40 * scene.pxPerMm, 6)
    expect(scene.mark[1] - hole!.at[1]).toBeCloseTo(30 * scene.pxPerMm, 6)
    expect(scene.placeAt(hole!.at)).toEqual({ leftMm: expect.closeTo(-40, 6), upMm: expect.closeTo(30, 6) })
    const best = cableBand(one)!.best!
    const [x, y] = [scene.mark[0] - best.leftMm * scene.pxPerMm, scene.mark[1] - best.upMm * scene.pxPerMm]
    const isIn = (piece: readonly (readonly [number, number])[]) =>
      Math.min(...piece.map((at) => at[0])) <= x &&
      Math.max(...piece.map((at) => at[0])) >= x &&
      Math.min(...piece.map((at) => at[1])) <= y + 1e-6 &&
      Math.max(...piece.map((at) => at[1])) >= y - 1e-6
    expect(scene.band.some(isIn)).toBe(true)
    expect(of(TOLD).one && bulkheadScene(of(TOLD).one, [], null, 800)).toBeNull()
  })

  it('turns round with the way a cable passes it: from behind, left is at the right', () => {
    const back = of({ ...PASSED, bulkhead: { ...PASSED.bulkhead!, faces: 'back' } }).one
    const scene = bulkheadScene(back, [back], null, 800)!
    expect(scene.holes[0]!.at[0]).toBeLessThan(scene.mark[0])
  })

  it('tells its hole from the mark, in words and on a template of its true size', () => {
    const { build, one } = of({ ...PASSED, more: { ...PASSED.more } })
    expect(holeSentence(one, cableBand(one), build)).toMatch(
      /^Its hole is 40\.0 mm right of and 30\.0 mm above cable point 5; the nearest place .* is \d+\.\d mm (left|right) of and \d+\.\d mm (above|below) it, \d+\.\d mm away\.$/,
    )
    expect(holeSentence(one, { rows: [], rowMm: 1, best: null }, build)).toMatch(
      /^A cable of this length reaches nowhere/,
    )
    const template = bulkheadTemplate(build.bulkheads![0]!, build.cables!, -1)
    const circles = template.marks.filter((mark) => mark.form === 'circle')
    const [hole, mark] = circles as [(typeof circles)[0], (typeof circles)[0]]
    expect([hole.at[0] - mark.at[0], hole.at[1] - mark.at[1]]).toEqual([40, 30])
  })

  it('is seen with its cables from two sides', () => {
    const { one } = of(PASSED)
    for (const view of ['side', 'above'] as const) {
      const scene = cableScene([one], 'cable', view, 700)!
      const [drawn] = scene.cables
      // Forward is to the left.
      expect(drawn!.ends[0][0]).toBeGreaterThan(drawn!.ends[1][0])
      expect(scene.sheets[0]!.name).toBe('bulkhead')
      for (const [x, y] of drawn!.path) expect(x >= 0 && x <= 700 && y >= 0 && y <= scene.height).toBe(true)
    }
  })
})

import cases from '../../testdata/cut-list.json'
import { sum } from '../../base/numbers'
import { without } from '../../testdata/without'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { cutList } from './cutList'
import { roundKgPerM, squareKgPerM } from './tubeMass'

describe('the cut list against independent cases', () => {
  const ordered = (input: any) => ({
    pieces: input.pieces.map(({ id, length_mm: lengthMm, count = 1 }: any) => ({ id, lengthMm, count })),
    bars: input.stock.map(({ id, length_mm: lengthMm, cost, count }: any) => ({
      id,
      lengthMm,
      cost,
      count: count ?? undefined,
    })),
    kerfMm: input.kerf_mm,
    trimMm: input.trim_mm,
  })
  const work = (input: any) => {
    const order = ordered(input)
    const { cost, bars, boundCost } = cutList(order)
    const metres = sum(order.pieces.map(({ lengthMm, count }: any) => (lengthMm * count) / 1000))
    const section = input.section
    return {
      cost,
      bars_least: bars.length,
      bound_cost: boundCost,
      ...(section && {
        mass_kg:
          metres *
          (section.od_mm === undefined
            ? squareKgPerM(section.side_mm, section.t_mm)
            : roundKgPerM(section.od_mm, section.t_mm)),
      }),
    }
  }
  const few = casesOf(cases).filter(([id]) => id !== 'bad_many')
  it.each(few)('%s', (_id, one) => {
    const want: any = without(one.expect, 'example_bars')
    expectCase(cases, { ...one, expect: want }, work)
    if (want.error) return
    // Every piece is cut, and no bar holds more than it has.
    const order = ordered(one.input)
    const { bars } = cutList(order)
    for (const { id, count } of order.pieces)
      expect(bars.flatMap(({ pieces }) => pieces).filter((piece) => piece === id)).toHaveLength(count)
    for (const { bar, pieces, restMm } of bars) {
      const lengths = pieces.map((id) => order.pieces.find((piece: any) => piece.id === id)!.lengthMm)
      const used = order.trimMm + sum(lengths) + (pieces.length - 1) * order.kerfMm
      const { lengthMm } = order.bars.find(({ id }: any) => id === bar)!
      expect(used).toBeLessThanOrEqual(lengthMm + 1e-9)
      expect(restMm).toBeCloseTo(Math.max(0, lengthMm - used - order.kerfMm), 9)
    }
  })

  it('cuts more than anybody looks through as well as it can, and says how well', () => {
    const lengths = Array.from({ length: 40 }, (_, k) => 210 + ((k * 397) % 1500))
    const order = {
      pieces: lengths.map((lengthMm, k) => ({ id: `p${k}`, lengthMm, count: 1 })),
      bars: [{ id: 'bar', lengthMm: 6000, cost: 60 }],
      ...{ kerfMm: 3, trimMm: 10 },
    }
    const found = cutList(order, 50)
    expect(found.cost).toBeGreaterThanOrEqual(found.boundCost)
    expect(found.bars.flatMap(({ pieces }) => pieces)).toHaveLength(40)
    expect(found.cost).toBeLessThanOrEqual(found.boundCost + 60)
    const many = cutList({ ...order, pieces: [{ id: 'p', lengthMm: 300, count: 17 }] })
    expect([many.cost, many.isProven]).toEqual([60, true])
  })
})

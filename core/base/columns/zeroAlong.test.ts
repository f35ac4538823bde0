import fc from 'fast-check'
import { newGraph, scalarStep, type Column } from './graph'
import { innerPart } from './innerPart'
import type { Kernel, Row } from './kernel'
import { newRun } from './run'
import { zeroKernel } from './zeroAlong'

/** A figure of one source and of others, as a step. */
const step = (of: (x: number, more: number) => number): Kernel => ({
  name: 'made up',
  page: 'chains',
  outputs: 1,
  run: (count, [x, more], [out]) => {
    for (let i: Row = 0; i < count; i++) out[i] = of(x[i], more[i])
  },
})

/** Where a figure of a source is nought along its range, with the source standing somewhere; another figure may be held. */
function zeroOf(
  of: (x: number, more: number) => number,
  range: readonly [number, number],
  stands = 0,
  more = 0,
) {
  const graph = newGraph()
  const [source, other] = [graph.source(stands), graph.source(more)]
  const figure = scalarStep(graph, step(of), [source, other])
  const part = innerPart(graph, source, [figure])
  const way = { part, range, wanted: [figure] }
  const [at, least] = graph.step(zeroKernel('made up', 'chains', way), [...part.given, source]) as Column[]
  return { graph, source, other, at: at!, least: least!, found: graph.at(at!), left: graph.at(least!) }
}

describe('where along a source a figure is nought', () => {
  it('is where it is just right, wherever that is in its range', () => {
    fc.assert(
      fc.property(fc.double({ min: -9.9, max: 19.9, noNaN: true }), (at) => {
        const { found, left } = zeroOf((x) => at - x, [-10, 20])
        expect(found).toBeCloseTo(at, 6)
        expect(left).toBeNaN()
      }),
      { seed: 20261129 },
    )
  })

  it('is found through a bent curve and at either end', () => {
    expect(zeroOf((x) => Math.exp(x / 10) - 2, [-10, 20]).found).toBeCloseTo(10 * Math.log(2), 6)
    expect(zeroOf((x) => 10 - x, [0, 10]).found).toBe(10)
    expect(zeroOf((x) => -x, [0, 10]).found).toBe(0)
  })

  it('is the nearest of several', () => {
    const waves = (x: number) => Math.cos((Math.PI * x) / 10)
    expect(zeroOf(waves, [-20, 20], 14).found).toBeCloseTo(15, 6)
    expect(zeroOf(waves, [-20, 20], -1).found).toBeCloseTo(-5, 6)
  })

  it('is nowhere beyond the range, and then the least that is left is told', () => {
    expect(zeroOf((x) => 30 - 2 * x, [0, 10])).toMatchObject({ found: NaN, left: 10 })
    expect(zeroOf((x) => -40 + 2 * x, [0, 10])).toMatchObject({ found: NaN, left: -20 })
    expect(zeroOf(() => NaN, [0, 10])).toMatchObject({ found: NaN, left: NaN })
  })

  it('is looked for only where there is an answer', () => {
    expect(zeroOf((x) => (x < 4 ? NaN : 7 - x), [0, 12]).found).toBeCloseTo(7, 6)
  })

  it('is each row’s own, whatever the others do, and follows what it rests on', () => {
    const { graph, source, other, at } = zeroOf((x, more) => x * x * x - more, [-3, 3])
    const run = newRun(graph, 40)
    const mores = run.fill(other)
    for (let i = 0; i < 40; i++) mores[i] = i - 20
    run.set(source, 0)
    run.bring([at], 40)
    const found = [...run.cells(at)]
    found.forEach((x, i) => expect(x).toBeCloseTo(Math.cbrt(i - 20), 5))
    run.bring([at], 40)
    expect([...run.cells(at)]).toEqual(found)
  })

  it('moves the source in the part alone: what is held stays as it stands', () => {
    const graph = newGraph()
    const source = graph.source(2)
    const doubled = scalarStep(
      graph,
      step((x) => 2 * x),
      [source, source],
    )
    const sum = scalarStep(
      graph,
      step((x, more) => x + more - 5),
      [source, doubled],
    )
    const part = innerPart(graph, source, [sum], [doubled])
    const [at] = graph.step(zeroKernel('made up', 'chains', { part, range: [-10, 10], wanted: [sum] }), [
      ...part.given,
      source,
    ]) as Column[]
    // 2·2 is held, so the sum is nought at 1 and not at 5/3.
    expect(graph.at(at!)).toBeCloseTo(1, 6)
    expect(graph.at(source)).toBe(2)
  })
})

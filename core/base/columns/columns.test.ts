import fc from 'fast-check'
import { newGraph, scalarStep, type Column } from './graph'
import { workedOnce, type Kernel, type Row } from './kernel'
import { borderOf, newRun, sourcesOf } from './run'
import { PLUS_TIMES, SIZE, TIMES } from './arithmetic'

/** A product that counts how often and on how many rows it is worked. */
function counted(): { kernel: Kernel; worked: number[] } {
  const worked: number[] = []
  const kernel: Kernel = {
    name: 'product',
    page: 'frame',
    outputs: 1,
    run: (count, [a, b], [product]) => {
      worked.push(count)
      for (let i: Row = 0; i < count; i++) product[i] = a[i] * b[i]
    },
  }
  return { kernel, worked }
}
const figure = fc.double({ min: -1e6, max: 1e6, noNaN: true })

describe('a graph', () => {
  it('knows every quantity at the figures it was put together with', () => {
    const graph = newGraph()
    const [a, b] = [graph.source(3), graph.source(-4)]
    const sum = scalarStep(graph, PLUS_TIMES, [a, b], [2])
    const size = scalarStep(graph, SIZE, [sum])
    expect([a, b, sum, size].map(graph.at)).toEqual([3, -4, -5, 5])
    expect(graph.maker(size)?.from).toEqual([sum])
    expect(graph.maker(a)).toBeNull()
    expect(sourcesOf(graph, [size])).toEqual(new Set([a, b]))
    expect(graph.at(99 as Column)).toBeNaN()
  })
})

describe('a run', () => {
  it('works each row as if it were alone, whatever is alike and whatever is not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(figure, figure), { minLength: 1, maxLength: 7 }),
        figure,
        (rows, alike) => {
          const graph = newGraph()
          const [a, b, c] = [graph.source(0), graph.source(0), graph.source(0)]
          const inner = scalarStep(graph, PLUS_TIMES, [a, c], [0.5])
          const outer = scalarStep(graph, PLUS_TIMES, [inner, b], [-3])
          const run = newRun(graph, rows.length)
          run.set(c, alike)
          rows.forEach(([x], i) => (run.fill(a)[i] = x))
          rows.forEach(([, y], i) => (run.fill(b)[i] = y))
          run.bring([outer], rows.length)
          const alone = rows.map(([x, y]) => workedOnce(PLUS_TIMES, [x + 0.5 * alike, y], [-3])[0])
          expect([...run.cells(outer)]).toEqual(alone)
        },
      ),
      { seed: 7, numRuns: 100 },
    )
  })

  it('repeats only what hangs on what has changed, and once where all rows are alike', () => {
    const graph = newGraph()
    const [tail, wedge, read] = [graph.source(1), graph.source(2), graph.source(5)]
    const [first, second] = [counted(), counted()]
    const moved = scalarStep(graph, first.kernel, [tail, read])
    const turned = scalarStep(graph, second.kernel, [wedge, read])
    first.worked.length = second.worked.length = 0
    const [wanted, sources] = [
      [moved, turned],
      [tail, wedge],
    ]
    const run = newRun(graph, 4)
    // The graph was worked as it was put together.
    run.bring(wanted, 4)
    expect([first.worked, second.worked]).toEqual([[], []])
    expect([[...run.cells(moved)], [...run.cells(turned)]]).toEqual([Array(4).fill(5), Array(4).fill(10)])
    run.set(tail, 7)
    run.bring(wanted, 4)
    expect([first.worked, second.worked]).toEqual([[1], []])
    run.set(tail, 7)
    run.bring(wanted, 4)
    expect(first.worked).toEqual([1])
    run.fill(wedge).set([1, 2, 3, 4])
    run.bring(wanted, 3)
    expect([first.worked, second.worked]).toEqual([[1], [3]])
    expect([...run.cells(turned)].slice(0, 3)).toEqual([5, 10, 15])
    expect([...run.cells(moved)]).toEqual([35, 35, 35, 35])
    // Alike again after it had been filled by rows.
    run.set(wedge, 2)
    run.bring(wanted, 4)
    expect([...run.cells(turned)]).toEqual([10, 10, 10, 10])
    const [tails, wedges] = run.fillAll(sources)
    tails!.set([1, 2, 3, 4])
    wedges!.set([4, 3, 2, 1])
    run.bring(wanted, 4)
    expect([[...run.cells(moved)], [...run.cells(turned)]]).toEqual([
      [5, 10, 15, 20],
      [20, 15, 10, 5],
    ])
  })

  it('takes given quantities as they stand and leaves what is behind them', () => {
    const graph = newGraph()
    const [read, lever] = [graph.source(2), graph.source(3)]
    const behind = counted()
    const place = scalarStep(graph, behind.kernel, [read, read])
    const moved = scalarStep(graph, PLUS_TIMES, [place, lever], [1])
    const still = scalarStep(graph, TIMES, [place], [10])
    const wanted = [moved, still]
    const border = borderOf(graph, [lever], wanted)
    expect(new Set(border)).toEqual(new Set([place, still]))
    behind.worked.length = 0
    const run = newRun(graph, 2)
    for (const column of border) run.fill(column).set([100, 200])
    run.bring(wanted, 2, new Set(border))
    expect(behind.worked).toEqual([])
    expect([...run.cells(moved)]).toEqual([103, 203])
  })

  it('goes on where a graph has grown', () => {
    const graph = newGraph()
    const a = graph.source(2)
    const run = newRun(graph, 1)
    const late = scalarStep(graph, TIMES, [a], [5])
    const later = newRun(graph, 1)
    run.set(a, 3)
    later.set(a, 4)
    later.bring([late], 1)
    expect(later.figure(late)).toBe(20)
    expect(run.figure(a)).toBe(3)
  })
})

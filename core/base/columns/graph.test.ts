import { PLUS_TIMES } from './arithmetic'
import { newGraph, scalarStep } from './graph'
import { newRun } from './run'

describe('a graph that is closed', () => {
  const closed = () => {
    const graph = newGraph()
    const [first, second] = [graph.source(2), graph.source(3)]
    const sum = scalarStep(graph, PLUS_TIMES, [first, second], [10])
    graph.close()
    return { graph, first, second, sum }
  }

  it('takes nothing more: what was put together is what is found', () => {
    const { graph, sum } = closed()
    expect(() => graph.source(1)).toThrow('closed')
    expect(() => scalarStep(graph, PLUS_TIMES, [sum, sum], [1])).toThrow('closed')
    expect([graph.columns(), graph.steps.length, graph.at(sum)]).toEqual([3, 1, 32])
  })

  it('is extended for whoever has more to ask, and knows nothing of it', () => {
    const { graph, first, sum } = closed()
    const more = graph.extended()
    const doubled = scalarStep(more, PLUS_TIMES, [sum, sum], [1])
    const run = newRun(more, 1)
    run.set(first, 5)
    run.bring([doubled], 1)
    expect(run.figure(doubled)).toBe(70)
    expect([graph.columns(), graph.steps.length]).toEqual([3, 1])
    expect(more.maker(sum)).toBe(graph.maker(sum))
  })

  it('keeps what was worked out of it once, and an extension keeps its own', () => {
    const { graph } = closed()
    const kind = { name: 'a count', of: 0 }
    let made = 0
    const count = () => ++made
    expect([graph.kept.the(kind, count), graph.kept.the(kind, count)]).toEqual([1, 1])
    expect(graph.extended().kept.the(kind, count)).toBe(2)
  })
})

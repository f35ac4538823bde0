import { compile } from '../../model/compile'
import { parseBuild } from '../../file/open/parseBuild'
import { rawDemos } from '../../testdata/demos'
import type { Column, Step } from './graph'
import type { Columns, Parameters } from './kernel'

const ROWS = 500
/** Bytes that a row may cost: some figures handed over by a call, which the engine may put into boxes of 16; no list, no object. */
const BOXES = 128
/** Kernels that go round inside themselves for each row, or hand on figures between a good many calls: so many times as much. */
const ROUNDS: readonly (readonly [RegExp, number])[] = [
  [/^force on the centre bearing$/, 24],
  [/where its adjuster is to stand$/, 40],
  [/^an axle by what was read at its heights$/, 2],
  [/^the powertrain on its mounts$/, 32],
  [/^share of the reaction/, 4],
  [/^(a cable along its way|from a cable to what is hot)$/, 2],
  [/^cope of a tube$/, 300],
]

/** A kernel has so long, in ms, to be compiled to what it will be: until then figures lie about as objects. */
const WARMING_MS = 20_000

/** Bytes that a kernel takes for each row once it is compiled. */
function bytesPerRow({ kernel, from, to, parameters }: Step, at: (column: Column) => number, enough: number) {
  const cells = from.map((column) => new Float64Array(ROWS).fill(at(column)))
  const out = to.map(() => new Float64Array(ROWS))
  const run = () =>
    kernel.run(
      ROWS,
      cells as unknown as Columns,
      out as unknown as Columns,
      parameters as unknown as Parameters,
    )
  let least = Infinity
  for (const began = performance.now(); performance.now() - began < WARMING_MS && least > enough;) {
    const before = process.memoryUsage().heapUsed
    run()
    const taken = process.memoryUsage().heapUsed - before
    if (taken >= 0) least = Math.min(least, taken / ROWS)
  }
  return least
}

describe('kernels', () => {
  it('take no memory for a row, whatever they work out', () => {
    const greedy = new Map<string, number>()
    const seen = new Set<string>()
    for (const { raw } of rawDemos()) {
      const parsed = parseBuild(raw)
      if (!parsed.ok) continue
      const { graph } = compile(parsed.value)
      for (const step of graph.steps) {
        const { name } = step.kernel
        if (seen.has(name)) continue
        seen.add(name)
        const enough = BOXES * (ROUNDS.find(([kernel]) => kernel.test(name))?.[1] ?? 1)
        const bytes = bytesPerRow(step, graph.at, enough)
        if (bytes > enough) greedy.set(name, bytes)
      }
    }
    expect([...greedy]).toEqual([])
    expect(seen.size).toBeGreaterThan(60)
  })
})

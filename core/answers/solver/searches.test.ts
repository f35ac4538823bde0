import fc from 'fast-check'
import { PLUS_TIMES } from '../../base/columns/arithmetic'
import { newGraph, scalarStep, type Column } from '../../base/columns/graph'
import type { LeverStep } from '../../vehicle/moves/leverGrid'
import { searchByEffort } from './byEffort'
import { roomiestSetting } from './byRoom'
import type { SearchedSetting, SearchProblem, SearchReport } from './problem'

/** Levers with a few steps each, and limits on weighted sums of some of them. */
const plan = fc.record({
  levers: fc.array(
    fc.array(fc.record({ amount: fc.integer({ min: -5, max: 5 }), effort: fc.integer({ min: 0, max: 6 }) }), {
      minLength: 1,
      maxLength: 5,
    }),
    { minLength: 1, maxLength: 4 },
  ),
  limits: fc.array(
    fc.record({
      weights: fc.array(fc.integer({ min: -2, max: 2 }), { minLength: 4, maxLength: 4 }),
      least: fc.option(fc.integer({ min: -12, max: 4 })),
      most: fc.option(fc.integer({ min: -4, max: 12 })),
    }),
    { maxLength: 5 },
  ),
})
type Plan = typeof plan extends fc.Arbitrary<infer T> ? T : never

function problemOf({ levers, limits }: Plan): SearchProblem {
  const graph = newGraph()
  const columns = levers.map(() => graph.source(0))
  const sumOf = (weights: readonly number[]): Column =>
    columns.reduce(
      (sum, column, i) =>
        weights[i] === 0 ? sum : scalarStep(graph, PLUS_TIMES, [sum, column], [weights[i]!]),
      graph.source(0),
    )
  return {
    graph,
    levers: columns.map((column, i) => ({
      column,
      steps: [...(levers[i] as LeverStep[])].sort((a, b) => a.effort - b.effort),
    })),
    limits: limits.map(({ weights, least, most }, i) => ({
      id: `limit ${i}`,
      column: sumOf(weights),
      least,
      most,
      scale: 1,
    })),
    fixed: new Map(),
  }
}

/** Every setting there is, looked at one by one. */
function enumerated({ levers, limits }: Plan): SearchedSetting[] {
  const all = levers.reduce<LeverStep[][]>(
    (settings, steps) => settings.flatMap((setting) => steps.map((step) => [...setting, step])),
    [[]],
  )
  return all.map((setting) => {
    const rooms = limits.flatMap(({ weights, least, most }) => {
      const sum = setting.reduce((total, { amount }, i) => total + amount * weights[i]!, 0)
      return [least === null ? Infinity : sum - least, most === null ? Infinity : most - sum]
    })
    return {
      amounts: setting.map(({ amount }) => amount),
      effort: setting.reduce((total, { effort }) => total + effort, 0),
      room: Math.min(Infinity, ...rooms),
    }
  })
}

const finished = <T>(run: Generator<unknown, T>): T => {
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value
}
const keyOf = ({ amounts, effort, room }: SearchedSetting) => `${effort} ${room} ${amounts.join()}`

describe('searchByEffort', () => {
  it('tells the very settings that looking at each one by one finds, cheapest first, and rules out all others', () => {
    fc.assert(
      fc.property(plan, (one) => {
        const reports = [...searchByEffort(problemOf(one))]
        const found = reports.flatMap((report) => report.found)
        const all = enumerated(one)
        const wanted = all.filter(({ room }) => room >= 0)
        expect(found.map(keyOf).sort()).toEqual(wanted.map(keyOf).sort())
        expect(reports.at(-1)?.looked).toBe(all.length)
        // Each report holds one effort, the roomiest first, and no report is cheaper than the one before.
        const efforts = reports.flatMap((report) => report.found.map(({ effort }) => effort))
        expect(efforts).toEqual([...efforts].sort((a, b) => a - b))
        for (const report of reports) {
          expect(new Set(report.found.map(({ effort }) => effort)).size).toBeLessThanOrEqual(1)
          const rooms = report.found.map(({ room }) => room)
          expect(rooms).toEqual([...rooms].sort((a, b) => b - a))
        }
      }),
      { seed: 9, numRuns: 300 },
    )
  })
})

describe('searchByEffort, once settings were told', () => {
  it('tells no more of what moves all the levers of one of them, and all else as before', () => {
    const keysOf = (reports: readonly SearchReport[]) => reports.flatMap(({ found }) => found.map(keyOf))
    fc.assert(
      fc.property(plan, (one) => {
        const problem = { ...problemOf(one) }
        problem.fixed = new Map(problem.levers.map(({ column }) => [column, 0]))
        const told: number[][] = []
        const reports: SearchReport[] = []
        for (const report of searchByEffort(problem, told)) {
          reports.push(report)
          for (const { amounts } of report.found)
            told.push(amounts.flatMap((amount, i) => (amount === 0 ? [] : [i])))
        }
        // By rising effort, and of one effort all: what moves all that a cheaper one moves is left out.
        const left: SearchedSetting[] = []
        const byEffort = enumerated(one)
          .filter(({ room }) => room >= 0)
          .sort((a, b) => a.effort - b.effort)
        const movesAllOf = (setting: SearchedSetting, other: SearchedSetting) =>
          other.amounts.every((amount, i) => amount === 0 || setting.amounts[i] !== 0)
        for (const setting of byEffort)
          if (!left.some((other) => other.effort < setting.effort && movesAllOf(setting, other)))
            left.push(setting)
        expect(keysOf(reports).sort()).toEqual(left.map(keyOf).sort())
        expect(reports.at(-1)?.looked).toBe(enumerated(one).length)
      }),
      { seed: 9, numRuns: 300 },
    )
  })
})

describe('roomiestSetting', () => {
  it('is the one with the most room of all, of equals the cheapest', () => {
    fc.assert(
      fc.property(plan, (one) => {
        const best = finished(roomiestSetting(problemOf(one)))!
        const all = enumerated(one)
        const room = Math.max(...all.map((setting) => setting.room))
        expect(best.room).toBe(room)
        const cheapest = Math.min(
          ...all.filter((setting) => setting.room === room).map(({ effort }) => effort),
        )
        expect(best.effort).toBe(cheapest)
      }),
      { seed: 9, numRuns: 300 },
    )
  })

  it('is none where no setting can be reached', () => {
    const problem = problemOf({
      levers: [[{ amount: NaN, effort: 0 }]],
      limits: [{ weights: [1, 0, 0, 0], least: 0, most: null }],
    })
    expect(finished(roomiestSetting(problem))).toBeNull()
  })
})

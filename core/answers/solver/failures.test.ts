import { compile } from '../../model/compile'
import { evaluateBuild } from '../../model/evaluateBuild'
import { demoBuild } from '../../testdata/demos'
import { buildProblem } from './buildProblem'
import { failures } from './failures'
import { freeLevers } from './findCures'

const DEMOS = ['burdock-cart', 'sorrel-hauler', 'sedge-wagon', 'fen-tender', 'comfrey-buggy'] as const

describe('what is known to fail', () => {
  it.each(DEMOS)('is learnt of every check of %s that a lever moves', (id) => {
    const build = demoBuild(id)
    const levers = freeLevers(build)
    const problem = buildProblem(compile(build), {}, levers, { unread: new Set(), strictness: 'allowed' })
    const still = evaluateBuild(build, {}).checks
    // Each lever a step away: a check that then reads otherwise hangs on one of them.
    const moved = Object.fromEntries(levers.map(({ id: lever, step }) => [lever, step]))
    const there = new Map(evaluateBuild(build, moved).checks.map((check) => [check.id, check.value]))
    const judged = new Set(problem.limits.flatMap(({ check }) => check ?? []))
    const hanging = still.filter(
      ({ id: check, value }) => judged.has(check) && value !== null && there.get(check) !== value,
    )
    expect(hanging.length).toBeGreaterThan(2)
    for (const { id: check } of hanging) {
      const failed = failures(problem)
      const amounts = problem.levers.map(() => 0)
      failed.learn(check, amounts)
      expect([check, failed.isKnown(amounts)]).toEqual([check, true])
      expect([check, failed.isKnown(amounts.map(() => 1e6))]).toEqual([check, false])
    }
  })
})

import { newGraph, scalarStep, type Column, type VectorColumns } from '../../base/columns/graph'
import { newRun } from '../../base/columns/run'
import { DIFFERENCE, TIMES } from '../../base/columns/arithmetic'
import { axisDirection, FALL_PLAN } from '../../base/frame/axis'
import { gapColumns, gapFlat } from '../../vehicle/gaps/gapColumns'
import { known, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import { lineFigureColumns } from '../../line/figureColumns'
import { lineColumns } from '../../line/lineColumns'
import { SMALL_ANGLE_ACCELERATION } from '../../line/uniformity'
import { mountedColumns } from '../../vehicle/bodies/mountedColumns'
import { turnedColumns } from '../../vehicle/moves/turnedColumns'
import { bestStacks, nearestStacks } from '../../vehicle/moves/spacers'
import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import type { LeverKind } from '../../file/build/lever'
import type { Line } from '../../file/parts/lineSpec'
import { rawDemo } from '../../testdata/builds'
import reference from '../../testdata/solver.json'
import { degrees, radians } from '../../base/units/angle'
import type { LeverStep } from '../../vehicle/moves/leverGrid'
import { searchByEffort } from './byEffort'
import { roomiestSetting } from './byRoom'
import type { SearchedSetting, SearchLimit, SearchProblem } from './problem'

type Case = any
const cases = reference.cases as Case[]
const settings = cases.filter(({ input, expect }) => input.task === 'setting' && !expect.error)
const spacers = cases.filter(({ input }) => input.task === 'spacers')

const KINDS: Record<string, readonly LeverKind[]> = {
  front_up: ['front-left-up', 'front-right-up'],
  front_left_up: ['front-left-up'],
  front_right_up: ['front-right-up'],
  tail_up: ['tail-up'],
  fore: ['fore'],
  lateral: ['sideways'],
  tail_lateral: ['tail-sideways'],
  wedge_deg: ['wedge'],
}
const LINE: Line = {
  id: 'l',
  name: 'rear',
  school: 'parallel',
  driving: 'output',
  driven: 'pinion',
  joints: [
    { id: 'j1', kind: 'cross', point: 'output' },
    { id: 'j2', kind: 'cross', point: 'pinion' },
  ],
  shafts: [{}],
}
/** A reference case put together from the steps the application uses, and its quantities by their names. */
function problemOf({ input }: Case) {
  const graph = newGraph()
  const place = ([x, y, z]: Vec3): VectorColumns => [graph.source(x), graph.source(y), graph.source(z)]
  const { mounts, output } = input.powertrain
  const points: Record<string, VectorColumns> = {
    left: place(mounts.front_left),
    right: place(mounts.front_right),
    tail: place(mounts.tail),
    output: place(output.p),
    pinion: place(input.pinion.p),
    centre: place(input.pinion.centre),
  }
  const direction = ({ fall, plan }: { fall: number; plan: number }) =>
    place(axisDirection({ fall: radians(fall), plan: radians(plan) }))
  const point = (id: string): Known<VectorColumns> => known(points[id]!)
  const columns = new Map<string, Column>()
  const levers = Object.keys(input.levers).flatMap((name) => {
    const column = graph.source(0)
    return KINDS[name]!.map((kind) => {
      columns.set(`${name}/${kind}`, column)
      return {
        id: `${name}/${kind}`,
        name,
        kind,
        body: kind === 'wedge' ? 'axle' : 'powertrain',
        range: [0, 0],
        step: 1,
        column,
      }
    })
  })
  const axle = {
    kind: 'axle',
    id: 'axle',
    name: 'axle',
    centre: 'centre',
    noseFaces: 'forward',
    suspension: 'leaf',
  } as const
  const powertrain = {
    kind: 'powertrain',
    id: 'powertrain',
    name: 'powertrain',
    mounts: { frontLeft: 'left', frontRight: 'right', tail: 'tail' },
  } as const
  const build = { levers, bodies: [powertrain, axle] } as unknown as Build
  const engine = mountedColumns(graph, build, powertrain, columns, point)
  const wedges = levers.flatMap(({ id, kind }: any) => (kind === 'wedge' ? [columns.get(id)!] : []))
  const turn = turnedColumns(graph, axle, wedges, '', point)
  const axis = {
    output: engine?.direction(direction(output)) ?? direction(output),
    pinion: turn?.direction(direction(input.pinion)) ?? direction(input.pinion),
  }
  const moved = {
    output: engine?.point(points.output!) ?? points.output!,
    pinion: turn?.point(points.pinion!) ?? points.pinion!,
  }
  const line = lineColumns(graph, LINE, {
    point: (id) => known(moved[id as 'output']),
    axis: (id) => known(axis[id as 'output']),
  })
  if (!line.known) throw new Error('a reference case is whole')
  const figures = lineFigureColumns(
    graph,
    LINE,
    line.value,
    { speedRpm: input.rpm, torqueNm: null, crosses: [] },
    [],
    true,
  )
  const named = (name: string) => figures.named.find((one) => one.name === name)!.column
  const [fall, plan] = graph.step(FALL_PLAN, axis.output) as unknown as [Column, Column]
  const inDegrees = (column: Column) => scalarStep(graph, TIMES, [column], [degrees(1)])
  const length = line.value.spans[0]!
  const inertia = line.value.angles.map((angle) =>
    scalarStep(graph, SMALL_ANGLE_ACCELERATION, [angle], [input.rpm]),
  )
  const quantities: Record<string, readonly Column[]> = {
    joint1_deg: [line.value.anglesDeg[0]!],
    joint2_deg: [line.value.anglesDeg[1]!],
    pair_diff_deg: [figures.pair!.column],
    // Judged by the exact chain; the reference gives that answer beside the one of the small-angle sum.
    beta_eq_deg: [named('equivalentAngleDeg')],
    eq_exact_deg: [named('equivalentAngleDeg')],
    torsional_rad_s2: [figures.acceleration!.column],
    torsional_exact_rad_s2: [figures.acceleration!.column],
    inertia_rad_s2: inertia,
    fall_deg: [inDegrees(fall)],
    plan_deg: [inDegrees(plan)],
    length_change_mm: [scalarStep(graph, DIFFERENCE, [length, graph.source(graph.at(length))])],
  }
  for (const { name, at, toward, gap_mm } of input.clearances) {
    const before = place([-at.station, at.offset, at.height])
    const gap = { id: name, name, kind: 'static', point: 'p', toward } as const
    const stood = { own: [], obstacle: [] }
    const read = known({ figure: graph.source(gap_mm), trial: null })
    const flat = gapFlat(graph, gap, known(before), read, stood)
    if (!flat.known) throw new Error('a reference case is whole')
    const own = engine ? [engine] : []
    quantities[`gap:${name}`] = [gapColumns(graph, flat.value, { own, obstacle: [] }).gap]
  }
  const free = Object.entries<Case>(input.levers).filter(([, lever]) => !lever.locked)
  const problem: SearchProblem = {
    graph,
    levers: free.map(([name, lever]) => ({
      column: columns.get(`${name}/${KINDS[name]![0]}`)!,
      steps: stepsOf(lever),
    })),
    limits: input.limits.flatMap(({ q, min, max, scale }: Case) =>
      quantities[q]!.map((column): SearchLimit => ({
        id: `${q} ${max === undefined ? 'min' : 'max'}`,
        column,
        least: min ?? null,
        most: max ?? null,
        scale: scale ?? scaleOf(min, max),
      })),
    ),
    fixed: new Map(
      Object.entries<Case>(input.levers)
        .filter(([, lever]) => lever.locked)
        .map(([name, lever]) => [columns.get(`${name}/${KINDS[name]![0]}`)!, lever.value ?? 0]),
    ),
  }
  return { problem, quantities }
}

/** A limit with two sides is measured by each of its own; the cases have none that differ in what they decide. */
const scaleOf = (min: number | undefined, max: number | undefined): number => Math.abs(max ?? min ?? 1) || 1

function stepsOf({ min, max, step, effort = 0, effort_fixed = 0 }: Case): LeverStep[] {
  const steps: LeverStep[] = []
  for (let k = Math.ceil(min / step - 1e-9); k * step <= max + 1e-9; k++)
    steps.push({
      amount: k * step,
      effort: k === 0 ? 0 : effort_fixed + effort * Math.abs(k * step),
    })
  return steps.sort((a, b) => a.effort - b.effort)
}

function survey(problem: SearchProblem) {
  const found: SearchedSetting[] = []
  let looked = 0
  for (const report of searchByEffort(problem)) {
    looked = report.looked
    found.push(...report.found)
  }
  const roomiest = roomiestSetting(problem)
  let step = roomiest.next()
  while (!step.done) step = roomiest.next()
  return { found, looked, nearest: step.value }
}

const sorted = (list: readonly (readonly number[])[]) =>
  list.map((one) => one.map((x) => x + 0)).sort((a, b) => String(a).localeCompare(String(b)))

describe('the least effort on a grid', () => {
  it.each(settings.map((one) => [one.id as string, one] as const))('agrees with case %s', (_, one) => {
    const { problem, quantities } = problemOf(one)
    const { found, looked, nearest } = survey(problem)
    const wanted = { ...one.expect, ...one.expect.with_exact }
    expect(looked).toBe(wanted.n_settings)
    expect(found).toHaveLength(wanted.n_feasible)
    const efforts = found.map(({ effort }) => effort)
    expect(efforts).toEqual([...efforts].sort((a, b) => a - b))
    const best = wanted.feasible ? found.filter(({ effort }) => effort < found[0]!.effort + 1e-9) : [nearest!]
    const answer = wanted.feasible ? wanted.best : wanted.nearest
    expect(best[0]!.effort).toBeCloseTo(answer.effort, 9)
    expect(sorted(best.map(({ amounts }) => amounts))).toEqual(sorted(answer.settings))
    if (!wanted.feasible) expect(-nearest!.room).toBeCloseTo(wanted.worst_violation, 7)
    // Every figure at the first of them; what the small-angle sum says is left to its own test.
    const run = newRun(problem.graph, 1)
    problem.levers.forEach(({ column }, i) => run.set(column, answer.settings[0][i]))
    for (const [column, amount] of problem.fixed) run.set(column, amount)
    const names = Object.keys(quantities).filter(
      (name) => name in one.expect.values && !['beta_eq_deg', 'torsional_rad_s2'].includes(name),
    )
    run.bring(
      names.flatMap((name) => quantities[name]!),
      1,
    )
    if (String(one.expect.best?.settings[0] ?? answer.settings[0]) === String(answer.settings[0]))
      for (const name of names)
        expect([name, Math.max(...quantities[name]!.map(run.figure))]).toEqual([
          name,
          expect.closeTo(one.expect.values[name], 6),
        ])
  })
})

describe('searches that the reference refuses', () => {
  const refused = (id: string) => cases.find((one) => one.id === id)!

  it('have no grid: no setting is looked at, and none is nearest', () => {
    const { problem } = problemOf(refused('bad_empty'))
    expect(problem.levers.some(({ steps }) => steps.length === 0)).toBe(true)
    expect(survey(problem)).toEqual({ found: [], looked: 0, nearest: null })
  })

  it('have a range the wrong way round, which no build may hold', () => {
    const lever = Object.values<Case>(refused('bad_range').input.levers).find(({ min, max }) => min > max)!
    const raw = rawDemo()
    raw.levers[0].range = [lever.min, lever.max]
    expect(parseBuild(raw)).toMatchObject({
      ok: false,
      problems: [{ path: 'levers[0].range', message: 'must run from the lower to the higher figure' }],
    })
  })

  it('limit a gap that is not there, which no build may hold', () => {
    const missing = refused('bad_q')
      .input.limits.find(({ q }: Case) => q.startsWith('gap:'))
      .q.slice(4)
    const raw = rawDemo()
    raw.readings.push({ id: 'g', kind: 'gap', gap: missing, setup: 'setup-1', values: ['12'] })
    expect(parseBuild(raw)).toMatchObject({
      ok: false,
      problems: [{ path: `readings[${raw.readings.length - 1}].gap` }],
    })
  })
})

describe('stacks of spacers', () => {
  it.each(spacers.map((one) => [one.id as string, one] as const))(
    'agree with case %s',
    (_, { input, expect: wanted }) => {
      const stock = input.stock.map(({ t_mm, count }: Case) => ({ thickness: t_mm, count }))
      const most = stock.reduce((sum: number, { count }: Case) => sum + count, 0)
      const found = bestStacks(input.target_mm, stock, input.tolerance_mm, most)
      expect(found !== null).toBe(wanted.possible)
      const answer = found ?? nearestStacks(input.target_mm, stock, most)!
      const { pieces, off_mm, stacks } = wanted.possible ? wanted : wanted.nearest
      expect([answer.pieces, answer.off]).toEqual([pieces, expect.closeTo(off_mm, 9)])
      expect(sorted(answer.stacks)).toEqual(sorted(stacks))
    },
  )
})

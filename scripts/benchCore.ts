// What a lever's move and the ± cost in the core; bundled before it runs, as the application's workers are.
import { readFileSync } from 'node:fs'
import { newRun } from '../core/base/columns/run'
import { compile, type CompiledBuild } from '../core/model/compile'
import { evaluateBuild } from '../core/model/evaluateBuild'
import type { Build } from '../core/file/build/build'
import type { Lever } from '../core/file/build/lever'
import { parseBuildText } from '../core/file/open/parseBuild'
import { DEFAULT_SEED, LEAST_SAMPLES, runMonteCarlo } from '../core/answers/uncertainty/monteCarlo'
import { leverMap, MAP_SIZE } from '../core/answers/solver/leverMap'
import { differentSettings } from '../core/answers/solver/differentSettings'
import { provingWith } from '../core/answers/uncertainty/provenCure'
import { sampleModel } from '../core/answers/uncertainty/sampleModel'
import { poseSolverOf } from '../core/vehicle/wheels/poseSolver'
import { newTruths } from '../core/answers/uncertainty/truths'
import { percentile, say } from './benchTimes'
import { plainKernel } from './plainKernel'

benchMoves()
benchUncertainty()
benchSettings()
benchMap()
benchTravel()

/** A lever's move with all that hangs on it: the travel of an axle, of wheels, of a chain, the mounts of a powertrain; and poses of an axle on links as a sweep asks for them. */
function benchTravel(): void {
  benchLevers(
    'tansy-wagon',
    (i) => ({ tail: i % 20 }),
    'core: all checks of a linked axle with its whole travel',
  )
  benchLevers(
    'medlar-hatch',
    (i) => ({ aside: i % 8 }),
    'core: all checks of two steered halfshafts, likewise',
  )
  benchLevers('sedge-wagon', (i) => ({ tail: i % 20 }), 'core: all checks of a tight bay and its mounts')
  benchLevers(
    'comfrey-buggy',
    (i) => ({ 'jack-bolt': (i % 20) / 10, 'tensioner-up': i % 7 }),
    'core: all checks of a chain with its travel and adjuster',
  )
  const solver = poseSolverOf({
    holdings: [1, -1].flatMap((side) => [
      { kind: 'link', chassis: [-2205, 450 * side, 335], axle: [-2785, 470 * side, 275] } as const,
      { kind: 'link', chassis: [-2360, 420 * side, 478], axle: [-2745, 120 * side, 505] } as const,
    ]),
    wheelLeft: [-2800, 780, 350],
    wheelRight: [-2800, -780, 350],
  })
  const poses = 200_000
  for (let round = 0; round < 3; round++) {
    const start = performance.now()
    for (let i = 0; i < poses; i++) {
      const up = -100 + (180 * (i % 45)) / 44
      solver.solve(up, up)
    }
    const rate = poses / (performance.now() - start) / 1000
    if (round === 2) console.log(`core: an axle on four links, ${rate.toFixed(2)} M poses/s`)
  }
}

function benchLevers(
  demo: string,
  settings: (i: number) => Readonly<Record<string, number>>,
  name: string,
): void {
  const parsed = parseBuildText(readFileSync(`demo/${demo}.lurvan.json`, 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const times: number[] = []
  for (let i = 0; i < 400; i++) {
    const start = performance.now()
    evaluateBuild(parsed.value, settings(i))
    times.push(performance.now() - start)
  }
  say(name, times)
}

function benchMoves(): void {
  const parsed = parseBuildText(readFileSync('core/testdata/fen-tender.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const times: number[] = []
  for (let i = 0; i < 2000; i++) {
    const start = performance.now()
    evaluateBuild(parsed.value, { tail: (i % 40) - 20, wedge: (i % 8) / 2 - 2 })
    times.push(performance.now() - start)
  }
  say('core: all checks at one lever setting', times)
}

/** Every different setting of the tight bay, each proved with its ±: six levers of forty steps each, and all eight as they are. */
function benchSettings(): void {
  const parsed = parseBuildText(readFileSync('demo/sedge-wagon.lurvan.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const six = parsed.value.levers.slice(0, 6).map((lever, i): Lever => {
    const half = lever.kind === 'wedge' ? 4 : ([20, 20, 20, 12, 12][i % 5] ?? 20)
    return { ...lever, stock: undefined, range: [-half, half], step: half / 20 }
  })
  for (const [what, levers, rounds] of [
    ['six levers × 41 steps', six, 1],
    ['all eight as they are', parsed.value.levers, 5],
  ] as const) {
    const build: Build = { ...parsed.value, levers, positions: parsed.value.positions.slice(0, 1) }
    const times: number[] = []
    let told = ''
    for (let round = 0; round < rounds; round++) {
      const start = performance.now()
      const search = differentSettings(build, {}, provingWith(build, true))
      let step = search.next()
      while (!step.done) step = search.next()
      times.push(performance.now() - start)
      const { settings, looked, isWhole } = step.value
      told = `${settings.length} settings of ${looked}${isWhole ? ', the whole grid' : ''}`
    }
    say(`core: find a setting, ${what}`, times)
    console.log(told)
  }
}

/** Rates beside a plain kernel in the same run, so that a slow or a busy machine does not matter. */
function benchUncertainty(): void {
  const parsed = parseBuildText(readFileSync('core/testdata/fen-tender.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const build = parsed.value
  const compiled = compile(build)
  const truths = newTruths(compiled, { samples: LEAST_SAMPLES, seed: DEFAULT_SEED }, true)
  const levers = leverRun(compiled, LEAST_SAMPLES)
  const times: Record<'plain' | 'drawn' | 'recalled' | 'levers', number[]> = {
    plain: [],
    drawn: [],
    recalled: [],
    levers: [],
  }
  const timed = (what: keyof typeof times, work: () => unknown) => {
    const start = performance.now()
    work()
    times[what].push(performance.now() - start)
  }
  for (let round = 0; round < 60; round++) {
    const model = sampleModel(build, { tail: round % 9 })
    timed('plain', () => plainKernel(LEAST_SAMPLES))
    timed('drawn', () => runMonteCarlo(model))
    timed('recalled', () => runMonteCarlo(model, truths.options, truths))
    timed('levers', () => levers(round))
  }
  // The first rounds warm the compiler up.
  const settled = (what: keyof typeof times) => times[what].slice(20)
  say(`core: plain kernel, ${LEAST_SAMPLES} samples`, settled('plain'))
  say(`core: ± of the whole demo, ${LEAST_SAMPLES} samples`, settled('drawn'))
  say('core: ± at another setting, truths recalled', settled('recalled'))
  say(`core: ${LEAST_SAMPLES} settings of the levers`, settled('levers'))
  const ratio = (what: keyof typeof times) =>
    (percentile(settled('plain'), 0.5) / percentile(settled(what), 0.5)).toFixed(2)
  console.log(
    `rates beside the plain kernel: whole Monte Carlo ${ratio('drawn')}, recalled ${ratio('recalled')}, levers alone ${ratio('levers')}`,
  )
}

/** All checked figures of a build in all their states, at many settings of its levers at once. */
function leverRun(compiled: CompiledBuild, settings: number): (round: number) => void {
  const rows = 250
  const run = newRun(compiled.graph, rows)
  const wanted = compiled.lines.flatMap(({ checks }) =>
    checks.flatMap((plan) =>
      'certain' in plan
        ? []
        : plan.inStates.flatMap(({ value }) =>
            value === null || typeof value === 'number' ? [] : [value.column],
          ),
    ),
  )
  return (round) => {
    for (let done = 0; done < settings; done += rows) {
      for (const column of compiled.levers.values()) {
        const cells = run.fill(column)
        for (let row = 0; row < rows; row++) cells[row] = ((done + row + round) % 41) / 8 - 2.5
      }
      run.bring(wanted, rows)
    }
  }
}

/** The map of two levers, 60 × 60, on the demo whose line costs most: a centre bearing whose force is worked over a turn. */
function benchMap(): void {
  const parsed = parseBuildText(readFileSync('demo/osier-van.lurvan.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const [first, second] = parsed.value.levers
  const times: number[] = []
  for (let i = 0; i < 10; i++) {
    const start = performance.now()
    leverMap(parsed.value, {}, first?.id ?? '', second?.id ?? '')
    times.push(performance.now() - start)
  }
  say(`core: map of two levers, ${MAP_SIZE} × ${MAP_SIZE}`, times)
}

import { seededRandom, type Random } from '../../base/chance/random'
import { newRun } from '../../base/columns/run'
import { compile, plannedChecks } from '../../model/compile'
import { evaluate } from '../../model/evaluateBuild'
import { namedFigures } from '../../model/namedFigures'
import { givenFigures } from '../../model/screen'
import type { Lever } from '../../file/build/lever'
import { parseBuild } from '../../file/open/parseBuild'
import { wildSettings } from '../../testdata/bend'
import { rawDemos } from '../../testdata/demos'
import { figureColumn } from '../../answers/why/figureColumn'
import { resultJson } from './resultJson'

/** What stands at a place of a result: `lines[0].ride.joints[1].angleDeg`. */
const at = (result: unknown, place: string): unknown =>
  place
    .split(/[.[\]]+/)
    .filter((step) => step !== '')
    .reduce<unknown>((there, step) => (there as Record<string, unknown> | null)?.[step], result)

/** Settings each demo is looked at in, the first as measured. */
const SETTINGS_EACH = 4

/** A solver starts from where it stood last, so that its last digits may differ. */
const isSame = (told: unknown, figure: number): boolean =>
  typeof told === 'number' && Math.abs(told - figure) <= 1e-9 * Math.max(1, Math.abs(figure))

/** A setting inside the levers' ranges. */
const within = (levers: readonly Lever[], random: Random) =>
  Object.fromEntries(levers.map(({ id, range: [from, to] }) => [id, from + (to - from) * random.uniform()]))

describe('one name', () => {
  const demos = rawDemos().map(({ id, raw }) => {
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error(id)
    return { id, build: parsed.value }
  })

  it('is one column: shown, published, judged and explained figures read it, wherever the levers stand', () => {
    const random = seededRandom(20261129)
    const seen = new Set<string>()
    const wrong = new Map<string, unknown>()
    for (const { id, build } of demos) {
      const compiled = compile(build)
      const named = namedFigures(compiled)
      // Worked by themselves: what is told must not hang on what the screen happens to work.
      const alone = newRun(compiled.graph, 1)
      const wanted = [
        ...named,
        ...plannedChecks(compiled).flatMap(({ value }) =>
          value !== null && typeof value === 'object' ? [value] : [],
        ),
      ].map(({ column }) => column)
      for (let run = 0; run < SETTINGS_EACH; run++) {
        const settings =
          run === 0 ? {} : run % 2 === 0 ? wildSettings(build.levers, random) : within(build.levers, random)
        const found = evaluate(compiled, settings)
        const position = { id: 'here', name: '', settings, note: undefined }
        const result = resultJson({ ...build, positions: [position] } as typeof build, 'here')
        for (const [column, figure] of givenFigures(compiled, settings, found.set)) alone.set(column, figure)
        alone.bring(wanted, 1)
        const { figure } = alone
        for (const one of named) {
          if (one.place === null || !one.stands(found)) continue
          const told = at(result, one.place)
          if (!isSame(told, figure(one.column)))
            wrong.set(one.place.replace(/\d+/g, '#'), [id, told, figure(one.column)])
          if (run === 0) expect(figureColumn(compiled, found, one.place)).toBe(one.column)
          seen.add(one.place.replace(/\d+/g, '#').replace(/\.(ride|drive|coast)\./, '.state.'))
        }
        for (const check of found.checks) {
          const column = figureColumn(compiled, found, check.id)
          if (column === null || check.value === null) continue
          expect([id, check.id, check.value]).toEqual([id, check.id, expect.closeTo(figure(column), 9)])
          const published = result.checks.find((one) => one.id === check.id && one.state === check.state)
          expect([id, check.id, published?.value]).toEqual([id, check.id, expect.closeTo(check.value, 9)])
        }
      }
    }
    expect([...wrong]).toEqual([])
    // Every kind of figure was met, those of chains and halfshafts too.
    expect([...seen].sort()).toEqual(
      expect.arrayContaining([
        'axes[#].fallDeg',
        'chains[#].adjuster.leftMm',
        'chains[#].slack.playMm',
        'chains[#].travel.tightest.neededMm',
        'halfshafts[#].longest.lengthMm',
        'lines[#].state.joints[#].angleDeg',
        'points[#].stationMm',
      ]),
    )
  })

  it('stands but once', () => {
    for (const { id, build } of demos) {
      const named = namedFigures(compile(build))
      const places = named.flatMap(({ place }) => place ?? [])
      expect([id, new Set(places).size]).toEqual([id, places.length])
      expect([id, new Set(named.map((one) => one.id)).size]).toEqual([id, named.length])
    }
  })
})

import { compile, plannedChecks } from '../../model/compile'
import { chosenSettings } from '../../model/evaluateBuild'
import { namedFigures } from '../../model/namedFigures'
import { lineFigureId } from '../../model/lineSubject'
import { sweepAt } from '../../stand/sweep'
import { parseBuild } from '../../file/open/parseBuild'
import { quantitiesThat, type Quantity } from '../../file/build/quantities'
import { travelPlaceId } from '../../file/build/wheelPlaces'
import { rawDemos } from '../../testdata/demos'
import { runMonteCarlo } from './monteCarlo'
import { sampleModel } from './sampleModel'
import { sampledName, spreadAlong } from './spreadAlong'

describe('the ± of a check along its travel', () => {
  it('is sampled under a name that the line has, for every quantity that says so', () => {
    const met = new Set<Quantity>()
    for (const { id, raw } of rawDemos()) {
      const parsed = parseBuild(raw)
      if (!parsed.ok) throw new Error(id)
      const compiled = compile(parsed.value)
      const ids = new Set(namedFigures(compiled).map((one) => one.id))
      for (const { head, value } of plannedChecks(compiled)) {
        const name = sampledName(head)
        if (head.lineId === null || name === null || value === null || typeof value === 'number') continue
        expect([id, head.id, ids.has(lineFigureId(head.lineId, head, name))]).toEqual([id, head.id, true])
        if (head.quantity !== 'centring-pilot') met.add(head.quantity)
      }
    }
    const sampled = quantitiesThat(({ sampledAs }) => sampledAs !== undefined)
    expect([...met].sort()).toEqual([...sampled].sort())
  })

  it('is what was sampled at both ends and at ride height, and between them in proportion', () => {
    const parsed = parseBuild(rawDemos().find(({ id }) => id === 'tansy-wagon')!.raw)
    if (!parsed.ok) throw new Error('the demo reads')
    const build = parsed.value
    const settings = chosenSettings(build)
    const compiled = compile(build)
    const sureness = runMonteCarlo(sampleModel(build, settings), { samples: 2000, seed: 7 })
    const sweep = sweepAt(compiled.graph, build, compiled.levers, compiled.travel!, settings)
    const [{ way, from, along }] = sweep.ways as [(typeof sweep.ways)[number]]
    expect([way, from]).toEqual(['parallel', 0])
    const plan = compiled.travel!.plans.find(({ head }) => head.quantity === 'joint-angle')!
    const found = spreadAlong(sureness, plan.head, way, along)
    const at = (place: string | null) =>
      sureness.figures[
        lineFigureId(
          plan.head.lineId!,
          {
            state: plan.head.state,
            at: place === null ? null : { id: travelPlaceId(place as 'droop'), name: '' },
          },
          sampledName(plan.head)!,
        )
      ]!.plusMinus
    const ride = along.indexOf(0)
    expect(found[0]).toBeCloseTo(at('droop'), 12)
    expect(found[ride]).toBeCloseTo(at(null), 12)
    expect(found.at(-1)).toBeCloseTo(at('bump'), 12)
    const half = found[Math.floor(ride / 2)]!
    expect(half).toBeGreaterThan(Math.min(found[0]!, found[ride]!) - 1e-12)
    expect(half).toBeLessThan(Math.max(found[0]!, found[ride]!) + 1e-12)
  })

  it('is not known for what is not sampled by itself', () => {
    const subject = { of: 'pair' as never }
    expect(sampledName({ quantity: 'pair-difference', subject })).toBeNull()
    expect(sampledName({ quantity: 'centring-pilot', subject })).toBeNull()
  })
})

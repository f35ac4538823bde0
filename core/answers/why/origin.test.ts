import { evaluate } from '../../model/evaluateBuild'
import { compile } from '../../model/compile'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { runMonteCarlo } from '../uncertainty/monteCarlo'
import { sampleModel } from '../uncertainty/sampleModel'
import { figureColumn, figureNames } from './figureColumn'
import type { Origin } from './origin'
import { whyFigure } from './why'

const build = demoBuild()
const why = (of: Build, name: string, settings: LeverSettings = {}) => {
  const found = whyFigure(of, settings, name)
  if (!found.ok) throw new Error(`no figure ${name}`)
  return found.origin
}
const flat = (parts: readonly Origin[]): Origin[] =>
  parts.flatMap((part) => [part, ...(part.kind === 'step' ? flat(part.parts) : [])])
const readings = (parts: readonly Origin[]) =>
  new Set(flat(parts).flatMap((part) => (part.kind === 'input' ? [part.input.readingId] : [])))
const names = (parts: readonly Origin[]) =>
  flat(parts).flatMap((part) => (part.kind === 'step' ? [part.name] : []))

describe('where a figure comes from', () => {
  it('is told for every figure there is, with the value on screen', () => {
    const compiled = compile(build)
    const settings = { tail: 6, wedge: -1 }
    const evaluation = evaluate(compiled, settings)
    const all = figureNames(compiled, evaluation)
    expect(all.length).toBeGreaterThan(70)
    for (const check of evaluation.checks.filter(({ quantity }) => quantity !== 'set-in'))
      expect(why(build, check.id, settings).figure).toBeCloseTo(check.value!, 9)
    for (const name of all) {
      expect(figureColumn(compiled, evaluation, name)).not.toBeNull()
      expect(Number.isFinite(why(build, name, settings).figure)).toBe(true)
    }
    expect(figureColumn(compiled, evaluation, 'points[99].heightMm')).toBeNull()
    expect(figureColumn(compiled, evaluation, 'lines[0].ride.colour')).toBeNull()
  })

  it('names just the readings that change the figure', () => {
    const { figure, parts } = why(build, 'axes[0].fallDeg')
    const told = readings(parts)
    expect(told.size).toBeGreaterThan(2)
    for (const reading of build.readings) {
      if (!('values' in reading)) continue
      const moved = changedDemo((raw) => {
        const one = raw.readings.find(({ id }: { id: string }) => id === reading.id)
        one.values = one.values.map((text: string) => String(Number(text) + 0.5))
      })
      const changes = Math.abs(why(moved, 'axes[0].fallDeg').figure - figure) > 1e-9
      expect([reading.id, changes && !told.has(reading.id)]).toEqual([reading.id, false])
    }
  })

  it('leaves out what a body would turn about while it stands as measured', () => {
    expect(names(why(build, 'rear/angle/1').parts).join()).not.toMatch(/moved on its mounts/)
    const moved = why(build, 'rear/angle/1', { tail: 4 }).parts
    expect(names(moved)).toContain('powertrain, moved on its mounts')
    expect(flat(moved)).toContainEqual({ kind: 'lever', leverId: 'tail', amount: 4 })
  })

  it('tells each thing once, and says so where it comes up again', () => {
    const steps = flat(why(build, 'rear/torsional', { tail: 4 }).parts).filter((part) => part.kind === 'step')
    const whole = steps.filter((part) => !part.isRepeated).map(({ name }) => name)
    expect(new Set(whole).size).toBe(whole.length)
    for (const again of steps.filter((part) => part.isRepeated)) expect(whole).toContain(again.name)
  })

  it('shares the doubt out as the sampling does, where the figure is nearly straight in its readings', () => {
    const name = 'axes[1].fallDeg'
    const { plusMinus } = why(build, name)
    const sampled = runMonteCarlo(sampleModel(build, {}), { samples: 4000, seed: 2 })
    expect(plusMinus / sampled.figures[`axis/${build.axes[1]!.id}/fallDeg`]!.plusMinus).toBeCloseTo(1, 1)
  })
})

import { compile } from '../../model/compile'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { runMonteCarlo } from './monteCarlo'
import { sampleModel } from './sampleModel'
import { TRUTHS_AT_ONCE, newTruths } from './truths'

const build = demoBuild()
const OPTIONS = { samples: 1200, seed: 9 }

describe('likely truths', () => {
  it('are the same whether drawn anew or handed out again, at every setting of the levers', () => {
    const kept = newTruths(compile(build), OPTIONS, true)
    const all: readonly LeverSettings[] = [{}, { tail: 12, wedge: -1.5 }, { wedge: 3 }, {}]
    for (const settings of all) {
      const model = sampleModel(build, settings)
      expect(runMonteCarlo(model, OPTIONS, kept)).toEqual(runMonteCarlo(model, OPTIONS))
    }
  })

  it('are handed out in part to whoever asks for fewer, and in full afterwards', () => {
    const kept = newTruths(compile(build), OPTIONS, true)
    const model = sampleModel(build, { wedge: -1 })
    const few = { ...OPTIONS, samples: 2 * TRUTHS_AT_ONCE }
    const whole = runMonteCarlo(model, OPTIONS)
    expect(runMonteCarlo(model, few, kept)).toEqual(runMonteCarlo(model, few))
    expect(runMonteCarlo(model, OPTIONS, kept)).toEqual(whole)
    expect(runMonteCarlo(model, few, kept)).toEqual(runMonteCarlo(model, few))
    expect(runMonteCarlo(model, OPTIONS, kept)).toEqual(whole)
  })

  it('are none where every reading is exact', () => {
    const exact = changedDemo((raw) => {
      raw.readings = raw.axes
        .map(({ id }: { id: string }) => ({
          id: `a-${id}`,
          kind: 'given-axis',
          axis: id,
          fall: '3',
          low: 'rear',
        }))
        .concat(
          raw.points.map(({ id }: { id: string }, i: number) => ({
            id: `p-${id}`,
            kind: 'given-point',
            point: id,
            station: String(300 * i),
            offset: '0',
            side: 'left',
            height: '10',
          })),
        )
      for (const axis of raw.axes) delete axis.through
    })
    const truths = newTruths(compile(exact), OPTIONS)
    expect(truths.count).toBe(0)
    const { samples, figures } = runMonteCarlo(sampleModel(exact, {}), OPTIONS)
    expect(samples).toBe(0)
    expect(Object.values(figures).every(({ plusMinus }) => plusMinus === 0)).toBe(true)
  })
})

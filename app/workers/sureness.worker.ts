import { expose } from 'comlink'
import { compile } from '~~/core/model/compile'
import type { Build } from '~~/core/file/build/build'
import { DEFAULT_SEED, LEAST_SAMPLES, monteCarlo } from '~~/core/answers/uncertainty/monteCarlo'
import { sampleModel } from '~~/core/answers/uncertainty/sampleModel'
import { newTruths, type Truths } from '~~/core/answers/uncertainty/truths'
import type { SurenessService } from './protocol'
import { rest, unhurried } from './unhurried'

/** The question that is wanted; an older one stops at its next report. */
let wanted = 0
let opened: { readonly build: Build; readonly truths: Truths } | null = null

/** Longer than this, in ms, nobody who asks again is kept waiting. */
const PATIENCE = 12

const service: SurenessService = {
  open: async (build) => {
    const truths = newTruths(compile(build), { samples: LEAST_SAMPLES, seed: DEFAULT_SEED }, true)
    opened = { build, truths }
  },
  sample: async ({ run, settings, samples }, onProgress) => {
    // While a build is being opened, a question that came after may be heard before.
    if (run < wanted) return null
    wanted = run
    if (!opened) throw new Error('no build is open')
    const { build, truths } = opened
    const sampling = monteCarlo(sampleModel(build, settings), { ...truths.options, samples }, truths)
    const report = unhurried(onProgress)
    let rested = performance.now()
    for (;;) {
      const step = sampling.next()
      if (step.done) return step.value
      if (performance.now() - rested < PATIENCE) continue
      report(step.value / samples)
      await rest()
      rested = performance.now()
      if (wanted !== run) return null
    }
  },
}

expose(service)

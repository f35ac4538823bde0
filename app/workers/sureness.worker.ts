import { expose } from 'comlink'
import { monteCarlo } from '~~/core/uncertainty/monteCarlo'
import { sampleModel } from '~~/core/uncertainty/sampleModel'
import type { SurenessService } from './protocol'

/** The run that is wanted; an older one stops at its next report. */
let wanted = 0

const service: SurenessService = {
  sample: async (run, build, settings, options, onProgress) => {
    wanted = run
    const sampling = monteCarlo(sampleModel(build, settings), options)
    for (;;) {
      const step = sampling.next()
      if (step.done) return step.value
      onProgress(step.value / options.samples)
      // A turn of the event loop lets a stop come in.
      await new Promise((resolve) => setTimeout(resolve))
      if (wanted !== run) return null
    }
  },
  stop: async () => void (wanted = 0),
}

expose(service)

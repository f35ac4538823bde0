import { expose } from 'comlink'
import { differentSettings } from '~~/core/solver/differentSettings'
import { leastEffortCure, nearestCures } from '~~/core/solver/findCures'
import { provingWith } from '~~/core/uncertainty/provenCure'
import type { CureService } from './protocol'

const service: CureService = {
  nearest: async (build, settings, isSampled) => nearestCures(build, settings, provingWith(build, isSampled)),
  together: async (build, settings, isSampled, onProgress) => {
    const search = leastEffortCure(build, settings, provingWith(build, isSampled))
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
      onProgress(step.value)
    }
  },
  different: async (build, settings, isSampled, onProgress) => {
    const search = differentSettings(build, settings, provingWith(build, isSampled))
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
      onProgress(step.value)
    }
  },
}

expose(service)

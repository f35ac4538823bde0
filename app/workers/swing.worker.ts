import { expose } from 'comlink'
import { leastLift } from '~~/core/swing/wayIn'
import type { SwingService } from './protocol'

const service: SwingService = {
  leastLift: async (setup, range, onProgress) => {
    const search = leastLift(setup, range)
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
      onProgress(step.value)
    }
  },
}

expose(service)

import { expose } from 'comlink'
import { leastLift } from '~~/core/swing/wayIn'
import type { SwingService } from './protocol'
import { finished } from './unhurried'

const service: SwingService = {
  leastLift: async (setup, range, onProgress) => finished(leastLift(setup, range), onProgress),
}

expose(service)

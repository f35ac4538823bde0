import { expose } from 'comlink'
import { leastLift } from '~~/core/bay/swing/wayIn'
import type { SwingService } from './protocol'
import { oneAtATime } from './unhurried'

const { finished } = oneAtATime()

const service: SwingService = {
  leastLift: (setup, range, onProgress) => finished(leastLift(setup, range), onProgress),
}

expose(service)

import { expose } from 'comlink'
import { cureByTwo, nearestCures } from '~~/core/placement/nearestCure'
import type { CureService } from './protocol'

const service: CureService = {
  nearest: async (build, settings) => nearestCures(build, settings),
  byTwo: async (build, settings, [first, second]) => {
    const pair = [first, second].map((id) => build.levers.find((lever) => lever.id === id))
    return pair[0] && pair[1] ? cureByTwo(build, settings, [pair[0], pair[1]]) : null
  },
}

expose(service)

import { expose } from 'comlink'
import { cureByTwo, nearestCures } from '~~/core/placement/nearestCure'
import { provingWith } from '~~/core/uncertainty/provenCure'
import type { CureService } from './protocol'

const service: CureService = {
  nearest: async (build, settings, isSampled) => nearestCures(build, settings, provingWith(build, isSampled)),
  byTwo: async (build, settings, leverIds, isSampled) => {
    const [first, second] = leverIds.map((id) => build.levers.find((lever) => lever.id === id))
    return first && second ? cureByTwo(build, settings, [first, second], provingWith(build, isSampled)) : null
  },
}

expose(service)

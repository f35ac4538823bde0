import { expose } from 'comlink'
import { differentSettings } from '~~/core/solver/differentSettings'
import { goalSetting } from '~~/core/solver/goals'
import { leastEffortCure, nearestCures } from '~~/core/solver/findCures'
import { provingWith } from '~~/core/uncertainty/provenCure'
import type { CureService } from './protocol'
import { finished } from './unhurried'

const service: CureService = {
  nearest: async (build, settings, isSampled) => nearestCures(build, settings, provingWith(build, isSampled)),
  together: async (build, settings, isSampled, onProgress) =>
    finished(leastEffortCure(build, settings, provingWith(build, isSampled)), onProgress),
  different: async (build, settings, isSampled, onProgress) =>
    finished(differentSettings(build, settings, provingWith(build, isSampled)), onProgress),
  goal: async (build, settings, goal, isSampled, onProgress) =>
    finished(goalSetting(build, settings, goal, provingWith(build, isSampled)), onProgress),
}

expose(service)

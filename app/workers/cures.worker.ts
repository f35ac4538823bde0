import { expose } from 'comlink'
import { differentSettings } from '~~/core/solver/differentSettings'
import { goalSetting } from '~~/core/solver/goals'
import { leastEffortCure, nearestCures } from '~~/core/solver/findCures'
import { provingWith } from '~~/core/uncertainty/provenCure'
import type { CureService } from './protocol'

/** Runs a search to its end, telling how far it has come. */
function finished<T>(search: Generator<number, T>, onProgress: (looked: number) => void): T {
  for (;;) {
    const step = search.next()
    if (step.done) return step.value
    onProgress(step.value)
  }
}

const service: CureService = {
  nearest: async (build, settings, isSampled) => nearestCures(build, settings, provingWith(build, isSampled)),
  together: async (build, settings, isSampled, onProgress) =>
    finished(leastEffortCure(build, settings, provingWith(build, isSampled)), onProgress),
  different: async (build, settings, isSampled, onProgress) =>
    finished(differentSettings(build, settings, provingWith(build, isSampled)), onProgress),
  goal: async (build, settings, goal, isSampled, onProgress) =>
    finished(goalSetting(build, settings, goal, provingWith(build, isSampled)), sometimes(onProgress)),
}

/** Searches that look at one beginning at a time tell of it this often. */
const EVERY = 2000

function sometimes(onProgress: (looked: number) => void): (looked: number) => void {
  let count = 0
  return (looked) => {
    if (count++ % EVERY === 0) onProgress(looked)
  }
}

expose(service)

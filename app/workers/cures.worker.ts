import { expose } from 'comlink'
import { differentSettings } from '~~/core/answers/solver/differentSettings'
import { goalSetting } from '~~/core/answers/solver/goals'
import { leverMap } from '~~/core/answers/solver/leverMap'
import { schoolAnswers } from '~~/core/answers/solver/schools'
import { eachNearestCure, leastEffortCure } from '~~/core/answers/solver/findCures'
import { provingWith } from '~~/core/answers/uncertainty/provenCure'
import type { Build } from '~~/core/file/build/build'
import type { CureService } from './protocol'
import { oneAtATime } from './unhurried'

const { finished, leave } = oneAtATime()

/** A search that takes longer, in ms, ends with the best so far and how far it is proved: one that nobody asked for, and one that is waited for. */
const LEAVE_OFF_MS = { unasked: 10_000, asked: 30_000 }
const patience = (most: number): (() => boolean) => {
  const began = performance.now()
  return () => performance.now() - began > most
}

let opened: Build | null = null
const build = (): Build => {
  if (!opened) throw new Error('no build is open')
  return opened
}

const service: CureService = {
  open: async (told) => void (opened = told),
  nearest: (settings, isSampled) =>
    finished(eachNearestCure(build(), settings, provingWith(build(), isSampled))),
  together: (settings, isSampled, onProgress) =>
    finished(
      leastEffortCure(build(), settings, provingWith(build(), isSampled), patience(LEAVE_OFF_MS.unasked)),
      onProgress,
    ),
  different: (settings, isSampled, onProgress) =>
    finished(
      differentSettings(
        build(),
        settings,
        provingWith(build(), isSampled),
        undefined,
        patience(LEAVE_OFF_MS.asked),
      ),
      onProgress,
    ),
  goal: (settings, goal, isSampled, onProgress) =>
    finished(goalSetting(build(), settings, goal, provingWith(build(), isSampled)), onProgress),
  schools: (line, settings, onProgress) => finished(schoolAnswers(build(), line, settings), onProgress),
  map: async (settings, x, y) => leverMap(build(), settings, x, y),
  leave: async () => leave(),
}

expose(service)

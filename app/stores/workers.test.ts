import { chosenSettings } from '../../core/model/evaluateBuild'
import { monteCarlo } from '../../core/answers/uncertainty/monteCarlo'
import { sampleModel } from '../../core/answers/uncertainty/sampleModel'
import { leastEffortCure, nearestCures } from '../../core/answers/solver/findCures'
import { provingWith } from '../../core/answers/uncertainty/provenCure'
import { openedDemo, storedBuild } from '../../tests/support/opened'
import { WorkerEnded } from '../workers/workerClient'
import { useCures } from './cures'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useSureness } from './sureness'

/** What the workers answer; a test may put a fault in their place. */
const answers: { sample: (service: any) => any; cures: (service: any) => any } = {
  sample: (s) => s,
  cures: (s) => s,
}
const ended: string[] = []

jest.mock('../workers/workerClient', () => {
  const actual = jest.requireActual('../workers/workerClient')
  return {
    ...actual,
    workerClient: (start: () => Worker) => {
      const name = String(start).includes('sureness') ? 'sample' : 'cures'
      return {
        ask: async (question: (service: unknown) => Promise<unknown>) => question(answers[name](services)),
        tell: () => void ended.push(name),
        end: () => void ended.push(name),
      }
    },
  }
})

/** Fewer draws than the page makes. */
const fewer = (samples: number) => samples / 20
let openBuild: never
const services = {
  open: async (build: never) => void (openBuild = build),
  sample: async (
    { settings, samples }: { settings: never; samples: number },
    onProgress: (share: number) => void,
  ) => {
    const sampling = monteCarlo(sampleModel(openBuild, settings), { samples: fewer(samples), seed: 1 })
    for (;;) {
      const step = sampling.next()
      if (step.done) return step.value
      onProgress(step.value / fewer(samples))
    }
  },
  nearest: async (settings: never, isSampled: boolean) =>
    nearestCures(openBuild, settings, provingWith(openBuild, isSampled)),
  together: async (settings: never, isSampled: boolean, onProgress: (looked: number) => void) => {
    const search = leastEffortCure(openBuild, settings, provingWith(openBuild, isSampled))
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
      onProgress(step.value)
    }
  },
}
const until = async (isSo: () => boolean) => {
  for (let tries = 0; tries < 6000 && !isSo(); tries++)
    await new Promise((resolve) => setTimeout(resolve, 10))
  expect(isSo()).toBe(true)
}

beforeEach(() => {
  Object.assign(answers, { sample: (service: unknown) => service, cures: (service: unknown) => service })
  ended.length = 0
})

describe('sureness and cures', () => {
  it('come one after the other: nothing is offered before it can be proved, then one button sets it', async () => {
    const workbench = await openedDemo()
    const sureness = useSureness()
    const cures = useCures()
    expect(cures.offered).toEqual([])
    await until(() => sureness.result !== null)
    expect(sureness.isFresh).toBe(true)
    await until(() => cures.offered.length > 0 && !cures.isSearching)
    const [first] = cures.offered
    expect(first!.brief).toMatch(/^1\.5° wedge, nose down$/)
    expect(first!.likely).toBe('over 99 %')
    expect(first!.remark).toMatch(/^Then nothing is out; still tight: pair difference under drive/)
    expect(cures.refused.map(({ remark }) => remark).join()).toContain('alone does not do it')
    cures.apply(first!)
    const build = await storedBuild()
    expect(Object.keys(chosenSettings(build)).sort()).toEqual(['wedge'])
    expect(workbench.undoLabel).toMatch(/thick end to the front/)
    // Fewer draws than the page makes; a verdict that just holds may be tight with them.
    await until(() => sureness.isFresh)
    expect(['holds', 'tight']).toContain(useEvaluation().current!.verdict)
  })

  it('say why there is no ±, and go on when they are asked again', async () => {
    answers.sample = () => ({
      open: async () => undefined,
      sample: () => Promise.reject(new Error('its program could not be loaded')),
    })
    await openedDemo()
    const sureness = useSureness()
    await until(() => sureness.failure !== null)
    expect([sureness.failure, sureness.isRunning]).toEqual(['its program could not be loaded', false])
    answers.sample = (service) => service
    await sureness.sample()
    expect(sureness.failure).toBeNull()
    expect(sureness.result).not.toBeNull()
  })

  it('stop when they are told to, without a fault', async () => {
    answers.sample = () => ({
      open: async () => undefined,
      sample: () => new Promise((_, reject) => setTimeout(() => reject(new WorkerEnded()), 50)),
    })
    await openedDemo()
    const sureness = useSureness()
    await until(() => sureness.isRunning)
    sureness.stop()
    expect([sureness.isRunning, sureness.isStopped, ended]).toEqual([false, true, ['sample']])
    await new Promise((resolve) => setTimeout(resolve, 80))
    expect(sureness.failure).toBeNull()
  })

  it('follow a lever in the hand with fewer samples, and settle when it is let go or put back', async () => {
    const workbench = await openedDemo()
    const [sureness, levers] = [useSureness(), useLevers()]
    await until(() => sureness.isFresh && !sureness.isRunning)
    const plusMinus = () => sureness.result!.figures['check/rear/torsional']!.plusMinus
    const [atRest, full] = [plusMinus(), sureness.result!.samples]
    levers.hold('wedge', -1)
    levers.hold('wedge', -3)
    await until(() => sureness.result!.samples < full)
    expect(sureness.isFresh).toBe(false)
    // The ± of an acceleration grows with the angles themselves.
    await until(() => Math.abs(plusMinus() - atRest) > 1)
    const [held, evaluation] = [plusMinus(), useEvaluation()]
    expect(evaluation.current!.checks.find(({ id }) => id === 'rear/torsional')!.plusMinus).toBe(held)
    levers.drop()
    await until(() => sureness.isFresh)
    expect([plusMinus(), sureness.result!.samples]).toEqual([atRest, full])
    levers.hold('wedge', -3)
    await until(() => !sureness.isFresh)
    levers.release('Move a lever')
    await until(() => sureness.isFresh && sureness.result!.samples === full)
    expect(plusMinus() / held).toBeGreaterThan(0.8)
    expect(plusMinus() / held).toBeLessThan(1.25)
    expect(workbench.undoLabel).toBe('Move a lever')
  })

  it('say why no cure could be looked for', async () => {
    await openedDemo()
    answers.cures = (service) => ({ ...service, nearest: () => Promise.reject(new Error('broken')) })
    const cures = useCures()
    await until(() => cures.failure !== null)
    expect([cures.failure, cures.isSearching, cures.offered]).toEqual(['broken', false, []])
  })

  it('sample the build as measured too, for the sheet', async () => {
    await openedDemo((raw) => (raw.positions[0].settings = { tail: 5, wedge: -1.5 }))
    const sureness = useSureness()
    await until(() => sureness.isFresh)
    expect(sureness.measuredResult).toBeNull()
    await sureness.sampleMeasured()
    const even = 'line/rear/drive/equivalentAngleDeg'
    const at = (of: typeof sureness.result) => of!.figures[even]!
    expect(at(sureness.measuredResult).interval).toBeNull()
    expect(at(sureness.measuredResult).plusMinus).not.toBe(at(sureness.result).plusMinus)
  })
})

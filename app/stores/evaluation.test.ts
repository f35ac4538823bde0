import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { demoBuild } from '../../core/testdata/builds'
import { useBuildRepository } from '../storage/storage'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useWorkbench } from './workbench'

// The samplings have a worker of their own, which no test of stores has.
class NoWorker {
  addEventListener() {}
  postMessage() {}
  terminate() {}
}
Object.assign(globalThis, { Worker: NoWorker })
jest.mock('./sureness', () => ({ useSureness: () => ({ result: null, isFresh: false }) }))

let count = 0
async function opened() {
  setActivePinia(createPinia())
  const ids = [`first-${++count}`, `second-${count}`]
  for (const id of ids) await useBuildRepository().add({ ...demoBuild(), id }, () => 'never')
  const workbench = useWorkbench()
  await workbench.open(ids[0]!)
  return { ids, workbench, levers: useLevers(), evaluation: useEvaluation() }
}

describe('useEvaluation', () => {
  it('moves the levers on screen while they are held and stores them once, when they are let go', async () => {
    const { workbench, levers, evaluation } = await opened()
    const before = evaluation.current!.checks.find(({ id }) => id === 'rear/torsional')!.value!
    levers.hold('wedge', -1)
    levers.hold('wedge', -1.5)
    expect(evaluation.current!.checks.find(({ id }) => id === 'rear/torsional')!.value!).toBeLessThan(before)
    expect(workbench.build!.positions[0]!.settings).toEqual({})
    levers.release('Move a lever')
    await workbench.settled()
    expect(workbench.build!.positions[0]!.settings).toEqual({ wedge: -1.5 })
    expect(levers.held).toEqual({})
    expect(workbench.undoLabel).toBe('Move a lever')
  })

  it('does not carry a held lever into the next build', async () => {
    const { ids, workbench, levers } = await opened()
    levers.hold('tail', 30)
    await workbench.open(ids[1]!)
    expect(levers.held).toEqual({})
    expect(levers.settings).toEqual({})
    levers.release('Move a lever')
    await workbench.settled()
    expect(workbench.build!.positions[0]!.settings).toEqual({})
  })

  it('drops what is held without a change', async () => {
    const { workbench, levers, evaluation } = await opened()
    levers.hold('tail', 12)
    levers.drop()
    expect(levers.settings).toEqual({})
    expect(workbench.hasUnsaved).toBe(false)
    expect(evaluation.sentence).toMatch(/^Out: torsional under drive is 699 rad/)
  })
})

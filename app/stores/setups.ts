import { chassisOf } from '~~/core/file/parts/bodies'
import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import type { Setup } from '~~/core/file/build/setup'
import type { CentrePair } from '~~/core/file/parts/named'
import type { FlipTest, Tool } from '~~/core/file/parts/tool'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

/** Setups, tools and datum points of the open build, and what is done to them. */
export const useSetups = defineStore('setups', () => {
  const workbench = useWorkbench()
  const readings = useReadings()

  function changeSetup(label: string, changed: Partial<Setup>, id = readings.setup?.id): void {
    workbench.change(label, (draft) => {
      const there = draft.setups.find((one) => one.id === id)
      if (!there) return
      Object.assign(there, changed)
      if (there.datum !== 'face-plumb') delete there.plumbAxis
      else there.plumbAxis ??= draft.axes[0]?.id
    })
  }

  function addSetup(): void {
    const id = newId()
    const date = today()
    const name = `Setup ${(workbench.build?.setups.length ?? 0) + 1}`
    const by = readings.setup?.by
    workbench.change('Add a setup', (draft) => {
      const setup: Setup = { id, name, date, standsOn: 'floor', loaded: true, settled: true, datum: 'read' }
      draft.setups.push({ ...setup, ...(by && { by }) })
    })
    readings.chosenSetup = id
  }

  const toolOf = (draft: { tools: Draft<Tool>[] }, id: string) => draft.tools.find((tool) => tool.id === id)

  function addTool(tool: Omit<Tool, 'id'>): void {
    const id = newId()
    workbench.change('Add a tool', (draft) => {
      draft.tools.push({ ...(tool as Draft<Tool>), id })
    })
  }

  function changeTool(id: string, changed: Partial<Tool>): void {
    workbench.change('Change a tool', (draft) => {
      const tool = toolOf(draft, id)
      if (!tool) return
      Object.assign(tool, changed)
      for (const key of ['resolution', 'accuracy', 'handScatter', 'zeroHabit'] as const)
        if (tool[key] === undefined) Reflect.deleteProperty(tool, key)
    })
  }

  /** Takes a tool out of the drawer; one that readings were taken with stays. */
  function removeTool(id: string): void {
    workbench.change('Remove a tool', (draft) => {
      const isUsed = draft.readings.some((reading) => 'tool' in reading && reading.tool === id)
      if (!isUsed) draft.tools = draft.tools.filter((tool) => tool.id !== id)
    })
  }

  function addFlipTest(toolId: string, test: Omit<FlipTest, 'id' | 'at'>): void {
    // Absent fields stay absent: a file holds no nulls.
    const kept = JSON.stringify({ ...test, id: newId(), at: new Date().toISOString() })
    workbench.change('Flip test', (draft) => {
      const tool = toolOf(draft, toolId)
      if (!tool) return
      tool.flipTests = [...(tool.flipTests ?? []), JSON.parse(kept)]
    })
  }

  function removeFlipTest(toolId: string, testId: string): void {
    workbench.change('Remove a flip test', (draft) => {
      const tool = toolOf(draft, toolId)
      if (tool) tool.flipTests = (tool.flipTests ?? []).filter((test) => test.id !== testId)
    })
  }

  /** Names a new datum point of the chassis and gives its id. */
  function addDatum(name: string): string {
    const id = newId()
    workbench.change('Add a datum point', (draft) => {
      draft.points.push({ id, name, body: chassisOf(draft)?.id ?? '', datum: true })
    })
    return id
  }

  /** Takes a datum point out, with its readings and the pairs it belongs to. */
  function removeDatum(id: string): void {
    workbench.change('Remove a datum point', (draft) => {
      draft.points = draft.points.filter((point) => point.id !== id)
      draft.readings = draft.readings.filter((reading) => !('point' in reading && reading.point === id))
      draft.centrePairs = (draft.centrePairs ?? []).filter((pair) => pair.left !== id && pair.right !== id)
    })
  }

  /** Names a pair of frame holes: two points of the chassis, left and right. */
  function addPair(name: string): void {
    const [id, left, right] = [newId(), newId(), newId()]
    workbench.change('Add a pair of frame holes', (draft) => {
      draft.points.push(
        { id: left, name: `${name}, left hole`, body: chassisOf(draft)?.id ?? '' },
        { id: right, name: `${name}, right hole`, body: chassisOf(draft)?.id ?? '' },
      )
      draft.centrePairs = [...(draft.centrePairs ?? []), { id, name, left, right }]
    })
  }

  function removePair(pair: CentrePair): void {
    workbench.change('Remove a pair of frame holes', (draft) => {
      const ids = [pair.left, pair.right]
      draft.centrePairs = (draft.centrePairs ?? []).filter((one) => one.id !== pair.id)
      draft.points = draft.points.filter((point) => !ids.includes(point.id))
      draft.readings = draft.readings.filter(
        (reading) => !('point' in reading && ids.includes(reading.point)),
      )
    })
  }

  return {
    changeSetup,
    addSetup,
    addTool,
    changeTool,
    removeTool,
    addFlipTest,
    removeFlipTest,
    addDatum,
    removeDatum,
    addPair,
    removePair,
  }
})

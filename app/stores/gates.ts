import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { Gate } from '~~/core/file/kinds/gateKinds'
import { GATE_NAMES } from '~~/core/show/text/gateText'
import { gateStates, mayPass, underNow, type GateState } from '~~/core/jobs/gates/gateStates'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { useTasks } from './tasks'
import { useWorkbench } from './workbench'

/** The gates of the open build: passed, fallen back, ready, waiting. */
export const useGates = defineStore('gates', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const tasks = useTasks()
  const all = computed<readonly GateState[]>(() =>
    workbench.build && evaluation.current
      ? gateStates({ build: workbench.build, checks: evaluation.current.checks, tasks: tasks.all })
      : [],
  )
  /** The first that does not stand; the last once all do. */
  const current = computed(
    () => all.value.find(({ state }) => state !== 'passed') ?? all.value.at(-1) ?? null,
  )
  const looked = ref<Gate | null>(null)
  const shown = computed(() => all.value.find(({ gate }) => gate === looked.value) ?? current.value)
  /** Why a gate is passed over what is temporary, as it is typed. */
  const reasons = ref<Record<string, string>>({})
  const isReady = computed(() => shown.value !== null && mayPass(shown.value, reasons.value))
  const look = (gate: Gate): void => void (looked.value = gate)

  function pass(who: string): void {
    const { build } = workbench
    const { gate, temporaries } = shown.value ?? {}
    if (!build || !gate || !isReady.value) return
    const over = (temporaries ?? []).map(({ id }) => ({
      temporary: id,
      reason: reasons.value[id]?.trim() ?? '',
    }))
    const entry = {
      id: newId(),
      name: GATE_NAMES[gate],
      gate,
      passedAt: today(),
      under: underNow({ build }, gate),
      ...(who !== '' && { who }),
      ...(over.length > 0 && { over }),
    }
    workbench.change('Pass a gate', (draft) => {
      draft.gates = [...(draft.gates ?? []).filter((one) => one.gate !== gate), structuredClone(entry)]
    })
    reasons.value = {}
    looked.value = null
  }
  function takeBack(gate: Gate): void {
    workbench.change('Take a gate back', (draft) => {
      draft.gates = (draft.gates ?? []).filter((one) => one.gate !== gate)
    })
  }
  function change(gate: Gate, changed: { readonly note?: string | undefined }): void {
    workbench.change('Change a gate', (draft) => {
      assign(
        draft.gates?.find((one) => one.gate === gate),
        changed,
      )
    })
  }

  return { all, current, shown, reasons, isReady, look, pass, takeBack, change }
})
